import { sure } from "../frame/sure.js";
import { plainLeave } from "../frame/drafts.js";
import { plainIcon } from "../frame/defaults.js";
import { isId } from "../frame/ids.js";
import { shown } from "../frame/fault.js";
import type { ContainerNode, Frame, Node, ScreenNode, StackNode } from "../frame/types.js";
import type { Id, Tab } from "../frame/parts.js";
import { idFrom } from "../edit/naming.js";
import { derivedId, derivedOuter, type Within } from "./derived.js";
import type { LineKind, OutlineFault, OutlineLine } from "./line.js";
import { withDone, withWay } from "./ways.js";

/** What a line is in its place. */
const kindOf = ({ kind, again }: OutlineLine, within: Within): LineKind | "screen" | "again" => {
  if (again !== undefined) return "again";
  if (within !== "stack") return kind ?? "own";
  return kind === undefined || kind === "alone" ? "screen" : kind;
};

/** Nodes made of lines, and those that stand at their top, in order. */
export interface Built {
  nodes: Record<Id, Node>;
  tops: Id[];
  /** What the outermost lines name: those that nothing of the list leads to. */
  heads: Id[];
}

/** What lines make, or what is wrong with them. */
export type BuildResult = { ok: true; built: Built } | { ok: false; faults: OutlineFault[] };

class Builder {
  readonly nodes: Record<Id, Node> = {};
  readonly faults: OutlineFault[] = [];
  /** The ids of the text, each with the line that has it. */
  private readonly named = new Map<Id, number>();
  private readonly idsOf = new Map<OutlineLine, { outer: Id; inner: Id }>();
  private final = new Map<Id, Id>();
  /** Screens with more places than one. */
  private readonly repeated = new Set<Id>();

  constructor(private readonly frame: Frame | null) {}

  private wrong(line: OutlineLine, received: string, expected: string, remedy: string): void {
    this.faults.push({ ...line.at, received, expected, remedy });
  }

  /** Gives every line its ids, in the order of the text, as if nothing else were there. */
  name(lines: readonly OutlineLine[], within: Within): void {
    const isTaken = (id: Id) => this.named.has(id);
    const take = (line: OutlineLine, id: Id): void => {
      const other = this.named.get(id);
      if (other !== undefined)
        this.wrong(line, `the id ${id} again`, `an id that line ${other} does not have`, "Give one of them another.");
      this.named.set(id, line.at.line);
    };
    for (const line of lines) {
      const kind = kindOf(line, within);
      if (kind === "again") continue;
      const inner = line.ids?.inner ?? derivedId(line.name, isTaken);
      take(line, inner);
      const outer = kind === "own" ? (line.ids?.outer ?? derivedOuter(inner, within, isTaken)) : inner;
      if (kind === "own") take(line, outer);
      else if (line.ids?.outer !== undefined)
        this.wrong(line, `two ids for ${shown(line.name ?? inner)}`, "one, as it is one node", "Take the first out.");
      this.idsOf.set(line, { outer, inner });
      this.name(line.lines, kind === "hub" || kind === "pair" ? kind : "stack");
    }
  }

  /** Ids that the frame has already are numbered on. */
  private settle(): void {
    const there = (id: Id) => this.frame !== null && Object.hasOwn(this.frame.nodes, id);
    const used = new Set([...this.named.keys()].filter((id) => !there(id)));
    for (const id of this.named.keys()) {
      const free = there(id) ? idFrom(id.replace(/\d+$/, ""), (other) => there(other) || used.has(other)) : id;
      used.add(free);
      this.final.set(id, free);
    }
  }

  build(lines: readonly OutlineLine[], within: Within): Pick<Built, "tops" | "heads"> {
    this.name(lines, within);
    this.settle();
    const tops: Id[] = [];
    const heads = this.inside(lines, within, null, tops);
    return { tops, heads };
  }

