import { screenAt } from "../../frame/nodes.js";
import type { EventOf } from "../event.js";
import { ignore, named, type Run } from "../run.js";
import type { State } from "../state.js";
import { onTouched, withUi } from "../touched.js";

/** A screen is scrolled. */
export const scroll = (run: Run, state: State, event: EventOf<"scroll">): State =>
  onTouched(run, state, event.in, ({ path }) => withUi(state, path, { scroll: event.to }));

/** Something is typed into a field of a form, or the reply of a thread. */
export const type = (run: Run, state: State, event: EventOf<"type">): State =>
  onTouched(run, state, event.in, ({ path, screen }) => {
    const { body } = screenAt(run.frame, screen.node);
    const isKnown =
      (body?.kind === "form" && body.fields.some((field) => field.id === event.field)) ||
      (body?.kind === "thread" && event.field === "reply");
    return isKnown
      ? withUi(state, path, { drafts: { ...screen.ui.drafts, [event.field]: event.text } })
      : ignore(run, state, screen.node, { why: "no-field", screen: named(screen), field: event.field });
  });
