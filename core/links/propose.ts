import { nodeAt } from "../frame/nodes.js";
import { firstOf, sure } from "../frame/sure.js";
import { addressesOf } from "../address/addresses.js";
import { decoded, type Pattern, readPattern } from "../frame/pattern.js";
import { applySoundly } from "../edit/apply.js";
import type { Edit } from "../edit/edit.js";
import type { Planned } from "../edit/part.js";
import { childrenOf } from "../frame/defaults.js";
import { heldBy } from "../frame/held.js";
import { placesOf } from "../frame/frame-index.js";
import { shown } from "../frame/fault.js";
import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { pasteLines } from "../outline/paste.js";
import { readOutline } from "../outline/read.js";

/** An address to be brought in; its title, where the source has one. */
export interface GivenAddress {
  address: string;
  title?: string;
  /** Where it stands in its source: a line, from 1. */
  line: number;
}

/** A pattern that addresses have in common. */
export interface FoundPattern {
  pattern: Pattern;
  title: string;
  /** How many of the addresses it stands for, and one of them. */
  count: number;
  example: string;
  /** Its params that were digits in all of them. */
  whole: string[];
  /** The screen that has such an address already. */
  there: Id | null;
}

/** What cannot be brought in. */
export interface Unread {
  line: number;
  received: string;
  expected: string;
}

/** What a list of addresses comes to: the patterns found in it, what could not be read, and the step that makes what is new. */
export interface Proposal {
  found: FoundPattern[];
  unread: Unread[];
  /** The lines that make what is new, as a list. */
  list: string;
  /** One step that makes the new screens and the stacks they stand in; null when all are there. */
  planned: Planned | null;
  /** The frame once it is made. */
  frame: Frame;
}

/** Addresses brought in at once, at most. */
const mostAddresses = 5000;

/** From so many different words in one place on, they are taken for values. */
const manyWords = 6;

interface Branch {
  children: Map<string, Branch>;
  /** Addresses that end here. */
  ends: GivenAddress[];
}

const newBranch = (): Branch => ({ children: new Map(), ends: [] });

const isValue = (segment: string): boolean =>
  /^\d+$/.test(segment) || /^[0-9a-f]{8}-[0-9a-f-]{27}$/i.test(segment) || /^(?=.*\d)[\w-]{8,}$/.test(segment);

