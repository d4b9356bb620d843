import { baseOf } from "../frame/defaults.js";
import { downStarts, firstUnmet } from "../frame/needs.js";
import { nodeAt } from "../frame/nodes.js";
import { type Facts, type Id, noParams, type Params } from "../frame/parts.js";
import { fillsPattern, paramsNamed, patternOf, prefixParams } from "../frame/pattern.js";
import { sure } from "../frame/sure.js";
import type { FixedPair, FixedStack } from "../frame/types.js";
import { withEntries, withPair } from "./entries.js";
import type { Granted } from "./grant.js";
import { type Entering, fresh, newHub, newPair, newScreen, newStack, paneId, plainly } from "./make.js";
import type { SkippedBy } from "./notes.js";
import { lose, note, type Run } from "./run.js";
import type { Entry, HubEntry, StackEntry, State } from "./state.js";
import { withTab } from "./tabs.js";

/** The way a link lays: to its screen, from the root. */
interface Laying {
  facts: Facts;
  way: readonly Id[];
  entering: Entering;
}

/** Why a screen or container is not laid beneath a link's; null when it is. */
const skipped = (run: Run, facts: Facts, id: Id, params: Params): SkippedBy | null => {
  const unmet = firstUnmet(run.frame, facts, [id, ...downStarts(run.frame, id)]);
  if (unmet) return { why: "needs", lacking: { of: { id: unmet.id }, need: unmet.need } };
  const node = nodeAt(run.frame, id);
  if (node.kind !== "screen") return null;
  if (node.after) return { why: "goes-on" };
  return fillsPattern(node, params) ? null : { why: "lacks-params" };
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
  const target = nodeAt(run.frame, sure(way.at(-1), "the last of a way"));
  const pattern = target.kind === "screen" ? patternOf(target) : null;
  const along = (id: Id): Beneath | null => {
    const node = nodeAt(run.frame, id);
    const own = node.kind === "screen" ? patternOf(node) : null;
    const params = own && pattern && prefixParams(own, pattern, entering.params);
    return params && { id, params, length: own.segments.length };
  };
  const found: Beneath[] = [];
  if (base !== undefined && base !== next) {
    const node = nodeAt(run.frame, base);
    const params = along(base)?.params ?? (node.kind === "screen" ? paramsNamed(node, entering.params) : noParams);
    found.push({ id: base, params, length: 0 });
  }
  const prefixes = stack.children
    .filter((id) => id !== base && id !== next && run.look(id).opens === "push")
    .flatMap((id) => along(id) ?? []);
  return [...found, ...prefixes.sort((a, b) => a.length - b.length)];
};

const laidBeneath = (run: Run, stack: FixedStack, next: Id, laying: Laying): Entry[] =>
  candidates(run, stack, next, laying).flatMap(({ id, params }) => {
    const why = skipped(run, laying.facts, id, params);
    if (why === null)
      return nodeAt(run.frame, id).kind === "screen" ? newScreen(run, id, { ...plainly, params }) : fresh(run, id);
    note(run, "base-skipped", id, { what: id, ...why });
    return [];
  });

const laidStack = (run: Run, laying: Laying, i: number, node: FixedStack, there: Entry | null): StackEntry => {
  const { id, next } = stepOf(laying, i);
  const was = there?.kind === "stack" ? there.entries : [];
  const kept = was.findLast((entry) => entry.kind !== "screen" && entry.node === next) ?? null;
  for (const entry of was) if (entry !== kept) lose(run, entry);
  const entries = [...laidBeneath(run, node, next, laying), laid(run, laying, i + 1, kept)];
  return there?.kind === "stack" ? withEntries(there, entries) : newStack(run, id, entries);
};

const laidHub = (run: Run, laying: Laying, i: number, there: Entry | null): HubEntry => {
  const { id, next } = stepOf(laying, i);
  const hub = there?.kind === "hub" ? there : null;
  const inner = laid(run, laying, i + 1, hub?.tabs[next] ?? null);
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
  const root = laid(run, { facts: state.facts, way, entering }, 0, ask.link?.cold ? null : state.root);
  if (root.kind !== "stack") throw new Error("the root is no stack");
  return { ...state, root, drawer: null, outside: false };
};
