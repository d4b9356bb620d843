import { childrenOf } from "../../frame/defaults.js";
import { indexOf, subtreeOf } from "../../frame/frame-index.js";
import type { Id } from "../../frame/parts.js";
import { mapReferences, referencesOf, withLost, withQuiet } from "../../frame/references.js";
import type { Frame, Node } from "../../frame/types.js";
import { keepsIds, known, notRoot, structural, withoutChild } from "./common.js";
import type { Kind } from "./kind.js";

/** What goes with a node: all that stands only in it. */
const goneWith = (frame: Frame, id: Id): ReadonlySet<Id> => {
  const inside = new Set(subtreeOf(frame, id));
  const { parents } = indexOf(frame);
  // what stands elsewhere too stays, and so does what is in that
  const stays = new Set<Id>();
  for (const inner of inside)
    if (inner !== id && (parents.get(inner) ?? []).some((parent) => !inside.has(parent)))
      for (const kept of subtreeOf(frame, inner)) stays.add(kept);
  return new Set([...inside].filter((inner) => !stays.has(inner)));
};

/** A node that stays, without what named those that go. */
const without = (node: Node, gone: ReadonlySet<Id>): Node => {
  let next = node;
  for (const child of childrenOf(node)) if (gone.has(child)) next = withoutChild(next, child);
  if (!referencesOf(next).some((reference) => gone.has(reference.to))) return next;
  return mapReferences(next, (to) => (gone.has(to) ? null : to));
};

/** A node goes, with what stands only in it and every reference to them. */
export const remove: Kind<"remove"> = {
  ...structural(),
  ...keepsIds,
  apply: (draft, { id }) => {
    known(draft, id);
    notRoot(draft, id, "The root holds everything else and stays.");
    const gone = goneWith(draft.frame, id);
    for (const [other, node] of Object.entries(draft.frame.nodes)) {
      const next = gone.has(other) ? node : without(node, gone);
      if (next !== node) draft.put(other, next);
    }
    for (const inner of gone) draft.drop(inner);
    const { address, vary, quiet } = draft.frame;
    const stays = (to: Id): Id | null => (gone.has(to) ? null : to);
    const varied = withLost(vary, stays);
    if (varied !== vary) draft.field("vary", varied);
    const heard = withQuiet(quiet, stays);
    if (heard !== quiet) draft.field("quiet", heard);
    if (address?.lost === undefined || !gone.has(address.lost)) return;
    const { lost: _, ...rest } = address;
    draft.field("address", rest);
  },
};
