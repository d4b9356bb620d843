import { nodeAt, stackAt } from "../frame/nodes.js";
import { firstOf, sure } from "../frame/sure.js";
import { childrenOf, startOf, plainIcon } from "../frame/defaults.js";
import type { Part } from "../edit/part.js";
import { eachLead } from "../frame/references.js";
import type { Frame, Node, StackNode } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { derivedId, derivedOuter, type Within } from "./derived.js";
import { kindSigns, overlayWords, takesColon, writeName } from "./line.js";

interface Branch {
  id: Id;
  beneath: Branch[];
}

const sign = Object.fromEntries(Object.entries(kindSigns).map(([text, kind]) => [kind, text]));
const overlaySign = Object.fromEntries(Object.entries(overlayWords).map(([word, opens]) => [opens, `^${word}`]));

/**
 * A stack's children as they are opened from one another: each beneath the first screen that leads to it by the fewest
 * taps, from the start and then from what the start does not lead to. What a container leads to stands level with it, as
 * beneath it is what it holds.
 */
const branchesOf = (frame: Frame, stack: StackNode): Branch[] => {
  const start = startOf(stack);
  const places = new Map(stack.children.map((id, i) => [id, i]));
  const branches = new Map<Id, Branch>();
  const branch = (id: Id): Branch => {
    const made: Branch = { id, beneath: [] };
    branches.set(id, made);
    return made;
  };
  const tops: Branch[] = [];
  for (const seed of start === undefined ? [] : [start, ...stack.children]) {
    if (branches.has(seed)) continue;
    const queue = [branch(seed)];
    tops.push(firstOf(queue));
    for (const at of queue) {
      const node = nodeAt(frame, at.id);
      if (node.kind !== "screen") continue;
      const found = new Set<Id>();
      eachLead(node, (to) => places.has(to) && !branches.has(to) && found.add(to));
      at.beneath = [...found].sort((a, b) => sure(places.get(a)) - sure(places.get(b))).map(branch);
      queue.push(...at.beneath);
    }
  }
  return tops;
};

/** The branches of some of the children alone: those left out give their places to what is beneath them. */
const among = (branches: readonly Branch[], ids: ReadonlySet<Id>): Branch[] =>
  branches.flatMap(({ id, beneath }) => {
    const below = among(beneath, ids);
    return ids.has(id) ? [{ id, beneath: below }] : below;
  });

class Writer {
  readonly rows: string[] = [];
  private readonly taken = new Set<Id>();

  constructor(private readonly frame: Frame) {}

  private node(id: Id): Node {
    return nodeAt(this.frame, id);
  }

  /** The screen and the branches that make a stack one that starts with a screen of its own name; else null. */
  private ownOf(stack: StackNode): { screen: Id; beneath: Branch[] } | null {
    const first = startOf(stack);
    const node = first === undefined ? undefined : this.node(first);
    if (node?.kind !== "screen" || node.title !== stack.title || node.opens || this.taken.has(sure(first))) return null;
    const [own, ...others] = branchesOf(this.frame, stack);
    return own?.id === first && others.length === 0 ? { screen: sure(first), beneath: sure(own).beneath } : null;
  }

  /** Whether a stack and the screen it starts with need no ids on lines of their own, and do on one line. */
  private isPlainerLong(stack: Id, screen: Id, within: Within): boolean {
    const title = this.node(stack).title ?? null;
    if (title === null) return false;
    const first = derivedId(title, (id) => this.taken.has(id));
    const outer = derivedOuter(screen, within, (id) => this.taken.has(id) || id === screen);
    return first === stack && !(first === screen && outer === stack);
  }

  branches(branches: readonly Branch[], within: Within, depth: number, start?: Id): void {
    for (const branch of branches) this.one(branch, within, depth, start === branch.id);
  }

