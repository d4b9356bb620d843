import type { Leave } from "./parts.js";
import type { FixedNode } from "./types.js";

/** The fields of a screen that a person types into: those of a form, the reply of a thread. */
export const draftFieldsOf = (node: FixedNode): string[] => {
  if (node.kind !== "screen") return [];
  if (node.body?.kind === "form") return node.body.fields.map(({ id }) => id);
  return node.body?.kind === "thread" ? ["reply"] : [];
};

/** What a screen asks before it is left, until someone words it. */
export const plainLeave = (when: Leave["when"]): Leave => ({
  when,
  ask: when === "draft" ? "Leave without keeping what you typed?" : "Leave this?",
});
