import { type HubNode, nameOf, type StackNode, startOf } from "../../../../core/index.js";
import { TextLine } from "../../../parts/text-line.js";
import { type GroupProps, Line } from "./group.js";

/** The title of any node. */
export function TitleLine({ id, node, set }: Pick<GroupProps, "id" | "node" | "set">) {
  return (
    <Line label="Title">
      <TextLine
        value={node.title ?? ""}
        placeholder={id}
        onDone={(title) => set("title", title.trim().slice(0, 200), `called ${title.trim() || id}`)}
      />
    </Line>
  );
}

/** A note for whoever reads the frame; no device shows it. */
export function NoteLine({ node, set }: Pick<GroupProps, "node" | "set">) {
  return (
    <Line label="Note" of="note">
      <TextLine
        value={node.note ?? ""}
        placeholder="for those who read the frame"
        onDone={(note) => set("note", note.trim().slice(0, 2000), "another note")}
      />
    </Line>
  );
}

/** The child that a stack or a hub starts with. */
export function StartLine({ frame, node, set }: Pick<GroupProps<StackNode | HubNode>, "frame" | "node" | "set">) {
  return (
    <Line label="Starts at" of="start">
      <select
        className="h-7 min-w-0 grow rounded-sm border border-field bg-plate-2 px-1"
        value={startOf(node)}
        onChange={(event) => set("start", event.target.value, `starts at ${nameOf(frame, event.target.value)}`)}
      >
        {node.children.map((child) => (
          <option key={child} value={child}>
            {nameOf(frame, child)}
          </option>
        ))}
      </select>
    </Line>
  );
}
