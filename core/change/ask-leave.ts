import type { Edit } from "../edit/edit.js";
import type { Planned } from "../edit/part.js";
import { together } from "../edit/together.js";
import { draftFieldsOf, plainLeave } from "../frame/drafts.js";
import { nodeAt, nodeIn } from "../frame/nodes.js";
import type { Frame } from "../frame/types.js";
import { firstOf } from "../frame/sure.js";
import type { Id } from "../frame/parts.js";
import { plainName } from "../frame/names.js";
import { list } from "../says/words.js";
import { leaveOf } from "../navigate/asking.js";
import { cannot, type ChangeOfMind, planned } from "./change.js";

/** Whether a node is a screen that is left unasked. */
export const isLeftUnasked = (frame: Frame, id: Id): boolean =>
  nodeIn(frame, id)?.kind === "screen" && !leaveOf(frame, id);

/** Some screens ask before they are left: while a draft would be gone, where anything is typed on one, else always. */
export const askingFirst = (frame: Frame, ids: readonly Id[]): Pick<Planned, "edit" | "label"> => {
  const edits = ids.map((id): Edit => {
    const when = draftFieldsOf(nodeAt(frame, id)).length > 0 ? "draft" : "always";
    return { kind: "set", node: id, key: "leave", value: plainLeave(when) };
  });
  const asks = ids.length > 1 ? "ask before they are left" : "asks before it is left";
  return { edit: together(edits), label: `${namesOf(frame, ids)} ${asks}` };
};

const unasking = (frame: Frame, ids: readonly Id[]): Pick<Planned, "edit" | "label"> => ({
  edit: together(ids.map((id): Edit => ({ kind: "set", node: id, key: "leave" }))),
  label: `${namesOf(frame, ids)} ${ids.length > 1 ? "are" : "is"} left unasked`,
});

const namesOf = (frame: Frame, ids: readonly Id[]): string => list(ids.slice(0, 3).map((id) => plainName(frame, id)));

/** A screen asks before it is left, and back. */
export const askBeforeLeaving: ChangeOfMind = {
  id: "ask-leave",
  label: "Ask before leaving",
  says: "what is typed on it is not lost unasked",
  plan: (frame, parts) => {
    const ids = [...new Set(parts.map(({ id }) => id))];
    if (ids.length === 0) return cannot("Choose the screens that ask.");
    const other = ids.find((id) => nodeAt(frame, id).kind !== "screen");
    if (other !== undefined)
      return cannot(`${plainName(frame, other)} is no screen: only a screen asks before it is left.`);
    const silent = ids.filter((id) => isLeftUnasked(frame, id));
    return planned({
      ...(silent.length > 0 ? askingFirst(frame, silent) : unasking(frame, ids)),
      choose: firstOf(parts),
    });
  },
};
