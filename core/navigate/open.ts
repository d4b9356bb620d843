import { indexOf, isAttached, placesOf } from "../frame/frame-index.js";
import { startOf } from "../frame/defaults.js";
import type { How, Id, Opens, StackNode } from "../frame/types.js";
import { opensOf } from "../frame/opens.js";
import { firstOverlay, focusPath, topOf } from "./focus.js";
import { fresh, madeOnTheWay } from "./make.js";
import { downStarts, firstUnmet, needWords } from "../frame/needs.js";
import { type Entering, lose, newScreen, nodeIn, note, type Run, sameParams } from "./run.js";
import { nameOf, plainName } from "../frame/names.js";
import { type ContainerEntry, type Entry, entriesInside, type HubEntry, isHub, isPair, isStack, type PairEntry, type Pending, type StackEntry, type State, withChild, withEntries, withHub, withPair } from "./state.js";
import { noParams, type Params } from "../frame/types.js";
import { atRoot, withTab } from "./tabs.js";

/** How often one opening may be sent elsewhere by needs that are unmet. */
export const mostTurns = 8;

/** What is asked when a node is opened. */
export interface Ask {
  to: Id;
  params: Params;
  with: Params;
  as: Opens | null;
  how: How;
  /** The entries from the root to the screen that asked; null when none did: then the focus path stands for it. */
  from: readonly Entry[] | null;
  /** Asked by a link. */
  link?: {
    /** What a cold link lays is laid, all along the way. */
    lays: boolean;
    /** The app was not running: nothing is there yet. */
    cold: boolean;
  };
}

export const askOf = (to: Id, params: Params = noParams): Ask => ({
  to,
  params,
  with: noParams,
  as: null,
  how: "add",
  from: null,
});

/**
 * The ids from the root to the node; null if it stands nowhere. Of several places, a link takes the one its screen names,
 * anything else the one that the asking screen is nearest to; failing these the first that may be shown.
 */
const wayTo = (run: Run, facts: State["facts"], ask: Ask): readonly Id[] | null => {
  const { frame } = run;
  const { to, link } = ask;
  if (to === frame.root) return [to];
  const places = placesOf(frame, to);
  const { ways } = indexOf(frame);
  const wayBy = (place: Id): readonly Id[] => [...ways.get(place)!, to];
  if (places.length < 2) return places.length ? wayBy(places[0]!) : null;
  const node = frame.nodes[to];
  if (link && node?.kind === "screen" && node.linkIn !== undefined && places.includes(node.linkIn))
    return wayBy(node.linkIn);
  const near = link?.cold ? undefined : ask.from!.findLast((entry) => entry.inside && places.includes(entry.node));
  if (near) return wayBy(near.node);
  return wayBy(places.find((place) => firstUnmet(frame, facts, wayBy(place)) === null) ?? places[0]!);
};

/** Whether an entry of the last of `way` is in there. */
const isThere = (entry: Entry, way: readonly Id[], i = 0): boolean =>
  i === way.length - 1 || entriesInside(entry).some((inner) => inner.node === way[i + 1] && isThere(inner, way, i + 1));

/** Where an opening comes to, once needs were asked. */
export interface Granted {
  ask: Ask;
  way: readonly Id[];
  /** What waits until its needs are met: set by a redirect that resumes. */
  pending: Pending | null;
  redirected: boolean;
}

