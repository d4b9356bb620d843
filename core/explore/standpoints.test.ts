import fc from "fast-check";
import { isAttached } from "../frame/frame-index.js";
import type { ScreenNode } from "../frame/types.js";
import { viewOf } from "../frame/view.js";
import { sameFacts } from "../frame/needs.js";
import type { State } from "../navigate/state.js";
import { launch } from "../navigate/step.js";
import { sightOf } from "../navigate/sight.js";
import { anyFrame } from "../testing/arbitrary.js";
import { hub, frameOf, opening, screen, stack, tabbed } from "../testing/frames.js";
import { walkedPoints } from "../testing/points.js";
import { factsText } from "../walk/asked-facts.js";
import { firstWaysOf, Scout } from "../walk/first-ways.js";
import { exploreFrom } from "./route.js";
import { openedAt } from "./standpoint.js";
import { Standpoints } from "./standpoints.js";

const shown = (points: Standpoints, id: string) =>
  sightOf(points.lens, points.at(id).state).screens.some(({ entry, inert }) => entry.node === id && !inert);

test("a walk finds a way to every screen that going on from each screen once comes to", () => {
  let compared = 0;
  fc.assert(
    fc.property(anyFrame(), fc.constantFrom("key", "swipe", "none"), (frame, target) => {
      const view = viewOf(frame, { target });
      const { to } = firstWaysOf(frame, view);
      const plain = [...exploreFrom(frame, view, launch(frame, view).state).keys()].filter(
        (id) => frame.nodes[id]!.kind === "screen",
      );
      compared += plain.length;
      expect(plain.filter((id) => !Object.hasOwn(to, id))).toEqual([]);
    }),
    { numRuns: 150, endOnFailure: true },
  );
  expect(compared).toBeGreaterThan(300);
});

test("a way found in another view, or before an edit, is taken only where it still leads there", () => {
  let [kept, lost] = [0, 0];
  fc.assert(
    fc.property(anyFrame(), anyFrame(), fc.constantFrom(390, 700, 1100), (frame, other, width) => {
      const ways = firstWaysOf(other, viewOf(other));
      const points = new Standpoints(frame, viewOf(frame, { width }), [ways]);
      for (const id of Object.keys(frame.nodes)) {
        if (!isAttached(frame, id) || frame.nodes[id]!.kind !== "screen") continue;
        const { way } = points.at(id);
        if (way) expect(shown(points, id)).toBe(true);
        if (way) kept += 1;
        else lost += 1;
      }
    }),
    { numRuns: 100, endOnFailure: true },
  );
  expect(Math.min(kept, lost)).toBeGreaterThan(20);
});

describe("where a person stands", () => {
  const app = tabbed();
  test("is where they come to, and opened from outside as long as no way is known", () => {
    const view = viewOf(app);
    expect(walkedPoints(app).at("deep").way?.events).toEqual([
      { do: "pick", row: 1 },
      { do: "tap", action: "deep" },
    ]);
    const unknown = new Standpoints(app, view);
    expect([unknown.at("deep").way, unknown.isUnreached("deep")]).toEqual([null, false]);
    expect(unknown.at("deep").state).toEqual(openedAt(app, view, "deep"));
  });
  test("is known to be come to by nobody once a walk found no way, until one leads there", () => {
    const two = (one: Partial<ScreenNode>) => frameOf({ app: stack(["one", "two"]), one: screen(one), two: screen() });
    const apart = two({});
    const ways = firstWaysOf(apart, viewOf(apart));
    expect(new Standpoints(apart, viewOf(apart), [ways]).isUnreached("two")).toBe(true);
    const led = two({ actions: [opening("two")] });
    const found = firstWaysOf(led, viewOf(led));
    expect(new Standpoints(led, viewOf(led), [found, ways]).isUnreached("two")).toBe(false);
  });
  test("is not said to be come to by nobody where a walk was ended before all was gone through", () => {
    const apart = frameOf({ app: stack(["one", "two"]), one: screen(), two: screen() });
    const scout = new Scout(apart, viewOf(apart));
    expect(scout.ways().unreached).toEqual([]);
    while (scout.advance(100));
    expect(scout.ways().unreached).toEqual(["two"]);
  });
  test("on a hub is where its bar shows", () => {
    const nested = frameOf({
      app: stack(["first", "home"]),
      first: screen({ actions: [opening("home")] }),
      home: hub(["a", "b"]),
      a: screen({ tab: { label: "A", icon: "circle" } }),
      b: screen({ tab: { label: "B", icon: "circle" } }),
    });
    expect(walkedPoints(nested).at("home").way?.events).toEqual([{ do: "tap", action: "home" }]);
  });
});

test("while facts stay as they are a walk comes to all that going on from each screen once comes to, and no further", () => {
  fc.assert(
    fc.property(anyFrame(), (frame) => {
      const view = viewOf(frame);
      const first = launch(frame, view).state;
      const scout = new Scout(frame, view, first.facts);
      while (scout.advance(100));
      const isSame = ({ facts }: State) => sameFacts(facts, first.facts);
      const plain = [...exploreFrom(frame, view, first, { within: isSame }).keys()];
      const screens = plain.filter((id) => frame.nodes[id]!.kind === "screen");
      expect(screens.filter((id) => !scout.reached.includes(id))).toEqual([]);
      for (const id of scout.reached) {
        const way = scout.ways().to[id]!;
        const end = new Standpoints(frame, view, [scout.ways()]).at(id);
        expect([end.way, factsText(frame, end.state.facts) === factsText(frame, first.facts)]).toEqual([way, true]);
      }
    }),
    { numRuns: 60, endOnFailure: true },
  );
});
