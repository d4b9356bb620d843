import { childrenOf } from "../frame/defaults.js";
import { shown } from "../frame/fault.js";
import { indexOf } from "../frame/frame-index.js";
import { called } from "../frame/names.js";
import { nodeIn } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import type { ContainerNode, Frame } from "../frame/types.js";
import { type At, dangling, type NodeRule, repeats, type Report } from "./report.js";

/** A container holds something to start with; a pair has both its sides. */
const emptyFaults = (frame: Frame, report: Report, id: Id, node: ContainerNode): void => {
  const count = childrenOf(node).length;
  const remedy = `Put a screen into ${called(frame, id)}, or take it out.`;
  if (node.kind === "pair") {
    if (count < 2)
      report("empty-container", ["nodes", id], "a pair without both its sides", "a list and a detail", remedy);
  } else if (count === 0)
    report(
      "empty-container",
      ["nodes", id, "children"],
      "no children, so no start",
      "at least one child to start with",
      remedy,
    );
};

/** What a container starts with, and lays links on, is one of its children, each of which is named once. */
const startFaults = (frame: Frame, report: Report, id: Id, node: ContainerNode): void => {
  if (node.kind === "pair") return;
  const { children } = node;
  repeats(report, ["nodes", id, "children"], children, "child");
  const names = { start: node.start, base: node.kind === "stack" ? node.base : undefined };
  for (const [key, name] of Object.entries(names))
    if (name !== undefined && name !== null && !children.includes(name))
      report(
        "no-child",
        ["nodes", id, key],
        shown(name),
        `one of its children ${shown(children.map((child) => called(frame, child)).join(", "), 80)}`,
        `Name one of them, or leave ${key} out for the first.`,
      );
};

/** The root stands in nothing; a container stands in one place, and a screen in several only where all are stacks. */
const placeFaults = (frame: Frame, report: Report, id: Id, at: At, child: Id): void => {
  const node = nodeIn(frame, child);
  if (!node) return dangling(report, at, child);
  const name = (other: Id): string => called(frame, other);
  if (child === frame.root)
    return report(
      "root-inside",
      at,
      `the root ${name(child)}`,
      "a node other than the root",
      "The root contains all the others and stands in nothing: take it out here.",
    );
  const others = (indexOf(frame).parents.get(child) ?? []).filter((parent) => parent !== id);
  const isScreen = node.kind === "screen";
  const isShared = isScreen && [id, ...others].every((parent) => frame.nodes[parent]?.kind === "stack");
  if (others.length > 0 && !isShared)
    report(
      "several-places",
      at,
      `${name(child)}, which stands in ${others.map(name).join(", ")} too`,
      isScreen ? "a shared screen only in stacks" : "each container in one place",
      `Leave it in one place${isScreen ? ", or let all its places be stacks" : ""}.`,
    );
};

/** What a container holds can stand there. */
export const childFaults: NodeRule = (frame, report, id, node) => {
  if (node.kind === "screen") return;
  emptyFaults(frame, report, id, node);
  startFaults(frame, report, id, node);
  const sides = ["list", "detail"];
  childrenOf(node).forEach((child, i) => {
    const at = node.kind === "pair" ? [sides[i] ?? i] : ["children", i];
    placeFaults(frame, report, id, ["nodes", id, ...at], child);
  });
};
