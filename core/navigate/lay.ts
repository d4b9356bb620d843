import { fillsPattern, paramsNamed, patternOf, prefixParams } from "../frame/pattern.js";
import { baseOf } from "../frame/defaults.js";
import { opensOf } from "../frame/opens.js";
import type { Id, PairNode, ScreenNode, StackNode } from "../frame/types.js";
import { fresh, newContainer, plainly } from "./make.js";
import { downStarts, firstUnmet, needWords } from "../frame/needs.js";
import { type Entering, lose, newScreen, nodeIn, note, type Run } from "./run.js";
import { nameOf } from "../frame/names.js";
import { type Entry, type HubEntry, isHub, isPair, isStack, type State, withEntries, withPair } from "./state.js";
import { noParams, type Params } from "../frame/types.js";
import { withTab } from "./tabs.js";

/** The way a link lays: to its screen, from the root. */
export interface Laying {
  facts: State["facts"];
  way: readonly Id[];
  entering: Entering;
}

/** Why a screen or container is not laid beneath a link's; null when it is. */
const skipped = (run: Run, facts: State["facts"], id: Id, params: Params): string | null => {
  const unmet = firstUnmet(run.frame, facts, [id, ...downStarts(run.frame, id)]);
  if (unmet) return `${unmet.id === id ? "it" : nameOf(run.frame, unmet.id)} needs ${needWords(run.frame, unmet.need)}`;
  const node = nodeIn(run, id)!;
  if (node.kind !== "screen") return null;
  if (node.after) return "it goes on by itself";
  return fillsPattern(node, params) ? null : "the link has not all that its address names";
};

interface Beneath {
  id: Id;
  params: Params;
  length: number;
}

/** What may be laid under the next entry of a stack on the way: its base, then what lies on the way by its address, shortest first. */
const candidates = (run: Run, stack: StackNode, next: Id, { way, entering }: Laying): Beneath[] => {
  const base = baseOf(stack);
  if (base === null) return [];
  const target = nodeIn(run, way.at(-1)!);
  const pattern = target?.kind === "screen" ? patternOf(target) : null;
  const along = (id: Id): Beneath | null => {
    const node = nodeIn(run, id);
    const own = node?.kind === "screen" ? patternOf(node) : null;
    const params = own && pattern && prefixParams(own, pattern, entering.params);
    return params && { id, params, length: own.segments.length };
  };
  const found: Beneath[] = [];
  if (base !== undefined && base !== next) {
    const node = nodeIn(run, base)!;
    const params = along(base)?.params ?? (node.kind === "screen" ? paramsNamed(node, entering.params) : noParams);
    found.push({ id: base, params, length: 0 });
  }
  const prefixes = stack.children
    .filter((id) => id !== base && id !== next && opensOf(run.frame, nodeIn(run, id)!, run.view) === "push")
    .flatMap((id) => along(id) ?? []);
  return [...found, ...prefixes.sort((a, b) => a.length - b.length)];
};

const laidBeneath = (run: Run, stack: StackNode, next: Id, laying: Laying): Entry[] =>
  candidates(run, stack, next, laying).flatMap(({ id, params }) => {
    const why = skipped(run, laying.facts, id, params);
    if (why === null) {
      const node = nodeIn(run, id) as ScreenNode | StackNode;
      return node.kind === "screen" ? newScreen(run, id, { ...plainly, params }) : fresh(run, id);
    }
    note(run, "base-skipped", id, `${nameOf(run.frame, id)} was not laid beneath: ${why}.`);
    return [];
  });

/**
 * What a link lays of `way` from depth `i` on. Of what is `there` other tabs stay, and a pair's list that does not lie on
 * the way; a stack is laid anew.
 */
export const laid = (run: Run, laying: Laying, i: number, there: Entry | null): Entry => {
  const { way, entering } = laying;
  const id = way[i]!;
  const node = nodeIn(run, id)!;
  const next = way[i + 1];
  if (next === undefined || node.kind === "screen") {
    if (there) lose(run, there);
    return node.kind === "screen" ? newScreen(run, id, entering) : fresh(run, id, entering);
  }
  if (node.kind === "stack") {
    const was = there && isStack(there) ? there.inside.entries : [];
    const kept = was.findLast((entry) => entry.inside && entry.node === next) ?? null;
    for (const entry of was) if (entry !== kept) lose(run, entry);
    const entries = [...laidBeneath(run, node, next, laying), laid(run, laying, i + 1, kept)];
    return there && isStack(there)
      ? withEntries(there, entries)
      : newContainer(run, id, plainly, { kind: "stack", entries });
  }
  if (node.kind === "hub") {
    const hub = there && isHub(there) ? there : null;
    const inner = laid(run, laying, i + 1, hub?.inside.tabs[next] ?? null);
    return hub
      ? intoTab(run, hub, next, inner)
      : newContainer(run, id, plainly, { kind: "hub", active: next, visits: [], tabs: { [next]: inner } });
  }
  return laidPair(run, laying, i, node, there);
};

const intoTab = (run: Run, hub: HubEntry, next: Id, inner: Entry): HubEntry => {
  if (hub.inside.active !== next)
    note(run, "switched", next, `${nameOf(run.frame, next)} is now the tab: what the link opens stands in it.`);
  return withTab(run, hub, next, inner);
};

const laidPair = (run: Run, laying: Laying, i: number, node: PairNode, there: Entry | null): Entry => {
  const { list, detail } = there && isPair(there) ? there.inside : { list: null, detail: null };
  const toList = laying.way[i + 1] === node.list;
  const params = { ...plainly, params: laying.entering.params };
  if (toList && detail) lose(run, detail);
  const panes = toList
    ? { list: laid(run, laying, i + 1, list), detail: null, side: "list" as const }
    : {
        list: list ?? fresh(run, node.list!, params),
        detail: laid(run, laying, i + 1, detail),
        side: "detail" as const,
      };
  return there && isPair(there)
    ? withPair(there, panes)
    : newContainer(run, laying.way[i]!, plainly, { kind: "pair", ...panes });
};
