import { childrenOf, startOf } from "../frame/defaults.js";
import { indexOf } from "../frame/frame-index.js";
import { referencesOf } from "../frame/references.js";
import type { Frame, Id, StackNode } from "../frame/types.js";

/** How a stack's children hang together: each under the one that leads to it by the fewest taps from the start. */
export interface Stepped {
  id: Id;
  /** Taps from the start; 0 too for what no tap inside the stack leads to. */
  taps: number;
  /** The child it hangs under. */
  under: Id | null;
}

/** Of each child of each stack, the children of the same stack that something in it leads to. */
const leadsOf = (frame: Frame): Map<Id, Id[]> => {
  const { places, ways } = indexOf(frame);
  const leads = new Map<Id, Id[]>();
  for (const [id, node] of Object.entries(frame.nodes)) {
    const references = referencesOf(node);
    if (references.length === 0) continue;
    // the containers this node stands in, from the root down, by all its places
    const lines = (places.get(id) ?? []).map((place) => [...(ways.get(place) ?? []), id]);
    for (const { to, role } of references) {
      if (role !== "way") continue;
      for (const stack of places.get(to) ?? [])
        for (const line of lines) {
          const at = line.indexOf(stack);
          const from = at < 0 ? undefined : line[at + 1];
          if (from === undefined || from === to) continue;
          const key = `${stack} ${from}`;
          const list = leads.get(key);
          if (list) list.push(to);
          else leads.set(key, [to]);
        }
    }
  }
  return leads;
};

const known = new WeakMap<Frame, Map<Id, Id[]>>();

/** A stack's children in the order they are drawn: the start, under it what it leads to, and so on; the rest after them. */
export const stepsOf = (frame: Frame, id: Id, stack: StackNode): Stepped[] => {
  let leads = known.get(frame);
  if (!leads) known.set(frame, (leads = leadsOf(frame)));
  const children = childrenOf(stack);
  const start = startOf(stack);
  if (start === undefined) return [];
  const found = new Map<Id, Stepped>([[start, { id: start, taps: 0, under: null }]]);
  const below = new Map<Id, Id[]>();
  const order = new Map(children.map((child, i) => [child, i]));
  for (const { id: from, taps } of found.values()) {
    const next = leads.get(`${id} ${from}`);
    if (!next) continue;
    for (const to of [...next].sort((a, b) => order.get(a)! - order.get(b)!)) {
      if (found.has(to)) continue;
      found.set(to, { id: to, taps: taps + 1, under: from });
      const list = below.get(from);
      if (list) list.push(to);
      else below.set(from, [to]);
    }
  }
  const drawn: Stepped[] = [];
  const open = [start];
  while (open.length) {
    const at = open.pop()!;
    drawn.push(found.get(at)!);
    open.push(...[...(below.get(at) ?? [])].reverse());
  }
  for (const child of children) if (!found.has(child)) drawn.push({ id: child, taps: 0, under: null });
  return drawn;
};
