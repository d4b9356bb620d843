import { heldBy } from "../../../../core/index.js";
import { ByView } from "../../../parts/by-view.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { Block, Fields, Line, Name, Says } from "./group.js";

/** From which width a list stands beside its detail, and how wide it is. */
export function PairGroup() {
  const { said, set } = useBench();
  const node = useNodeOf("pair");
  return (
    <Fields>
      <Block>
        <Name label="Side by side" of="split" />
        <ByView of="split" name="Side by side" open />
        <Says>{said.split}</Says>
      </Block>
      <Line label="The list takes" of="ratio" says={said.ratio}>
        <TextLine
          inputMode="numeric"
          className="w-14!"
          aria-label="Share of the width for the list, percent"
          value={String(Math.round(heldBy(node, "ratio") * 100))}
          wrong={wrongWhole(10, 90)}
          onDone={(text) => set("ratio", Number(text) / 100, `list at ${text.trim()} %`)}
        />
        <span className="text-ink-2">% of the width</span>
      </Line>
    </Fields>
  );
}
