import { motionIds } from "../frame/built-in-motions.js";
import { bandsOf, targetsOf } from "../frame/defaults.js";
import { nodeIn } from "../frame/nodes.js";
import { conditionsOf } from "../frame/only.js";
import type { Only, Variation, Views } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { bandPlace } from "../frame/views.js";
import { lostFault } from "./fields.js";
import { motionsFaults } from "./references.js";
import { factIs } from "./facts.js";
import { type At, type FrameRule, named, type NodeRule, type Report } from "./report.js";

/** A range of views names targets and bands of the frame, and there are views in it. */
const rangeFaults = (frame: Frame, report: Report, at: At, { on, from, to }: Views): void => {
  const targets = targetsOf(frame).map(({ id }) => id);
  const bands = bandsOf(frame);
  const ids = bands.map(({ id }) => id);
  on?.forEach((id, i) => named(report, [...at, "on", i], id, targets, "target"));
  if (on?.length === 0)
    report("no-view", [...at, "on"], "no target", "at least one", "Name a target, or take the key out.");
  if (from !== undefined) named(report, [...at, "from"], from, ids, "band");
  if (to !== undefined) named(report, [...at, "to"], to, ids, "band");
  if (from === undefined || to === undefined || !ids.includes(from) || !ids.includes(to)) return;
  if (bandPlace(bands, from) > bandPlace(bands, to))
    report(
      "no-view",
      [...at, "from"],
      `${from}, which is wider than ${to}`,
      `${to} or a narrower band`,
      "Swap the two.",
    );
};

/** What differs by view says where, and does so of views there are. */
export const varyFaults: NodeRule = (frame, report, id, { vary }) => listFaults(frame, report, ["nodes", id], vary);

/** The same of the frame itself, of which the motions and the screen that it names are there too. */
export const frameVaryFaults: FrameRule = (frame, report) => {
  listFaults(frame, report, [], frame.vary);
  frame.vary?.forEach(({ set }, i) => {
    const at = ["vary", i, "set"];
    motionsFaults(frame, report, [...at, "motion"], set.motion);
    const { calm, lost } = set;
    if (typeof calm === "string") named(report, [...at, "calm"], calm, motionIds(frame), "motion");
    if (typeof lost === "string") lostFault(frame, report, [...at, "lost"], lost);
  });
};

const listFaults = (frame: Frame, report: Report, above: At, vary: readonly Variation[] = []): void =>
  vary.forEach((entry, i) => {
    const at = [...above, "vary", i];
    rangeFaults(frame, report, at, entry);
    if (entry.on === undefined && entry.from === undefined && entry.to === undefined && !entry.short)
      report(
        "no-condition",
        at,
        "an entry for every view",
        "one of on, from, to and short",
        "Say where it holds, or say it without vary.",
      );
  });

/** Where something is there alone is said by targets, bands and facts of the frame. */
export const onlyFaults = (frame: Frame, report: Report, at: At, only: Only | undefined): void => {
  if (!only) return;
  conditionsOf(only).forEach((condition, i) => {
    const here = Array.isArray(only) ? [...at, i] : at;
    rangeFaults(frame, report, here, condition);
    for (const [id, value] of Object.entries(condition.facts ?? {}))
      factIs(frame, report, [...here, "facts", id], id, [value]);
  });
};

/** The same of a tab. */
export const tabConditionFaults: NodeRule = (frame, report, id) =>
  onlyFaults(frame, report, ["nodes", id, "tab", "only"], nodeIn(frame, id)?.tab?.only);
