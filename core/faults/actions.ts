import { motionIds } from "../frame/built-in-motions.js";
import { shown } from "../frame/fault.js";
import { called } from "../frame/names.js";
import { nodeIn } from "../frame/nodes.js";
import type { Action, Do } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { onlyFaults } from "./by-view.js";
import { factIs } from "./facts.js";
import { type At, named, type NodeRule, repeats, type Report } from "./report.js";

const doFaults = (frame: Frame, report: Report, at: At, value: Do): void => {
  if (value.kind === "open" && value.motion !== undefined)
    named(report, [...at, "motion"], value.motion, motionIds(frame), "motion");
  if (value.kind !== "set") return;
  factIs(frame, report, [...at, "fact"], value.fact, [value.is]);
  if (value.then) doFaults(frame, report, [...at, "then"], value.then);
};

const actionFaults = (frame: Frame, report: Report, at: At, actions: readonly Action[] = []): void => {
  const ids = actions.map((action) => action.id);
  repeats(report, at, ids, "action id");
  actions.forEach((action, i) => {
    onlyFaults(frame, report, [...at, i, "only"], action.only);
    doFaults(frame, report, [...at, i, "do"], action.do);
  });
};

/** A screen's actions, and what it does by itself, name facts, targets and bands of the frame, each under an id of its own. */
export const screenActionFaults: NodeRule = (frame, report, id, node) => {
  if (node.kind !== "screen") return;
  actionFaults(frame, report, ["nodes", id, "actions"], node.actions);
  if (node.after) doFaults(frame, report, ["nodes", id, "after", "do"], node.after.do);
};

/** What leaves a screen without being asked are actions that there are. */
export const leaveFaults: NodeRule = (frame, report, id, node) => {
  if (node.kind !== "screen") return;
  node.leave?.free?.forEach((each, i) => {
    const [where, action] = typeof each === "string" ? [id, each] : [each.in, each.action];
    const holder = nodeIn(frame, where);
    // a node that is not there is found by who looks at all names
    if (!holder) return;
    const actions = holder.kind === "screen" ? holder.actions : holder.kind === "hub" ? holder.extras : undefined;
    if (actions?.some((other) => other.id === action)) return;
    report(
      "no-action",
      ["nodes", id, "leave", "free", i],
      `${shown(action)}, which ${called(frame, where)} has not`,
      `the id of one of its actions`,
      "Name an action that is there, or take it out.",
    );
  });
};

/** The same of a hub's extras. */
export const extraFaults: NodeRule = (frame, report, id, node) => {
  if (node.kind === "hub") actionFaults(frame, report, ["nodes", id, "extras"], node.extras);
};

/** The fields of a form have ids of their own. */
export const fieldFaults: NodeRule = (_, report, id, node) => {
  if (node.kind !== "screen" || node.body?.kind !== "form") return;
  const ids = node.body.fields.map((field) => field.id);
  repeats(report, ["nodes", id, "body", "fields"], ids, "field id");
};
