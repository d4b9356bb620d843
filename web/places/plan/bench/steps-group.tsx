import { nameOf, startOf, stepsOf } from "../../../../core/index.js";
import { useBench, useNodeOf } from "./bench-context.js";

const tapsSay = (taps: number): string => `${taps} ${taps === 1 ? "tap" : "taps"} in`;

/** What lies in a stack, by the fewest taps from its start. */
export function StepsGroup() {
  const { frame, id, onChoose } = useBench();
  const node = useNodeOf("stack");
  const start = startOf(node);
  return (
    <>
      <p className="pb-1 text-ink-2">Laid one on another; Back takes the top one off.</p>
      <ol className="columns-[16rem] gap-x-7">
        {stepsOf(frame, node).map(({ id: child, taps, under }) => (
          <li key={child} className="break-inside-avoid" style={{ paddingLeft: Math.min(taps, 6) * 14 }}>
            <button
              type="button"
              className="rounded-sm px-1 text-left font-medium hover:bg-petrol-soft"
              onClick={() => onChoose({ id: child, parent: id })}
            >
              {nameOf(frame, child)}
            </button>{" "}
            <span className="text-ink-2">
              {child === start ? "the start" : under === null ? "nothing in this stack leads there" : tapsSay(taps)}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
