import { useState } from "react";
import { isVaried, type Slot, slotsOf, variedEdit } from "../../../../core/index.js";
import { Select } from "../../../parts/select.js";
import { nodeSlotName } from "../../../parts/slot-names.js";
import { ViewGrid } from "../../../parts/view-grid.js";
import { cellIn } from "./cell-in.js";
import { useBench, useNode } from "./bench-context.js";
import { Block, Fields } from "./group.js";

const first = (name: string): string => `${name[0]?.toUpperCase() ?? ""}${name.slice(1)}`;

/** All of a node that differs by view, each with its grid; anything else that may can be made to here. */
export function DiffersGroup() {
  const { frame, view, id, make } = useBench();
  const node = useNode();
  const slots = slotsOf(node.kind);
  const [asked, setAsked] = useState<Slot | null>(null);
  const shown = slots.filter(({ slot }) => slot === asked || isVaried(node, slot));
  const others = slots.filter((each) => !shown.includes(each));
  return (
    <>
      <p className="pb-1.5">
        <Select
          label="Make something else differ by view"
          value=""
          options={[
            { value: "", label: "let something else differ …" },
            ...others.map(({ slot }) => ({ value: slot, label: nodeSlotName(slot) })),
          ]}
          onChange={(slot) => setAsked(slot || null)}
        />
      </p>
      {shown.length === 0 && <p className="text-ink-2">It is the same at every width and on every target.</p>}
      <Fields>
        {shown.map(({ slot }) => (
          <Block key={slot} label={nodeSlotName(slot)}>
            <b>{first(nodeSlotName(slot))}</b>
            <ViewGrid
              frame={frame}
              ids={[id]}
              slot={slot}
              name={first(nodeSlotName(slot))}
              at={cellIn(frame, view)}
              onSet={(cells, value, label) =>
                make({ edit: variedEdit(id, slot, cells, value), label: `${node.title ?? id}: ${label}`, choose: null })
              }
            />
          </Block>
        ))}
      </Fields>
    </>
  );
}
