import { bandsOf } from "../frame/defaults.js";
import { equal } from "../frame/equal.js";
import { type Fault, shown } from "../frame/fault.js";
import { pointer } from "../frame/pointer.js";
import type { Frame, FrameField, Node } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { plainField, plainNode } from "../frame/write.js";
import type { NodeChange, PatchOperation, RestoreEdit } from "./edit.js";
import { Refusal, refuse } from "./refusal.js";
import { noRenames, type Renames, thenRenamed } from "./renames.js";

type Values = Record<string, unknown>;

const difference = (before: object, after: object): { set?: Values; drop?: string[] } | null => {
  const from = before as Values;
  const to = after as Values;
  const set: Values = {};
  const drop: string[] = [];
  for (const key of Object.keys(from)) if (to[key] === undefined && from[key] !== undefined) drop.push(key);
  for (const key of Object.keys(to)) if (to[key] !== undefined && !equal(from[key], to[key])) set[key] = to[key];
  const some = Object.keys(set).length > 0;
  if (!some && drop.length === 0) return null;
  return { ...(some && { set }), ...(drop.length && { drop }) };
};

/** Looks at the form of what is to become part of a frame, and answers its faults: for edits that come from outside. */
export interface Forms {
  node: (id: Id, node: unknown) => Fault[];
  field: (key: string, value: unknown) => Fault[];
}

const kinds: readonly string[] = ["screen", "stack", "hub", "pair"] satisfies Node["kind"][];

/** A frame being edited: the table of nodes is copied once, and what each touched node was is kept. */
export class Draft {
  frame: Frame;
  readonly before: Frame;
  private readonly nodesBefore = new Map<Id, Node | undefined>();
  private ownNodes: Record<Id, Node> | null = null;
  /** Which nodes have another id by this. */
  renames: Renames = noRenames;

  constructor(
    frame: Frame,
    private readonly forms?: Forms,
  ) {
    this.frame = frame;
    this.before = frame;
  }

  get touched(): ReadonlySet<Id> {
    return new Set(this.nodesBefore.keys());
  }

  node(id: Id): Node | undefined {
    return Object.hasOwn(this.frame.nodes, id) ? this.frame.nodes[id] : undefined;
  }

  private write(id: Id): Record<Id, Node> {
    if (!this.nodesBefore.has(id)) this.nodesBefore.set(id, this.node(id));
    this.ownNodes ??= { ...this.frame.nodes };
    // a new frame each time: what is known of the one before (its index) is not true of this one
    this.frame = { ...this.frame, nodes: this.ownNodes };
    return this.ownNodes;
  }

  private look(faults: Fault[] | undefined): void {
    if (faults?.length) throw new Refusal(faults);
  }

  put(id: Id, node: Node): void {
    if (!kinds.includes(node.kind))
      refuse(["nodes", id, "kind"], shown(node.kind), `one of ${kinds.join(", ")}`, "Every node is of one kind.");
    this.look(this.forms?.node(id, node));
    this.write(id)[id] = plainNode(node, bandsOf(this.frame)[0]?.id);
  }

  /** Remembers that a node has another id now. */
  renamed(from: Id, to: Id): void {
    this.renames = thenRenamed(this.renames, { [from]: to });
  }

  drop(id: Id): void {
    delete this.write(id)[id];
  }

  /** Sets a field of the frame, nodes and root among them; undefined takes it away. */
  field(key: string, value: unknown): void {
    this.look(this.forms?.field(key, value));
    const next: Values = { ...this.frame };
    const plain = key === "root" || key === "format" ? value : plainField(key as FrameField, value as never);
    if (plain === undefined) delete next[key];
    else next[key] = plain;
    this.frame = next as unknown as Frame;
  }

  private fieldsOf(frame: Frame): Values {
    const { nodes: _, ...fields } = frame;
    return fields;
  }

  /** The edit that takes this draft back. */
  inverse(): RestoreEdit {
    const nodes: Record<Id, NodeChange> = {};
    for (const [id, was] of this.nodesBefore) {
      const is = this.node(id);
      if (is === was) continue;
      if (!was) nodes[id] = { gone: true };
      else if (!is || is.kind !== was.kind) nodes[id] = { node: was };
      else {
        const change = difference(is, was);
        if (!change) continue;
        const children = change.set?.children !== undefined && "children" in is ? { children: is.children } : {};
        nodes[id] = { ...change, ...children };
      }
    }
    const fields = this.fieldChange(this.frame, this.before);
    const renamed = Object.fromEntries(Object.entries(this.renames).map(([from, to]) => [to, from]));
    return {
      kind: "restore",
      ...(Object.keys(nodes).length && { nodes }),
      ...(fields && { fields }),
      ...(Object.keys(renamed).length && { renamed }),
    };
  }

  private fieldChange(from: Frame, to: Frame): { set?: Values; drop?: string[] } | null {
    for (const key of new Set([...Object.keys(from), ...Object.keys(to)]))
      if (key !== "nodes" && from[key as keyof Frame] !== to[key as keyof Frame])
        return difference(this.fieldsOf(from), this.fieldsOf(to));
    return null;
  }

  /** What was done, as a JSON Patch (RFC 6902) of the frame file. */
  patches(): PatchOperation[] {
    const patches: PatchOperation[] = [];
    const changes = (at: string[], before: object, after: object): void => {
      const change = difference(before, after);
      for (const key of change?.drop ?? []) patches.push({ op: "remove", path: pointer(...at, key) });
      for (const [key, value] of Object.entries(change?.set ?? {}))
        patches.push({
          op: (before as Values)[key] === undefined ? "add" : "replace",
          path: pointer(...at, key),
          value,
        });
    };
    for (const [id, was] of this.nodesBefore) {
      const is = this.node(id);
      const path = pointer("nodes", id);
      if (is === was) continue;
      if (!is) patches.push({ op: "remove", path });
      else if (!was) patches.push({ op: "add", path, value: is });
      else changes(["nodes", id], was, is);
    }
    if (this.fieldChange(this.before, this.frame)) changes([], this.fieldsOf(this.before), this.fieldsOf(this.frame));
    return patches;
  }
}
