import { childrenOf, factAtLaunch, factsOf, factValues } from "../frame/defaults.js";
import { isAttached } from "../frame/frame-index.js";
import type { Frame, HubNode, Id, PairNode } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { focusPath, topOf } from "./focus.js";
import { fresh } from "./make.js";
import { askOf, open } from "./open.js";
import type { Run } from "./run.js";
import { stand } from "./standing.js";
import { type ContainerEntry, emptyUi, type Entry, type HubEntry, type Inside, isHub, isPair, isStack, type PairEntry, type StackEntry, type State, withEntries, withHub, withPair } from "./state.js";
import { noParams } from "../frame/types.js";
import { changedAt } from "./touch.js";

type Names = Readonly<Record<Id, Id>>;

const renamed = (id: Id, names: Names): Id => (Object.hasOwn(names, id) ? names[id]! : id);

/** An entry of a container that nobody opened, with this entry in it: what became of one that was wrapped. */
const wrapping = (run: Run, id: Id, inner: Entry): Entry => {
  const node = run.frame.nodes[id]!;
  const entry = { key: run.nextKey++, node: id, params: noParams, carried: noParams, opens: null, ui: emptyUi };
  const inside = (): Inside => {
    if (node.kind === "hub") return { kind: "hub", active: inner.node, visits: [], tabs: { [inner.node]: inner } };
    if (node.kind !== "pair") return { kind: "stack", entries: [inner] };
    return inner.node === node.list
      ? { kind: "pair", list: inner, detail: null, side: "list" }
      : { kind: "pair", list: fresh(run, node.list!), detail: inner, side: "detail" };
  };
  return { ...entry, since: null, inside: inside() } as Entry;
};

/** Two entries of one container as one: what the second holds lies above. */
const merged = (a: Entry, b: Entry): Entry => {
  if (isStack(a) && isStack(b)) return withEntries(a, [...a.inside.entries, ...b.inside.entries]);
  if (isHub(a) && isHub(b)) {
    const { active } = b.inside;
    const visits = [...a.inside.visits.filter((id) => id !== a.inside.active), a.inside.active];
    return withHub(a, {
      active,
      tabs: { ...a.inside.tabs, ...b.inside.tabs },
      visits: visits.filter((id) => id !== active),
    });
  }
  if (isPair(a) && isPair(b))
    return withPair(a, b.inside.detail ? { detail: b.inside.detail, side: "detail" } : { list: b.inside.list });
  return b;
};

/** What a person sees of a container, lowest first: its tabs that are not chosen are not among it. */
const shownInside = ({ inside }: ContainerEntry): readonly Entry[] =>
  inside.kind === "stack"
    ? inside.entries
    : inside.kind === "hub"
      ? [inside.tabs[inside.active]!]
      : [inside.list, inside.detail].filter((pane) => pane !== null);

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
    return node !== undefined && node.kind !== "screen" && childrenOf(node).includes(id);
  });
  if (around !== undefined) {
    const kept = fitted(run, entry, names);
    return kept ? [wrapping(run, around, kept)] : [];
  }
  return entry.inside ? shownInside(entry as ContainerEntry).flatMap((inner) => standing(run, inner, ids, names)) : [];
};

const fittedStack = (run: Run, stack: StackEntry, ids: readonly Id[], names: Names): Entry | null => {
  const { entries } = stack.inside;
  const kept: Entry[] = [];
  for (const entry of entries.flatMap((child) => standing(run, child, ids, names))) {
    const below = kept.at(-1);
    if (below?.inside && below.node === entry.node) kept[kept.length - 1] = merged(below, entry);
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
  for (const [tab, child] of Object.entries(hub.inside.tabs)) {
    const kept = standing(run, child, ids, names).at(-1);
    if (!kept) continue;
    tabs[kept.node] = tabs[kept.node] ? merged(tabs[kept.node]!, kept) : kept;
    moved.set(tab, kept.node);
  }
  const place = (tab: Id): Id => moved.get(tab) ?? renamed(tab, names);
  const visits = [...new Set(hub.inside.visits.map(place))].filter((visit) => ids.includes(visit));
  let active = place(hub.inside.active);
  if (!tabs[active]) {
    // the tab went: the nearest one that was shown before, else the start
    active = visits.findLast((visit) => tabs[visit]) ?? Object.keys(tabs)[0] ?? ids[0]!;
    tabs[active] ??= fresh(run, active);
  }
  return withHub(hub, { active, tabs, visits: visits.filter((visit) => visit !== active) });
};

/** A pair as far as its panes still stand in the same place; a list that went starts anew. */
const fittedPair = (run: Run, pair: PairEntry, node: PairNode, names: Names): PairEntry => {
  const { list, detail, side } = pair.inside;
  const stays = (child: Entry, at: Id): Entry | null => standing(run, child, [at], names).at(-1) ?? null;
  const kept = detail && stays(detail, node.detail!);
  return withPair(pair, {
    list: stays(list, node.list!) ?? fresh(run, node.list!),
    detail: kept,
    side: kept ? side : "list",
  });
};

/** Tabs that became panes, and panes that became tabs, with what was in them. */
const turned = (entry: HubEntry | PairEntry, node: HubNode | PairNode): HubEntry | PairEntry | null => {
  const as = (inside: Inside) => ({ ...entry, inside }) as HubEntry | PairEntry;
  if (isPair(entry) && node.kind === "hub") {
    const { list, detail, side } = entry.inside;
    const tabs = { [list.node]: list, ...(detail && { [detail.node]: detail }) };
    return as({ kind: "hub", active: side === "detail" && detail ? detail.node : list.node, visits: [], tabs });
  }
  if (!isHub(entry) || node.kind !== "pair") return null;
  const { tabs, active } = entry.inside;
  const list = tabs[node.list!];
  const detail = tabs[node.detail!] ?? null;
  if (!list) return null;
  return as({ kind: "pair", list, detail, side: detail && active === node.detail ? "detail" : "list" });
};

/** The entry as far as the frame still has it; null when nothing of it is left. */
const fitted = (run: Run, entry: Entry, names: Names): Entry | null => {
  const id = renamed(entry.node, names);
  const node = Object.hasOwn(run.frame.nodes, id) ? run.frame.nodes[id] : undefined;
  if (!node) return null;
  const same = id === entry.node ? entry : { ...entry, node: id };
  if (!same.inside) return node.kind === "screen" ? same : null;
  if (node.kind === "screen") return null;
  if (isStack(same)) return node.kind === "stack" ? fittedStack(run, same, node.children, names) : null;
  const found =
    same.inside.kind === node.kind ? same : turned(same as HubEntry | PairEntry, node as HubNode | PairNode);
  if (!found) return null;
  return isHub(found)
    ? fittedHub(run, found, childrenOf(node), names)
    : fittedPair(run, found as PairEntry, node as PairNode, names);
};

/**
 * The state on a frame that was edited: every entry that still has its place stays as it is, with what the person left
 * there. A top screen that only changed its place is opened in the new one. `names` maps ids that were renamed.
 */
export const refit = (before: Frame, frame: Frame, view: View, state: State, names: Names = {}): State => {
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
    next = open(run, next, { ...askOf(id, top.params), with: top.carried });
    next = { ...next, outside };
    next = changedAt(next, focusPath(run, next.root), (entry) =>
      entry.node === id ? { ...entry, ui: top.ui, opens: null } : entry,
    );
  }
  next = stand(run, { ...state, facts: next.facts }, next);
  return { ...next, nextKey: run.nextKey };
};
