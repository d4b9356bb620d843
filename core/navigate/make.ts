import { fillsPattern, paramsNamed } from "../frame/pattern.js";
import { startOf } from "../frame/defaults.js";
import { nodeAt, nodeIn } from "../frame/nodes.js";
import { type Facts, type Id, noParams, type Opens, type Params } from "../frame/parts.js";
import { sure } from "../frame/sure.js";
import type { FixedPair, FixedStack } from "../frame/types.js";
import { hasNeeds } from "../frame/needs.js";
import { mayStart, startLacks, wayIn } from "../frame/way-in.js";
import type { SkippedBy } from "./notes.js";
import { note, type Run } from "./run.js";
import {
  emptyUi,
  type Entry,
  type HubEntry,
  type PairEntry,
  type ScreenEntry,
  type StackEntry,
  type State,
} from "./state.js";

/** What is handed to a new entry. */
export interface Entering {
  params: Params;
  carried: Params;
  opens: Opens | null;
  motion: Id | null;
}

/** Nothing handed over, and as its node appears by itself. */
export const plainly: Entering = { params: noParams, carried: noParams, opens: null, motion: null };

const made = (run: Run, node: Id, { params, carried, opens, motion }: Entering, since: number | null) => ({
  key: run.nextKey++,
  node,
  params,
  carried,
  opens,
  motion,
  ui: emptyUi,
  since,
});

/** A screen's new entry: its time on top begins. */
export const newScreen = (run: Run, node: Id, entering: Entering): ScreenEntry => ({
  kind: "screen",
  ...made(run, node, entering, run.clock),
});

/** A stack's new entry. */
export const newStack = (run: Run, node: Id, entries: readonly Entry[], entering = plainly): StackEntry => ({
  kind: "stack",
  ...made(run, node, entering, null),
  entries,
});
/** A hub's new entry, with the one tab that shows. */
export const newHub = (run: Run, node: Id, active: Id, tab: Entry, entering = plainly): HubEntry => ({
  kind: "hub",
  ...made(run, node, entering, null),
  active,
  visits: [],
  tabs: { [active]: tab },
});
/** A pair's new entry; it follows its detail if it has one. */
export const newPair = (run: Run, node: Id, list: Entry, detail: Entry | null, entering = plainly): PairEntry => ({
  kind: "pair",
  ...made(run, node, entering, null),
  list,
  detail,
  side: detail ? "detail" : "list",
});

/** The pane of a pair that a sound frame has. */
export const paneId = (pair: FixedPair, pane: "list" | "detail"): Id => sure(pair[pane], `the ${pane} of a pair`);
/** What a container of a sound frame starts with. */
const firstId = (node: FixedStack | FixedPair | { kind: "hub"; children: Id[]; start?: Id }): Id =>
  node.kind === "pair" ? paneId(node, "list") : sure(startOf(node), "the start of a container");

/**
 * A node's entry as it is when nobody has been there: a stack at its start, a hub at its start tab, a pair at
 * its list. A container keeps what was handed over and passes it on to the screen it starts at, which gets those params its address names.
 */
export const fresh = (run: Run, id: Id, entering: Entering = plainly): Entry => {
  const node = nodeIn(run.frame, id);
  if (!node || node.kind === "screen") {
    const params = node && entering.params !== noParams ? paramsNamed(node, entering.params) : noParams;
    return newScreen(run, id, { ...entering, params });
  }
  const way = hasNeeds(run.frame) ? wayIn(run.frame, run.facts, id) : null;
  if (way) return freshAlong(run, way, 0, entering);
  const start = firstId(node);
  return holding(run, id, fresh(run, start, insideOf(entering)), entering);
};

/** What is handed over, as it is passed on to what a container shows. */
const insideOf = (entering: Entering): Entering => ({ ...entering, opens: null, motion: null });

/** A container's new entry with what shows in it. */
const holding = (run: Run, id: Id, inner: Entry, entering: Entering): Entry => {
  const node = nodeAt(run.frame, id);
  const own: Entering = { ...entering, params: noParams };
  if (node.kind === "hub") return newHub(run, id, inner.node, inner, own);
  if (node.kind !== "pair") return newStack(run, id, [inner], own);
  if (inner.node === node.list) return newPair(run, id, inner, null, own);
  return newPair(run, id, fresh(run, paneId(node, "list")), inner, own);
};

/** The entry of `way[i]` as it starts, along the way down to what it shows first. */
const freshAlong = (run: Run, way: readonly Id[], i: number, entering: Entering): Entry => {
  const id = sure(way[i], "a step of a way");
  return way[i + 1] === undefined
    ? fresh(run, id, entering)
    : holding(run, id, freshAlong(run, way, i + 1, insideOf(entering)), entering);
};

/** The state of an app that has just started, with this root. */
export const begun = (run: Run, root: StackEntry, facts: Facts): State => ({
  root,
  facts,
  drawer: null,
  pending: null,
  asking: null,
  clock: run.clock,
  outside: false,
  nextKey: run.nextKey,
});

/** The root's entry as it is when nobody has been there. */
export const freshRoot = (run: Run): StackEntry => {
  const root = fresh(run, run.frame.root);
  if (root.kind !== "stack") throw new Error("the root is no stack");
  return root;
};

/** Why something is not laid beneath what is opened: it may not be shown, or its address lacks a param; null when it is. */
export const skippedBy = (run: Run, id: Id, params: Params): SkippedBy | null => {
  const { frame, facts } = run;
  const unmet = mayStart(frame, facts, id) ? null : startLacks(frame, facts, id);
  if (unmet) return { why: "needs", lacking: { of: { id: unmet.id }, need: unmet.need } };
  const node = nodeAt(frame, id);
  return node.kind !== "screen" || fillsPattern(node, params) ? null : { why: "lacks-params" };
};

/** A stack that is made on the way into it: what it starts with lies beneath, where that can be laid. */
const stackOnTheWay = (run: Run, id: Id, node: FixedStack, next: Id, inner: Entry, entering: Entering): StackEntry => {
  const start = firstId(node);
  const why = start === next ? null : skippedBy(run, start, entering.params);
  if (why) note(run, "base-skipped", start, { what: start, ...why });
  const isLaid = start !== next && !why;
  return newStack(run, id, isLaid ? [fresh(run, start, { ...plainly, params: entering.params }), inner] : [inner]);
};

/** The entry of `way[i]`, made on the way to the last of `way`, which gets what is `entering`. */
export const madeOnTheWay = (run: Run, way: readonly Id[], i: number, entering: Entering): Entry => {
  const [id, next] = [sure(way[i], "a step of a way"), way[i + 1]];
  const node = nodeAt(run.frame, id);
  if (next === undefined) return node.kind === "screen" ? newScreen(run, id, entering) : fresh(run, id, entering);
  const inner = madeOnTheWay(run, way, i + 1, entering);
  switch (node.kind) {
    case "screen":
      return newScreen(run, id, entering);
    case "stack":
      return stackOnTheWay(run, id, node, next, inner, entering);
    case "hub":
      return newHub(run, id, next, inner);
    case "pair":
      if (next === node.list) return newPair(run, id, inner, null);
      return newPair(run, id, fresh(run, paneId(node, "list"), { ...plainly, params: entering.params }), inner);
  }
};
