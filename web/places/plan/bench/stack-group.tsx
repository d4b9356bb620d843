import { nameOf, startOf, type StackNode, stepsOf } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { Check } from "../../../parts/check.js";
import { TextLine } from "../../../parts/text-line.js";
import { Group, type GroupProps, Line } from "./group.js";

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
        <Line label="Title">
          <TextLine
            value={node.title ?? ""}
            placeholder={id}
            onDone={(title) => set("title", title.trim().slice(0, 200), `called ${title.trim() || id}`)}
          />
        </Line>
        <Line label="Starts at">
          <select
            className="h-7 min-w-0 grow rounded-sm border border-field bg-plate-2 px-1"
            value={start}
            onChange={(event) => set("start", event.target.value, `starts at ${nameOf(frame, event.target.value)}`)}
          >
            {node.children.map((child) => (
              <option key={child} value={child}>
                {nameOf(frame, child)}
              </option>
            ))}
          </select>
        </Line>
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
