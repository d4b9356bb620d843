import type Joi from "joi";

/**
 * Whether a value is surely of a form. It is read in a fraction of the time that the form itself takes, as it tells nothing
 * of what is wrong; false says only that it is not sure, and the form is to be asked.
 */
export type Surely = (value: unknown) => boolean;

/** A form as it describes itself (Joi, `describe`), as far as it is read here. */
interface Described {
  type?: string;
  flags?: Record<string, unknown>;
  rules?: { name: string; args?: Record<string, unknown> }[];
  allow?: unknown[];
  invalid?: unknown[];
  preferences?: Record<string, unknown>;
  keys?: Record<string, Described>;
  patterns?: { schema?: Described; rule: Described }[];
  items?: Described[];
  matches?: Match[];
}
interface Match {
  schema?: Described;
  ref?: { path?: string[]; ancestor?: number };
  is?: Described;
  then?: Described;
  otherwise?: Described;
  switch?: { is: Described; then?: Described }[];
}

const never: Surely = () => false;
const all =
  (...tests: readonly Surely[]): Surely =>
  (value) =>
    tests.every((test) => test(value));

const knownParts = new Set("type rules allow invalid keys patterns items matches".split(" "));
const knownFlags = new Set(["only", "presence", "unknown", "id"]);
/** Which neither widen nor narrow what is read here: nothing is converted in any case. */
const knownPreferences = new Set(["messages", "convert"]);

/** Whether nothing is said of a form that is not known here. */
const isKnown = ({ flags = {}, preferences = {}, ...rest }: Described): boolean =>
  Object.keys(rest).every((part) => knownParts.has(part)) &&
  Object.keys(flags).every((flag) => knownFlags.has(flag)) &&
  [undefined, "required", "optional"].some((presence) => presence === flags.presence) &&
  Object.keys(preferences).every((key) => knownPreferences.has(key));

/** A regular expression as it is written. */
const patternOf = (written: unknown): RegExp | null => {
  const [, source, flags] = /^\/(.*)\/([a-z]*)$/s.exec(String(written)) ?? [];
  return source === undefined ? null : new RegExp(source, flags);
};

const sizeOf = (value: unknown): number =>
  typeof value === "number"
    ? value
    : typeof value === "string" || Array.isArray(value)
      ? value.length
      : isTable(value)
        ? Object.keys(value).length
        : NaN;

/** What a rule asks, by its name; `limit` is the number it names. */
const rules: { [name: string]: (limit: number, args: Record<string, unknown>) => Surely } = {
  min: (limit) => (value) => sizeOf(value) >= limit,
  max: (limit) => (value) => sizeOf(value) <= limit,
  greater: (limit) => (value) => sizeOf(value) > limit,
  integer: () => Number.isSafeInteger,
  pattern: (_limit, { regex, options }) => {
    const pattern = patternOf(regex);
    const isPlain = Object.keys(options ?? {}).every((key) => key === "name");
    return pattern && isPlain ? (value) => typeof value === "string" && pattern.test(value) : never;
  },
};

const rulesOf = ({ rules: asked = [] }: Described): Surely =>
  all(
    ...asked.map(({ name, args = {} }) => {
      const { limit } = args;
      const rule = Object.hasOwn(rules, name) ? rules[name] : undefined;
      if (!rule || (limit !== undefined && typeof limit !== "number")) return never;
      return rule(Number(limit), args);
    }),
  );

/** Values that are taken as they are, or refused, before anything else is asked. */
const besides = ({ allow = [], invalid = [], flags }: Described, test: Surely): Surely => {
  const [allowed, refused] = [new Set(allow), new Set(invalid)];
  if (flags?.only) return (value) => allowed.has(value);
  return (value) => allowed.has(value) || (!refused.has(value) && test(value));
};

const isTable = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const objectOf = (described: Described): Surely => {
  const { keys, patterns = [], flags } = described;
  const [pattern, ...more] = patterns;
  if (more.length || (pattern && !pattern.schema)) return never;
  if (!keys && patterns.length === 0) return all(isTable, rulesOf(described));
  const inner = new Map(Object.entries(keys ?? {}).map(([key, form]) => [key, read(form)]));
  const required = Object.entries(keys ?? {}).flatMap(([key, form]) =>
    form.flags?.presence === "required" ? [key] : [],
  );
  const named = pattern?.schema && { key: read(pattern.schema), rule: read(pattern.rule) };
  const others: (key: string, value: unknown) => boolean = named
    ? (key, value) => named.key(key) && named.rule(value)
    : () => flags?.unknown === true;
  return all(
    (value) =>
      isTable(value) &&
      required.every((key) => Object.hasOwn(value, key)) &&
      Object.entries(value).every(([key, one]) => {
        const test = inner.get(key);
        return test ? test(one) : others(key, one);
      }),
    rulesOf(described),
  );
};

const arrayOf = (described: Described): Surely => {
  const { items: [only, ...more] = [] } = described;
  if (more.length) return never;
  const item: Surely = only ? read(only) : () => true;
  const isEach = (value: unknown): boolean => {
    if (!Array.isArray(value)) return false;
    // also of what is not there in a list with holes
    for (const one of value) if (!item(one)) return false;
    return true;
  };
  // a list that is too long is not gone over
  return all(Array.isArray, rulesOf(described), isEach);
};

/** One form or another: any of several, one by a key of the value, or one for lists and one for all else. */
const alternativesOf = ({ matches = [] }: Described): Surely => {
  const schemas = matches.flatMap(({ schema }) => schema ?? []);
  if (schemas.length === matches.length) {
    const tests = schemas.map(read);
    return (value) => tests.some((test) => test(value));
  }
  const [match, ...more] = matches;
  if (!match || more.length) return never;
  const { ref, is, then, otherwise } = match;
  if (match.switch && ref?.path?.length === 1 && ref.ancestor === 0) {
    const cases = new Map<unknown, Surely>(
      match.switch.flatMap(({ is: { allow = [] }, then: form }) =>
        allow
          .filter((each) => typeof each === "string")
          .map((each): [unknown, Surely] => [each, form ? read(form) : never]),
      ),
    );
    const [key = ""] = ref.path;
    return (value) => isTable(value) && (cases.get(value[key])?.(value) ?? false);
  }
  if (!ref && is && then && otherwise && Object.keys(is).join() === "type" && is.type === "array") {
    const [list, other] = [read(then), read(otherwise)];
    return (value) => (Array.isArray(value) ? list(value) : other(value));
  }
  return never;
};

const types: { [type: string]: (described: Described) => Surely } = {
  string: (described) => all((value) => typeof value === "string" && value !== "", rulesOf(described)),
  number: (described) => all((value) => typeof value === "number" && Math.abs(value) < 1e15, rulesOf(described)),
  boolean: () => (value) => typeof value === "boolean",
  object: objectOf,
  array: arrayOf,
  alternatives: alternativesOf,
  // of anything, only what is named
  any: () => never,
};

function read(described: Described): Surely {
  const of = types[described.type ?? ""];
  return of && isKnown(described) ? besides(described, of(described)) : never;
}

/** The quick reading of a form. */
export const surelyOf = (schema: Joi.Schema): Surely => read(schema.describe() as Described);
