import { childrenOf, factAtLaunch, factsOf, factValues } from "../frame/defaults.js";
import { isAttached } from "../frame/frame-index.js";
import type { Frame, Id, PairNode } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { focusPath, topOf } from "./focus.js";
import { fresh } from "./make.js";
import { open } from "./open.js";
import type { Run } from "./run.js";
import { type Entry, type PairEntry, type StackEntry, type State, withEntries, withHub, withPair } from "./state.js";
import { changedAt } from "./touch.js";

const renamed = (id: Id, names: Readonly<Record<Id, Id>>): Id => (Object.hasOwn(names, id) ? names[id]! : id);

/** The entry as far as the frame still has it in that place; null when nothing of it is left. */
const fitted = (run: Run, entry: Entry, names: Readonly<Record<Id, Id>>): Entry | null => {
  const id = renamed(entry.node, names);
  const node = Object.hasOwn(run.frame.nodes, id) ? run.frame.nodes[id] : undefined;
  if (!node) return null;
  const same = id === entry.node ? entry : { ...entry, node: id };
  if (!same.inside) return node.kind === "screen" ? same : null;
  if (same.inside.kind !== node.kind) return null;
  const stands = new Set(childrenOf(node));
  const inner = (child: Entry): Entry | null =>
    stands.has(renamed(child.node, names)) ? fitted(run, child, names) : null;
  if (same.inside.kind === "stack") {
    const { entries } = same.inside;
    const kept = entries.map(inner).filter((child) => child !== null);
    if (kept.length === 0) return null;
    return kept.length === entries.length && kept.every((child, i) => child === entries[i])
      ? same
      : withEntries(same as StackEntry, kept);
  }
  if (same.inside.kind === "pair") return fittedPair(run, same as PairEntry, node as PairNode, names, inner);
  const tabs: Record<Id, Entry> = {};
  for (const child of Object.values(same.inside.tabs)) {
    const kept = inner(child);
    if (kept) tabs[kept.node] = kept;
  }
  const visits = same.inside.visits.map((visit) => renamed(visit, names)).filter((visit) => stands.has(visit));
  let active = renamed(same.inside.active, names);
  if (!tabs[active]) {
    // the tab went: the nearest one that was shown before, else the start
    active = visits.findLast((visit) => tabs[visit]) ?? Object.keys(tabs)[0] ?? childrenOf(node)[0]!;
    tabs[active] ??= fresh(run, active);
  }
  return withHub(same as never, { active, tabs, visits: visits.filter((visit) => visit !== active) });
};

/** A pair as far as its panes still stand in the same place; a list that went starts anew. */
const fittedPair = (
  run: Run,
  pair: PairEntry,
  node: PairNode,
  names: Readonly<Record<Id, Id>>,
  fit: (child: Entry) => Entry | null,
): PairEntry => {
  const { list, detail, side } = pair.inside;
  const stays = (child: Entry, at: Id | undefined): Entry | null =>
    renamed(child.node, names) === at ? fit(child) : null;
  const kept = detail && stays(detail, node.detail);
  return withPair(pair, {
    list: stays(list, node.list) ?? fresh(run, node.list!),
    detail: kept,
    side: kept ? side : "list",
  });
};

/**
 * The state on a frame that was edited: every entry that still has its place stays as it is, with what the person left
 * there. A top screen that only changed its place is opened in the new one. `names` maps ids that were renamed.
 */
export const refit = (
  before: Frame,
  frame: Frame,
  view: View,
  state: State,
  names: Readonly<Record<Id, Id>> = {},
): State => {
  const run: Run = { frame, view, clock: state.clock, nextKey: state.nextKey, notes: [], given: new Set() };
  const top = topOf({ frame: before, view }, state.root);
  const root = (fitted(run, state.root, names) ?? fresh(run, frame.root)) as StackEntry;
  const facts = Object.fromEntries(
    factsOf(frame).map((fact) => {
      const value = state.facts[fact.id];
      return [fact.id, value !== undefined && factValues(fact).includes(value) ? value : factAtLaunch(fact)];
    }),
  );
  let next: State = { ...state, root, facts };
  const id = renamed(top.node, names);
  if (
    frame.nodes[id]?.kind === "screen" &&
    isAttached(frame, id) &&
    !focusPath(run, root).some((entry) => entry.key === top.key)
  ) {
    const outside = next.outside;
    next = open(run, next, { to: id, params: top.params, with: top.carried, as: null, how: "add", from: null });
    next = { ...next, outside };
    next = changedAt(next, focusPath(run, next.root), (entry) =>
      entry.node === id ? { ...entry, ui: top.ui, opens: null } : entry,
    );
  }
  return { ...next, nextKey: run.nextKey };
};
