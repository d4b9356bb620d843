import { keysOf } from "../frame/keys.js";
import { sure, firstOf } from "../frame/sure.js";
import { readPattern } from "../frame/pattern.js";
import { isId } from "../frame/ids.js";
import { shown } from "../frame/fault.js";
import type { Id, Leave, Opens } from "../frame/parts.js";

/** What a line is said to be; without a mark it is what its place makes of it. */
export type LineKind = "hub" | "pair" | "stack" | "own" | "alone";

/** What the marks behind a name say. */
export interface Marks {
  /** `=` a hub · `|` a pair · `:` a stack · `>` a stack that starts with a screen of its own name · `.` a screen alone. */
  kind?: LineKind;
  /** `^`, `^dialog`, `^side`, `^fullscreen`: it opens as an overlay. */
  opens?: Opens;
  /** `/plots/:plot`: the screen's address. */
  path?: string;
  /** `*leaf`: the icon of a tab. */
  icon?: string;
  /** `#plots`, or `#plotsTab>plots` for a stack and the screen it starts with. */
  ids?: { outer?: Id; inner: Id };
  /** `&plots`: that screen stands here too. */
  again?: Id;
  /** `?`, `?always`: it asks before it is left, while a draft would be gone or always. */
  leave?: Leave["when"];
  /** `!`: the hub starts at this tab. */
  start?: true;
}

/** Where something stands in the text; lines and columns count from 1. */
export interface Spot {
  line: number;
  column: number;
  length: number;
}

/** Something wrong in a list, with where it stands. */
export interface OutlineFault extends Spot {
  received: string;
  expected: string;
  remedy: string;
}

/** One line of a list: what it names, and the lines beneath it. */
export interface OutlineLine extends Marks {
  /** Null where the line has an id alone. */
  name: string | null;
  lines: OutlineLine[];
  at: Spot;
}

/** How an overlay opens, by the word behind the mark `^`. */
export const overlayWords: Readonly<Record<string, Opens>> = {
  "": "sheet",
  dialog: "dialog",
  side: "side",
  fullscreen: "fullscreen",
};
/** What a line is said to be, by its sign. */
export const kindSigns: Readonly<Record<string, LineKind>> = {
  "=": "hub",
  "|": "pair",
  ":": "stack",
  ">": "own",
  ".": "alone",
};

type Wrong = Pick<OutlineFault, "received" | "expected" | "remedy">;
type Read = { marks: Marks } | Wrong;

interface MarkForm {
  form: RegExp;
  read: (token: string) => Read;
}

const idsOf = (text: string): Read => {
  const parts = text.split(">");
  if (parts.length > 2 || !parts.every(isId))
    return {
      received: `the id ${shown(text)}`,
      expected: "a small letter, then letters and digits, 40 at most",
      remedy: "Choose another id, or leave it out: it is made from the name.",
    };
  const [first = "", second] = parts;
  return { marks: { ids: second === undefined ? { inner: first } : { outer: first, inner: second } } };
};

const overlay = (word: string): Read =>
  Object.hasOwn(overlayWords, word)
    ? { marks: { opens: sure(overlayWords[word]) } }
    : {
        received: shown(`^${word}`),
        expected: "^ for a sheet, ^dialog, ^side or ^fullscreen",
        remedy: "Take one of these, or put the name in quotes.",
      };

const asking = (word: string): Read =>
  word === "" || word === "always"
    ? { marks: { leave: word || "draft" } }
    : {
        received: shown(`?${word}`),
        expected: "? for a screen that asks while a draft would be gone, or ?always",
        remedy: "Take one of these, or put the name in quotes.",
      };

const address = (path: string): Read => {
  const read = readPattern(path);
  return read.ok
    ? { marks: { path } }
    : { received: shown(path), expected: `an address pattern: ${read.reason}`, remedy: "Correct the address." };
};

/** The marks: what each looks like, and what it says. */
const markForms: readonly MarkForm[] = [
  { form: /^[=|:>.]$/, read: (token) => ({ marks: { kind: sure(kindSigns[token]) } }) },
  { form: /^!$/, read: () => ({ marks: { start: true } }) },
  { form: /^\?[a-z]*$/, read: (token) => asking(token.slice(1)) },
  { form: /^\^[a-z]*$/, read: (token) => overlay(token.slice(1)) },
  { form: /^\*[a-z][a-z0-9-]*$/, read: (token) => ({ marks: { icon: token.slice(1) } }) },
  { form: /^\/\S*$/, read: address },
  { form: /^#\S+$/, read: (token) => idsOf(token.slice(1)) },
  { form: /^&[a-z][A-Za-z0-9]*$/, read: (token) => ({ marks: { again: token.slice(1) } }) },
];

const formOf = (token: string): MarkForm | undefined => markForms.find(({ form }) => form.test(token));

/** One line as it was read, with what is wrong in it. */
export interface LineRead {
  name: string | null;
  marks: Marks;
  faults: OutlineFault[];
}

const quoted = /^"(?:[^"\\]|\\.)*"(?=\s|$)/;
/** The most letters of a title. */
const mostLetters = 200;

