import type { Do } from "../../../../core/index.js";
import { Check } from "../../../parts/check.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { DoLines } from "./do-lines.js";
import { Block, Fields, Line, Says } from "./group.js";

/** What a screen does by itself after a while. */
export function AfterLines() {
  const { frame, id, said, set } = useBench();
  const { after } = useNodeOf("screen");
  const first = Object.keys(frame.nodes).find((other) => other !== id && other !== frame.root);
  const start: Do = first ? { kind: "open", to: first, how: "replace" } : { kind: "back" };
  return (
    <div className="pt-2">
      <Fields>
        <Block>
          <Check
            checked={after !== undefined}
            onChange={(on) =>
              set("after", on ? { ms: 2000, do: start } : undefined, on ? "goes on by itself" : "waits")
            }
          >
            Goes on by itself
          </Check>
          <Says>{said.after}</Says>
        </Block>
        {after && (
          <>
            <Line label="After">
              <TextLine
                inputMode="numeric"
                className="w-20!"
                value={String(after.ms)}
                wrong={wrongWhole(0, 3_600_000)}
                onDone={(text) => set("after", { ...after, ms: Number(text) }, `after ${text} ms`)}
              />
              <span className="text-ink-2">ms</span>
            </Line>
            <DoLines
              frame={frame}
              from={id}
              action={{ label: "what it does by itself", do: after.do }}
              onChange={(next, label) => set("after", { ...after, do: next }, `by itself ${label}`)}
            />
          </>
        )}
      </Fields>
    </div>
  );
}
