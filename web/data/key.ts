/** A key by which an edit is known again. Not `randomUUID`, which a page served over plain http to another machine lacks. */
export const newKey = (): string =>
  [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, "0")).join("");
