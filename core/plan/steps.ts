import { childrenOf, startOf } from "../frame/defaults.js";
import { eachLead } from "../frame/references.js";
import type { Frame, Node, StackNode } from "../frame/types.js";
import type { Id } from "../frame/parts.js";

/** How a stack's children hang together: each under the one that leads to it by the fewest taps from the start. */
export interface Stepped {
  id: Id;
  /** Taps from the start; 0 too for what no tap inside the stack leads to. */
  taps: number;
  /** The child it hangs under. */
  under: Id | null;
}

/** Where each of these ids stands among them: by looking for few, by a table for many. */
const placeAmong = (ids: readonly Id[]): ((id: Id) => number) => {
  if (ids.length <= 16) return (id) => ids.indexOf(id);
  const table = new Map<Id, number>();
  ids.forEach((id, i) => table.set(id, i));
  return (id) => table.get(id) ?? -1;
};

/** Calls `found` for each node that something at or under this one leads to. */
const eachLeadUnder = (frame: Frame, id: Id, found: (to: Id) => void): void => {
  const node = frame.nodes[id];
  if (!node) return;
  eachLead(node, found);
  if (node.kind !== "screen") for (const child of childrenOf(node)) eachLeadUnder(frame, child, found);
};

const stepped = (frame: Frame, stack: StackNode): Stepped[] => {
  const { children } = stack;
  const start = startOf(stack);
  if (start === undefined) return [];
  const placeOf = placeAmong(children);
  const first = placeOf(start);
  const reached: (Stepped | null)[] = children.map(() => null);
  const below: (number[] | null)[] = children.map(() => null);
  reached[first] = { id: start, taps: 0, under: null };
  const queue = [first];
  for (const at of queue) {
    const from = reached[at]!;
    const found: number[] = [];
    eachLeadUnder(frame, from.id, (to) => {
      const place = placeOf(to);
      if (place < 0 || reached[place]) return;
      reached[place] = { id: to, taps: from.taps + 1, under: from.id };
      found.push(place);
    });
    if (found.length === 0) continue;
    found.sort((a, b) => a - b);
    queue.push(...found);
    below[at] = found;
  }
  const drawn: Stepped[] = [];
  const open = [first];
  while (open.length) {
    const at = open.pop()!;
    drawn.push(reached[at]!);
    const next = below[at];
    if (next) for (let i = next.length - 1; i >= 0; i -= 1) open.push(next[i]!);
  }
  if (drawn.length < children.length)
    children.forEach((id, i) => {
      if (!reached[i]) drawn.push({ id, taps: 0, under: null });
    });
  return drawn;
};

interface Known {
  /** The children's nodes that the steps were worked out from. */
  from: Node[];
  steps: Stepped[];
}

const known = new WeakMap<StackNode, Known>();

/**
 * A stack's children in the order they are drawn: the start, under it what it leads to, and so on; the rest after them.
 * A stack of screens alone keeps its steps over edits of other nodes; one with containers has them worked out each time,
 * as they hang on everything inside.
 */
export const stepsOf = (frame: Frame, stack: StackNode): readonly Stepped[] => {
  const { children } = stack;
  const kept = known.get(stack);
  if (kept && children.every((child, i) => frame.nodes[child] === kept.from[i])) return kept.steps;
  const steps = stepped(frame, stack);
  const from = children.map((child) => frame.nodes[child]!);
  if (from.every((node) => node.kind === "screen")) known.set(stack, { from, steps });
  return steps;
};
