import type { Id } from "./parts.js";

const idForm = /^[a-z][A-Za-z0-9]{0,39}$/;
/** Names that every JavaScript object answers to; as ids they would be found where nothing was put. */
export const reservedIds: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype));

/** Whether a text can be an id. */
export const isId = (text: unknown): text is Id =>
  typeof text === "string" && idForm.test(text) && !reservedIds.has(text);
