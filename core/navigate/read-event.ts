import { sure } from "../frame/sure.js";
import { type Fault, shown } from "../frame/fault.js";
import { pointer } from "../frame/pointer.js";
import type { EventKind, NavigationEvent } from "./event.js";

type Check = { expected: string; ok: (value: unknown) => boolean; optional?: boolean };

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);
const text: Check = { expected: "a text", ok: (value) => typeof value === "string" };
const flag: Check = { expected: "true or false", ok: (value) => typeof value === "boolean" };
const amount: Check = {
  expected: "a number from 0",
  ok: (value) => typeof value === "number" && Number.isFinite(value) && value >= 0,
};
const size: Check = {
  expected: "a size from 1 to 10000 px",
  ok: (value) => typeof value === "number" && value >= 1 && value <= 10_000,
};
const row: Check = {
  expected: "the number of a row, from 1",
  ok: (value) => typeof value === "number" && Number.isInteger(value) && value >= 1,
};
const values: Check = {
  expected: "an object of texts",
  ok: (value) => isObject(value) && Object.values(value).every((each) => typeof each === "string"),
};
const factValue: Check = {
  expected: "a text, true or false",
  ok: (value) => typeof value === "string" || typeof value === "boolean",
};
const insets: Check = {
  expected: "an object with top, right, bottom, left in px",
  ok: (value) =>
    isObject(value) &&
    Object.entries(value).every(([key, each]) => ["top", "right", "bottom", "left"].includes(key) && amount.ok(each)),
};
const hasAmounts = (value: Record<string, unknown>, keys: readonly string[]): boolean =>
  Object.keys(value).length === keys.length && keys.every((key) => amount.ok(value[key]));
const hinge: Check = {
  expected: "an object with x or y, and size, in px, or null",
  ok: (value) =>
    value === null || (isObject(value) && (hasAmounts(value, ["x", "size"]) || hasAmounts(value, ["y", "size"]))),
};
const cuts: Check = {
  expected: "a list of at most 8 objects with x, y, width, height in px",
  ok: (value) =>
    Array.isArray(value) &&
    value.length <= 8 &&
    value.every((each) => isObject(each) && hasAmounts(each, ["x", "y", "width", "height"])),
};
const oneOf = (...known: string[]): Check => ({
  expected: `one of ${known.join(", ")}`,
  ok: (value) => known.some((each) => each === value),
});
const maybe = (check: Check): Check => ({ ...check, optional: true });

const forms: Record<EventKind, Record<string, Check>> = {
  tap: { action: text, in: maybe(text) },
  pick: { row, in: maybe(text) },
  tab: { to: text },
  menu: { open: maybe(flag) },
  back: {},
  up: { in: maybe(text) },
  dismiss: {},
  open: { to: text, params: maybe(values), how: maybe(oneOf("add", "replace", "clear")) },
  link: { url: text, start: oneOf("cold", "running") },
  fact: { id: text, is: factValue },
  wait: { ms: amount },
  scroll: { to: amount, in: maybe(text) },
  type: { field: text, text, in: maybe(text) },
  view: {
    width: size,
    height: size,
    target: maybe(text),
    calm: maybe(flag),
    rtl: maybe(flag),
    insets: maybe(insets),
    hinge: maybe(hinge),
    cuts: maybe(cuts),
  },
  return: {},
  answer: { leave: flag },
  kill: {},
};

/** The same as lists: reading an event is part of every step. */
const checks = new Map(Object.entries(forms).map(([kind, form]) => [kind, Object.entries(form)]));

/** An event, or what is wrong with a value that should be one. */
export type EventResult = { ok: true; event: NavigationEvent } | { ok: false; fault: Fault };

const isKind = (kind: unknown): kind is EventKind => typeof kind === "string" && Object.hasOwn(forms, kind);

/** Reads an event from any value; `at` is where it stands, as JSON Pointer segments. */
export const readEvent = (value: unknown, at: (string | number)[] = []): EventResult => {
  const fail = (where: (string | number)[], received: unknown, expected: string, remedy: string): EventResult => ({
    ok: false,
    fault: { pointer: pointer(...at, ...where), received: shown(received), expected, remedy },
  });
  if (!isObject(value)) return fail([], value, 'an event such as {"do":"back"}', "Write an object with a do.");
  const kind = value.do;
  if (!isKind(kind)) return fail(["do"], kind, `one of ${Object.keys(forms).join(", ")}`, "Name the event in do.");
  const form = forms[kind];
  for (const [key, check] of sure(checks.get(kind))) {
    const given = value[key];
    if (given === undefined ? !check.optional : !check.ok(given))
      return fail([key], given, check.expected, `Correct ${key} of this ${kind}.`);
  }
  for (const key in value)
    if (key !== "do" && !Object.hasOwn(form, key))
      return fail(
        [key],
        value[key],
        `only ${["do", ...Object.keys(form)].join(", ")}`,
        `A ${kind} has no ${key}: take it out.`,
      );
  const event: unknown = value;
  return { ok: true, event: event as NavigationEvent };
};
