import { motionIds } from "../frame/built-in-motions.js";
import { bandsOf, factsOf } from "../frame/defaults.js";
import { shown } from "../frame/fault.js";
import { nodeIn } from "../frame/nodes.js";
import { readPattern } from "../frame/pattern.js";
import { factIs } from "./facts.js";
import type { Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { motionsFaults } from "./references.js";
import { type At, type Report, dangling, type FrameRule, named, repeats } from "./report.js";

/** The root is a stack. */
export const rootFaults: FrameRule = (frame, report) => {
  const root = nodeIn(frame, frame.root);
  if (!root) return dangling(report, ["root"], frame.root, "a stack");
  if (root.kind !== "stack")
    report(
      "root",
      ["root"],
      `the ${root.kind} ${shown(frame.root)}`,
      "a stack",
      "Name a stack: it is what everything else stands in.",
    );
};

/** What the frame lists has ids of its own. */
export const listFaults: FrameRule = (frame, report) => {
  for (const key of ["targets", "bands", "facts", "journeys", "linkCases"] as const) {
    const ids = (frame[key] ?? []).map((item) => item.id);
    repeats(report, [key], ids, "id");
  }
};

/** Every width has one band. */
export const bandFaults: FrameRule = (frame, report) => {
  const bands = bandsOf(frame);
  const [narrowest] = bands;
  if (!narrowest || narrowest.from !== 0)
    report(
      "bands",
      ["bands"],
      narrowest ? `a narrowest band from ${narrowest.from}` : "no band",
      "the narrowest band from 0",
      "Let one band start at 0, so that every width has a band.",
    );
  const starts = bands.map((band) => String(band.from));
  repeats(report, ["bands"], starts, "start of a band");
};

/** There is a target. */
export const targetFaults: FrameRule = (frame, report) => {
  if (frame.targets?.length === 0)
    report("no-target", ["targets"], "no target", "at least one", "Add a target, or leave targets out.");
};

/** A fact is launched with a value that it may have. */
export const launchFaults: FrameRule = (frame, report) =>
  factsOf(frame).forEach((fact, i) => {
    if (fact.launch !== undefined) factIs(frame, report, ["facts", i, "launch"], fact.id, [fact.launch]);
  });

/** The motions that the frame names are there. */
export const frameMotionFaults: FrameRule = (frame, report) => {
  const motions = motionIds(frame);
  motionsFaults(frame, report, ["motion"], frame.motion);
  if (frame.calm !== undefined) named(report, ["calm"], frame.calm, motions, "motion");
};

/** What is shown for links that lead nowhere is a screen that needs nothing from the link. */
export const lostFaults: FrameRule = (frame, report) => {
  if (frame.address?.lost !== undefined) lostFault(frame, report, ["address", "lost"], frame.address.lost);
};

/** The same of one screen, named at a place of the file. */
export const lostFault = (frame: Frame, report: Report, at: At, lost: Id): void => {
  const node = nodeIn(frame, lost);
  if (!node) return dangling(report, at, lost, "a screen");
  if (node.kind !== "screen")
    return report("lost-screen", at, `the ${node.kind} ${shown(lost)}`, "a screen", "Name a screen.");
  const read = node.path === undefined ? null : readPattern(node.path);
  if (!read?.ok || read.pattern.names.length === 0 || read.pattern.segments.some(({ kind }) => kind === "rest")) return;
  report(
    "lost-screen",
    at,
    `${shown(lost)}, whose address needs ${read.pattern.names.join(", ")}`,
    "a screen that needs nothing from the link",
    "Name a screen without params in its address.",
  );
};
