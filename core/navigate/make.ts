import { fillsPattern, paramsNamed } from "../frame/pattern.js";
import { startOf } from "../frame/defaults.js";
import type { Id, StackNode } from "../frame/types.js";
import { type Entering, newScreen, nodeIn, type Run } from "./run.js";
import { type ContainerEntry, emptyUi, type Entry, type Inside, type StackEntry, type State } from "./state.js";
import { noParams } from "../frame/types.js";

export const newContainer = (run: Run, node: Id, entering: Entering, inside: Inside): ContainerEntry => {
  const { params, carried, opens } = entering;
  return { key: run.nextKey++, node, params, carried, opens, ui: emptyUi, since: null, inside } as ContainerEntry;
};

export const plainly: Entering = { params: noParams, carried: noParams, opens: null };

/**
 * A node's entry as it is when nobody has been there: a stack at its start, a hub at its start tab, a pair at
 * its list. A container keeps what was handed over and passes it on to the screen it starts at, which gets those params its address names.
 */
export const fresh = (run: Run, id: Id, entering: Entering = plainly): Entry => {
  const node = nodeIn(run, id);
  if (!node || node.kind === "screen") {
    const params = node && entering.params !== noParams ? paramsNamed(node, entering.params) : noParams;
    return newScreen(run, id, { ...entering, params });
  }
  const start = node.kind === "pair" ? node.list! : startOf(node)!;
  const first = fresh(run, start, { ...entering, opens: null });
  const own: Entering = { params: noParams, carried: entering.carried, opens: entering.opens };
  if (node.kind === "pair")
    return newContainer(run, id, own, { kind: "pair", list: first, detail: null, side: "list" });
  return node.kind === "hub"
    ? newContainer(run, id, own, { kind: "hub", active: start, visits: [], tabs: { [start]: first } })
    : newContainer(run, id, own, { kind: "stack", entries: [first] });
};

/** The state of an app that has just started, with this root. */
export const begun = (run: Run, root: Entry, facts: State["facts"]): State => ({
  root: root as StackEntry,
  facts,
  drawer: null,
  pending: null,
  clock: run.clock,
  outside: false,
  nextKey: run.nextKey,
});

/** The entry of `way[i]`, made on the way to the last of `way`, which gets what is `entering`. */
export const madeOnTheWay = (run: Run, way: readonly Id[], i: number, entering: Entering): Entry => {
  const id = way[i]!;
  const node = nodeIn(run, id)!;
  const next = way[i + 1];
  if (next === undefined) return node.kind === "screen" ? newScreen(run, id, entering) : fresh(run, id, entering);
  const inner = madeOnTheWay(run, way, i + 1, entering);
  if (node.kind === "hub")
    return newContainer(run, id, plainly, { kind: "hub", active: next, visits: [], tabs: { [next]: inner } });
  if (node.kind === "pair") {
    if (next === node.list)
      return newContainer(run, id, plainly, { kind: "pair", list: inner, detail: null, side: "list" });
    const list = fresh(run, node.list!, { ...plainly, params: entering.params });
    return newContainer(run, id, plainly, { kind: "pair", list, detail: inner, side: "detail" });
  }
  const start = startOf(node as StackNode)!;
  const first = nodeIn(run, start)!;
  const laid = start !== next && (first.kind !== "screen" || fillsPattern(first, entering.params));
  const entries = laid ? [fresh(run, start, { ...plainly, params: entering.params }), inner] : [inner];
  return newContainer(run, id, plainly, { kind: "stack", entries });
};
