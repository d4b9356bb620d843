import { bandsOf, nameOf, type PairNode, ratioOf, splitFromOf } from "../../../../core/index.js";
import { Select } from "../../../parts/select.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { TextLine } from "../../../parts/text-line.js";
import { NoteLine, TitleLine } from "./common-lines.js";
import { Group, type GroupProps, Line, Says } from "./group.js";

/** A list beside its detail: from which width, how wide, and what is said while no row is open. */
export function PairGroup({ frame, id, node, said, set }: GroupProps<PairNode>) {
  const bands = bandsOf(frame);
  return (
    <>
      <Group title="What it is">
        <TitleLine id={id} node={node} set={set} />
        <p>
          {node.list && nameOf(frame, node.list)} beside {node.detail && nameOf(frame, node.detail)}
        </p>
        <Line label="Empty" of="empty">
          <TextLine
            value={node.empty ?? ""}
            placeholder="nothing"
            onDone={(text) => set("empty", text.slice(0, 200), `says ${text}`)}
          />
        </Line>
        <Says>{said.empty}</Says>
        <NoteLine node={node} set={set} />
      </Group>
      <Group title="Side by side">
        <Line label="From" of="splitFrom">
          <Select
            label="Split from the band"
            className="grow"
            value={splitFromOf(frame, node) ?? ""}
            options={bands.map((band) => ({ value: band.id, label: `${band.id}, ${band.from} px` }))}
            onChange={(value) => set("splitFrom", value, `split from ${value}`)}
          />
        </Line>
        <Says>{said.splitFrom}</Says>
        <Line label="List" of="ratio">
          <TextLine
            inputMode="numeric"
            aria-label="Share of the width for the list, percent"
            value={String(Math.round(ratioOf(node) * 100))}
            wrong={wrongWhole(10, 90)}
            onDone={(text) => set("ratio", Number(text) / 100, `list at ${text.trim()} %`)}
          />
          <span className="text-ink-2">%</span>
        </Line>
        <Says>{said.ratio}</Says>
      </Group>
    </>
  );
}