  private one({ id, beneath }: Branch, within: Within, depth: number, starts: boolean): void {
    const node = this.node(id);
    if (this.taken.has(id)) {
      // nothing stands beneath a second place: what is opened from there comes level with it
      this.row(depth, node.title, [`&${id}`]);
      return this.branches(beneath, within, depth);
    }
    const found = node.kind === "stack" ? this.ownOf(node) : null;
    const own = found && !this.isPlainerLong(id, found.screen, within) ? found : null;
    const head = own ? this.node(own.screen) : node;
    const screen = head.kind === "screen" ? head : null;
    const inner = own?.screen ?? id;
    const marks = [
      ...this.kindMark(node, own !== null, within),
      ...(node.opens && node.opens !== "push" ? [sure(overlaySign[node.opens])] : []),
      ...(within === "hub" && node.tab?.icon !== undefined && node.tab.icon !== plainIcon ? [`*${node.tab.icon}`] : []),
      ...(starts ? ["!"] : []),
      ...(screen?.path !== undefined ? [screen.path] : []),
      ...(screen?.leave ? [screen.leave.when === "draft" ? "?" : "?always"] : []),
      ...this.idMark(inner, own ? id : null, node.title ?? null, within),
    ];
    this.row(depth, node.title, marks);
    if (own) return this.branches(own.beneath, "stack", depth + 1);
    if (node.kind === "stack") return this.branches(branchesOf(this.frame, node), "stack", depth + 1);
    if (node.kind === "screen") return this.branches(beneath, within, depth + 1);
    const first = node.kind === "hub" ? startOf(node) : undefined;
    this.branches(
      childrenOf(node).map((child) => ({ id: child, beneath: [] })),
      node.kind,
      depth + 1,
      first === childrenOf(node)[0] ? undefined : first,
    );
  }

  /** The name of a stack takes its colon at once; every other mark stands apart. */
  private row(depth: number, title: string | undefined, marks: readonly string[]): void {
    const colon = marks[0] === sign.stack && title !== undefined && takesColon(title);
    const name = title === undefined ? [] : [colon ? `${title}:` : writeName(title)];
    this.rows.push("  ".repeat(depth) + [...name, ...(colon ? marks.slice(1) : marks)].join(" "));
  }

  private kindMark(node: Node, isOwn: boolean, within: Within): string[] {
    if (node.kind === "hub" || node.kind === "pair") return [sure(sign[node.kind])];
    if (node.kind === "stack") return isOwn ? (within === "stack" ? [sure(sign.own)] : []) : [sure(sign.stack)];
    return within === "stack" ? [] : [sure(sign.alone)];
  }

  private idMark(inner: Id, outer: Id | null, title: string | null, within: Within): string[] {
    const isTaken = (id: Id) => this.taken.has(id);
    const plainInner = title !== null && derivedId(title, isTaken) === inner;
    this.taken.add(inner);
    if (outer === null) return plainInner ? [] : [`#${inner}`];
    const plainOuter = derivedOuter(inner, within, isTaken) === outer;
    this.taken.add(outer);
    if (!plainOuter) return [`#${outer}>${inner}`];
    return plainInner ? [] : [`#${inner}`];
  }
}

/** Parts of a frame as an indented list: its structure, names, addresses and tabs' icons. What it leaves out is not in such a list. */
export const writeOutline = (frame: Frame, parts: readonly Part[]): string => {
  const writer = new Writer(frame);
  const within = (parent: Id | null): Within => {
    const kind = parent === null ? undefined : frame.nodes[parent]?.kind;
    return kind === "hub" || kind === "pair" ? kind : "stack";
  };
  const groups = new Map<Id | null, Id[]>();
  for (const { id, parent } of parts) {
    const list = groups.get(parent);
    if (list) list.push(id);
    else groups.set(parent, [id]);
  }
  for (const [parent, ids] of groups) {
    const node = parent === null ? undefined : frame.nodes[parent];
    const branches =
      node?.kind === "stack"
        ? among(branchesOf(frame, node), new Set(ids))
        : (node ? childrenOf(node).filter((id) => ids.includes(id)) : ids).map((id) => ({ id, beneath: [] }));
    // the root is no part of another frame: what stands in it is
    if (parent === null && ids.includes(frame.root))
      writer.branches(branchesOf(frame, stackAt(frame, frame.root)), "stack", 0);
    writer.branches(
      branches.filter(({ id }) => id !== frame.root),
      within(parent),
      0,
    );
  }
  return writer.rows.map((row) => `${row}\n`).join("");
};
