import { isRaw, type Raw } from "../core/frame/raw.js";
import type { Fault } from "../core/frame/fault.js";
import { faultsOf } from "../core/faults/faults.js";
import { pointer, segmentsOf } from "../core/frame/pointer.js";
import { isOlder, upgraded } from "../core/frame/upgrade.js";
import { atOnce, type Steps } from "../core/frame/steps.js";
import { plainFrame } from "../core/frame/write.js";
import type { Frame } from "../core/frame/types.js";
import { type FormPart, formFaults, partAt } from "./form.js";
import { mostFaults, parseJson } from "./json.js";

/** A frame, or what is wrong: the first faults, and whether there are more than are told. */
export type ReadResult = { ok: true; frame: Frame } | { ok: false; faults: Fault[]; more: boolean };

const refused = (faults: readonly Fault[]): ReadResult => ({
  ok: false,
  faults: faults.slice(0, mostFaults),
  more: faults.length > mostFaults,
});

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

/** A copy of what some parts of a frame's value are; the rest is the same. */
const copyOfParts = ({ nodes, ...own }: Raw, parts: ReadonlySet<FormPart>): object => {
  const table: Record<string, unknown> = isRaw(nodes) ? { ...nodes } : {};
  for (const id of parts) if (id !== null && Object.hasOwn(table, id)) table[id] = structuredClone(table[id]);
  return { ...structuredClone(own), nodes: table };
};

/** What of a value is sound in form: the rest taken out bit by bit; null when nothing is left to look at. */
function* soundPart(value: unknown, faults: readonly Fault[]): Steps<Frame | null> {
  if (faults.some((fault) => fault.pointer === "" || fault.pointer === "/nodes" || fault.pointer === "/root"))
    return null;
  const parts = new Set(faults.map(({ pointer: at }) => partAt(at)));
  const copy = copyOfParts(isRaw(value) ? value : {}, parts);
  // from the end, so that the places in lists stay true
  for (const fault of [...faults].reverse()) prune(copy, fault, false);
  for (let round = 0; round < 6; round += 1) {
    const left = yield* formFaults(copy, parts);
    if (left.length === 0) return copy as Frame;
    for (const fault of left.reverse()) prune(copy, fault, true);
  }
  return null;
}

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

/** Reads a frame from any value, in the present format or one before: the faults of form and of meaning at once, the first hundred of them, or the frame in its plain form. */
export const readFrameValue = (value: unknown): ReadResult => atOnce(readingFrameValue(value));

/** The same in steps. */
export function* readingFrameValue(value: unknown): Steps<ReadResult> {
  if (!isOlder(value)) return yield* readPresent(value);
  const read = yield* readPresent(upgraded(value));
  return read.ok ? read : { ...read, faults: read.faults.map((fault) => inFile(value, fault)) };
}

/** Faults of meaning, until there are more than are told. */
const meaningFaults = (frame: Frame): Fault[] => faultsOf(frame, undefined, true, mostFaults + 1);

function* readPresent(value: unknown): Steps<ReadResult> {
  const faults = yield* formFaults(value);
  if (faults.length === 0) {
    const frame = value as Frame;
    const meant = meaningFaults(frame);
    return meant.length ? refused(meant) : { ok: true, frame: plainFrame(frame) };
  }
  if (faults.length > mostFaults) return refused(faults);
  // what is sound in form apart from that may still have faults of meaning, which should not wait for the next try
  const rest = yield* soundPart(value, faults);
  const under = (place: string, fault: Fault) => place === fault.pointer || place.startsWith(`${fault.pointer}/`);
  if (rest)
    for (const fault of meaningFaults(rest))
      if (!faults.some((known) => under(fault.pointer, known) || under(known.pointer, fault))) faults.push(fault);
  return refused(faults);
}

/** Reads a `*.frame.json` file: its text, or its bytes as they stand on the disk. */
export const readFrame = (file: string | Uint8Array): ReadResult => atOnce(readingFrame(file));

/** The same in steps. */
export function* readingFrame(file: string | Uint8Array): Steps<ReadResult> {
  const parsed = parseJson(file);
  return parsed.ok ? yield* readingFrameValue(parsed.value) : refused(parsed.faults);
}
