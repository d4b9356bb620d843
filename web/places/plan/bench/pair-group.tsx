import { heldBy, nameOf } from "../../../../core/index.js";
import { ByView } from "../../../parts/by-view.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { NoteLine, TitleLine } from "./common-lines.js";
import { Group, Line, Says } from "./group.js";

/** A list beside its detail: what it is, and what is said while no row is open. */
function PairItself() {
  const { frame, said, set } = useBench();
  const node = useNodeOf("pair");
  return (
    <Group title="What it is">
      <TitleLine />
      <p>
        {node.list && nameOf(frame, node.list)} beside {node.detail && nameOf(frame, node.detail)}
      </p>
      <Line label="Empty" of="empty">
        <TextLine
          value={heldBy(node, "empty")}
          placeholder="nothing"
          onDone={(text) => set("empty", text.slice(0, 200), `says ${text}`)}
        />
      </Line>
      <Says>{said.empty}</Says>
      <NoteLine />
    </Group>
  );
}

/** A list beside its detail: what it is, from which width, and how wide. */
export function PairGroup() {
  const { said, set } = useBench();
  const node = useNodeOf("pair");
  return (
    <>
      <PairItself />
      <Group title="Side by side" of="split" wide room="min-w-60">
        <ByView of="split" name="Side by side" open />
        <Says>{said.split}</Says>
        <Line label="List" of="ratio">
          <TextLine
            inputMode="numeric"
            aria-label="Share of the width for the list, percent"
            value={String(Math.round(heldBy(node, "ratio") * 100))}
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
