import { asRecord } from "./keys.js";
import { sure } from "./sure.js";
import { type Fault, shown } from "./fault.js";
import { pointer } from "./pointer.js";

/** Control characters (Unicode category Cc) other than the tab and line breaks. */
// eslint-disable-next-line no-control-regex
const control = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f]/;

const named = (letter: number): string => `U+${letter.toString(16).toUpperCase().padStart(4, "0")}`;

/**
 * What of a text can be neither kept nor sent: a control character that is no tab or line break, or one half of a surrogate
 * pair (ill-formed UTF-16, ECMA-262 `isWellFormed`). Null where there is nothing.
 */
const wrongLetter = (text: string): string | null => {
  const found = control.exec(text);
  if (found) return `the control character ${named(found[0].charCodeAt(0))}`;
  if (text.isWellFormed()) return null;
  const half = sure(text.match(/[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/));
  return `${named(half[0].charCodeAt(0))}, one half of a letter`;
};

const fault = (at: readonly (string | number)[], text: string, letter: string): Fault => ({
  pointer: pointer(...at),
  received: `${shown(text.toWellFormed())} with ${letter}`,
  expected: "a text of letters, signs, tabs and line breaks",
  remedy: "Take that out, or write the text anew.",
});

/** Whether every text in a value can be kept: nearly always, so that it is asked first. */
const isAllRight = (value: unknown): boolean => {
  if (typeof value === "string") return wrongLetter(value) === null;
  if (typeof value !== "object" || value === null) return true;
  for (const key in value) if (wrongLetter(key) !== null || !isAllRight(asRecord(value)[key])) return false;
  return true;
};

/** The faults of all texts in a value, keys of objects among them, `most` at most; `at` is where the value stands. */
export const textFaults = (value: unknown, at: readonly (string | number)[] = [], most = Infinity): Fault[] => {
  const faults: Fault[] = [];
  if (!isAllRight(value)) gather(value, [...at], faults, most);
  return faults;
};

/** Goes over a value; `at` is where it has got to, and as it was in the end. */
const gather = (value: unknown, at: (string | number)[], faults: Fault[], most: number): void => {
  if (typeof value === "string") {
    const letter = wrongLetter(value);
    if (letter !== null) faults.push(fault(at, value, letter));
  }
  if (typeof value !== "object" || value === null) return;
  const isList = Array.isArray(value);
  for (const [key, inner] of Object.entries(value)) {
    if (faults.length >= most) return;
    const letter = isList ? null : wrongLetter(key);
    at.push(isList ? Number(key) : key.toWellFormed());
    if (letter === null) gather(inner, at, faults, most);
    else faults.push(fault(at, key, letter));
    at.pop();
  }
};