  private finalIds(line: OutlineLine): { outer: Id; inner: Id } {
    const { outer, inner } = sure(this.idsOf.get(line));
    return { outer: sure(this.final.get(outer)), inner: sure(this.final.get(inner)) };
  }

  /**
   * Makes what lines name, behind the children of what they stand in, and answers it; what is further in stands there too. A
   * line is led to from the screen it is beneath, `opener`, and from nowhere else.
   */
  private inside(lines: readonly OutlineLine[], within: Within, opener: Id | null, children: Id[]): Id[] {
    const own: Id[] = [];
    for (const line of lines) {
      const id = this.one(line, within, children);
      if (id === null) continue;
      own.push(id);
      if (opener !== null) this.lead(opener, id);
      if (kindOf(line, within) === "screen") this.inside(line.lines, within, id, children);
    }
    return own;
  }

  private nodeAt(id: Id): Node | undefined {
    return this.nodes[id] ?? this.frame?.nodes[id];
  }

  private screen(id: Id): ScreenNode {
    const node = sure(this.nodes[id]);
    if (node.kind !== "screen") throw new Error(`${id} is no screen`);
    return node;
  }

  private lead(from: Id, to: Id): void {
    this.nodes[from] = withWay(this.screen(from), to, sure(this.nodeAt(to)));
  }

  private shared(line: OutlineLine, within: Within, children: readonly Id[]): Id | null {
    const asked = sure(line.again);
    const id = this.final.get(asked) ?? asked;
    const node = this.nodeAt(id);
    if (!node)
      this.wrong(
        line,
        `&${asked}, which is neither before it in the list nor in the frame`,
        "the id of a screen",
        "Correct the id, or take the mark out to make a screen of its own.",
      );
    else if (node.kind !== "screen" || within !== "stack")
      this.wrong(
        line,
        node.kind === "screen" ? `&${asked} in a ${within}` : `&${asked}, which is a ${node.kind}`,
        "a screen that stands in stacks",
        "Only screens are shared, and only by stacks.",
      );
    else if (children.includes(id))
      this.wrong(line, `&${asked} in a stack it stands in`, "each screen once", "Take this line out.");
    else if (line.lines.length > 0)
      this.wrong(line, `lines beneath &${asked}`, "none", "Put them beneath the screen itself.");
    else return id;
    return null;
  }

  /** Makes what a line names, and puts it among the children. */
  private one(line: OutlineLine, within: Within, children: Id[]): Id | null {
    const kind = kindOf(line, within);
    if (kind === "again") {
      const id = this.shared(line, within, children);
      if (id === null) return null;
      this.repeated.add(id);
      children.push(id);
      return id;
    }
    const { outer, inner } = this.finalIds(line);
    children.push(outer);
    const isScreen = kind === "screen" || kind === "alone";
    const tab: Tab | undefined = within === "hub" ? { icon: line.icon ?? plainIcon } : undefined;
    const common = {
      ...(line.name !== null && { title: line.name }),
      ...(tab && { tab }),
      ...(line.opens && { opens: line.opens }),
    };
    this.check(line, kind, within);
    const screen: ScreenNode = {
      kind: "screen",
      ...(line.path !== undefined && { path: line.path }),
      ...(line.leave && { leave: plainLeave(line.leave) }),
    };
    const covers = within === "stack" && line.opens !== undefined;
    if (isScreen) {
      this.nodes[outer] = covers ? withDone({ ...screen, ...common }) : { ...screen, ...common };
      return outer;
    }
    if (kind === "own") {
      const titled = { ...screen, ...(line.name !== null && { title: line.name }) };
      this.nodes[inner] = covers ? withDone(titled) : titled;
      const stack: StackNode = { kind: "stack", ...common, children: [inner] };
      this.nodes[outer] = stack;
      const inStack = [inner];
      this.inside(line.lines, "stack", inner, inStack);
      this.nodes[outer] = { ...stack, children: inStack };
      return outer;
    }
    this.nodes[outer] = this.container(line, kind, common);
    return outer;
  }

