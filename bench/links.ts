import { sure } from "../core/index.js";
import createRouter from "find-my-way";
import { match } from "path-to-regexp";
import { Matcher } from "../core/address/matcher.js";
import { type Pattern, readPattern } from "../core/frame/pattern.js";
import { type Figure, timeOf, timesOf } from "./measure.js";

/** Patterns as an app has them: groups of a list, a detail, a word beside the name, and what lies deeper. */
const patternsOf = (count: number): string[] =>
  Array.from({ length: count }, (_, i) => {
    const group = `/group${Math.floor(i / 5)}`;
    return sure(
      [group, `${group}/:item`, `${group}/new`, `${group}/:item/parts/:part`, `${group}/:item/parts/:part/notes/:note`][
        i % 5
      ],
    );
  });

/** Values as addresses hold them: numbers, words in a row, long ids. */
const values = ["7", "1248", "purple-beans-and-leeks", "5f0c2f1e-8a44-4c0a-9d3b-2b7c1e90aa11", "late-frost"];

/** Addresses, none twice: a person seldom follows the same one again, and what was just read is always fast. */
const count = 20_000;
const pathsOf = (patterns: readonly string[], many = count): string[] =>
  Array.from({ length: many }, (_, i) => {
    // a stride that has no factor in common with the table, so that every sort of pattern comes up
    const pattern = sure(patterns[(i * 7919) % patterns.length]);
    let n = i;
    const path = pattern.replaceAll(/:\w+/g, () => `${sure(values[n++ % values.length])}${i}`);
    return i % 20 === 19 ? `${path}/nowhere/at/all` : path;
  });

const read = (text: string): Pattern => {
  const result = readPattern(text);
  if (!result.ok) throw new Error(result.reason);
  return result.pattern;
};
const treeOf = (patterns: readonly string[]) =>
  new Matcher(patterns.map((text) => ({ pattern: read(text), value: text })));

const routerOf = (patterns: readonly string[]) => {
  const router = createRouter();
  for (const pattern of patterns) router.on("GET", pattern, () => undefined, pattern);
  return router;
};

/** Every pattern tried in turn, words before names, as one has to do with a list of expressions. */
const listOf = (patterns: readonly string[]) => {
  const rank = (text: string): string => text.replaceAll(/:\w+/g, "\uFFFF");
  return [...patterns].sort((a, b) => (rank(a) < rank(b) ? -1 : 1)).map((text) => match<Record<string, string>>(text));
};

/** µs of one match with each of several, by turns. */
const perMatch = (paths: readonly string[], ...finds: ((path: string) => unknown)[]): number[] =>
  timesOf(
    finds.map((find) => () => {
      let found = 0;
      for (const path of paths) if (find(path)) found += 1;
      return found;
    }),
  ).map((ms) => (ms * 1000) / paths.length);

/** What it costs to find the screen of an address, against two packages that find handlers for paths, on the same tables and addresses. */
export const linkFigures = (): Figure[] => {
  const figures: Figure[] = [];
  const own = new Map<number, number>();
  for (const size of [10, 100, 1000, 10_000]) {
    const patterns = patternsOf(size);
    const paths = pathsOf(patterns);
    const tree = treeOf(patterns);
    const router = routerOf(patterns);
    for (const path of paths) {
      const [mine, theirs] = [tree.match(path), router.find("GET", path)];
      if ((mine?.value ?? null) !== (theirs?.store ?? null)) throw new Error(`${path} leads to two things`);
    }
    const [value = 0, other = 0] = perMatch(
      paths,
      (path) => tree.match(path),
      (path) => router.find("GET", path),
    );
    own.set(size, value);
    figures.push({
      name: `a match among ${size.toLocaleString("en")} patterns`,
      value,
      unit: "µs",
      against: { name: "find-my-way", value: other, ratio: other / value },
      ...(size === 1000 && { goal: "1.5 times its rate", met: other / value >= 1.5 }),
    });
    figures.push({ name: "  matches a second", value: 1e6 / value, unit: "/s" });
    if (size > 1000) continue;
    const list = listOf(patterns);
    // every pattern tried in turn takes long: a part of the addresses will do
    const [slow = 0] = perMatch(pathsOf(patterns, 400), (path) => list.find((each) => each(path)));
    figures.push({
      name: `  the same, a list of expressions`,
      value: slow,
      unit: "µs",
      against: { name: "path-to-regexp", value: slow, ratio: slow / value },
    });
  }
  const growth = sure(own.get(10_000)) / sure(own.get(10));
  figures.push({
    name: "a match among 10,000 over one among 10",
    value: growth,
    unit: "×",
    goal: "at most 6",
    met: growth <= 6,
  });
  const patterns = patternsOf(1000).map((text) => ({ pattern: read(text), value: text }));
  const build = timeOf(() => new Matcher(patterns));
  figures.push({
    name: "building the tree of 1,000 patterns",
    value: build,
    unit: "ms",
    goal: "under 10 ms",
    met: build < 10,
  });
  return figures;
};