/** Finds the place of what is asked, or of what stands in for it as its needs are not met; null, with a note, if nothing is to be opened. */
export const grant = (run: Run, state: State, given: Ask): Granted | null => {
  const { frame } = run;
  let ask: Ask = given.from ? given : { ...given, from: focusPath(run, state.root) };
  let pending: Pending | null = null;
  for (let turn = 0; turn <= mostTurns; turn += 1) {
    const node = nodeIn(run, ask.to);
    const way = node && isAttached(frame, ask.to) ? wayTo(run, state.facts, ask) : null;
    if (!way) {
      note(
        run,
        "unattached",
        ask.to,
        node
          ? `${nameOf(frame, ask.to)} stands in no container, so there is nowhere to open it. Put it into a stack or a hub.`
          : `There is no node ${ask.to}.`,
      );
      return null;
    }
    const isNew = node!.kind !== "screen" && (ask.link?.cold || !isThere(state.root, way));
    const unmet = firstUnmet(frame, state.facts, isNew ? [...way, ...downStarts(frame, ask.to)] : way);
    if (!unmet)
      return { ask, way, pending: pending && { ...pending, standIn: ask.to }, redirected: ask.to !== given.to };
    const { id, need } = unmet;
    const name = id === ask.to ? nameOf(frame, id, ask.params) : plainName(frame, id);
    const why = `${name} needs ${needWords(frame, need)}`;
    if (need.otherwise === undefined) {
      note(run, "refused", ask.to, `${nameOf(frame, ask.to, ask.params)} was not opened: ${why}.`);
      return null;
    }
    const later = need.resume && !pending ? ", and what was asked waits" : "";
    note(run, "redirected", need.otherwise, `${why}: ${nameOf(frame, need.otherwise)} was opened instead${later}.`);
    if (need.resume && !pending) {
      const { to, params, as, how } = ask;
      pending = { to, params, with: ask.with, as, how, cold: ask.link?.lays ?? false, standIn: need.otherwise };
    }
    ask = { ...ask, to: need.otherwise, params: noParams, with: noParams, as: null };
  }
  note(
    run,
    "needs-loop",
    given.to,
    `What stands in for ${nameOf(frame, given.to)} needs something itself, and so on: nothing was opened.`,
  );
  return null;
};

const closeAbove = (run: Run, entries: readonly Entry[], from: number, why: string): void => {
  for (let i = entries.length - 1; i >= from; i -= 1) {
    const entry = entries[i]!;
    note(run, "closed", entry.node, `${nameOf(run.frame, entry.node, entry.params)} was closed: ${why}`);
    lose(run, entry);
  }
};

const closeOverlays = (run: Run, stack: StackEntry, why: string): StackEntry => {
  const { entries } = stack.inside;
  const first = firstOverlay(run, stack);
  if (first === entries.length) return stack;
  closeAbove(run, entries, first, why);
  return withEntries(stack, entries.slice(0, first));
};

const layScreen = (run: Run, stack: StackEntry, id: Id, ask: Ask): StackEntry => {
  const { entries } = stack.inside;
  const isSame = (entry: Entry): boolean => entry.node === id && sameParams(entry.params, ask.params);
  const name = () => nameOf(run.frame, id, ask.params);
  const laid = (on: StackEntry): StackEntry =>
    withEntries(on, [...on.inside.entries, newScreen(run, id, enteringBy(ask))]);
  if ((ask.as ?? opensOf(run.frame, nodeIn(run, id)!, run.view)) !== "push") {
    const top = entries.at(-1);
    if (!top || !isSame(top)) return laid(stack);
    note(run, "already-there", id, `${name()} is on top already: nothing was laid over it.`);
    return stack;
  }
  const first = firstOverlay(run, stack);
  // a stack that the sweep has just emptied holds nothing
  if (entries.length === 0) return laid(stack);
  if (isSame(entries[first - 1]!)) {
    const covered = first < entries.length;
    const why = covered
      ? "lay right beneath: what lay over it was closed"
      : "is on top already: nothing was laid over it";
    note(run, "already-there", id, `${name()} ${why}.`);
    for (let i = entries.length - 1; i >= first; i -= 1) lose(run, entries[i]!);
    return covered ? withEntries(stack, entries.slice(0, first)) : stack;
  }
  const bottom = entries[0]!;
  if (startOf(nodeIn(run, stack.node) as StackNode) === id && isSame(bottom)) {
    closeAbove(run, entries, 1, `${name()} starts this stack and lies at its bottom, so opening it goes down to it.`);
    return withEntries(stack, [bottom]);
  }
  return laid(closeOverlays(run, stack, `${name()} was pushed, and what lies over a screen gives way to a push.`));
};

const enteringBy = (ask: Ask): Entering => ({ params: ask.params, carried: ask.with, opens: ask.as });

