import { childrenOf, nameOf, startOf } from "../../../../core/index.js";
import { Select } from "../../../parts/select.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongEmpty } from "../../../parts/wrong.js";
import { retitle } from "../acting/edits.js";
import { useBench, useNode } from "./bench-context.js";
import { Line } from "./group.js";

/** The title of any node. */
export function TitleLine() {
  const { frame, id, chosen, make } = useBench();
  return (
    <Line label="Title" view="title" long>
      <TextLine
        value={useNode().title ?? ""}
        placeholder={`none: called ${id}`}
        wrong={wrongEmpty}
        onDone={(title) => make(retitle(frame, chosen, title.trim().slice(0, 200)))}
      />
    </Line>
  );
}

/** A note for whoever reads the frame; no device shows it. */
export function NoteLine() {
  const { set } = useBench();
  return (
    <Line label="Note" of="note" long>
      <TextLine
        wraps
        value={useNode().note ?? ""}
        placeholder="for those who read the frame"
        onDone={(note) => set("note", note.trim().slice(0, 2000), "another note")}
      />
    </Line>
  );
}

/** The child that a stack or a hub starts with. */
export function StartLine() {
  const { frame, said, set } = useBench();
  const node = useNode();
  if (node.kind !== "stack" && node.kind !== "hub") return null;
  return (
    <Line label="Starts at" of="start" says={said.start}>
      <Select
        label="Starts at"
        className="max-w-full"
        value={startOf(node) ?? ""}
        options={childrenOf(node).map((child) => ({ value: child, label: nameOf(frame, child) }))}
        onChange={(child) => set("start", child, `starts at ${nameOf(frame, child)}`)}
      />
    </Line>
  );
}
