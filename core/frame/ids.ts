import type { Id } from "./parts.js";

const idForm = /^[a-z][A-Za-z0-9]{0,39}$/;
/** What is no id: names that every JavaScript object answers to, which would be found where nothing was put, and what a ladder ends with. */
export const reservedIds: ReadonlySet<string> = new Set([
  ...Object.getOwnPropertyNames(Object.prototype),
  "exit",
  "stay",
  "loop",
]);

/** Whether a text can be an id. */
export const isId = (text: unknown): text is Id =>
  typeof text === "string" && idForm.test(text) && !reservedIds.has(text);
