import type { ReactNode } from "react";
import { useOpenFrame } from "../../../app/open-frame.js";
import { Button } from "../../../parts/button.js";

const keysSaid: readonly [key: string, says: string][] = [
  ["Arrows", "walk the plan, and choose"],
  ["A", "adds anything"],
  ["N", "adds a screen after, with Shift inside"],
  ["L", "makes screens from a list of names"],
  ["Enter", "renames"],
  ["Alt arrows", "move what is chosen"],
  ["Delete", "takes out; what led there is told first"],
  ["W", "wraps, unwraps, shares, makes a pair …"],
  ["I  O", "ways in and ways out"],
  ["R", "routes, and all ways"],
  ["P", "puts the device there"],
  ["Ctrl K", "finds anything"],
];

/** What can be done while nothing is chosen, and how to begin. */
export function NothingChosen({ tools }: { tools: ReactNode }) {
  const { selection } = useOpenFrame();
  return (
    <div className="min-h-0 overflow-y-auto">
      <div className="flex flex-wrap items-center gap-2 border-b border-rule px-3 py-1">
        <b className="mr-auto text-[15px]">Choose a plate or a card</b>
        {tools}
        <Button icon="palette" onClick={() => selection.showPanel("theme")}>
          Theme
        </Button>
        <Button icon="device-mobile" onClick={() => selection.showPanel("devices")}>
          Devices
        </Button>
        <Button icon="path" onClick={() => selection.showPanel("routes")}>
          Routes
        </Button>
      </div>
      <p className="px-3 pt-2 text-ink-2">
        All that it is stands here then, each with what it causes. Press its ground to move the plan. These keys are for
        the plan while it has the focus:
      </p>
      <dl className="columns-[19rem] gap-x-7 px-3 py-2">
        {keysSaid.map(([key, says]) => (
          <div
            key={key}
            className="grid break-inside-avoid grid-cols-[6rem_minmax(0,1fr)] items-baseline gap-x-2 py-0.5"
          >
            <dt>
              <kbd className="mono rounded-sm border border-field px-1">{key}</kbd>
            </dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
