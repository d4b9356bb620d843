import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { type Hinge, type Insets, targetsOf } from "../../../core/index.js";
import { useEditing, useOpenFrame, useSizes } from "../../app/open-frame.js";
import type { SizedDevice } from "../../data/sizes.js";
import { Button } from "../../parts/button.js";
import { Check } from "../../parts/check.js";
import { Icon } from "../../parts/icon.js";
import { PopBox } from "../../parts/pop-box.js";
import { Select } from "../../parts/select.js";
import { TextLine } from "../../parts/text-line.js";
import { wrongEmpty, wrongWhole } from "../../parts/wrong.js";
import { leastWidth, mostWidth } from "./edge-handle.js";

const edges: { edge: keyof Insets; label: string }[] = [
  { edge: "top", label: "top" },
  { edge: "bottom", label: "bottom" },
  { edge: "left", label: "left" },
  { edge: "right", label: "right" },
];

/** The name of a device; pressed, all that it is, and turning, moving and taking it away. */
export function DeviceSettings({ device }: { device: SizedDevice }) {
  return (
    <Popover.Root>
      <Popover.Trigger
        className="flex max-w-full items-center gap-1 truncate rounded-sm text-[13.5px] font-semibold hover:bg-petrol-soft"
        title="What this device is"
      >
        <span className="truncate">{device.name}</span>
        <Icon name="caret-down" size={12} className="shrink-0" />
      </Popover.Trigger>
      <PopBox label={`Device ${device.name}`} side="bottom" className="flex w-84 flex-col gap-2.5 p-3">
        <Shape device={device} />
        <OwnParts device={device} />
        <Deeds device={device} />
      </PopBox>
    </Popover.Root>
  );
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="flex items-center gap-2">
      <span className="w-16 shrink-0 text-ink-2">{label}</span>
      {children}
    </div>
  );
}

interface AmountProps {
  label: string;
  value: number;
  least?: number;
  most?: number;
  onDone: (value: number) => void;
}

function Amount({ label, value, least = 0, most = mostWidth, onDone }: AmountProps) {
  return (
    <span className="w-16">
      <TextLine
        aria-label={label}
        title={`${label}, px`}
        inputMode="numeric"
        className="mono text-[12px]"
        value={String(value)}
        wrong={wrongWhole(least, most)}
        onDone={(text) => onDone(Number(text))}
      />
    </span>
  );
}

function Shape({ device }: { device: SizedDevice }) {
  const { sizes } = useOpenFrame();
  const frame = useEditing((edited) => edited.frame);
  const { key, name, width, height, target } = device;
  return (
    <>
      <Row label="Name">
        <TextLine
          aria-label="Name of the device"
          value={name}
          wrong={wrongEmpty}
          onDone={(text) => sizes.shape(key, { name: text.slice(0, 60) })}
        />
      </Row>
      <Row label="Size">
        <Amount label="Width" value={width} least={leastWidth} onDone={(next) => sizes.widen(key, next)} />
        ×
        <Amount label="Height" value={height} least={200} onDone={(next) => sizes.shape(key, { height: next })} />
        <span className="text-ink-2">px</span>
      </Row>
      {targetsOf(frame).length > 1 && (
        <Row label="Target">
          <Select
            label="Target of the device"
            className="grow"
            value={target ?? ""}
            options={[
              { value: "", label: "as the live device" },
              ...targetsOf(frame).map(({ id, label }) => ({ value: id, label })),
            ]}
            onChange={(id) => sizes.shape(key, { target: id || null })}
          />
        </Row>
      )}
    </>
  );
}

/** What the device itself covers: its strips, a fold, holes. */
function OwnParts({ device }: { device: SizedDevice }) {
  const { sizes } = useOpenFrame();
  const { key, width, insets, cuts = [] } = device;
  return (
    <>
      <Row label="Strips">
        <div className="grid grid-cols-4 gap-1">
          {edges.map(({ edge, label }) => (
            <label key={edge} className="text-[11.5px] text-ink-2">
              {label}
              <Amount
                label={`Strip at the ${label}`}
                value={insets[edge]}
                most={200}
                onDone={(next) => sizes.shape(key, { insets: { ...insets, [edge]: next } })}
              />
            </label>
          ))}
        </div>
      </Row>
      <Fold device={device} />
      <Row label="Hole">
        <Check
          checked={cuts.length > 0}
          onChange={(has) =>
            sizes.shape(key, { cuts: has ? [{ x: Math.round(width / 2) - 12, y: 6, width: 24, height: 24 }] : [] })
          }
        >
          a hole in the screen
        </Check>
      </Row>
    </>
  );
}

const folds = ["none", "upright", "level"] as const;

/** Where the device folds, and how much room that takes. */
function Fold({ device }: { device: SizedDevice }) {
  const { sizes } = useOpenFrame();
  const { key, width, height, hinge } = device;
  const set = (kind: (typeof folds)[number]) => {
    const { hinge: _, ...rest } = device;
    const middle = (length: number): number => Math.round(length / 2) - 6;
    const next = { none: undefined, upright: { x: middle(width), size: 12 }, level: { y: middle(height), size: 12 } }[
      kind
    ];
    sizes.replace(key, next ? { ...rest, hinge: next } : rest);
  };
  const moved = (at: number): Hinge | undefined => hinge && ("x" in hinge ? { ...hinge, x: at } : { ...hinge, y: at });
  return (
    <Row label="Hinge">
      <Select
        label="Hinge of the device"
        value={!hinge ? "none" : "x" in hinge ? "upright" : "level"}
        options={folds.map((value) => ({ value, label: value }))}
        onChange={set}
      />
      {hinge && (
        <>
          <Amount
            label="Where the hinge begins"
            value={"x" in hinge ? hinge.x : hinge.y}
            onDone={(at) => {
              const next = moved(at);
              if (next) sizes.shape(key, { hinge: next });
            }}
          />
          <Amount
            label="How wide the hinge is"
            value={hinge.size}
            most={200}
            onDone={(size) => sizes.shape(key, { hinge: { ...hinge, size } })}
          />
        </>
      )}
    </Row>
  );
}

function Deeds({ device: { key } }: { device: SizedDevice }) {
  const { sizes } = useOpenFrame();
  const devices = useSizes((shown) => shown.devices);
  const at = devices.findIndex((device) => device.key === key);
  return (
    <div className="flex flex-wrap gap-1 border-t border-rule pt-2.5">
      <Button icon="device-rotate" onClick={() => sizes.turn(key)}>
        Turn
      </Button>
      <Button
        tone="quiet"
        icon="arrow-left"
        aria-label="Before the one before it"
        title="Move it one place"
        disabled={at <= 0}
        onClick={() => sizes.move(key, -1)}
      />
      <Button
        tone="quiet"
        icon="arrow-right"
        aria-label="Behind the one behind it"
        title="Move it one place"
        disabled={at < 0 || at === devices.length - 1}
        onClick={() => sizes.move(key, 1)}
      />
      <span className="grow" />
      <Popover.Close asChild>
        <Button tone="quiet" icon="trash" disabled={devices.length < 2} onClick={() => sizes.remove(key)}>
          Take away
        </Button>
      </Popover.Close>
    </div>
  );
}
