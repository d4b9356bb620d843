import { nameOf, startOf, stepsOf } from "../../../../core/index.js";
import { Select } from "../../../parts/select.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { NoteLine, StartLine, TitleLine } from "./common-lines.js";
import { Group, Line, Says } from "./group.js";

/** What a stack starts with, and what links are laid on. */
function StackItself() {
  const { frame, said, set } = useBench();
  const node = useNodeOf("stack");
  return (
    <Group title="What it is">
      <TitleLine />
      <StartLine />
      <NoteLine />
      <Says>{said.start}</Says>
      <Line label="Links on" of="base">
        <Select
          label="What a cold link is laid on"
          className="grow"
          value={node.base === undefined ? "as" : (node.base ?? "none")}
          options={[
            { value: "as", label: "the start" },
            { value: "none", label: "nothing" },
            ...node.children.map((child) => ({ value: child, label: nameOf(frame, child) })),
          ]}
          onChange={(value) =>
            set("base", value === "as" ? undefined : value === "none" ? null : value, `links lie on ${value}`)
          }
        />
      </Line>
      <Says>{said.base}</Says>
    </Group>
  );
}

/** What a stack starts with, and what is laid on that. */
export function StackGroup() {
  const { frame, id, onChoose } = useBench();
  const node = useNodeOf("stack");
  const start = startOf(node);
  return (
    <>
      <StackItself />
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
