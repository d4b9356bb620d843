import type Joi from "joi";
import type { Fault } from "../core/frame/fault.js";
import { faultsOf } from "../core/faults/faults.js";
import { pointer, segmentsOf } from "../core/frame/pointer.js";
import { isOlder, upgraded } from "../core/frame/upgrade.js";
import { plainFrame } from "../core/frame/write.js";
import type { Frame } from "../core/frame/types.js";
import { faultsFrom } from "./faults.js";
import { mostFaults, parseJson } from "./json.js";
import { frame as frameSchema } from "./schema.js";

export type ReadResult = { ok: true; frame: Frame } | { ok: false; faults: Fault[] };

export const joiOptions: Joi.ValidationOptions = {
  abortEarly: false,
  convert: false,
  errors: { render: true, label: "key" },
};

/** Takes what a fault points at out of the value; with `whole`, the object it stands in too. */
const prune = (value: unknown, fault: Fault, whole: boolean): void => {
  const segments = segmentsOf(fault.pointer);
  if (whole) segments.pop();
  const last = segments.pop();
  let at = value;
  for (const segment of segments) at = typeof at === "object" && at ? Reflect.get(at, segment) : undefined;
  if (typeof at !== "object" || !at || last === undefined) return;
  if (Array.isArray(at)) at.splice(Number(last), 1);
  else Reflect.deleteProperty(at, last);
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

/** Whether a pointer leads to something in a value. */
const isThere = (value: unknown, at: string): boolean => {
  let inner = value;
  for (const segment of segmentsOf(at)) {
    if (typeof inner !== "object" || inner === null || !Object.hasOwn(inner, segment)) return false;
    inner = Reflect.get(inner, segment);
  }
  return true;
};

/** A fault of a file that was brought into the present format, at what of it stands in the file as it was written. */
const inFile = (value: unknown, fault: Fault): Fault => {
  if (isThere(value, fault.pointer)) return fault;
  const segments = segmentsOf(fault.pointer);
  while (segments.length && !isThere(value, pointer(...segments))) segments.pop();
  const remedy = `${fault.remedy} The file is in an older format: here it is read as ${fault.pointer}.`;
  return { ...fault, pointer: pointer(...segments), remedy };
};

/** Reads a frame from any value, in the present format or one before: every fault of form and of meaning at once, or the frame in its plain form. */
export const readFrameValue = (value: unknown): ReadResult => {
  if (!isOlder(value)) return readPresent(value);
  const read = readPresent(upgraded(value));
  return read.ok ? read : { ok: false, faults: read.faults.map((fault) => inFile(value, fault)) };
};

const readPresent = (value: unknown): ReadResult => {
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

/** Reads a `*.frame.json` file: its text, or its bytes as they stand on the disk. */
export const readFrame = (file: string | Uint8Array): ReadResult => {
  const parsed = parseJson(file);
  return parsed.ok ? readFrameValue(parsed.value) : parsed;
};
