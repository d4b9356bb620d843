import type { Do } from "../../../../core/index.js";
import { Check } from "../../../parts/check.js";
import { readNames, wrongNames, wrongWhole } from "../../../parts/wrong.js";
import { TextLine } from "../../../parts/text-line.js";
import { DoLines } from "./do-lines.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { Group, Line, Says } from "./group.js";

/** What a screen wants handed over, and what it does by itself after a while. */
export function ByItselfGroup() {
  const { frame, id, said, set } = useBench();
  const node = useNodeOf("screen");
  const { after } = node;
  const first = Object.keys(frame.nodes).find((other) => other !== id && other !== frame.root);
  const start: Do = first ? { kind: "open", to: first, how: "replace" } : { kind: "back" };
  return (
    <Group title="Wants, and by itself">
      <Line label="Wants">
        <TextLine
          className="mono text-[12px]"
          value={(node.wants ?? []).join(", ")}
          placeholder="nothing"
          title="Names of values that a way in has to hand over"
          wrong={wrongNames}
          onDone={(text) => {
            const names = readNames(text) ?? [];
            set("wants", names.length ? names : undefined, `wants ${names.join(", ") || "nothing"}`);
          }}
        />
      </Line>
      <Says>{said.wants}</Says>
      <Check
        checked={after !== undefined}
        onChange={(on) => set("after", on ? { ms: 2000, do: start } : undefined, on ? "goes on by itself" : "waits")}
      >
        Goes on by itself
      </Check>
      {after && (
        <>
          <Line label="After">
            <TextLine
              inputMode="numeric"
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
      <Says>{said.after}</Says>
    </Group>
  );
}
