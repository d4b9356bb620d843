import { indexOf } from "../frame/frame-index.js";
import { called } from "../frame/names.js";
import type { NodeRule } from "./report.js";

/** How a node shows as a tab is said of a child of a hub alone. */
export const tabFaults: NodeRule = (frame, report, id, node) => {
  const parents = indexOf(frame).parents.get(id) ?? [];
  const entry = node.vary?.findIndex(({ set }) => set.tab !== undefined) ?? -1;
  if ((!node.tab && entry < 0) || parents.length === 0 || parents.some((parent) => frame.nodes[parent]?.kind === "hub"))
    return;
  report(
    "tab-outside-hub",
    node.tab ? ["nodes", id, "tab"] : ["nodes", id, "vary", entry, "set", "tab"],
    `a tab in ${parents.map((parent) => called(frame, parent)).join(", ")}`,
    "tab only on a child of a hub",
    "Take tab out, or put the node into a hub.",
  );
};
