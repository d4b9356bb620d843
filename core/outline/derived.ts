import { idFrom } from "../edit/naming.js";
import { withoutParams } from "../frame/names.js";
import type { Id } from "../frame/parts.js";

/** What lines stand in decides what an unmarked one is: a screen of a stack, or a stack of its own in tabs and panes. */
export type Within = "stack" | "hub" | "pair";

/** The id that a title gives, or a screen's id gives the stack around it, when the text names none. */
export const derivedId = (title: string | null, taken: (id: Id) => boolean): Id =>
  idFrom(withoutParams(title ?? ""), taken);

/** The id of a container that is made around a screen of its name, and is not taken. */
export const derivedOuter = (inner: Id, within: Within, taken: (id: Id) => boolean): Id =>
  idFrom(`${inner} ${within === "hub" ? "tab" : "stack"}`, taken);
