import { useDeferredValue } from "react";
import { useEditing, useLive } from "../../app/open-frame.js";
import { Lanes } from "./lanes.js";
import { Survival } from "./survival.js";
import { TrailColumn } from "./trail-column.js";

/** What the app holds: a lane for each tab, what survives what may happen, and everything that happened so far. */
export default function StatePlace() {
  const frame = useEditing((edited) => edited.frame);
  const view = useLive((live) => live.device.view);
  const state = useLive((live) => live.device.at.state);
  const [settledFrame, settledState] = [useDeferredValue(frame), useDeferredValue(state)];
  return (
    <main aria-label="State" className="flex min-w-0 grow bg-page">
      <div className="flex min-w-0 grow flex-col gap-3 overflow-auto px-4 pt-2.5 pb-4">
        <Lanes frame={frame} view={view} state={state} />
        <Survival
          frame={settledFrame}
          view={view}
          state={settledState}
          isBehind={settledFrame !== frame || settledState !== state}
        />
      </div>
      <TrailColumn frame={frame} />
    </main>
  );
}
