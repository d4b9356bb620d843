import { plainName } from "../../frame/names.js";
import { screenAt } from "../../frame/nodes.js";
import { setting, thatGo } from "../mends.js";
import type { Do } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import type { Mend, Rule } from "../rule.js";
import { seenWhileWalking } from "../walked.js";

/** The same done in place of the screen that does it. */
const replacing = (act: Do): Do => {
  if (act.kind === "open") return { ...act, how: "replace" };
  return act.kind === "set" && act.then ? { ...act, then: replacing(act.then) } : act;
};

const mendsOf = (frame: Frame, id: string): Mend[] => {
  const { after, actions = [] } = screenAt(frame, id);
  const told = { label: "Open in place of it", says: "it is gone once it has opened what comes after it" };
  return thatGo(frame, [
    after ? setting(frame, id, "after", { ...after, do: replacing(after.do) }, told) : null,
    after
      ? null
      : setting(
          frame,
          id,
          "actions",
          actions.map((action) => ({ ...action, do: replacing(action.do) })),
          told,
        ),
  ]);
};

export const behindBack: Rule = {
  code: "behind-back",
  group: "back",
  severity: "fault",
  suffers: "Back brings them to a sign-in or a splash they are done with.",
  why: "A screen that stands in for those who lack something, or goes on by itself, is of no use to whoever comes back to it.",
  needsWalk: true,
  find: (checked) =>
    seenWhileWalking(checked, "passed", ({ node }) =>
      node === null
        ? null
        : {
            node,
            says: `Back comes to ${plainName(checked.frame, node)}, which is done with`,
            detail: screenAt(checked.frame, node).after ? "it goes on by itself" : "what it stands in for is met",
            mends: mendsOf(checked.frame, node),
          },
    ),
};
