import { nodeAt, nodeIn, stackAt } from "../frame/nodes.js";
import { firstOf, sure } from "../frame/sure.js";
import type { Edit } from "../edit/edit.js";
import { freeIdIn } from "../edit/naming.js";
import { indexOf, parentsOf, placesOf, subtreeOf } from "../frame/frame-index.js";
import { mapReferences } from "../frame/references.js";
import type { Frame, Node, ScreenNode } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { plainName } from "../frame/names.js";
import { cannot, type ChangeOfMind, planned } from "./change.js";
import { leadElsewhere } from "./unwrap.js";

const oneScreen = (frame: Frame, parts: readonly { id: Id }[]): ScreenNode | null => {
  const node = parts.length === 1 ? frame.nodes[firstOf(parts).id] : undefined;
  return node?.kind === "screen" ? node : null;
};

/** A screen stands in one stack more: opened there, it stays there. */
export const share: ChangeOfMind = {
  id: "share",
  label: "Share with",
  says: "stands in that stack too: opened from there it stays there",
  targets: (frame, parts) => {
    if (!oneScreen(frame, parts)) return [];
    const { id } = firstOf(parts);
    return [...indexOf(frame).ways.keys()].filter((stack) => {
      const node = nodeAt(frame, stack);
      return node.kind === "stack" && !node.children.includes(id);
    });
  },
  plan: (frame, parts, target) => {
    if (!oneScreen(frame, parts)) return cannot("Choose one screen.");
    const { id } = firstOf(parts);
    if (parentsOf(frame, id).some((parent) => nodeAt(frame, parent).kind !== "stack"))
      return cannot(`${plainName(frame, id)} is a tab or a pane by itself: wrap it in a stack first.`);
    const to = target ?? sure(share.targets)(frame, parts)[0];
    const stack = to === undefined ? undefined : nodeIn(frame, to);
    if (to === undefined || stack?.kind !== "stack") return cannot("It stands in every stack there is.");
    return planned({
      edit: { kind: "move", id, from: null, to, after: stack.children.at(-1) ?? null },
      label: `Share ${plainName(frame, id)} with ${plainName(frame, to)}`,
      choose: { id, parent: to },
    });
  },
};

/** A node without what leads links to it: an address leads to one screen. */
const withoutAddress = (node: Node): Node => {
  if (node.kind !== "screen") return node;
  const { path: _path, also: _also, linkIn: _linkIn, ...own } = node;
  return own;
};

/** A shared screen gets a copy of its own in this place; what leads to it from here leads to the copy. */
export const split: ChangeOfMind = {
  id: "split",
  label: "Split it off here",
  says: "a copy of its own in this stack; the others keep sharing",
  plan: (frame, parts) => {
    const node = oneScreen(frame, parts);
    if (!node) return cannot("Choose one screen.");
    const { id, parent } = firstOf(parts);
    if (parent === null || placesOf(frame, id).length < 2)
      return cannot(`${plainName(frame, id)} stands in one stack only.`);
    const copy = freeIdIn(frame, `${id} ${parent}`);
    const own = withoutAddress(mapReferences(node, (to) => (to === id ? copy : to)));
    const here = new Set(subtreeOf(frame, parent).filter((inner) => inner !== id));
    const edits: Edit[] = [
      { kind: "add", nodes: { [copy]: own }, top: copy, parent, after: id },
      { kind: "move", id, from: parent, to: null, after: null },
      ...leadElsewhere(frame, id, copy, here),
    ];
    const { start, base } = stackAt(frame, parent);
    if (start === id) edits.push({ kind: "set", node: parent, key: "start", value: copy });
    if (base === id) edits.push({ kind: "set", node: parent, key: "base", value: copy });
    return planned({
      edit: { kind: "batch", edits },
      label: `Split ${plainName(frame, id)} off in ${plainName(frame, parent)}`,
      choose: { id: copy, parent },
    });
  },
};
