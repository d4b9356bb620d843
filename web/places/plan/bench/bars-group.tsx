import { heldBy } from "../../../../core/index.js";
import { Check } from "../../../parts/check.js";
import { Choice } from "../../../parts/choice.js";
import { SetMark } from "../../../parts/set-mark.js";
import { useBench, useNode } from "./bench-context.js";
import { Group, Says } from "./group.js";

/** Whether the bars stay, and whether a header is drawn. */
export function BarsGroup() {
  const { said, set } = useBench();
  const node = useNode();
  return (
    <Group title="Bars and header">
      <Check
        checked={heldBy(node, "bars") !== "hide"}
        onChange={(keep) => set("bars", keep ? undefined : "hide", keep ? "keep the bars" : "hide the bars")}
      >
        Bars stay <SetMark of="bars" />
      </Check>
      <Says inset>{said.bars}</Says>
      <div className="flex shrink-0 flex-col gap-1">
        <span className="flex items-center gap-1">
          Header <SetMark of="header" />
        </span>
        <Choice
          label="Header"
          value={heldBy(node, "header") ?? "auto"}
          options={[
            { value: "auto", label: "as usual", says: "on for what is pushed, a full screen, a tab or a pane" },
            { value: "on", label: "on" },
            { value: "off", label: "off" },
          ]}
          onChange={(value) => set("header", value === "auto" ? undefined : value, `header ${value}`)}
        />
      </div>
      <Says>{said.header}</Says>
    </Group>
  );
}
