import { decoded, type Pattern } from "./pattern.js";

/** A pattern, what it stands for, and those of its params that must be digits. */
export interface Claim<T> {
  pattern: Pattern;
  value: T;
  whole?: readonly string[];
}

/** What a path leads to. */
export interface Match<T> {
  value: T;
  params: Record<string, string>;
}

interface Leaf<T> {
  value: T;
  /** The params, in the order of their segments. */
  names: readonly string[];
  /** Which of them must be digits. */
  whole: readonly number[];
}

/** What may follow after some segments. */
interface Branch<T> {
  texts: Map<string, Branch<T>> | null;
  name: Branch<T> | null;
  rest: Leaf<T> | null;
  leaf: Leaf<T> | null;
}

const newBranch = <T>(): Branch<T> => ({ texts: null, name: null, rest: null, leaf: null });

const digits = /^[0-9]+$/;

/**
 * Patterns as a tree of segments. Literal beats `:name` beats `*`, segment by segment from the left; where the better one
 * leads to nothing, or to a param that is not the digits it must be, the next one is tried. A branch stands at one depth,
 * so however hostile a path is, each is gone through at most once.
 */
export class Matcher<T> {
  private readonly root = newBranch<T>();
  // of the path at hand: a match is one call, and nothing of it is kept
  private path = "";
  private end = 0;
  private encoded = false;
  private held: string[] = [];

  constructor(claims: Iterable<Claim<T>>) {
    for (const claim of claims) this.add(claim);
  }

  private add({ pattern, value, whole = [] }: Claim<T>): void {
    const leaf = (names: readonly string[]): Leaf<T> => ({
      value,
      names,
      whole: names.flatMap((name, i) => (whole.includes(name) ? [i] : [])),
    });
    let at = this.root;
    for (const [i, segment] of pattern.segments.entries()) {
      if (segment.kind === "rest") {
        at.rest ??= leaf(pattern.names);
        return;
      }
      if (pattern.optional && i === pattern.segments.length - 1) at.leaf ??= leaf(pattern.names.slice(0, -1));
      if (segment.kind === "name") at = at.name ??= newBranch();
      else {
        at.texts ??= new Map();
        let next = at.texts.get(segment.text);
        if (!next) at.texts.set(segment.text, (next = newBranch()));
        at = next;
      }
    }
    at.leaf ??= leaf(pattern.names);
  }

  private isWhole(leaf: Leaf<T>, count: number): boolean {
    for (const i of leaf.whole) if (i < count && !digits.test(this.held[i]!)) return false;
    return true;
  }

  /** `from` is where the next segment begins; `count` how many params are held by now. */
  private walk(branch: Branch<T>, from: number, count: number): Leaf<T> | null {
    const { path, end } = this;
    if (from > end) return branch.leaf && this.isWhole(branch.leaf, count) ? branch.leaf : null;
    let to = path.indexOf("/", from);
    if (to < 0 || to > end) to = end;
    const raw = path.slice(from, to);
    const text = this.encoded ? (decoded(raw) ?? raw) : raw;
    const literal = branch.texts?.get(text);
    const found = literal && this.walk(literal, to + 1, count);
    if (found) return found;
    if (branch.name && text !== "") {
      this.held[count] = text;
      const named = this.walk(branch.name, to + 1, count + 1);
      if (named) return named;
    }
    if (!branch.rest) return null;
    const left = path.slice(from, end);
    if (left === "") return null;
    this.held[count] = this.encoded ? (decoded(left) ?? left) : left;
    return this.isWhole(branch.rest, count + 1) ? branch.rest : null;
  }

  /** What a path leads to, its params percent-decoded; null if nothing. A slash at its end means nothing. */
  match(path: string): Match<T> | null {
    this.path = path;
    this.end = path.endsWith("/") ? path.length - 1 : path.length;
    this.encoded = path.includes("%");
    const leaf = this.walk(this.root, 1, 0);
    if (!leaf) return null;
    const params: Record<string, string> = {};
    const { names } = leaf;
    for (let i = 0; i < names.length; i += 1) params[names[i]!] = this.held[i]!;
    return { value: leaf.value, params };
  }
}
