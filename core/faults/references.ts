import { nodeIn } from "../frame/nodes.js";
import { referencesOf } from "../frame/references.js";
import { dangling, named, type NodeRule } from "./report.js";

/** The motions that a node names are there. */
export const motionFaults: NodeRule = (frame, report, id, { motion }) => {
  const known = Object.keys(frame.motions ?? {});
  for (const [kind, name] of Object.entries(motion ?? {}))
    named(report, ["nodes", id, "motion", kind], name, known, "motion");
};

/** The nodes that a node leads to, or is stood in for by, are there. */
export const referenceFaults: NodeRule = (frame, report, id, node) => {
  for (const { to, at } of referencesOf(node)) if (!nodeIn(frame, to)) dangling(report, ["nodes", id, ...at], to);
};
