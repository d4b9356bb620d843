import { bandsOf, targetsOf } from "../frame/defaults.js";
import { nodeIn } from "../frame/nodes.js";
import { conditionsOf } from "../frame/only.js";
import type { Only, Views } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { bandPlace } from "../frame/views.js";
import { factIs } from "./facts.js";
import { type At, named, type NodeRule, type Report } from "./report.js";

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
export const varyFaults: NodeRule = (frame, report, id, { vary = [] }) =>
  vary.forEach((entry, i) => {
    const at = ["nodes", id, "vary", i];
    rangeFaults(frame, report, at, entry);
    if (entry.on === undefined && entry.from === undefined && entry.to === undefined && !entry.short)
      report(
        "no-condition",
        at,
        "an entry for every view",
        "one of on, from, to and short",
        "Say where it holds, or say it on the node itself.",
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
