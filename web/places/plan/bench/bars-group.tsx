import type { ScreenNode, WayInLook } from "../../../../core/index.js";
import { Check } from "../../../parts/check.js";
import { Group, type GroupProps } from "./group.js";

/** Whether the bars stay, and whether a header is drawn. */
export function BarsGroup({ node, set, looks }: GroupProps<ScreenNode> & { looks: readonly WayInLook[] }) {
  const seen = looks.flatMap(({ taken }) => (taken ? [taken.snapshot] : []));
  const covered = seen.length > 0 && seen.every((snapshot) => snapshot.bars.length === 0) && node.bars !== "hide";
  const back = seen.some((snapshot) => snapshot.headers.some((header) => header.back));
  return (
    <Group title="Bars and header">
      <Check
        checked={node.bars !== "hide"}
        onChange={(keep) => set("bars", keep ? undefined : "hide", keep ? "keep the bars" : "hide the bars")}
      >
        Bars stay
      </Check>
      <p className="pl-6.5 text-ink-2">
        {node.bars === "hide"
          ? "gone while it is on top, rails and panels stay"
          : covered
            ? "covered all the same: it stands beside the hub"
            : "if it stands in a tab"}
      </p>
      <Check
        checked={node.header !== "off"}
        onChange={(on) => set("header", on ? undefined : "off", on ? "with a header" : "without a header")}
      >
        Header
      </Check>
      <p className="pl-6.5 text-ink-2">
        {node.header === "off"
          ? "no strip, so no Back of its own"
          : seen.length === 0
            ? "with its own Back when something lies beneath"
            : back
              ? "with its own Back"
              : "nothing lies beneath, so no Back in it"}
      </p>
    </Group>
  );
}
