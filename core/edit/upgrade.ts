import { asRecord } from "../frame/keys.js";
import { nodeIn } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import { isRaw, type Raw } from "../frame/raw.js";
import type { Frame, Node } from "../frame/types.js";
import { upgraded, upgradedKeys, upgradedNodes } from "../frame/upgrade.js";
import { equal } from "../frame/equal.js";
import { applyEdit } from "./apply.js";
import { editBetween } from "./difference-edit.js";
import { asFrame, asNode } from "./draft.js";
import type { Edit, KeyChange, NodeChange } from "./edit.js";

/** A frame in the present format, of one whose form is right but older. */
export const upgradedFrame = (frame: Raw): Frame => asFrame(upgraded(frame));

/** An edit that was stored with the frame before it: that frame after it, and the edit in the present format. */
export interface Upgraded {
  /** The frame as the edit left it, in its own format. */
  after: Frame;
  edit: Edit;
  /** What takes it back. */
  inverse: Edit;
}

/**
 * Brings an edit of an older format up. Edits are values by key, so it can still be made on the frame of its format: where it
 * comes to the same on the frame of the present one it stays as it is, else it becomes what makes the difference. Throws where
 * the edit cannot be made on its frame, which no stored one is.
 */
export const upgradeStored = (before: Frame, edit: Edit, now: Frame): Upgraded & { now: Frame } => {
  const was = applyEdit(before, edit);
  if (!was.ok) throw new Error(`a stored edit cannot be made on its own frame: ${JSON.stringify(was.faults)}`);
  const wanted = upgradedFrame(asRecord(was.frame));
  const same = applyEdit(now, edit);
  const made = same.ok && equal(same.frame, wanted) ? { edit, result: same } : null;
  if (made) return { after: was.frame, edit, inverse: made.result.inverse, now: made.result.frame };
  const next = editBetween(now, wanted);
  const result = applyEdit(now, next);
  if (!result.ok) throw new Error("the difference of two frames cannot be made");
  return { after: was.frame, edit: next, inverse: result.inverse, now: result.frame };
};

/** Keys of a node in the present form, on what it says now. */
const upgradedChange = (frame: Frame, format: string, node: Node, change: KeyChange): KeyChange => {
  const given = { ...change.set, ...Object.fromEntries((change.drop ?? []).map((key) => [key, undefined])) };
  const keys = upgradedKeys(format, asRecord(frame), asRecord(node), given);
  if (keys === given) return change;
  const all = Object.entries(keys);
  return {
    ...change,
    set: Object.fromEntries(all.filter(([, value]) => value !== undefined)),
    drop: all.filter(([, value]) => value === undefined).map(([key]) => key),
  };
};

const upgradedNode = (frame: Frame, format: string, id: Id, change: NodeChange): NodeChange => {
  if ("gone" in change) return change;
  if ("node" in change) {
    const node = upgradedNodes({ [id]: change.node }, format, asRecord(frame))[id];
    return isRaw(node) ? { ...change, node: asNode(node) } : change;
  }
  const node = nodeIn(frame, id);
  return node ? upgradedChange(frame, format, node, change) : change;
};

/**
 * An edit of an older format that waited while the frame was brought up without it, as where a browser kept it: the same
 * change of the frame as it is now.
 */
export const upgradeWaiting = (frame: Frame, edit: Edit, format: string): Edit => {
  switch (edit.kind) {
    case "add":
      return { ...edit, nodes: upgradedNodes(edit.nodes, format, asRecord(frame)) as Record<Id, Node> };
    case "replace":
      return { ...edit, frame: upgradedFrame(asRecord(edit.frame)) };
    case "batch":
      return { ...edit, edits: edit.edits.map((each) => upgradeWaiting(frame, each, format)) };
    case "set": {
      const node = nodeIn(frame, edit.node);
      if (!node) return edit;
      const { key, value } = edit;
      const change = value === undefined ? { drop: [key] } : { set: { [key]: value } };
      const next = upgradedChange(frame, format, node, change);
      return next === change ? edit : { kind: "restore", nodes: { [edit.node]: next } };
    }
    case "restore": {
      if (!edit.nodes) return edit;
      const nodes: Record<Id, NodeChange> = {};
      for (const [id, change] of Object.entries(edit.nodes)) nodes[id] = upgradedNode(frame, format, id, change);
      return { ...edit, nodes };
    }
    default:
      return edit;
  }
};
