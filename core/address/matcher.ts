import { decoded, type Pattern } from "../frame/pattern.js";
import { behind, behindWord, type Branch, branchAt, hashed, type Leaf, newBranch } from "./branch.js";

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

const slash = 47;

const endOf = (path: string, from: number, end: number): number => {
  const to = path.indexOf("/", from);
  return to < 0 || to > end ? end : to;
};

const decodedOr = (text: string): string => decoded(text) ?? text;

const digits = /^[0-9]+$/;

/** What of a branch is tried first, then, and last. */
const byText = 0;
const byName = 1;
const byRest = 2;

/**
 * Patterns as a tree of segments. Literal beats `:name` beats `*`, segment by segment from the left; where the better one
 * leads to nothing, or to a param that is not the digits it must be, the next one is tried. A branch stands at one depth,
 * so however hostile a path is, each is gone through at most once.
 */
export class Matcher<T> {
  private readonly root = newBranch<T>();
  // of the match at hand; kept from one to the next, as making them anew would be most of the work
  private readonly held: string[] = [];
  /** Where a match goes on when what it tried leads to nothing: the branch, where its segment begins, the params held then, what to try. */
  private readonly forks: { branch: Branch<T>; from: number; count: number; next: number }[] = [];

  constructor(claims: Iterable<Claim<T>>) {
    for (const claim of claims) this.add(claim);
  }

  private add({ pattern, value, whole = [] }: Claim<T>): void {
    const leaf = (names: readonly string[]): Leaf<T> => ({
      value,
      names,
      whole: names.some((name) => whole.includes(name))
        ? names.flatMap((name, i) => (whole.includes(name) ? [i] : []))
        : null,
    });
    let at = this.root;
    for (const [i, segment] of pattern.segments.entries()) {
      if (segment.kind === "rest") {
        at.rest ??= leaf(pattern.names);
        return;
      }
      if (pattern.optional && i === pattern.segments.length - 1) at.leaf ??= leaf(pattern.names.slice(0, -1));
      if (segment.kind === "name") at = at.name ??= newBranch();
      else at = branchAt(at, segment.text);
    }
    at.leaf ??= leaf(pattern.names);
  }

  private isWhole({ whole }: Leaf<T>): boolean {
    if (whole === null) return true;
    for (const i of whole) if (!digits.test(this.held[i]!)) return false;
    return true;
  }

  private matched({ value, names }: Leaf<T>): Match<T> {
    const params: Record<string, string> = {};
    for (let i = 0; i < names.length; i += 1) params[names[i]!] = this.held[i]!;
    return { value, params };
  }

  private fork(at: number, branch: Branch<T>, from: number, count: number, next: number): void {
    const fork = this.forks[at];
    if (fork === undefined) {
      this.forks[at] = { branch, from, count, next };
      return;
    }
    fork.branch = branch;
    fork.from = from;
    fork.count = count;
    fork.next = next;
  }

  /** What a path leads to, its params percent-decoded; null if nothing. A slash at its end means nothing. */
  match(path: string): Match<T> | null {
    const { held, forks } = this;
    const end = path.charCodeAt(path.length - 1) === slash ? path.length - 1 : path.length;
    const encoded = path.includes("%");
    let branch = this.root;
    /** Where the next segment begins. */
    let from = 1;
    /** How many params are held by now. */
    let count = 0;
    let next = byText;
    let open = 0;
    for (;;) {
      let isDead = true;
      if (from > end) {
        const { leaf } = branch;
        if (leaf !== null && this.isWhole(leaf)) return this.matched(leaf);
      } else {
        const slots = next === byText ? branch.slots : null;
        let to = from;
        let literal: Branch<T> | undefined;
        if (slots === null) to = endOf(path, from, end);
        else if (encoded) {
          to = endOf(path, from, end);
          literal = behindWord(slots, decodedOr(path.slice(from, to)));
        } else {
          // one walk over the letters finds the end of the segment and its hash; it ends early where no word is as long
          const limit = Math.min(end, from + branch.longest + 1);
          let hash = 0;
          for (; to < limit; to += 1) {
            const code = path.charCodeAt(to);
            if (code === slash) break;
            hash = hashed(hash, code);
          }
          if (to - from > branch.longest) to = endOf(path, to, end);
          else literal = behind(slots, path, from, to, hash);
        }
        if (literal !== undefined) {
          if (branch.name !== null) this.fork(open++, branch, from, count, byName);
          else if (branch.rest !== null) this.fork(open++, branch, from, count, byRest);
          branch = literal;
          from = to + 1;
          isDead = false;
        } else if (next !== byRest && branch.name !== null && to > from) {
          if (branch.rest !== null) this.fork(open++, branch, from, count, byRest);
          const text = path.slice(from, to);
          held[count] = encoded ? decodedOr(text) : text;
          count += 1;
          branch = branch.name;
          from = to + 1;
          isDead = false;
        } else if (branch.rest !== null && from < end) {
          const text = path.slice(from, end);
          held[count] = encoded ? decodedOr(text) : text;
          if (this.isWhole(branch.rest)) return this.matched(branch.rest);
        }
      }
      next = byText;
      if (!isDead) continue;
      if (open === 0) return null;
      open -= 1;
      ({ branch, from, count, next } = forks[open]!);
    }
  }
}
