import type { Fault } from "../frame/fault.js";
import { nodeIn } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { extraFaults, fieldFaults, leaveFaults, screenActionFaults } from "./actions.js";
import { clashFaults, linkInFaults, patternFaults } from "./addresses.js";
import { frameVaryFaults, tabConditionFaults, varyFaults } from "./by-view.js";
import { childFaults } from "./children.js";
import { needFaults } from "./facts.js";
import {
  bandFaults,
  frameMotionFaults,
  launchFaults,
  listFaults,
  lostFaults,
  rootFaults,
  targetFaults,
} from "./fields.js";
import { depthFaults, loopFaults } from "./nesting.js";
import { motionFaults, referenceFaults } from "./references.js";
import { type FrameRule, type NodeRule, reportInto } from "./report.js";
import { tabFaults } from "./tabs.js";

/** What is asked of the frame's own fields, in the order it is told. */
const fieldRules: readonly FrameRule[] = [
  listFaults,
  bandFaults,
  targetFaults,
  launchFaults,
  frameMotionFaults,
  lostFaults,
  frameVaryFaults,
];

/** What is asked of each node, in the order it is told. */
const nodeRules: readonly NodeRule[] = [
  tabFaults,
  tabConditionFaults,
  varyFaults,
  needFaults,
  motionFaults,
  referenceFaults,
  patternFaults,
  screenActionFaults,
  fieldFaults,
  leaveFaults,
  linkInFaults,
  childFaults,
  extraFaults,
  loopFaults,
];

/**
 * The faults of meaning of a frame whose form is right: what its names and its nesting say that cannot be.
 * With `touched`, only what may have come from a change of those nodes; a change of the frame's own fields wants all.
 * Clashes of addresses are looked for unless it is known that no address changed. Where there are `most`, no node is looked
 * at any more.
 */
export const faultsOf = (frame: Frame, touched?: ReadonlySet<Id>, addresses = true, most = Infinity): Fault[] => {
  const faults: Fault[] = [];
  const report = reportInto(faults);
  rootFaults(frame, report);
  if (!touched) for (const rule of fieldRules) rule(frame, report);
  for (const id of touched ?? Object.keys(frame.nodes)) {
    if (faults.length >= most) break;
    const node = nodeIn(frame, id);
    if (node) for (const rule of nodeRules) rule(frame, report, id, node);
  }
  depthFaults(frame, report);
  if (addresses) clashFaults(frame, report, touched);
  return faults.length > most ? faults.slice(0, most) : faults;
};