const intoStack = (run: Run, stack: StackEntry, way: readonly Id[], i: number, ask: Ask): StackEntry => {
  const next = way[i + 1]!;
  const node = nodeIn(run, next)!;
  if (node.kind === "screen") return layScreen(run, stack, next, ask);
  const { entries } = stack.inside;
  const at = entries.findLastIndex((candidate) => candidate.node === next);
  if (at >= 0) {
    closeAbove(run, entries, at + 1, `${nameOf(run.frame, next)} lies beneath it, and what was opened lies in there.`);
    const inner = walk(run, entries[at]!, way, i + 1, ask);
    if (at === entries.length - 1) return withChild(stack, entries[at]!, inner);
    return withEntries(stack, [...entries.slice(0, at), inner]);
  }
  const as = (i + 2 === way.length ? ask.as : null) ?? opensOf(run.frame, node, run.view);
  const why = `${nameOf(run.frame, next)} was pushed, and what lies over a screen gives way to a push.`;
  const on = as === "push" ? closeOverlays(run, stack, why) : stack;
  return withEntries(on, [...on.inside.entries, madeOnTheWay(run, way, i + 1, enteringBy(ask))]);
};

/** What stands in a tab or a pane once the way goes through there: a screen is replaced when its params are others. */
const intoSlot = (run: Run, there: Entry, way: readonly Id[], i: number, ask: Ask): Entry => {
  if (there.inside) return walk(run, there, way, i, ask);
  if (sameParams(there.params, ask.params)) return there;
  lose(run, there);
  return madeOnTheWay(run, way, i, enteringBy(ask));
};

const intoHub = (run: Run, hub: HubEntry, way: readonly Id[], i: number, ask: Ask): HubEntry => {
  const next = way[i + 1]!;
  const there = hub.inside.tabs[next];
  if (hub.inside.active !== next)
    note(
      run,
      "switched",
      next,
      `${nameOf(run.frame, next)} is now the tab: ${nameOf(run.frame, ask.to, ask.params)} stands in it.`,
    );
  const inner = there ? intoSlot(run, there, way, i + 1, ask) : madeOnTheWay(run, way, i + 1, enteringBy(ask));
  return withTab(run, hub, next, inner);
};

/** The screen that lies at the bottom of a pane. */
const bottomOf = (entry: Entry): Entry => (isStack(entry) ? bottomOf(entry.inside.entries[0]!) : entry);

const intoDetail = (run: Run, there: Entry | null, way: readonly Id[], i: number, ask: Ask): Entry => {
  const made = () => madeOnTheWay(run, way, i, enteringBy(ask));
  if (!there) return made();
  const fromInside = ask.from?.some((entry) => entry.key === there.key) ?? false;
  if (fromInside) return intoSlot(run, there, way, i, ask);
  const isTarget = i === way.length - 1;
  if (isTarget && there.inside) return there;
  const bottom = bottomOf(there);
  if (bottom.node === ask.to && sameParams(bottom.params, ask.params)) {
    note(run, "already-there", ask.to, `${nameOf(run.frame, ask.to, ask.params)} is the detail already.`);
    return atRoot(run, there, false);
  }
  lose(run, there);
  return made();
};

const intoPair = (run: Run, pair: PairEntry, way: readonly Id[], i: number, ask: Ask): PairEntry => {
  const { list, detail } = pair.inside;
  if (way[i + 1] === list.node) return withPair(pair, { list: intoSlot(run, list, way, i + 1, ask), side: "list" });
  const why = `${nameOf(run.frame, ask.to, ask.params)} was opened in the detail beside it.`;
  return withPair(pair, {
    list: isStack(list) ? closeOverlays(run, list, why) : list,
    detail: intoDetail(run, detail, way, i + 1, ask),
    side: "detail",
  });
};

