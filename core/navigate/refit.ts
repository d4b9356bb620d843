import { childrenOf, factAtLaunch, factsOf, factValues } from "../frame/defaults.js";
import { isAttached } from "../frame/frame-index.js";
import { lensOf } from "../frame/look.js";
import { nodeAt, nodeIn } from "../frame/nodes.js";
import type { Facts, Id } from "../frame/parts.js";
import { firstOf } from "../frame/sure.js";
import type { FixedFrame, FixedHub, FixedPair } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { activeTab, changedAt, entriesInside, withEntries, withHub, withPair } from "./entries.js";
import type { NavigationEvent } from "./event.js";
import { askerOf, leaveOf, stillAsking, unasked } from "./asking.js";
import { focusPath, topOf } from "./focus.js";
import { askOf } from "./grant.js";
import { fresh, freshRoot, newHub, newPair, newStack, paneId } from "./make.js";
import { open } from "./open.js";
import { newRun, type Run } from "./run.js";
import { stand } from "./standing.js";
import type { ContainerEntry, Entry, HubEntry, PairEntry, StackEntry, State } from "./state.js";

type Names = Readonly<Record<Id, Id>>;

const renamed = (id: Id, names: Names): Id => (Object.hasOwn(names, id) ? (names[id] ?? id) : id);

/** An entry of a container that nobody opened, with this entry in it: what became of one that was wrapped. */
const wrapping = (run: Run, id: Id, inner: Entry): Entry => {
  const node = nodeAt(run.frame, id);
  if (node.kind === "hub") return newHub(run, id, inner.node, inner);
  if (node.kind !== "pair") return newStack(run, id, [inner]);
  return inner.node === node.list
    ? newPair(run, id, inner, null)
    : newPair(run, id, fresh(run, paneId(node, "list")), inner);
};

/** Two entries of one container as one: what the second holds lies above. */
const merged = (a: Entry, b: Entry): Entry => {
  if (a.kind === "stack" && b.kind === "stack") return withEntries(a, [...a.entries, ...b.entries]);
  if (a.kind === "hub" && b.kind === "hub") {
    const { active } = b;
    const visits = [...a.visits.filter((id) => id !== a.active), a.active];
    return withHub(a, { active, tabs: { ...a.tabs, ...b.tabs }, visits: visits.filter((id) => id !== active) });
  }
  if (a.kind === "pair" && b.kind === "pair")
    return withPair(a, b.detail ? { detail: b.detail, side: "detail" } : { list: b.list });
  return b;
};

/** What a person sees of a container, lowest first: its tabs that are not chosen are not among it. */
const shownOf = (entry: ContainerEntry): readonly Entry[] =>
  entry.kind === "hub" ? [activeTab(entry)] : entriesInside(entry);

/**
 * What of an entry stands among these ids now: itself; or, when it was wrapped, the container around it; or, when its own
 * container was taken away, what that held.
 */
const standing = (run: Run, entry: Entry, ids: readonly Id[], names: Names): Entry[] => {
  const id = renamed(entry.node, names);
  if (ids.includes(id)) {
    const kept = fitted(run, entry, names);
    return kept ? [kept] : [];
  }
  const around = ids.find((other) => {
    const node = run.frame.nodes[other];
    return node !== undefined && childrenOf(node).includes(id);
  });
  if (around !== undefined) {
    const kept = fitted(run, entry, names);
    return kept ? [wrapping(run, around, kept)] : [];
  }
  return entry.kind === "screen" ? [] : shownOf(entry).flatMap((inner) => standing(run, inner, ids, names));
};

const fittedStack = (run: Run, stack: StackEntry, ids: readonly Id[], names: Names): Entry | null => {
  const { entries } = stack;
  const kept: Entry[] = [];
  for (const entry of entries.flatMap((child) => standing(run, child, ids, names))) {
    const below = kept.at(-1);
    if (below && below.kind !== "screen" && below.node === entry.node) kept[kept.length - 1] = merged(below, entry);
    else kept.push(entry);
  }
  if (kept.length === 0) return null;
  return kept.length === entries.length && kept.every((child, i) => child === entries[i])
    ? stack
    : withEntries(stack, kept);
};

const fittedHub = (run: Run, hub: HubEntry, ids: readonly Id[], names: Names): Entry => {
  const tabs: Record<Id, Entry> = {};
  /** Where each tab there was is now. */
  const moved = new Map<Id, Id>();
  for (const [tab, child] of Object.entries(hub.tabs)) {
    const kept = standing(run, child, ids, names).at(-1);
    if (!kept) continue;
    const there = tabs[kept.node];
    tabs[kept.node] = there ? merged(there, kept) : kept;
    moved.set(tab, kept.node);
  }
  const place = (tab: Id): Id => moved.get(tab) ?? renamed(tab, names);
  const visits = [...new Set(hub.visits.map(place))].filter((visit) => ids.includes(visit));
  let active = place(hub.active);
  if (!tabs[active]) {
    // the tab went: the nearest one that was shown before, else the start
    active = visits.findLast((visit) => tabs[visit]) ?? Object.keys(tabs)[0] ?? firstOf(ids);
    tabs[active] ??= fresh(run, active);
  }
  return withHub(hub, { active, tabs, visits: visits.filter((visit) => visit !== active) });
};