const nameFault = (name: string | null, marks: Marks, spot: Spot): OutlineFault[] => {
  if (name === null && !marks.ids)
    return [{ ...spot, received: "marks without a name", expected: "a name before them", remedy: "Put a name first." }];
  if (name !== null && name.length > mostLetters)
    return [
      {
        ...spot,
        received: `a name of ${name.length} letters`,
        expected: `${mostLetters} at most`,
        remedy: "Shorten it.",
      },
    ];
  return [];
};

/** The text of a quoted name; null where the quotes hold no text. */
const unquoted = (text: string): string | null => {
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === "string" ? value : null;
  } catch {
    return null;
  }
};

/**
 * Reads what a line says, from its first letter on: a name and the marks behind it. Marks stand at the end, so a name may
 * hold any sign before them; one that ends in what looks like a mark stands in quotes.
 */
export const readLine = (text: string, line: number, indent: number): LineRead => {
  const spotOf = (start: number, length: number): Spot => ({ line, column: indent + start + 1, length });
  const inQuotes = quoted.exec(text)?.[0];
  const tokens = [...text.matchAll(/\S+/g)].filter(({ index }) => index >= (inQuotes?.length ?? 0));
  let first = tokens.length;
  while (first > 0 && formOf(sure(tokens[first - 1])[0])) first -= 1;
  const faults: OutlineFault[] = [];
  const marks: Marks = {};
  let name: string | null;
  if (inQuotes !== undefined) {
    name = unquoted(inQuotes);
    const stray = tokens[0];
    if (name === null)
      faults.push({
        ...spotOf(0, inQuotes.length),
        received: shown(inQuotes),
        expected: "a text in quotes",
        remedy: 'Write \\" for a quote and \\\\ for a backslash in it.',
      });
    else if (stray && first > 0)
      faults.push({
        ...spotOf(stray.index, stray[0].length),
        received: shown(stray[0]),
        expected: "a mark behind the name in quotes",
        remedy: "Take it out, or put it within the quotes.",
      });
  } else {
    const end = tokens[first]?.index ?? text.length;
    name = text.slice(0, end).trim();
    if (name.length > 1 && name.endsWith(":")) {
      name = name.slice(0, -1).trimEnd();
      marks.kind = "stack";
    }
    if (name === "") name = null;
  }
  for (const token of tokens.slice(first)) {
    const spot = spotOf(token.index, token[0].length);
    const read = sure(formOf(token[0])).read(token[0]);
    if (!("marks" in read)) {
      faults.push({ ...spot, ...read });
      continue;
    }
    const key = firstOf(keysOf(read.marks));
    if (marks[key] !== undefined)
      faults.push({
        ...spot,
        received: `${shown(token[0])} as a second mark of its sort`,
        expected: "one of each sort",
        remedy: "Take one of them out.",
      });
    else Object.assign(marks, read.marks);
  }
  if (faults.length === 0) faults.push(...nameFault(name, marks, spotOf(0, Math.max(1, text.length))));
  return { name, marks, faults };
};

/** A name as it stands in a list: in quotes where it would be read as something else. */
export const writeName = (name: string): string => {
  // marks may follow it, and then a name that is a bullet alone is one
  if (name !== "" && !/[\r\n]/.test(name) && bulletIn(`${name} `) === 0 && !name.startsWith('"')) {
    const read = readLine(name, 1, 0);
    if (read.name === name && Object.keys(read.marks).length === 0) return name;
  }
  return JSON.stringify(name);
};

/** Whether the colon of a stack can touch its name: “Tools:”. */
export const takesColon = (name: string): boolean => {
  if (writeName(name) !== name) return false;
  const read = readLine(`${name}:`, 1, 0);
  return read.name === name && read.marks.kind === "stack" && Object.keys(read.marks).length === 1;
};

/** How many letters the bullet or number takes that a line of a pasted list begins with. */
export const bulletIn = (text: string): number => /^(?:[-*+•–]|\d{1,3}[.)])\s+/.exec(text)?.[0].length ?? 0;
