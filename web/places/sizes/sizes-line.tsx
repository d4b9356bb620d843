import { Popover } from "radix-ui";
import { devicePresets } from "../../../core/index.js";
import { useOpenFrame, useSizes } from "../../app/open-frame.js";
import { mostDevices, type SizesUse } from "../../data/sizes.js";
import { Button } from "../../parts/button.js";
import { Choice } from "../../parts/choice.js";
import { PopBox } from "../../parts/pop-box.js";
import { TourLine } from "./tour-line.js";
import { Select } from "../../parts/select.js";

const themes: { value: SizesUse["theme"]; label: string }[] = [
  { value: "page", label: "theme as here" },
  { value: "light", label: "light theme" },
  { value: "dark", label: "dark theme" },
];
const texts = [100, 115, 130, 150, 175, 200];

/** What holds for all the devices: one state or each its own, direction, text, motion, theme; and adding and turning them. */
export function SizesLine() {
  const { sizes } = useOpenFrame();
  const isApart = useSizes((shown) => shown.own !== null);
  return (
    <header className="flex flex-col gap-1.5 px-4 pt-2.5 pb-1">
      <TourLine>
        <Choice
          label="What the devices show"
          value={isApart ? "each" : "one"}
          options={[
            { value: "one", label: "one state", says: "Act on any: all follow" },
            { value: "each", label: "each from its start", says: "The same events on each, from a launch of its own" },
          ]}
          onChange={(next) => sizes.apart(next === "each")}
        />
        <span className="grow" />
        <AddDevice />
        <Button icon="device-rotate" onClick={() => sizes.turnAll()}>
          Turn all
        </Button>
        <Uses />
      </TourLine>
    </header>
  );
}

/** How a person has set their devices. */
function Uses() {
  const { sizes } = useOpenFrame();
  const rtl = useSizes((shown) => shown.rtl);
  const calm = useSizes((shown) => shown.calm);
  const text = useSizes((shown) => shown.text);
  const theme = useSizes((shown) => shown.theme);
  const hatched = useSizes((shown) => shown.hatched);
  return (
    <>
      <Choice
        label="Direction of reading"
        value={rtl ? "rtl" : "ltr"}
        options={[
          { value: "ltr", label: "left to right" },
          { value: "rtl", label: "right to left" },
        ]}
        onChange={(next) => sizes.use({ rtl: next === "rtl" })}
      />
      <label className="flex items-center gap-1">
        <span className="text-ink-2">text</span>
        <Select
          label="How large text is set"
          value={String(Math.round(text * 100))}
          options={texts.map((percent) => ({ value: String(percent), label: `${percent} %` }))}
          onChange={(percent) => sizes.use({ text: Number(percent) / 100 })}
        />
      </label>
      <Select<SizesUse["theme"]>
        label="Theme of the app on the devices"
        value={theme}
        options={themes}
        onChange={(next) => sizes.use({ theme: next })}
      />
      <Toggle label="calm" title="Reduced motion is asked for" on={calm} onChange={(on) => sizes.use({ calm: on })} />
      <Toggle
        label="hidden parts"
        title="Hatch what lies under a floating bar, a hole, a hinge or an overlay"
        on={hatched}
        onChange={(on) => sizes.use({ hatched: on })}
      />
    </>
  );
}

interface ToggleProps {
  label: string;
  title: string;
  on: boolean;
  onChange: (on: boolean) => void;
}

function Toggle({ label, title, on, onChange }: ToggleProps) {
  return (
    <button
      type="button"
      aria-pressed={on}
      title={title}
      className="h-7 rounded-sm border border-field bg-plate-2 px-2 hover:bg-plate-0 aria-pressed:border-petrol aria-pressed:bg-petrol aria-pressed:font-semibold aria-pressed:text-on-petrol"
      onClick={() => onChange(!on)}
    >
      {label}
    </button>
  );
}

function AddDevice() {
  const { sizes } = useOpenFrame();
  const count = useSizes((shown) => shown.devices.length);
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button
          icon="plus"
          disabled={count >= mostDevices}
          title={count >= mostDevices ? `${mostDevices} at most` : ""}
        >
          Device
        </Button>
      </Popover.Trigger>
      <PopBox label="Add a device" side="bottom" className="flex w-64 flex-col p-1.5">
        {devicePresets.map((preset) => (
          <Popover.Close key={preset.id} asChild>
            <button
              type="button"
              className="flex items-baseline gap-2 rounded-sm px-2 py-1.5 text-left hover:bg-petrol-soft focus-visible:bg-petrol-soft"
              onClick={() => sizes.add(preset)}
            >
              <span className="grow">{preset.label}</span>
              <span className="mono text-[11.5px] text-ink-2">
                {preset.width} × {preset.height}
              </span>
            </button>
          </Popover.Close>
        ))}
        <p className="border-t border-rule px-2 pt-1.5 text-ink-2">Any size: drag its edge, or press its name.</p>
      </PopBox>
    </Popover.Root>
  );
}
