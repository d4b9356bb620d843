import { bandsOf, targetsOf } from "../frame/defaults.js";
import type { Only } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { factIs } from "./facts.js";
import { type At, named, type NodeRule, type Report } from "./report.js";

/** Where something is there alone is said by targets, bands and facts of the frame. */
export const onlyFaults = (frame: Frame, report: Report, at: At, only: Only | undefined): void => {
  if (!only) return;
  const targets = targetsOf(frame).map((target) => target.id);
  const bands = bandsOf(frame).map((band) => band.id);
  only.targets?.forEach((id, i) => named(report, [...at, "targets", i], id, targets, "target"));
  only.bands?.forEach((id, i) => named(report, [...at, "bands", i], id, bands, "band"));
  for (const [id, value] of Object.entries(only.facts ?? {})) factIs(frame, report, [...at, "facts", id], id, [value]);
};

/** The same of a tab. */
export const tabConditionFaults: NodeRule = (frame, report, id, { tab }) =>
  onlyFaults(frame, report, ["nodes", id, "tab", "only"], tab?.only);
