import { baseOf } from "../frame/defaults.js";
import { nodeAt } from "../frame/nodes.js";
import { type Id, noParams, type Params } from "../frame/parts.js";
import { paramsNamed, patternOf, prefixParams } from "../frame/pattern.js";
import { sure } from "../frame/sure.js";
import type { FixedPair, FixedStack } from "../frame/types.js";
import { tabOf, withEntries, withPair } from "./entries.js";
import type { Granted } from "./grant.js";
import { type Entering, fresh, newHub, newPair, newScreen, newStack, paneId, plainly, skippedBy } from "./make.js";
import type { SkippedBy } from "./notes.js";
import { lose, note, type Run, sameParams } from "./run.js";
import type { Entry, HubEntry, StackEntry, State } from "./state.js";
import { withTab } from "./tabs.js";

/** The way a link lays: to its screen, from the root. */
interface Laying {
  way: readonly Id[];
  entering: Entering;
}

/** Why a screen or container is not laid beneath a link's; null when it is. */
export const skippedBeneath = (run: Run, id: Id, params: Params): SkippedBy | null => {
  const node = nodeAt(run.frame, id);
  const why = skippedBy(run, id, params);
  return why?.why !== "needs" && node.kind === "screen" && node.after ? { why: "goes-on" } : why;
};

interface Beneath {
  id: Id;
  params: Params;
  length: number;
}

/** What may be laid under the next entry of a stack on the way: its base, then what lies on the way by its address, shortest first. */
const candidates = (run: Run, stack: FixedStack, next: Id, { way, entering }: Laying): Beneath[] => {
  const base = baseOf(stack);
  if (base === null) return [];
  const to = sure(way.at(-1), "the last of a way");
  const target = nodeAt(run.frame, to);
  const pattern = target.kind === "screen" ? patternOf(target) : null;
  const along = (id: Id): Beneath | null => {
    const node = nodeAt(run.frame, id);
    const own = node.kind === "screen" ? patternOf(node) : null;
    const params = own && pattern && prefixParams(own, pattern, entering.params);
    return params && { id, params, length: own.segments.length };
  };
  const found: Beneath[] = [];
  if (base !== undefined && base !== next && base !== to) {
    const node = nodeAt(run.frame, base);
    const params = along(base)?.params ?? (node.kind === "screen" ? paramsNamed(node, entering.params) : noParams);
    found.push({ id: base, params, length: 0 });
  }
  const prefixes = stack.children
    .filter((id) => id !== base && id !== next && id !== to && run.look(id).opens === "push")
    .flatMap((id) => along(id) ?? []);
  return [...found, ...prefixes.sort((a, b) => a.length - b.length)];
};

/** The entry of a node with these params that stands in a stack already: it is laid as it is. */
const standing = (was: readonly Entry[], id: Id, params: Params): Entry | undefined =>
  was.findLast((entry) => entry.node === id && (entry.kind !== "screen" || sameParams(entry.params, params)));

const laidBeneath = (run: Run, stack: FixedStack, next: Id, laying: Laying, was: readonly Entry[]): Entry[] =>
  candidates(run, stack, next, laying).flatMap(({ id, params }) => {
    const why = skippedBeneath(run, id, params);
    const there = why === null ? standing(was, id, params) : undefined;
    if (there) return there;
    if (why === null)
      return nodeAt(run.frame, id).kind === "screen" ? newScreen(run, id, { ...plainly, params }) : fresh(run, id);
    note(run, "base-skipped", id, { what: id, ...why });
    return [];
  });

const laidStack = (run: Run, laying: Laying, i: number, node: FixedStack, there: Entry | null): StackEntry => {
  const { id, next } = stepOf(laying, i);
  const was = there?.kind === "stack" ? there.entries : [];
  const kept = standing(was, next, laying.entering.params) ?? null;
  const entries = [...laidBeneath(run, node, next, laying, was), laid(run, laying, i + 1, kept)];
  const keys = new Set(entries.map(({ key }) => key));
  for (const entry of was) if (!keys.has(entry.key)) lose(run, entry);
  return there?.kind === "stack" ? withEntries(there, entries) : newStack(run, id, entries);
};

const laidHub = (run: Run, laying: Laying, i: number, there: Entry | null): HubEntry => {
  const { id, next } = stepOf(laying, i);
  const hub = there?.kind === "hub" ? there : null;
  const inner = laid(run, laying, i + 1, (hub && tabOf(hub, next)) ?? null);
  if (!hub) return newHub(run, id, next, inner);
  if (hub.active !== next) note(run, "switched", next, { tab: next, for: "link" });
  return withTab(run, hub, next, inner);
};

const laidPair = (run: Run, laying: Laying, i: number, node: FixedPair, there: Entry | null): Entry => {
  const { id, next } = stepOf(laying, i);
  const pair = there?.kind === "pair" ? there : null;
  if (next === node.list) {
    if (pair?.detail) lose(run, pair.detail);
    const list = laid(run, laying, i + 1, pair?.list ?? null);
    return pair ? withPair(pair, { list, detail: null, side: "list" }) : newPair(run, id, list, null);
  }
  const params = { ...plainly, params: laying.entering.params };
  const list = pair?.list ?? fresh(run, paneId(node, "list"), params);
  const detail = laid(run, laying, i + 1, pair?.detail ?? null);
  return pair ? withPair(pair, { list, detail, side: "detail" }) : newPair(run, id, list, detail);
};

const stepOf = ({ way }: Laying, i: number): { id: Id; next: Id } => ({
  id: sure(way[i], "a step of a way"),
  next: sure(way[i + 1], "the next of a way"),
});

/**
 * What a link lays of `way` from depth `i` on. Of what is `there` other tabs stay, and a pair's list that does not lie on
 * the way; a stack is laid anew.
 */
const laid = (run: Run, laying: Laying, i: number, there: Entry | null): Entry => {
  const { way, entering } = laying;
  const id = sure(way[i], "a step of a way");
  const node = nodeAt(run.frame, id);
  if (way[i + 1] === undefined || node.kind === "screen") {
    if (there?.kind === "screen" && sameParams(there.params, entering.params))
      return entering.carried === noParams ? there : { ...there, carried: entering.carried };
    if (there) lose(run, there);
    return node.kind === "screen" ? newScreen(run, id, entering) : fresh(run, id, entering);
  }
  switch (node.kind) {
    case "stack":
      return laidStack(run, laying, i, node, there);
    case "hub":
      return laidHub(run, laying, i, there);
    case "pair":
      return laidPair(run, laying, i, node, there);
  }
};

/** Lays the way of a link. */
export const layGranted = (run: Run, state: State, { ask, way }: Granted): State => {
  const entering = { params: ask.params, carried: ask.with, opens: ask.as, motion: ask.motion };
  const root = laid(run, { way, entering }, 0, ask.link?.cold ? null : state.root);
  if (root.kind !== "stack") throw new Error("the root is no stack");
  return { ...state, root, drawer: null, outside: false };
};
