import { plainName } from "../../frame/names.js";
import { screenAt } from "../../frame/nodes.js";
import { setting, thatGo } from "../mends.js";
import { applyEdit } from "../../edit/apply.js";
import type { Edit } from "../../edit/edit.js";
import { lensOf } from "../../frame/look.js";
import type { Do, Id } from "../../frame/parts.js";
import { topOf } from "../../navigate/focus.js";
import { launch, step } from "../../navigate/step.js";
import type { SeenOn } from "../../walk/report.js";
import type { Frame } from "../../frame/types.js";
import type { CheckedView, Mend, Rule } from "../rule.js";
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

/** Whether the events that show it come elsewhere once an edit is made. */
const helps = (frame: Frame, edit: Edit, id: Id, { beginning, events }: SeenOn, { view }: CheckedView): boolean => {
  const mended = applyEdit(frame, edit);
  if (!mended.ok) return false;
  let { state } = launch(mended.frame, view, beginning.facts, beginning.url ?? undefined);
  for (const event of events) ({ state } = step(mended.frame, view, state, event));
  return state.outside || topOf(lensOf(mended.frame, view), state.root).node !== id;
};

/** Finds sign-ins and splashes that Back leads to. */
export const behindBack: Rule = {
  code: "behind-back",
  group: "back",
  severity: "fault",
  suffers: "Back brings them to a sign-in or a splash they are done with.",
  why: "A screen that stands in for those who lack something, or goes on by itself, is of no use to whoever comes back to it.",
  needsWalk: true,
  find: (checked) => {
    const { frame } = checked;
    return seenWhileWalking(checked, "passed", (seen, view) => {
      const { node } = seen;
      if (node === null) return null;
      return {
        node,
        says: `Back comes to ${plainName(frame, node)}, which is done with`,
        detail: screenAt(frame, node).after ? "it goes on by itself" : "what it stands in for is met",
        mends: mendsOf(frame, node).filter(({ edit }) => helps(frame, edit, node, seen, view)),
      };
    });
  },
};
