import type { ScreenAddress } from "./addresses.js";
import type { Segment } from "../frame/pattern.js";

/** Two patterns of one address: what the second is asked for by it, the first gets. */
export interface Shadow {
  winner: ScreenAddress;
  loser: ScreenAddress;
  /** An address that both match. */
  address: string;
}

const rank: Record<Segment["kind"], number> = { text: 0, name: 1, rest: 2 };

/** Whether a word can stand where a pattern has this segment. */
const takes = (segment: Segment, word: string, whole: readonly string[]): boolean =>
  segment.kind === "text"
    ? segment.text === word
    : !whole.includes(segment.kind === "rest" ? "0" : segment.name) || /^[0-9]+$/.test(word);

const wordOf = (segment: Segment): string => (segment.kind === "text" ? segment.text : "1");

/** An address that both patterns match, and whether it leads to the first; null if there is none. */
const meeting = (a: ScreenAddress, b: ScreenAddress): { path: string; first: boolean } | null => {
  const [mine, others] = [a.pattern, b.pattern];
  const words: string[] = [];
  let first: boolean | null = null;
  for (let i = 0; i < Math.max(mine.segments.length, others.segments.length); i += 1) {
    const [own, other] = [mine.segments[i], others.segments[i]];
    if (!own || !other) {
      // what is longer than the other may only leave its last segment out
      const longer = own ? mine : others;
      if (!longer.optional || i < longer.segments.length - 1) return null;
      break;
    }
    if (own.kind !== other.kind) first ??= rank[own.kind] < rank[other.kind];
    if (own.kind === "rest" || other.kind === "rest") {
      const [rest, longer] = own.kind === "rest" ? [a, others] : [b, mine];
      const left = longer.segments.slice(i).map(wordOf);
      if (rest.whole.includes("0") && !takes({ kind: "rest" }, left.join("/"), rest.whole)) return null;
      words.push(...left);
      break;
    }
    const word = own.kind === "text" ? own.text : wordOf(other);
    if (!takes(own, word, a.whole) || !takes(other, word, b.whole)) return null;
    words.push(word);
  }
  return first === null
    ? null
    : { path: `/${words.map((word) => encodeURIComponent(word.toWellFormed())).join("/")}`, first };
};

/**
 * The pairs of patterns that share an address, each with one; at most `most`. Only patterns that begin alike, or with a
 * name, can meet, so those alone are compared.
 */
export const shadowsOf = (addresses: readonly ScreenAddress[], most = 200): Shadow[] => {
  const shadows: Shadow[] = [];
  const byFirst = new Map<string, ScreenAddress[]>();
  const open: ScreenAddress[] = [];
  const compare = (a: ScreenAddress, b: ScreenAddress): void => {
    // the addresses of one screen lead to it whichever is met
    if (shadows.length >= most || a.screen === b.screen) return;
    const met = meeting(a, b);
    if (met) shadows.push({ winner: met.first ? a : b, loser: met.first ? b : a, address: met.path });
  };
  for (const address of addresses) {
    const first = address.pattern.segments[0];
    if (first?.kind === "text") {
      const others = byFirst.get(first.text) ?? [];
      for (const other of others) compare(other, address);
      for (const other of open) compare(other, address);
      byFirst.set(first.text, [...others, address]);
    } else {
      for (const others of byFirst.values()) for (const other of others) compare(other, address);
      for (const other of open) compare(other, address);
      open.push(address);
    }
  }
  return shadows;
};
