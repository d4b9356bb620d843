import { lastOf, sure } from "../core/index.js";
import {
  createScanner,
  getLocation,
  parse as parseWithErrors,
  type ParseError,
  printParseErrorCode,
} from "jsonc-parser";
import { type Fault, shown } from "../core/frame/fault.js";
import { pointer } from "../core/frame/pointer.js";
import { textFaults } from "../core/frame/text.js";

// JSON as it was written, with nothing mended silently: a parser takes the last of two equal keys, a decoder puts a sign for
// what is no UTF-8, and both lose what somebody wrote.

/** The most a frame file or a request may weigh, bytes. */
export const mostBytes = 4 * 1024 * 1024;
/** So many faults are told: who mends those asks again. */
export const mostFaults = 100;
/** Lists and objects may lie this deep in one another; a frame needs about ten, and what reads them goes down step by step. */
const mostLevels = 100;

type Parsed = { ok: true; value: unknown } | { ok: false; faults: Fault[] };

const failed = (received: string, expected: string, remedy: string, at = ""): { ok: false; faults: Fault[] } => ({
  ok: false,
  faults: [{ pointer: at, received, expected, remedy }],
});

const placeIn = (text: string, offset: number): string => {
  const before = text.slice(0, offset).split("\n");
  return `line ${before.length}, column ${lastOf(before).length + 1}`;
};

/** Where bytes stop being UTF-8 (RFC 3629); null where they are. */
const wrongByte = (bytes: Uint8Array): number | null => {
  const isFine = (end: number, stream: boolean): boolean => {
    try {
      new TextDecoder("utf-8", { fatal: true }).decode(bytes.subarray(0, end), { stream });
      return true;
    } catch {
      return false;
    }
  };
  if (isFine(bytes.length, false)) return null;
  let [fine, wrong] = [0, bytes.length + 1];
  while (wrong - fine > 1) {
    const middle = (fine + wrong) >> 1;
    if (isFine(middle, true)) fine = middle;
    else wrong = middle;
  }
  // a letter that was begun and not ended is wrong from its first byte
  while (!isFine(fine, false)) fine -= 1;
  return Math.min(fine, bytes.length - 1);
};

/** The tokens that matter here, by the scanner's numbers: its own names for them are gone once it is compiled. */
const token = { openBrace: 1, closeBrace: 2, openBracket: 3, closeBracket: 4, comma: 5, text: 10, end: 17 };

interface Scan {
  deepest: number;
  /** Keys that stand in their object already. */
  repeats: Fault[];
}

/** Goes over a text token by token, whether it is JSON or not: without going down into it, so that none is too deep. */
const scan = (text: string): Scan => {
  const scanner = createScanner(text, true);
  const levels: { keys: Set<string> | null; at: string | number }[] = [];
  const repeats: Fault[] = [];
  let deepest = 0;
  let isKey = false;
  for (let kind: number = scanner.scan(); kind !== token.end; kind = scanner.scan()) {
    const level = levels.at(-1);
    if (kind === token.openBrace || kind === token.openBracket) {
      isKey = kind === token.openBrace;
      levels.push({ keys: isKey ? new Set() : null, at: isKey ? "" : 0 });
      deepest = Math.max(deepest, levels.length);
      if (deepest > mostLevels) break;
    } else if (kind === token.closeBrace || kind === token.closeBracket) {
      levels.pop();
      isKey = false;
    } else if (kind === token.comma && level) {
      isKey = level.keys !== null;
      if (typeof level.at === "number") level.at += 1;
    } else if (kind === token.text && isKey && level?.keys) {
      const key = scanner.getTokenValue();
      level.at = key;
      isKey = false;
      if (level.keys.has(key) && repeats.length < mostFaults)
        repeats.push({
          pointer: pointer(...levels.map(({ at }) => at)),
          received: `the key ${shown(key)} again, at ${placeIn(text, scanner.getTokenOffset())}`,
          expected: "each key once in an object",
          remedy: "Keep one of the two: only the last would be read.",
        });
      level.keys.add(key);
    }
  }
  return { deepest, repeats };
};

/** Where a text stops being JSON, and why; the language's own parser does not always say. */
const jsonError = (text: string): string => {
  if (text.trim() === "") return "it is empty";
  const errors: ParseError[] = [];
  parseWithErrors(text, errors, { disallowComments: true, allowTrailingComma: false });
  const [first] = errors;
  if (!first) return "it cannot be parsed";
  const words = printParseErrorCode(first.error)
    .replaceAll(/([a-z])([A-Z])/g, "$1 $2")
    .toLowerCase();
  return `${words} at ${placeIn(text, first.offset)}`;
};

/** `__proto__` as a key is no key to the language's own objects: what is under it would silently be lost. */
const reservedKeys = (value: unknown, at: string[] = [], faults: Fault[] = []): Fault[] => {
  if (typeof value !== "object" || value === null) return faults;
  for (const key of Object.keys(value)) {
    if (faults.length >= mostFaults) break;
    at.push(key);
    if (key === "__proto__")
      faults.push({
        pointer: pointer(...at),
        received: "the key __proto__",
        expected: "an id or a key of the format",
        remedy: "Give it another name.",
      });
    else reservedKeys(Reflect.get(value, key), at, faults);
    at.pop();
  }
  return faults;
};

const decoded = (input: string | Uint8Array): { text: string; faults: Fault[] } => {
  if (typeof input === "string") return { text: input.replace(/^\uFEFF/, ""), faults: [] };
  const wrong = wrongByte(input);
  const text = new TextDecoder().decode(wrong === null ? input : input.subarray(0, wrong));
  if (wrong === null) return { text, faults: [] };
  const at = scan(text).deepest > mostLevels ? [] : getLocation(text, text.length).path;
  return {
    text,
    faults: failed(
      `the byte 0x${sure(input[wrong]).toString(16).padStart(2, "0").toUpperCase()} at ${placeIn(text, text.length)}, which is no UTF-8`,
      "a text in UTF-8",
      "Write it in UTF-8.",
      pointer(...at),
    ).faults,
  };
};

/** What only an escape, or a letter that is written as it is, can bring into a text that JSON allows. */
const suspect = /\\u|[\u007f-\u009f\ud800-\udfff]/;

/** JSON from a text or its bytes (UTF-8), or the faults of what is none, each with its JSON Pointer. */
export const parseJson = (input: string | Uint8Array): Parsed => {
  const bytes = typeof input === "string" ? Buffer.byteLength(input) : input.length;
  if (bytes > mostBytes)
    return failed(
      `${(bytes / 1024 / 1024).toFixed(1)} MB`,
      "at most 4 MB",
      "A frame file holds structure alone: take out what does not belong to it.",
    );
  const { text, faults } = decoded(input);
  if (faults.length) return { ok: false, faults };
  const { deepest, repeats } = scan(text);
  if (deepest > mostLevels)
    return failed(
      `lists and objects over ${mostLevels} deep`,
      `at most ${mostLevels} in one another`,
      "Lay it out flatter.",
    );
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return failed(`a text that is not JSON: ${jsonError(text)}`, "JSON", "Correct it there.");
  }
  const wrong = [
    ...repeats,
    ...(text.includes("__proto__") ? reservedKeys(value) : []),
    ...(suspect.test(text) ? textFaults(value, [], mostFaults) : []),
  ];
  return wrong.length ? { ok: false, faults: wrong } : { ok: true, value };
};
