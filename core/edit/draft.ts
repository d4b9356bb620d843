import { equal } from "../frame/equal.js";
import { type Fault, shown } from "../frame/fault.js";
import { shareIndex } from "../frame/frame-index.js";
import { nodeIn } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import { pointer } from "../frame/pointer.js";
import { nodeKinds } from "../frame/properties.js";
import type { Frame, Node } from "../frame/types.js";
import { plainFieldOf, plainNode } from "../frame/write.js";
import type { KeyChange, NodeChange, PatchOperation, RestoreEdit } from "./edit.js";
import { Refusal, refuse } from "./refusal.js";
import type { Renames } from "./renames.js";

type Values = Record<string, unknown>;

const difference = (before: object, after: object): KeyChange | null => {
  const from: Values = { ...before };
  const to: Values = { ...after };
  const drop = Object.keys(from).filter((key) => to[key] === undefined && from[key] !== undefined);
  const set = Object.fromEntries(
    Object.entries(to).filter(([key, value]) => value !== undefined && !equal(from[key], value)),
  );
  const isSet = Object.keys(set).length > 0;
  return isSet || drop.length ? { ...(isSet && { set }), ...(drop.length && { drop }) } : null;
};

/** Looks at the form of what is to become part of a frame, and answers its faults: for edits that come from outside. */
export interface Forms {
  node: (id: Id, node: unknown) => Fault[];
  field: (key: string, value: unknown) => Fault[];
}

/** Values as a node: of whoever makes one key by key, and has it looked at then. */
export const asNode = (values: object): Node => values as Node;
/** Values as a frame, likewise. */
export const asFrame = (values: unknown): Frame => values as Frame;

const fieldsOf = (frame: Frame): Values => {
  const { nodes: _, ...fields } = frame;
  return fields;
};

const fieldChange = (from: Frame, to: Frame): KeyChange | null => difference(fieldsOf(from), fieldsOf(to));

/** What one edit made of a draft. */
export interface Turn {
  /** The edit that takes it back. */
  inverse: RestoreEdit;
  /** What was done, as a JSON Patch (RFC 6902) of the frame file. */
  patches: PatchOperation[];
  /** The nodes that were added, changed or removed. */
  touched: ReadonlySet<Id>;
}

/**
 * A frame being edited, by one edit after another: the table of nodes is copied once for all of them, and what each touched
 * node was before the present one is kept. All that is put into it is made plain. The table is the draft's own until the
 * last edit is done; frames on the way are not handed out, but to who looks at once whether they are sound.
 */
export class Draft {
  frame: Frame;
  private before: Frame;
  private readonly nodesBefore = new Map<Id, Node | undefined>();
  private ownNodes: Record<Id, Node> | null = null;
  /** The order of the table before the present edit took something out of it. */
  private orderBefore: readonly Id[] | null = null;

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
    return nodeIn(this.frame, id);
  }

  /** A node as it was before the present edit. */
  nodeBefore(id: Id): Node | undefined {
    return this.nodesBefore.has(id) ? this.nodesBefore.get(id) : this.node(id);
  }

  private write(id: Id, node: Node | null): void {
    if (!this.nodesBefore.has(id)) this.nodesBefore.set(id, this.node(id));
    const nodes = (this.ownNodes ??= { ...this.frame.nodes });
    if (!node) this.orderBefore ??= Object.keys(nodes);
    if (node) nodes[id] = node;
    else delete nodes[id];
    // a new frame each time: what is known of the one before (its index) is not true of this one
    this.frame = { ...this.frame, nodes };
  }

  private look(faults: Fault[] | undefined): void {
    if (faults?.length) throw new Refusal(faults);
  }

  put(id: Id, node: Node): void {
    if (!nodeKinds.includes(node.kind))
      refuse(["nodes", id, "kind"], shown(node.kind), `one of ${nodeKinds.join(", ")}`, "Every node is of one kind.");
    this.look(this.forms?.node(id, node));
    this.write(id, plainNode(node));
  }

  /** Puts a node with some keys changed; undefined takes a key away. That it is a node then is looked at as of any other. */
  putKeys(id: Id, node: Node, keys: Values): void {
    const next: Values = { ...node, ...keys };
    for (const key of Object.keys(keys)) if (next[key] === undefined) delete next[key];
    this.put(id, asNode(next));
  }

  drop(id: Id): void {
    this.write(id, null);
  }

  /** Sets a field of the frame, the root among them; undefined takes it away. */
  field(key: string, value: unknown): void {
    this.look(this.forms?.field(key, value));
    const isFixed = key === "root" || key === "format";
    const plain = isFixed ? value : plainFieldOf(key, value);
    const next: Values = { ...this.frame, [key]: plain };
    if (plain === undefined) delete next[key];
    this.frame = asFrame(next);
  }

  private inverse(renamed: Renames): RestoreEdit {
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
    const fields = fieldChange(this.frame, this.before);
    const back = Object.entries(renamed).map(([from, to]) => [to, from]);
    return {
      kind: "restore",
      ...(Object.keys(nodes).length && { nodes }),
      ...(fields && { fields }),
      ...(back.length && { renamed: Object.fromEntries(back) }),
    };
  }

  private patches(): PatchOperation[] {
    const patches: PatchOperation[] = [];
    const changes = (at: string[], before: Values, change: KeyChange | null): void => {
      for (const key of change?.drop ?? []) patches.push({ op: "remove", path: pointer(...at, key) });
      for (const [key, value] of Object.entries(change?.set ?? {}))
        patches.push({ op: before[key] === undefined ? "add" : "replace", path: pointer(...at, key), value });
    };
    for (const [id, was] of this.nodesBefore) {
      const is = this.node(id);
      const path = pointer("nodes", id);
      if (is === was) continue;
      if (!is) patches.push({ op: "remove", path });
      else if (!was) patches.push({ op: "add", path, value: is });
      else changes(["nodes", id], { ...was }, difference(was, is));
    }
    changes([], fieldsOf(this.before), fieldChange(this.before, this.frame));
    return patches;
  }

  /** What was done since the last turn. */
  turn(renamed: Renames): Turn {
    return { inverse: this.inverse(renamed), patches: this.patches(), touched: this.touched };
  }

  /** The next edit begins. */
  next(): void {
    this.nodesBefore.clear();
    this.orderBefore = null;
    this.before = this.frame;
  }

  /** Takes back what was done since the last turn. */
  undo(): void {
    const { before, orderBefore } = this;
    for (const [id, was] of [...this.nodesBefore]) this.write(id, was ?? null);
    this.nodesBefore.clear();
    this.orderBefore = null;
    // what was taken out stands where it stood
    if (orderBefore && this.ownNodes) {
      const nodes = this.ownNodes;
      this.ownNodes = Object.fromEntries(
        orderBefore.flatMap((id): [Id, Node][] => (nodes[id] ? [[id, nodes[id]]] : [])),
      );
    }
    this.frame = this.ownNodes ? { ...before, nodes: this.ownNodes } : before;
    // all stands as it did, so what is known of the frame before is true of this one
    if (this.frame !== before) shareIndex(before, this.frame);
    this.before = this.frame;
  }
}
