import { shown } from "../frame/fault.js";
import { indexOf, mostDepth } from "../frame/frame-index.js";
import { called } from "../frame/names.js";
import type { Id } from "../frame/parts.js";
import type { FrameRule, NodeRule } from "./report.js";

/** No container stands inside itself. */
export const loopFaults: NodeRule = (frame, report, id, node) => {
  if (node.kind === "screen") return;
  const { parents } = indexOf(frame);
  const seen = new Set<Id>();
  for (let at: Id | undefined = id; at !== undefined && seen.size <= mostDepth + 1; at = parents.get(at)?.[0]) {
    if (seen.has(at)) {
      const ring = [...seen].reverse().map((each) => called(frame, each));
      if (at === id)
        report(
          "loop",
          ["nodes", id, "children"],
          `a loop: ${shown(ring.join(" in "), 80)}`,
          "no container inside itself",
          "Take one of them out of the other.",
        );
      return;
    }
    seen.add(at);
  }
};

/** Containers nest only so deep. */
export const depthFaults: FrameRule = (frame, report) => {
  for (const [id, way] of indexOf(frame).ways)
    if (way.length >= mostDepth)
      report(
        "too-deep",
        ["nodes", id],
        `a container ${way.length} deep`,
        `at most ${mostDepth - 1} containers inside one another`,
        "Lay the structure out flatter: a stack holds any number of screens.",
      );
};