  private container(line: OutlineLine, kind: "hub" | "pair" | "stack", common: object): ContainerNode {
    const children: Id[] = [];
    this.inside(line.lines, kind, null, children);
    if (kind === "stack") return { kind, ...common, children };
    if (kind === "hub") {
      const starts = line.lines.findIndex((child) => child.start);
      const start = starts > 0 ? children[starts] : undefined;
      return { kind, ...common, children, ...(start !== undefined && { start }) };
    }
    // a pair that lacks a side is told as a fault
    const [list, detail] = children;
    const [rows, one] = [this.firstScreen(list), this.firstScreen(detail)];
    // a shared screen is led to from where it stands first
    if (rows && one && !this.repeated.has(one)) this.lead(rows, one);
    return { kind, ...common, ...(list !== undefined && { list }), ...(detail !== undefined && { detail }) };
  }

  /** The screen that a pane of the list itself starts with; a hub has no one screen that it is. */
  private firstScreen(id: Id | undefined): Id | undefined {
    const node = id === undefined ? undefined : this.nodes[id];
    if (node?.kind === "screen") return id;
    return node?.kind === "stack" ? this.firstScreen(node.children[0]) : undefined;
  }

  private check(line: OutlineLine, kind: LineKind | "screen", within: Within): void {
    const holds = { hub: "a hub", pair: "a pair", stack: "a stack" } as const;
    const container = kind === "hub" || kind === "pair" || kind === "stack" ? kind : null;
    if (container && line.path !== undefined)
      this.wrong(
        line,
        `the address ${line.path} for ${holds[container]}`,
        "an address on a screen",
        "Put it on the screen that it leads to.",
      );
    if (container && line.leave)
      this.wrong(line, `? for ${holds[container]}`, "? on a screen", "Put it on the screen that asks.");
    if (kind === "pair" && line.lines.length !== 2)
      this.wrong(
        line,
        `a pair with ${line.lines.length} lines beneath it`,
        "two: its list, then its detail",
        "Put further screens beneath one of these.",
      );
    else if (container && line.lines.length === 0)
      this.wrong(
        line,
        `${holds[container]} with nothing beneath it`,
        "lines for what it holds",
        "Add them further in, or take the mark out.",
      );
    if (kind === "alone" && line.lines.length > 0)
      this.wrong(
        line,
        "lines beneath a screen that is a tab or a pane by itself",
        "a stack for them",
        "Take the . out: then it is a stack that starts with the screen.",
      );
    if (line.start && within !== "hub")
      this.wrong(line, `! on what is no tab`, "! on the tab to start at", "Put first what a stack starts with.");
  }
}

/** Makes nodes of lines for a place in a frame (null: a frame of their own), under ids that are free in it. */
export const buildLines = (lines: readonly OutlineLine[], within: Within, frame: Frame | null): BuildResult => {
  const builder = new Builder(frame);
  const made = builder.build(lines, within);
  return builder.faults.length
    ? { ok: false, faults: builder.faults.sort((a, b) => a.line - b.line) }
    : { ok: true, built: { nodes: builder.nodes, ...made } };
};

/** A whole frame of lines: they stand in its root. */
export const frameOfLines = (lines: readonly OutlineLine[], name = "New app"): { frame: Frame } | OutlineFault[] => {
  const result = buildLines(lines, "stack", null);
  if (!result.ok) return result.faults;
  const { nodes, tops } = result.built;
  const root = ["app", "root"].find((id) => isId(id) && !nodes[id]) ?? idFrom("app", (id) => Object.hasOwn(nodes, id));
  return {
    frame: {
      format: "handy-frame/2",
      name,
      root,
      nodes: { [root]: { kind: "stack", title: name, children: tops }, ...nodes },
    },
  };
};