/** A pair as far as its panes still stand in the same place; a list that went starts anew. */
const fittedPair = (run: Run, pair: PairEntry, node: FixedPair, names: Names): PairEntry => {
  const { list, detail, side } = pair;
  const stays = (child: Entry, at: Id): Entry | null => standing(run, child, [at], names).at(-1) ?? null;
  const kept = detail && stays(detail, paneId(node, "detail"));
  const listId = paneId(node, "list");
  return withPair(pair, { list: stays(list, listId) ?? fresh(run, listId), detail: kept, side: kept ? side : "list" });
};

/** A pair whose panes became tabs, with what was in them. */
const asHub = (pair: PairEntry): HubEntry => {
  const { key, node, params, carried, opens, motion, ui, since, list, detail, side } = pair;
  const tabs = { [list.node]: list, ...(detail && { [detail.node]: detail }) };
  const active = side === "detail" && detail ? detail.node : list.node;
  return { kind: "hub", key, node, params, carried, opens, motion, ui, since, active, visits: [], tabs };
};

/** A hub whose tabs became panes, with what was in them; null where nothing was in what is the list now. */
const asPair = (hub: HubEntry, pair: FixedPair): PairEntry | null => {
  const { key, node, params, carried, opens, motion, ui, since, tabs, active } = hub;
  const list = tabs[paneId(pair, "list")];
  const detail = tabs[paneId(pair, "detail")] ?? null;
  const side = detail && active === pair.detail ? "detail" : "list";
  return list ? { kind: "pair", key, node, params, carried, opens, motion, ui, since, list, detail, side } : null;
};

/** What holds tabs or panes on a node that is a hub now. */
const fittedAsHub = (run: Run, entry: HubEntry | PairEntry, node: FixedHub, names: Names): Entry =>
  fittedHub(run, entry.kind === "hub" ? entry : asHub(entry), node.children, names);

/** The same on a node that is a pair now. */
const fittedAsPair = (run: Run, entry: HubEntry | PairEntry, node: FixedPair, names: Names): Entry | null => {
  const pair = entry.kind === "pair" ? entry : asPair(entry, node);
  return pair && fittedPair(run, pair, node, names);
};

/** The entry as far as the frame still has it; null when nothing of it is left. */
const fitted = (run: Run, entry: Entry, names: Names): Entry | null => {
  const id = renamed(entry.node, names);
  const node = nodeIn(run.frame, id);
  const same = id === entry.node ? entry : { ...entry, node: id };
  if (same.kind === "screen") return node?.kind === "screen" ? same : null;
  if (same.kind === "stack") return node?.kind === "stack" ? fittedStack(run, same, node.children, names) : null;
  if (node?.kind === "hub") return fittedAsHub(run, same, node, names);
  return node?.kind === "pair" ? fittedAsPair(run, same, node, names) : null;
};

const factsOn = (frame: FixedFrame, facts: Facts): Facts =>
  Object.fromEntries(
    factsOf(frame).map((fact) => {
      const value = facts[fact.id];
      return [fact.id, value !== undefined && factValues(fact).includes(value) ? value : factAtLaunch(fact)];
    }),
  );

/** The event that is asked about, with the ids its nodes have now. */
const renamedEvent = (event: NavigationEvent, names: Names): NavigationEvent => {
  const to = "to" in event && typeof event.to === "string" ? { to: renamed(event.to, names) } : {};
  const place = "in" in event && event.in !== undefined ? { in: renamed(event.in, names) } : {};
  return { ...event, ...to, ...place } as NavigationEvent;
};

/** The question that was open, while its screen still stands and asks. */
const refitQuestion = (frame: FixedFrame, { asking }: State, state: State, names: Names): State => {
  const asked = asking && { ...asking, event: renamedEvent(asking.event, names) };
  const still = asked && stillAsking(frame, asked, state);
  const asker = still && askerOf(still);
  return asker && leaveOf(frame, asker.node) ? still : state;
};

/** Opens the screen that was on top in the place it has now, with what the person left on it. */
const reopened = (run: Run, state: State, id: Id, top: Entry): State => {
  const { outside } = state;
  const next = { ...open(run, state, { ...askOf(id, top.params), with: top.carried }), outside };
  return changedAt(next, focusPath(run, next.root), (entry) =>
    entry.node === id ? { ...entry, ui: top.ui, opens: null, motion: null } : entry,
  );
};

/**
 * The state on a frame that was edited: every entry that still has its place stays as it is, with what the person left
 * there. A top screen that only changed its place is opened in the new one. `names` maps ids that were renamed.
 */
export const refit = (before: FixedFrame, frame: FixedFrame, view: View, given: State, names: Names = {}): State => {
  const state = unasked(given);
  const facts = factsOn(frame, state.facts);
  const run = newRun(frame, view, { ...state, facts });
  const top = topOf(lensOf(before, view), state.root);
  const root = fitted(run, state.root, names);
  let next: State = { ...state, root: root?.kind === "stack" ? root : freshRoot(run), facts };
  const id = renamed(top.node, names);
  const isLost =
    nodeIn(frame, id)?.kind === "screen" &&
    isAttached(frame, id) &&
    !focusPath(run, next.root).some((entry) => entry.key === top.key);
  if (isLost) next = reopened(run, next, id, top);
  next = stand(run, { ...state, facts }, next);
  return refitQuestion(frame, given, { ...next, nextKey: run.nextKey }, names);
};
