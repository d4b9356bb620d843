import { useMemo } from "react";
import { waysOut, waySays } from "../../../../core/index.js";
import { Picker } from "../../../parts/picker.js";
import { addWay } from "../acting/edits.js";
import { outMark } from "../drawing/pegs.js";
import { ActionRows } from "./action-rows.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { WayHead } from "./way-row.js";
import { targetsFor } from "./ways-out-group.js";

/** The actions at the end of a hub's rail, panel or drawer. */
export function ExtrasGroup() {
  const { frame, points, id, said, set, make, onChoose } = useBench();
  const node = useNodeOf("hub");
  const ways = waysOut(id, node);
  const effects = useMemo(() => waysOut(id, node).map((way) => waySays(points, way)), [points, id, node]);
  return (
    <>
      <p className="pb-1 text-ink-2">{said.extras}</p>
      {ways.length > 0 && <WayHead />}
      <ol className="flex flex-col">
        <ActionRows
          frame={frame}
          from={id}
          actions={node.extras ?? []}
          places={[]}
          peg={(action) => {
            const i = ways.findIndex((way) => way.action === action.id);
            return { mark: i < 0 ? null : outMark(i), effect: effects[i] ?? "" };
          }}
          onChange={(next, label) => set("extras", next.length ? next : undefined, label)}
          onChoose={onChoose}
        />
      </ol>
      <div className="max-w-md pt-1.5">
        <Picker
          label="Add an action: the name of its target"
          placeholder="Add an action: type where it leads"
          options={targetsFor(frame, id)}
          onPick={(to) => void make(addWay(frame, id, to))}
        />
      </div>
    </>
  );
}
