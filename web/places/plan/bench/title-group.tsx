import { heldBy, nameOf } from "../../../../core/index.js";
import { Select } from "../../../parts/select.js";
import { TextLine } from "../../../parts/text-line.js";
import { AddressLines } from "./address-lines.js";
import { useBench, useNode, useNodeOf } from "./bench-context.js";
import { NoteLine, StartLine, TitleLine } from "./common-lines.js";
import { Fields, Line } from "./group.js";

/** What a cold link to something in a stack is laid on. */
function BaseLine() {
  const { frame, said, set } = useBench();
  const node = useNodeOf("stack");
  return (
    <Line label="A cold link lies on" of="base" says={said.base}>
      <Select
        label="What a cold link is laid on"
        className="max-w-full"
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
  );
}

/** What a pair says while no row is open. */
function EmptyLine() {
  const { frame, said, set } = useBench();
  const node = useNodeOf("pair");
  return (
    <>
      <p className="pb-2.5">
        {node.list && nameOf(frame, node.list)} beside {node.detail && nameOf(frame, node.detail)}
      </p>
      <Line label="While no row is open" of="empty" long says={said.empty}>
        <TextLine
          value={heldBy(node, "empty")}
          placeholder="nothing"
          onDone={(text) => set("empty", text.slice(0, 200), `says ${text}`)}
        />
      </Line>
    </>
  );
}

/** What a node is called, where it is found, and what it begins with. */
export function TitleGroup() {
  const { kind } = useNode();
  return (
    <Fields>
      <TitleLine />
      {kind === "screen" && <AddressLines />}
      {kind === "stack" && <StartLine />}
      {kind === "stack" && <BaseLine />}
      {kind === "pair" && <EmptyLine />}
      <NoteLine />
    </Fields>
  );
}
