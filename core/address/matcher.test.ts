import fc from "fast-check";
import { Matcher } from "./matcher.js";
import { type Pattern, readPattern } from "../frame/pattern.js";

const pattern = (text: string): Pattern => {
  const read = readPattern(text);
  if (!read.ok) throw new Error(`${text}: ${read.reason}`);
  return read.pattern;
};
const matcher = (...texts: string[]) => new Matcher(texts.map((text) => ({ pattern: pattern(text), value: text })));

describe("a path leads to one pattern", () => {
  const all = matcher("/", "/plots", "/plots/new", "/plots/:plot", "/plots/:plot/tasks/:task?", "/help/*", "/help/me");
  test.each([
    ["/", "/", {}],
    ["/plots", "/plots", {}],
    ["/plots/", "/plots", {}],
    ["/plots/new", "/plots/new", {}],
    ["/plots/3", "/plots/:plot", { plot: "3" }],
    ["/plots/caf%C3%A9%2F1", "/plots/:plot", { plot: "café/1" }],
    ["/pl%6Fts/3", "/plots/:plot", { plot: "3" }],
    ["/plots/new/tasks", "/plots/:plot/tasks/:task?", { plot: "new" }],
    ["/plots/3/tasks/9/", "/plots/:plot/tasks/:task?", { plot: "3", task: "9" }],
    ["/help/me", "/help/me", {}],
    ["/help/me/now", "/help/*", { 0: "me/now" }],
  ])("%s is %s", (path, value, params) => expect(all.match(path)).toEqual({ value, params }));

  test.each(["/plot", "/plots//", "/plots/3/tasks/9/1", "/help", "/help/", "/Plots"])("%s leads nowhere", (path) =>
    expect(all.match(path)).toBeNull(),
  );

  test("a param that must be digits lets anything else go on to the next pattern", () => {
    const whole = new Matcher([
      { pattern: pattern("/a/:n"), value: "number", whole: ["n"] },
      { pattern: pattern("/a/*"), value: "rest" },
    ]);
    expect(whole.match("/a/12")?.value).toBe("number");
    for (const text of ["12a", "-1", "1.5", "%31x", "٣"]) expect(whole.match(`/a/${text}`)?.value).toBe("rest");
  });

  test("names that every object answers to are params like any other", () => {
    expect(matcher("/:constructor/:toString").match("/a/b")).toEqual({
      value: "/:constructor/:toString",
      params: { constructor: "a", toString: "b" },
    });
    expect(readPattern("/:__proto__").ok).toBe(false);
  });

  test("a very long path, or one made to send it astray, is answered at once", () => {
    const hard = matcher(
      ...Array.from({ length: 12 }, (_, i) => `/${Array(i).fill("a").join("/")}/:x/b`.replace("//", "/")),
    );
    expect(hard.match("/a".repeat(50_000))).toBeNull();
    expect(hard.match(`/${"a".repeat(100_000)}`)).toBeNull();
  });
});

// a slow reference: every pattern is tried, and of those that match the one that is better at the first segment where they differ wins

const rank = { text: 0, name: 1, rest: 2 } as const;

const isBetter = (a: Pattern, b: Pattern): boolean => {
  for (let i = 0; i < Math.max(a.segments.length, b.segments.length); i += 1) {
    const [mine, other] = [a.segments[i], b.segments[i]];
    if (!mine || !other) return !mine;
    if (rank[mine.kind] !== rank[other.kind]) return rank[mine.kind] < rank[other.kind];
  }
  return false;
};

const paramsBy = (of: Pattern, path: string, whole: readonly string[]): Record<string, string> | null => {
  const source = of.segments.map(({ kind, ...segment }, i) => {
    if (kind === "text") return `/${(segment as { text: string }).text}`;
    if (kind === "rest") return "/(.+)";
    return of.optional && i === of.segments.length - 1 ? "(?:/([^/]+))?" : "/([^/]+)";
  });
  const found = new RegExp(`^${source.join("")}$`, "s").exec(path.replace(/\/$/, ""));
  if (!found) return null;
  const params: Record<string, string> = {};
  for (const [i, name] of of.names.entries()) if (found[i + 1] !== undefined) params[name] = found[i + 1]!;
  return whole.every((name) => params[name] === undefined || /^[0-9]+$/.test(params[name])) ? params : null;
};

test("the tree agrees with trying every pattern in the order of precedence, on random tables and addresses", () => {
  const word = fc.constantFrom("a", "b", "c", "1", "22");
  const segments = fc.array(
    fc.oneof({ weight: 3, arbitrary: word }, { weight: 2, arbitrary: fc.constantFrom(":x", ":y", ":z") }),
    { maxLength: 4 },
  );
  const anyPattern = fc
    .tuple(segments, fc.constantFrom("", "", "/*", "/:last?"))
    .map(([parts, end]) => `/${parts.join("/")}${end}`.replace("//", "/"))
    .filter((text) => readPattern(text).ok);
  const anyPath = fc
    .array(fc.oneof(word, fc.constantFrom("", "aa")), { maxLength: 6 })
    .map((parts) => `/${parts.join("/")}`);
  let matched = 0;
  fc.assert(
    fc.property(
      fc.array(fc.tuple(anyPattern, fc.subarray(["x", "y", "last", "0"])), { maxLength: 30 }),
      fc.array(anyPath, { minLength: 10, maxLength: 20 }),
      (given, paths) => {
        // two patterns of one shape are a fault of the frame
        const taken = new Set<string>();
        const claims = given.flatMap(([text, whole]) => {
          const read = pattern(text);
          if (read.shapes.some((shape) => taken.has(shape))) return [];
          for (const shape of read.shapes) taken.add(shape);
          return [{ pattern: read, value: text, whole }];
        });
        const tree = new Matcher(claims);
        for (const path of paths) {
          let best: { claim: (typeof claims)[number]; params: Record<string, string> } | null = null;
          for (const claim of claims) {
            const params = paramsBy(claim.pattern, path, claim.whole);
            if (params && (!best || isBetter(claim.pattern, best.claim.pattern))) best = { claim, params };
          }
          if (best) matched += 1;
          expect(tree.match(path)).toEqual(best && { value: best.claim.value, params: best.params });
        }
      },
    ),
    { numRuns: 1500 },
  );
  expect(matched).toBeGreaterThan(3000);
});
