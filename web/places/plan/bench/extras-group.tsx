import { useMemo } from "react";
import { type HubNode, waysOut, waySays } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { Picker } from "../../../parts/picker.js";
import { addWay, type Planned } from "../edits.js";
import { outMark } from "../pegs.js";
import { ActionRows } from "./action-rows.js";
import { Group, type GroupProps } from "./group.js";
import { targetsFor } from "./ways-out-group.js";

export interface ExtrasGroupProps extends GroupProps<HubNode> {
  lit: string | null;
  onLit: (mark: string | null) => void;
  make: (planned: Planned | null) => boolean;
  onChoose: (chosen: Chosen) => void;
}

/** The actions at the end of a hub's rail, panel or drawer. */
export function ExtrasGroup({ frame, view, id, node, said, set, lit, onLit, make, onChoose }: ExtrasGroupProps) {
  const ways = waysOut(id, node);
  const effects = useMemo(() => waysOut(id, node).map((way) => waySays(frame, view, way)), [frame, view, id, node]);
  return (
    <Group title="Extras" says={said.extras} wide>
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
          lit={lit}
          onLit={onLit}
          onChange={(next, label) => set("extras", next.length ? next : undefined, label)}
          onChoose={onChoose}
        />
      </ol>
      <Picker
        label="Add an extra: the name of its target"
        placeholder="Add an extra: type where it leads"
        options={targetsFor(frame, id)}
        onPick={(to) => void make(addWay(frame, id, to))}
      />
    </Group>
  );
}
