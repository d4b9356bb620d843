import { indexOf, isAttached } from "../../frame/frame-index.js";
import { draftFieldsOf } from "../../frame/drafts.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import { list } from "../../says/words.js";
import { byEdit } from "../mends.js";
import type { Rule } from "../rule.js";

/** Finds forms whose drafts are lost when the system ends the app. */
export const lostByKill: Rule = {
  code: "lost-by-kill",
  group: "keeping",
  severity: "hint",
  suffers: "They answer a call, come back, and what they typed is gone.",
  why: "A system ends apps in the background whenever it needs the room, and an app that comes back at its place comes back without drafts.",
  find: ({ frame }) => {
    if (frame.relaunch === "everything") return [];
    const forms = indexOf(frame).ids.filter(
      (id) =>
        isAttached(frame, id) && frame.nodes[id]?.kind === "screen" && draftFieldsOf(nodeAt(frame, id)).length > 0,
    );
    if (forms.length === 0) return [];
    const names = forms.map((id) => plainName(frame, id));
    const mend = byEdit(
      { label: "Come back with everything", says: "drafts, scroll and values handed over are there again" },
      { kind: "setFrame", key: "relaunch", value: "everything" },
    );
    return [
      {
        node: null,
        says: "Drafts are lost when the system ends the app",
        detail: `in ${list(forms.length > 5 ? [...names.slice(0, 4), `${forms.length - 4} more`] : names)}`,
        mends: [mend],
      },
    ];
  },
};
