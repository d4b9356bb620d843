import type { Action, Do } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { onlyFaults } from "./by-view.js";
import { factIs } from "./facts.js";
import { type At, type NodeRule, repeats, type Report } from "./report.js";

const doFaults = (frame: Frame, report: Report, at: At, value: Do): void => {
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
