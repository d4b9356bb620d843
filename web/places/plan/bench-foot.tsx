import { type ComponentType, lazy, type LazyExoticComponent, Suspense, useState } from "react";
import type { Frame } from "../../../core/index.js";
import { useOpenFrame, useSession } from "../../app/open-frame.js";
import type { Panel } from "../../data/session.js";
import { Button } from "../../parts/button.js";
import { Picker } from "../../parts/picker.js";
import { addKinds, type AddKind } from "./add-kinds.js";
import type { BenchProps } from "./bench.js";
import { Ledge } from "./ledge.js";

const Bench = lazy(() => import("./bench.js"));
const panels: Record<Panel, LazyExoticComponent<ComponentType<{ frame: Frame; onClose: () => void }>>> = {
  theme: lazy(() => import("./bench/theme-groups.js")),
  devices: lazy(() => import("./bench/device-groups.js")),
};

export interface BenchFootProps {
  /** What the bench is about; null when nothing is chosen. */
  bench: BenchProps | null;
  adding: boolean;
  onAdding: (adding: boolean) => void;
  onAdd: (kind: AddKind) => void;
}

/** px. */
const usual = 250;

const keysSaid: [string, string][] = [
  ["Arrows", "walk the plan"],
  ["A", "adds anything"],
  ["N", "adds a screen"],
  ["Enter", "renames"],
  ["Alt Arrows", "move"],
  ["P", "puts the device there"],
  ["Ctrl Z", "undoes"],
];

/** The foot of the plan: what there is to say, and the bench with everything about what is chosen. */
export function BenchFoot({ bench, adding, onAdding, onAdd }: BenchFootProps) {
  const opened = useOpenFrame();
  const [height, setHeight] = useState(usual);
  const frame = useSession((session) => session.frame);
  const panel = useSession((session) => session.panel);
  const FramePanel = panel && panels[panel];
  const isHigh = bench !== null || panel !== null;
  const message = useSession((session) => session.message);
  const add = adding ? (
    <span className="w-64 shrink-0">
      <Picker
        label="Add"
        placeholder="Add a screen, tabs, a pair, a sheet …"
        autoFocus
        options={addKinds.map(({ id, label, says }) => ({ value: id, label, says }))}
        onPick={(id) => onAdd(addKinds.find((kind) => kind.id === id)!)}
        onLeave={() => onAdding(false)}
      />
    </span>
  ) : (
    <Button icon="plus" onClick={() => onAdding(true)} title="Add a screen, tabs, a pair, a sheet … (A)">
      Add
    </Button>
  );
  return (
    <section
      aria-label="Bench"
      className="relative flex shrink-0 flex-col border-t border-ink bg-plate-1"
      style={isHigh ? { height } : undefined}
    >
      {isHigh && <Ledge height={height} onChange={setHeight} />}
      {message && (
        <div
          role={message.tone === "fault" ? "alert" : "status"}
          className={`flex shrink-0 items-center gap-3 border-b px-4 py-2 ${message.tone === "fault" ? "border-clay bg-clay-soft" : "border-rule bg-plate-1"}`}
        >
          <span className="grow">{message.text}</span>
          <Button tone="quiet" icon="x" aria-label="Close the message" onClick={() => opened.hush()} />
        </div>
      )}
      {FramePanel ? (
        <Suspense fallback={null}>
          <FramePanel frame={frame} onClose={() => opened.showPanel(null)} />
        </Suspense>
      ) : bench ? (
        <Suspense fallback={null}>
          <Bench {...bench} add={add} />
        </Suspense>
      ) : (
        <div className="flex items-center gap-4 px-4 py-2">
          {add}
          <Button icon="palette" onClick={() => opened.showPanel("theme")}>
            Theme
          </Button>
          <Button icon="device-mobile" onClick={() => opened.showPanel("devices")}>
            Devices
          </Button>
          <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
            <span className="font-semibold">Choose a plate or a card.</span>
            {keysSaid.map(([key, says]) => (
              <span key={key} className="text-ink-2">
                <kbd className="mono rounded-sm border border-field px-1 text-ink">{key}</kbd> {says}
              </span>
            ))}
          </p>
        </div>
      )}
    </section>
  );
}
