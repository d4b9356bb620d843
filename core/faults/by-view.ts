import { bandsOf, targetsOf } from "../frame/defaults.js";
import type { Frame } from "../frame/types.js";
import { type At, named, type NodeRule, type Report } from "./report.js";

const targetNames = (frame: Frame, report: Report, at: At, table: object | undefined): void => {
  const targets = targetsOf(frame).map(({ id }) => id);
  for (const target of Object.keys(table ?? {})) named(report, [...at, target], target, targets, "target");
};

const bandNames = (frame: Frame, report: Report, at: At, table: object | undefined): void => {
  const bands = bandsOf(frame).map(({ id }) => id);
  for (const band of Object.keys(table ?? {})) named(report, [...at, band], band, bands, "band");
};

/** What differs by target or band names targets and bands of the frame. */
export const viewFaults: NodeRule = (frame, report, id, node) => {
  const at = ["nodes", id];
  targetNames(frame, report, [...at, "opensOn"], node.opensOn);
  targetNames(frame, report, [...at, "tab", "iconOn"], node.tab?.iconOn);
  bandNames(frame, report, [...at, "opensIn"], node.opensIn);
  if (node.kind !== "pair" || node.splitFrom === undefined) return;
  const bands = bandsOf(frame).map((band) => band.id);
  named(report, [...at, "splitFrom"], node.splitFrom, bands, "band");
};

/** The same of a hub's faces. */
export const faceFaults: NodeRule = (frame, report, id, node) => {
  if (node.kind !== "hub") return;
  bandNames(frame, report, ["nodes", id, "faces"], node.faces);
  const targets = targetsOf(frame).map((target) => target.id);
  for (const [target, faces] of Object.entries(node.facesOn ?? {})) {
    const at = ["nodes", id, "facesOn", target];
    named(report, at, target, targets, "target");
    bandNames(frame, report, at, faces);
  }
};
