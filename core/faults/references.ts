import { isRaw } from "../frame/raw.js";
import { motionIds } from "../frame/built-in-motions.js";
import { nodeIn } from "../frame/nodes.js";
import { referencesOf } from "../frame/references.js";
import type { Frame } from "../frame/types.js";
import { dangling, named, type At, type Report, type NodeRule } from "./report.js";

/** The motions that a node names are there. */
export const motionFaults: NodeRule = (frame, report, id, { motion, vary = [] }) => {
  motionsFaults(frame, report, ["nodes", id, "motion"], motion);
  vary.forEach(({ set }, i) => motionsFaults(frame, report, ["nodes", id, "vary", i, "set", "motion"], set.motion));
};

/** The motions in a table by kind of move are there. */
export const motionsFaults = (frame: Frame, report: Report, at: At, motions: unknown): void => {
  const known = motionIds(frame);
  for (const [kind, name] of Object.entries(isRaw(motions) ? motions : {}))
    if (name !== null) named(report, [...at, kind], String(name), known, "motion");
};

/** The nodes that a node leads to, or is stood in for by, are there. */
export const referenceFaults: NodeRule = (frame, report, id, node) => {
  for (const { to, at } of referencesOf(node)) if (!nodeIn(frame, to)) dangling(report, ["nodes", id, ...at], to);
};
