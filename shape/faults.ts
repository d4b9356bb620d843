import type Joi from "joi";
import { type Fault, shown } from "../core/frame/fault.js";
import { pointer } from "../core/frame/pointer.js";

const oneOf = (valids: readonly unknown[]): string =>
  `${valids.length === 1 ? "" : "one of "}${valids.map((value) => shown(value)).join(", ")}`;

const expectedBy = (item: Joi.ValidationErrorItem): string => {
  const context = item.context ?? {};
  switch (item.type) {
    case "any.required":
      return "a value";
    case "any.only":
      return oneOf(context.valids);
    case "object.unknown":
      return "a key of the format";
    case "object.base":
      return "an object";
    case "array.base":
      return "a list";
    case "string.base":
    case "string.empty":
      return "a text";
    case "string.max":
      return `a text of ${context.limit} characters at most`;
    case "boolean.base":
      return "true or false";
    case "number.base":
      return "a number";
    case "number.integer":
      return "a whole number";
    case "number.min":
      return `a number from ${context.limit}`;
    case "number.max":
      return `a number up to ${context.limit}`;
    case "number.greater":
      return `a number over ${context.limit}`;
    case "array.min":
      return `at least ${context.limit} in the list`;
    case "array.max":
      return `at most ${context.limit} in the list`;
    case "array.sort":
      return "rising numbers";
    case "array.unique":
      return "each property once";
    case "string.pattern.name":
      return context.name === "id" ? "an id: a small letter, then letters and digits, 40 at most" : `a ${context.name}`;
    case "string.pattern.base":
      return "a name of letters, digits and _";
    case "any.invalid":
      return "a name that no object has by itself";
    default:
      return item.message.replaceAll('"', "");
  }
};

const remedyOf = (item: Joi.ValidationErrorItem): string => {
  const key = String(item.path.at(-1) ?? "");
  switch (item.type) {
    case "any.required":
      return `Add ${key}.`;
    case "object.unknown":
      return `Take ${key} out, or correct its name.`;
    default:
      return "Correct it.";
  }
};

/** Turns what Joi says into faults, each once, with a pointer below `at`. */
export const faultsFrom = (error: Joi.ValidationError | undefined, at: (string | number)[] = []): Fault[] => {
  const faults = new Map<string, Fault>();
  const told = new Set<string>();
  for (const item of error?.details ?? []) {
    const where = pointer(...at, ...item.path);
    const value = item.context && "value" in item.context ? item.context.value : undefined;
    const fault = { pointer: where, received: shown(value), expected: expectedBy(item), remedy: remedyOf(item) };
    if (item.type === "object.unknown") fault.received = `the unknown key ${shown(item.path.at(-1))}`;
    // a value that is none of the allowed ones need not be told its type too
    if (item.type.endsWith(".base") && told.has(where)) continue;
    told.add(where);
    if (!faults.has(`${where} ${fault.expected}`)) faults.set(`${where} ${fault.expected}`, fault);
  }
  return [...faults.values()];
};
