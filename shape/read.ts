import type Joi from "joi";
import { parse as parseWithErrors, type ParseError, printParseErrorCode } from "jsonc-parser";
import type { Fault } from "../core/frame/fault.js";
import { faultsOf } from "../core/frame/faults.js";
import { pointer, segmentsOf } from "../core/frame/pointer.js";
import { plainFrame } from "../core/frame/write.js";
import type { Frame } from "../core/frame/types.js";
import { faultsFrom } from "./faults.js";
import { frame as frameSchema } from "./schema.js";

/** The most a frame file may weigh, bytes. */
export const mostBytes = 4 * 1024 * 1024;
/** More faults than this are counted, not listed. */
export const mostFaults = 200;

export type ReadResult = { ok: true; frame: Frame } | { ok: false; faults: Fault[] };

export const joiOptions: Joi.ValidationOptions = {
  abortEarly: false,
  convert: false,
  errors: { render: true, label: "key" },
};

/** Where a text stops being JSON, and why; the language's own parser does not always say. */
const jsonError = (text: string): string => {
  if (text.trim() === "") return "it is empty";
  const errors: ParseError[] = [];
  parseWithErrors(text, errors, { disallowComments: true, allowTrailingComma: false });
  const [first] = errors;
  if (!first) return "it cannot be parsed";
  const before = text.slice(0, first.offset).split("\n");
  const words = printParseErrorCode(first.error)
    .replaceAll(/([a-z])([A-Z])/g, "$1 $2")
    .toLowerCase();
  return `${words} at line ${before.length}, column ${before.at(-1)!.length + 1}`;
};

/** `__proto__` as a key is no key to the language's own objects: what is under it would silently be lost. */
const reservedKeys = (value: unknown, at: string[]): Fault[] => {
  if (typeof value !== "object" || value === null || at.length > 200) return [];
  return Object.keys(value).flatMap((key) =>
    key === "__proto__"
      ? [
          {
            pointer: pointer(...at, key),
            received: "the key __proto__",
            expected: "an id or a key of the format",
            remedy: "Give it another name.",
          },
        ]
      : reservedKeys((value as Record<string, unknown>)[key], [...at, key]),
  );
};

/** Lists and objects may lie this deep in one another; a frame needs about ten, and what reads them goes down step by step. */
const mostLevels = 100;

const isDeep = (value: unknown): boolean => {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > mostLevels) return true;
    const next: unknown[] = [];
    for (const each of level)
      for (const inner of Object.values(each as object))
        if (typeof inner === "object" && inner !== null) next.push(inner);
    level = next;
  }
  return false;
};

/** JSON from a text, or the one fault of what is none. */
export const parseJson = (text: string): { ok: true; value: unknown } | { ok: false; faults: Fault[] } => {
  const failed = (received: string, expected: string, remedy: string) => ({
    ok: false as const,
    faults: [{ pointer: "", received, expected, remedy }],
  });
  const bytes = Buffer.byteLength(text);
  if (bytes > mostBytes)
    return failed(
      `${(bytes / 1024 / 1024).toFixed(1)} MB`,
      "at most 4 MB",
      "A frame file holds structure alone: take out what does not belong to it.",
    );
  try {
    const value: unknown = JSON.parse(text.replace(/^\uFEFF/, ""));
    if (typeof value === "object" && value !== null && isDeep(value))
      return failed(
        `lists and objects over ${mostLevels} deep`,
        `at most ${mostLevels} in one another`,
        "Lay it out flatter.",
      );
    const faults = text.includes("__proto__") ? reservedKeys(value, []) : [];
    return faults.length ? { ok: false, faults } : { ok: true, value };
  } catch {
    return failed(`a text that is not JSON: ${jsonError(text)}`, "JSON", "Correct it there.");
  }
};

/** Takes what a fault points at out of the value; with `whole`, the object it stands in too. */
const prune = (value: unknown, fault: Fault, whole: boolean): void => {
  const segments = segmentsOf(fault.pointer);
  if (whole) segments.pop();
  const last = segments.pop();
  let at = value as Record<string, unknown> | undefined;
  for (const segment of segments) at = at?.[segment] as Record<string, unknown> | undefined;
  if (!at || typeof at !== "object" || last === undefined) return;
  if (Array.isArray(at)) at.splice(Number(last), 1);
  else delete at[last];
};

/** What of a value is sound in form: the rest taken out bit by bit; null when nothing is left to look at. */
const soundPart = (value: unknown, faults: readonly Fault[]): Frame | null => {
  if (faults.some((fault) => fault.pointer === "" || fault.pointer === "/nodes" || fault.pointer === "/root"))
    return null;
  const copy = structuredClone(value);
  // from the end, so that the places in lists stay true
  for (const fault of [...faults].reverse()) prune(copy, fault, false);
  for (let round = 0; round < 6; round += 1) {
    const { error } = frameSchema.validate(copy, joiOptions);
    if (!error) return copy as Frame;
    for (const fault of faultsFrom(error).reverse()) prune(copy, fault, true);
  }
  return null;
};

/** Reads a frame from any value: every fault of form and of meaning at once, or the frame in its plain form. */
export const readFrameValue = (value: unknown): ReadResult => {
  const first = frameSchema.validate(value, joiOptions);
  if (!first.error) {
    const frame = value as Frame;
    const faults = faultsOf(frame);
    return faults.length ? { ok: false, faults } : { ok: true, frame: plainFrame(frame) };
  }
  const faults = faultsFrom(first.error);
  if (faults.length > mostFaults) return { ok: false, faults };
  // what is sound in form apart from that may still have faults of meaning, which should not wait for the next try
  const rest = soundPart(value, faults);
  const under = (place: string, fault: Fault) => place === fault.pointer || place.startsWith(`${fault.pointer}/`);
  if (rest)
    for (const fault of faultsOf(rest))
      if (!faults.some((known) => under(fault.pointer, known) || under(known.pointer, fault))) faults.push(fault);
  return { ok: false, faults };
};

/** Reads the text of a `*.frame.json` file. */
export const readFrame = (text: string): ReadResult => {
  const parsed = parseJson(text);
  return parsed.ok ? readFrameValue(parsed.value) : parsed;
};
