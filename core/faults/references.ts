import { nodeIn } from "../frame/nodes.js";
import { referencesOf } from "../frame/references.js";
import { dangling, named, type At, type NodeRule } from "./report.js";

/** The motions that a node names are there. */
export const motionFaults: NodeRule = (frame, report, id, { motion, vary = [] }) => {
  const known = Object.keys(frame.motions ?? {});
  const look = (at: At, motions: object = {}): void => {
    for (const [kind, name] of Object.entries(motions))
      if (name !== null) named(report, [...at, kind], String(name), known, "motion");
  };
  look(["nodes", id, "motion"], motion);
  vary.forEach(({ set }, i) => look(["nodes", id, "vary", i, "set", "motion"], set.motion as object | undefined));
};

/** The nodes that a node leads to, or is stood in for by, are there. */
export const referenceFaults: NodeRule = (frame, report, id, node) => {
  for (const { to, at } of referencesOf(node)) if (!nodeIn(frame, to)) dangling(report, ["nodes", id, ...at], to);
};
