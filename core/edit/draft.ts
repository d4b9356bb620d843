import { bandsOf } from "../frame/defaults.js";
import { equal } from "../frame/equal.js";
import { pointer } from "../frame/pointer.js";
import type { Frame, Id, Node } from "../frame/types.js";
import { plainNode } from "../frame/write.js";
import type { NodeChange, PatchOperation, RestoreEdit } from "./edit.js";

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

/** A frame being edited: the table of nodes is copied once, and what each touched node was is kept. */
export class Draft {
  frame: Frame;
  readonly before: Frame;
  private readonly nodesBefore = new Map<Id, Node | undefined>();
  private ownNodes: Record<Id, Node> | null = null;

  constructor(frame: Frame) {
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

  put(id: Id, node: Node): void {
    this.write(id)[id] = plainNode(node, bandsOf(this.frame)[0]?.id);
  }

  drop(id: Id): void {
    delete this.write(id)[id];
  }

  /** Sets a field of the frame, nodes and root among them; undefined takes it away. */
  field(key: string, value: unknown): void {
    const next: Values = { ...this.frame };
    if (value === undefined) delete next[key];
    else next[key] = value;
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
    return { kind: "restore", ...(Object.keys(nodes).length && { nodes }), ...(fields && { fields }) };
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
