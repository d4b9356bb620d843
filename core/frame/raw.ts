/** A value as it was kept, of which nothing is known yet. */
export type Raw = Readonly<Record<string, unknown>>;

/** Whether a value is an object with keys. */
export const isRaw = (value: unknown): value is Raw =>
  typeof value === "object" && value !== null && !Array.isArray(value);
/** Whether a value is a text. */
export const isText = (value: unknown): value is string => typeof value === "string";
/** Whether a value is a list of texts. */
export const isTexts = (value: unknown): value is string[] => Array.isArray(value) && value.every(isText);
/** Whether a value is an object that holds texts alone. */
export const isTextMap = (value: unknown): value is Readonly<Record<string, string>> =>
  isRaw(value) && Object.values(value).every(isText);
