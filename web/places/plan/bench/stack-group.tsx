import { nameOf, startOf, type StackNode, stepsOf } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { Check } from "../../../parts/check.js";

import { Group, type GroupProps } from "./group.js";
import { StartLine, TitleLine } from "./common-lines.js";

/** What a stack starts with, and what is laid on that. */
export function StackGroup({
  frame,
  id,
  node,
  set,
  onChoose,
}: GroupProps<StackNode> & { onChoose: (chosen: Chosen) => void }) {
  const start = startOf(node);
  return (
    <>
      <Group title="What it is">
        <TitleLine id={id} node={node} set={set} />
        <StartLine frame={frame} node={node} set={set} />
        {id !== frame.root && (
          <Check
            checked={node.bars !== "hide"}
            onChange={(keep) => set("bars", keep ? undefined : "hide", keep ? "keep the bars" : "hide the bars")}
          >
            Bars stay while it is on top
          </Check>
        )}
      </Group>
      <Group title="Laid one on another" says="Back takes the top one off" wide>
        <ol className="flex flex-col">
          {stepsOf(frame, node).map(({ id: child, taps, under }) => (
            <li key={child} style={{ paddingLeft: taps * 14 }}>
              <button
                type="button"
                className="rounded-sm px-1 hover:bg-petrol-soft"
                onClick={() => onChoose({ id: child, parent: id })}
              >
                {nameOf(frame, child)}
              </button>
              <span className="text-ink-2">
                {child === start
                  ? "the start"
                  : under === null
                    ? "nothing in this stack leads there"
                    : `${taps} ${taps === 1 ? "tap" : "taps"} in`}
              </span>
            </li>
          ))}
        </ol>
      </Group>
    </>
  );
}