const segmentsOf = ({ address, line }: GivenAddress): string[] | Unread => {
  const text = address.trim();
  const path = text.replace(/^[a-z][a-z0-9+.-]*:\/\/[^/?#]*/i, "").replace(/[?#].*$/s, "");
  const isAddress = text.startsWith("/") || /^[a-z][a-z0-9+.-]*:\/\//i.test(text);
  const unread = { line, received: shown(text, 60), expected: "a path, which begins with a slash, or a whole link" };
  if (!isAddress) return unread;
  const parts = path.split("/").filter(Boolean);
  if (parts.length > 20) return { ...unread, expected: "at most 20 segments" };
  const words = parts.flatMap((part) => decoded(part) ?? []);
  return words.length < parts.length ? { ...unread, expected: "sound percent-encoding" } : words;
};

const singular = (word: string): string =>
  word
    .replace(/ies$/, "y")
    .replace(/(ss|x|ch|sh)es$/, "$1")
    .replace(/([^s])s$/, "$1");

const nameFor = (parent: string | undefined, taken: readonly string[]): string => {
  const words = (parent === undefined ? "id" : singular(parent)).match(/[A-Za-z0-9]+/g) ?? ["id"];
  const joined = words.map((word, i) => (i ? word.charAt(0).toUpperCase() + word.slice(1) : word)).join("");
  const base = /^[A-Za-z]/.test(joined) ? joined : "id";
  for (let n = 1; ; n += 1) {
    const name = n === 1 ? base : `${base}${n}`;
    if (!taken.includes(name)) return name;
  }
};

const titled = (word: string): string => {
  const plain = word.replaceAll(/[-_.+]+/g, " ").trim();
  return plain === "" ? "Screen" : plain.charAt(0).toUpperCase() + plain.slice(1);
};

/** A word as a literal of a pattern: the signs that mean something there are percent-encoded. */
const asLiteral = (word: string): string =>
  encodeURIComponent(word).replaceAll(/[*()]/g, (sign) => `%${sign.charCodeAt(0).toString(16)}`);

/** What was merged under one param, as one branch. */
const merged = (branches: readonly Branch[]): Branch => {
  const one = newBranch();
  for (const { children, ends } of branches) {
    one.ends.push(...ends);
    for (const [word, child] of children) {
      const other = one.children.get(word);
      one.children.set(word, other ? merged([other, child]) : child);
    }
  }
  return one;
};

/** One pattern of the tree, with those further down. */
interface Found extends FoundPattern {
  inner: Found[];
  first: string;
}

const patternsIn = (branch: Branch, segments: string[], names: string[]): Found[] => {
  const own: Found[] = [];
  const words: [string, Branch][] = [];
  const values: Branch[] = [];
  let named: string | null = null;
  for (const [word, child] of branch.children) {
    const given = /^:([A-Za-z_]\w*)\??$/.exec(word)?.[1];
    if (given) named ??= given;
    if (given || isValue(word)) values.push(child);
    else words.push([word, child]);
  }
  // many words in one place that lead to nothing more are values too
  const leaves = words.filter(([word, child]) => word !== "*" && child.children.size === 0);
  const areValues = segments.length > 0 && leaves.length >= manyWords;
  const inner = [
    ...(areValues ? words.filter(([, child]) => child.children.size > 0 || child.ends.length === 0) : words),
  ];
  if (areValues) values.push(...leaves.map(([, child]) => child));

  const visit = (child: Branch, segment: string, title: string, params: string[]): Found[] => {
    const path = [...segments, segment];
    const below = patternsIn(child, path, params);
    const [example] = child.ends;
    if (!example) return below;
    const read = readPattern(`/${path.join("/")}`);
    if (!read.ok) return below;
    return [
      {
        pattern: read.pattern,
        title: child.ends.length === 1 && example.title ? example.title : title,
        count: child.ends.length,
        example: example.address,
        whole: [],
        there: null,
        inner: below,
        first: firstOf(path),
      },
    ];
  };
  for (const [word, child] of inner) {
    const isRest = word === "*";
    own.push(...visit(child, isRest ? "*" : asLiteral(word), isRest ? "All else" : titled(word), names));
  }
  if (values.length) {
    const before = [...segments].reverse().find((segment) => !segment.startsWith(":"));
    const name: string = named !== null && !names.includes(named) ? named : nameFor(before, names);
    own.push(
      ...visit(merged(values), `:${name}`, `${titled(before === undefined ? name : singular(before))} {${name}}`, [
        ...names,
        name,
      ]),
    );
  }
  return own;
};

const flat = (found: readonly Found[]): Found[] => found.flatMap((each) => [each, ...flat(each.inner)]);

/** Which params were digits in every address of a pattern. */
const wholeIn = (pattern: Pattern, given: readonly string[][]): string[] =>
  pattern.segments.flatMap((segment, i) => {
    if (segment.kind !== "name") return [];
    const values = given.flatMap((words) => {
      const fits =
        words.length === pattern.segments.length &&
        pattern.segments.every((each, at) => each.kind !== "text" || each.text === words[at]);
      return fits ? [sure(words[i])] : [];
    });
    return values.length > 0 && values.every((value) => /^\d+$/.test(value)) ? [segment.name] : [];
  });

const plainTitle = (title: string): string => {
  const plain = title.replaceAll(/\s+/g, " ").trim().slice(0, 120);
  return /^[\p{Letter}][\p{Letter}\p{Number} {}]*$/u.test(plain) ? plain : JSON.stringify(plain || "Screen");
};

/** The lines of what is new: what is there already only leads further in. */
const linesOf = (found: readonly Found[], depth: number): string[] =>
  found.flatMap((each) =>
    each.there === null
      ? [`${"  ".repeat(depth)}${plainTitle(each.title)} ${each.pattern.text}`, ...linesOf(each.inner, depth + 1)]
      : linesOf(each.inner, depth),
  );

/** The stack that holds screens with addresses that begin so, and the deepest of them that leads on. */
const homeOf = (frame: Frame, first: string): { stack: Id; opener: Id } | null => {
  for (const { screen, pattern } of addressesOf(frame)) {
    const [segment] = pattern.segments;
    if (segment?.kind !== "text" || segment.text !== first) continue;
    const stack = placesOf(frame, screen).find((place) => frame.nodes[place]?.kind === "stack");
    if (stack !== undefined) return { stack, opener: screen };
  }
  return null;
};

/** The hub that new stacks become tabs of: the one the root holds. */
const hubOf = (frame: Frame): Id | null =>
  childrenOf(nodeAt(frame, frame.root)).find((id) => frame.nodes[id]?.kind === "hub") ?? null;

/**
 * What a list of addresses comes to in a frame: the patterns they have in common, and the screens and stacks that are new.
 * Numbers, long names with digits and many words in one place are taken for values; those that begin alike stand in one
 * stack, which becomes a tab where there is a hub, or a new one for several.
 */
export const proposeAddresses = (frame: Frame, given: readonly GivenAddress[]): Proposal => {
  const root = newBranch();
  const unread: Unread[] = [];
  const read: string[][] = [];
  for (const each of given.slice(0, mostAddresses)) {
    const segments = segmentsOf(each);
    if (!Array.isArray(segments)) {
      unread.push(segments);
      continue;
    }
    read.push(segments);
    let at = root;
    for (const word of segments) {
      let next = at.children.get(word);
      if (!next) at.children.set(word, (next = newBranch()));
      at = next;
    }
    at.ends.push(each);
  }
  if (given.length > mostAddresses)
    unread.push({
      line: sure(given[mostAddresses]).line,
      received: `${given.length} addresses`,
      expected: `at most ${mostAddresses} at once`,
    });
  const tree = patternsIn(root, [], []);
  if (root.ends.length) {
    const home = readPattern("/");
    if (home.ok)
      tree.unshift({
        pattern: home.pattern,
        title: firstOf(root.ends).title ?? "Home",
        count: root.ends.length,
        example: "/",
        whole: [],
        there: null,
        inner: [],
        first: "",
      });
  }
  const held = new Map<string, Id>();
  for (const { screen, pattern } of addressesOf(frame)) for (const shape of pattern.shapes) held.set(shape, screen);
  const found = flat(tree);
  for (const each of found) {
    each.there = each.pattern.shapes.map((shape) => held.get(shape)).find((id) => id !== undefined) ?? null;
    each.whole = wholeIn(each.pattern, read);
  }

  const edits: Edit[] = [];
  const lists: string[] = [];
  let next = frame;
  let chosen: Planned["choose"] = null;
  const add = (lines: readonly string[], parent: Id, opener: Id | null): void => {
    const outline = readOutline(lines.join("\n"));
    if (!outline.ok || lines.length === 0) return;
    const after = childrenOf(nodeAt(next, parent)).at(-1) ?? null;
    const pasted = pasteLines(next, outline.lines, { parent, after, opener });
    if (!pasted.ok) return;
    const result = applySoundly(next, pasted.edit);
    if (!result.ok) return;
    lists.push(lines.join("\n"));
    edits.push(pasted.edit);
    chosen ??= { id: firstOf(pasted.built.tops), parent };
    next = result.frame;
  };
  const groups = new Map<string, Found[]>();
  for (const each of tree) groups.set(each.first, [...(groups.get(each.first) ?? []), each]);
  const homeless: Found[][] = [];
  for (const [first, group] of groups) {
    const home = homeOf(frame, first);
    if (home) add(linesOf(group, 0), home.stack, home.opener);
    else if (linesOf(group, 0).length) homeless.push(group);
  }
  const hub = hubOf(frame);
  const isTab = (group: Found[]): boolean => linesOf(group, 0).length > 1;
  if (hub !== null) {
    const node = nodeAt(frame, hub);
    let free = node.kind === "hub" ? heldBy(node, "limit") - node.children.length : 0;
    for (const group of homeless) {
      const tab = isTab(group) && free > 0;
      if (tab) free -= 1;
      add(linesOf(group, 0), tab ? hub : frame.root, null);
    }
  } else if (homeless.length > 1) add(["Main =", ...homeless.flatMap((group) => linesOf(group, 1))], frame.root, null);
  else for (const group of homeless) add(linesOf(group, 0), frame.root, null);

  // params that were digits are declared so
  for (const { screen, pattern } of addressesOf(next)) {
    const whole = Object.hasOwn(frame.nodes, screen)
      ? []
      : (found.find((each) => each.pattern.text === pattern.text)?.whole ?? []);
    if (whole.length === 0) continue;
    const edit: Edit = {
      kind: "set",
      node: screen,
      key: "params",
      value: Object.fromEntries(whole.map((name) => [name, "whole"])),
    };
    const result = applySoundly(next, edit);
    if (!result.ok) continue;
    edits.push(edit);
    next = result.frame;
  }
  const count = Object.keys(next.nodes).length - Object.keys(frame.nodes).length;
  const planned = edits.length
    ? {
        edit: { kind: "batch" as const, edits },
        label: `Bring in ${count} ${count === 1 ? "part" : "parts"} from addresses`,
        choose: chosen,
      }
    : null;
  return { found, unread, list: lists.join("\n"), planned, frame: next };
};