/** Goes from an entry, that of `way[i]`, down to the last of `way`, making what is not there. */
const walk = (run: Run, entry: Entry, way: readonly Id[], i: number, ask: Ask): Entry => {
  if (way[i + 1] === undefined || !entry.inside) return entry;
  if (isStack(entry)) return intoStack(run, entry, way, i, ask);
  return isHub(entry) ? intoHub(run, entry, way, i, ask) : intoPair(run, entry as PairEntry, way, i, ask);
};

/** Everything on the way but the way itself closed, and the visits of its hubs forgotten. */
const cleared = (run: Run, entry: Entry, way: readonly Id[], i: number): Entry => {
  if (way[i + 1] === undefined || !entry.inside) return entry;
  if (isStack(entry)) {
    const { entries } = entry.inside;
    const top = entries.at(-1)!;
    closeAbove(run, entries.slice(0, -1), 0, "what was opened clears its way.");
    return withEntries(entry, [cleared(run, top, way, i + 1)]);
  }
  const child = entriesInside(entry).find((inner) => inner.node === way[i + 1])!;
  const next = withChild(entry as ContainerEntry, child, cleared(run, child, way, i + 1));
  return isHub(next) ? withHub(next, { visits: [] }) : next;
};

/**
 * The entry without the one that has this key; null when nothing is left of it. A tab and a pane start again instead of
 * leaving, but for a detail of which nothing is left.
 */
const without = (run: Run, entry: Entry, key: number): Entry | null => {
  if (entry.key === key) return null;
  if (isStack(entry)) {
    const { entries } = entry.inside;
    const left = entries.map((inner) => without(run, inner, key));
    if (left.every((inner, i) => inner === entries[i])) return entry;
    const kept = left.filter((inner) => inner !== null);
    return kept.length ? withEntries(entry, kept) : null;
  }
  if (isPair(entry)) {
    const { list, detail } = entry.inside;
    const leftList = without(run, list, key);
    if (leftList !== list) return withPair(entry, { list: leftList ?? fresh(run, list.node) });
    const left = detail && without(run, detail, key);
    if (left === detail) return entry;
    if (left || !detail!.inside) return withPair(entry, { detail: left ?? fresh(run, detail!.node) });
    return withPair(entry, { detail: null, side: "list" });
  }
  if (!isHub(entry)) return entry;
  const { tabs, active } = entry.inside;
  for (const [id, tab] of Object.entries(tabs)) {
    const left = without(run, tab, key);
    if (left === tab) continue;
    if (left) return withHub(entry, { tabs: { ...tabs, [id]: left } });
    if (id === active) return withHub(entry, { tabs: { ...tabs, [id]: fresh(run, id) } });
    const { [id]: _, ...rest } = tabs;
    return withHub(entry, { tabs: rest });
  }
  return entry;
};

/** Opens what was granted: walks there, then does what `how` says. An app that was left is back by it. */
export const openGranted = (run: Run, state: State, { ask, way }: Granted): State => {
  const from = ask.from!;
  let root = walk(run, state.root, way, 0, ask);
  if (ask.how === "clear") root = cleared(run, root, way, 0);
  if (ask.how === "replace") {
    const asker = from.at(-1)!;
    if (!asker.inside && topOf(run, root).key !== asker.key) {
      const left = without(run, root, asker.key);
      if (left !== root) lose(run, asker);
      root = left ?? fresh(run, state.root.node);
    }
  }
  if (root === state.root && !state.outside && state.drawer === null) return state;
  return { ...state, root: root as StackEntry, outside: false, drawer: null };
};

const isAsked = (pending: Pending, { to, params }: Ask): boolean =>
  pending.to === to && sameParams(pending.params, params);

/** What waits once something was opened: what a redirect of it set, else what waited before, unless that is what was opened. */
export const pendingAfter = (before: Pending | null, granted: Granted): Pending | null =>
  granted.pending ?? (before && isAsked(before, granted.ask) ? null : before);

/** Opens a node, or what stands in for it as its needs are not met. */
export const open = (run: Run, state: State, ask: Ask): State => {
  const granted = grant(run, state, ask);
  if (!granted) return state;
  const next = openGranted(run, state, granted);
  const pending = pendingAfter(state.pending, granted);
  return pending === next.pending ? next : { ...next, pending };
};
