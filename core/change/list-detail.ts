import type { Edit } from "../edit/edit.js";
import { freeIdIn } from "../edit/naming.js";
import { startOf } from "../frame/defaults.js";
import { placesOf } from "../frame/frame-index.js";
import { heldBy } from "../frame/held.js";
import { plainName } from "../frame/names.js";
import { nodeAt, nodeIn } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import type { Frame, Node, StackNode } from "../frame/types.js";
import { stepsOf } from "../plan/steps.js";
import { cannot, type ChangeOfMind, type ChangeResult, planned } from "./change.js";

/** What of a stack lies under a screen of it: itself, and what is pushed from there on, with all that opens over that. */
const withAllUnder = (frame: Frame, stack: StackNode, id: Id): Id[] => {
  const steps = stepsOf(frame, stack);
  const under = new Set([id]);
  // a step comes behind the one it hangs under
  for (const step of steps) if (step.under !== null && under.has(step.under)) under.add(step.id);
  return steps.flatMap((step) => (under.has(step.id) ? [step.id] : []));
};

/** The screen that a row of a list leads to; null where there is no list, or it leads nowhere. */
const detailOf = (frame: Frame, list: Id): Id | null => {
  const node = nodeAt(frame, list);
  if (node.kind !== "screen" || !node.body || !("opens" in node.body)) return null;
  return node.body.opens ?? null;
};

const moveAll = (ids: readonly Id[], from: Id): Edit[] =>
  ids.map((id) => ({ kind: "move", id, from, to: null, after: null }));

const plan = (frame: Frame, list: Id, parent: Id | null): ChangeResult => {
  const name = plainName(frame, list);
  const detail = detailOf(frame, list);
  if (detail === null) return cannot("Choose a list whose rows lead to a screen.");
  const holder = parent === null ? undefined : nodeIn(frame, parent);
  if (parent === null || holder?.kind !== "stack")
    return cannot(`${name} stands in no stack: there is no place for a pair.`);
  const target = nodeAt(frame, detail);
  if (target.kind !== "screen")
    return cannot(`A row of ${name} leads to ${plainName(frame, detail)}, which is no screen.`);
  if (placesOf(frame, detail).length !== 1 || !holder.children.includes(detail))
    return cannot(`${plainName(frame, detail)} is to stand in ${plainName(frame, parent)} too, and there alone.`);
  if (heldBy(nodeAt(frame, list), "opens") !== "push") return cannot(`${name} opens over the rest: a pair is pushed.`);
  const details = withAllUnder(frame, holder, detail).filter((id) => id !== list && placesOf(frame, id).length === 1);
  const taken = new Set<Id>();
  const named = (title: string): Id => {
    const id = freeIdIn(frame, title, taken);
    taken.add(id);
    return id;
  };
  const [top, lists, pane] = [
    named(`${name} pair`),
    named(`${name} list`),
    named(`${plainName(frame, detail)} detail`),
  ];
  const nodes: Record<Id, Node> = {
    [top]: { kind: "pair", title: name, list: lists, detail: pane, empty: `Choose one of ${name}.` },
    [lists]: { kind: "stack", title: name, children: [list] },
    [pane]: { kind: "stack", title: plainName(frame, detail), children: details },
  };
  const moved = new Set([list, ...details]);
  const before = holder.children.slice(0, holder.children.indexOf(list)).findLast((id) => !moved.has(id)) ?? null;
  const starts = startOf(holder) === list;
  const edits: Edit[] = [
    ...moveAll([list, ...details], parent),
    { kind: "add", nodes, top, parent, after: before },
    ...(starts ? [{ kind: "set", node: parent, key: "start", value: top } as const] : []),
    ...(holder.base === list ? [{ kind: "set", node: parent, key: "base", value: top } as const] : []),
  ];
  return planned({
    edit: { kind: "batch", edits },
    label: `${name} beside ${plainName(frame, detail)} as a pair`,
    choose: { id: top, parent },
  });
};

/** A list and the screen its rows lead to become a pair: side by side where there is room. */
export const listAndDetail: ChangeOfMind = {
  id: "list-detail",
  label: "This list and its detail as a pair",
  says: "side by side where there is room",
  plan: (frame, parts) => {
    const [part] = parts;
    if (!part || parts.length > 1) return cannot("Choose one list whose rows lead to a screen.");
    return plan(frame, part.id, part.parent);
  },
};
