import type { Edit } from "../edit/edit.js";
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

/** What a screen that does not ask yet says of that once it does: while a draft would be gone, where anything is typed on it, else always. */
export const askingFirst = (frame: Frame, id: Id): Edit => ({
  kind: "set",
  node: id,
  key: "leave",
  value: plainLeave(draftFieldsOf(nodeAt(frame, id)).length > 0 ? "draft" : "always"),
});

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
    const edits = (silent.length ? silent : ids).map((id): Edit =>
      silent.length ? askingFirst(frame, id) : { kind: "set", node: id, key: "leave" },
    );
    const names = list((silent.length ? silent : ids).slice(0, 3).map((id) => plainName(frame, id)));
    return planned({
      edit: edits.length === 1 ? firstOf(edits) : { kind: "batch", edits },
      label: silent.length ? `${names} asks before it is left` : `${names} is left unasked`,
      choose: firstOf(parts),
    });
  },
};
