import { viewOf } from "../frame/view.js";
import fc from "fast-check";
import { anyEdit, anyFrame } from "../testing/arbitrary.js";
import { frameOf, opening, screen, stack, tabbed } from "../testing/frames.js";
import { applyEdit, applySoundly } from "../edit/apply.js";
import { fitPlan } from "./fit.js";
import { planLayout } from "./layout.js";
import type { Placed } from "./placed.js";
import { stepsOf } from "./steps.js";
import type { StackNode } from "../frame/types.js";

const inside = (inner: Placed, outer: Placed): boolean =>
  inner.x >= outer.x &&
  inner.y >= outer.y &&
  inner.x + inner.width <= outer.x + outer.width &&
  inner.y + inner.height <= outer.y + outer.height;
const apart = (a: Placed, b: Placed): boolean =>
  a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y;

describe("the plan", () => {
  test("a stack is set out by fewest taps from its start: each under the one that leads to it", () => {
    const frame = tabbed();
    expect(stepsOf(frame, frame.nodes.aTab as StackNode)).toEqual([
      { id: "a", taps: 0, under: null },
      { id: "item", taps: 1, under: "a" },
      { id: "deep", taps: 2, under: "item" },
    ]);
  });
  test("what nothing in the stack leads to comes last", () => {
    const frame = frameOf({
      app: stack(["far", "one", "two"], { start: "one" }),
      one: screen({ actions: [opening("two")] }),
      two: screen(),
      far: screen(),
    });
    expect(stepsOf(frame, frame.nodes.app as StackNode).map((step) => step.id)).toEqual(["one", "two", "far"]);
  });
  test("a hub's tabs stand side by side, each tooth right over what hangs from it", () => {
    const { teeth, cards } = planLayout(tabbed());
    expect(teeth.map((tooth) => tooth.id)).toEqual(["aTab", "bTab", "c"]);
    const first = cards.find((card) => card.id === "a")!;
    expect(first.x).toBeGreaterThanOrEqual(teeth[0]!.x);
    expect(first.x + first.width).toBeLessThanOrEqual(teeth[0]!.x + teeth[0]!.width);
    expect(first.y).toBeGreaterThanOrEqual(teeth[0]!.y + teeth[0]!.height);
  });
  test("overlays lie on a strip at the foot of their stack, by the view", () => {
    const frame = tabbed({}, { deep: screen({ opens: "sheet", vary: [{ from: "desk", set: { opens: "push" } }] }) });
    const { cards, covers } = planLayout(frame);
    const deep = cards.find((card) => card.id === "deep")!;
    const strip = covers.find((each) => each.stack === "aTab")!;
    expect(deep.covers).toBe(true);
    expect(inside(deep, strip)).toBe(true);
    expect(
      cards.filter((card) => card.parent === "aTab" && card !== deep).every((card) => card.y + card.height < strip.y),
    ).toBe(true);
    const wide = planLayout(frame, { view: viewOf(frame, { width: 1200 }) });
    expect(wide.covers.some((each) => each.stack === "aTab")).toBe(false);
  });
  test("a pair has its panes side by side under their names, with a gutter between", () => {
    const frame = tabbed({}, { c: { kind: "pair", list: "rows", detail: "one" }, rows: screen(), one: screen() });
    const { panes, cards } = planLayout(frame);
    expect(panes.map(({ id, pair, pane }) => [id, pair, pane])).toEqual([
      ["rows", "c", "list"],
      ["one", "c", "detail"],
    ]);
    expect(panes[1]!.x).toBeGreaterThan(panes[0]!.x + panes[0]!.width);
    expect(cards.find((card) => card.id === "one")!.x).toBeGreaterThan(panes[1]!.x);
  });
  test("screens beside a hub lie on a strip of what covers it, loose ones in a tray at the foot", () => {
    const { cards, covers, tray, plates } = planLayout(tabbed({}, { alone: screen() }));
    const cover = cards.find((card) => card.id === "cover")!;
    expect(cover.covers).toBe(true);
    expect(inside(cover, covers[0]!)).toBe(true);
    const root = plates[0]!;
    expect(tray!.y).toBeGreaterThanOrEqual(root.y + root.height);
  });
  test("a change in one tab moves nothing in the tabs before it", () => {
    const before = tabbed();
    const result = applyEdit(before, {
      kind: "add",
      nodes: { fresh: screen() },
      top: "fresh",
      parent: "bTab",
      after: "form",
    });
    if (!result.ok) throw new Error();
    const spots = (frame: typeof before) =>
      new Map(planLayout(frame).cards.map((card) => [card.id, `${card.x},${card.y}`]));
    const [was, is] = [spots(before), spots(result.frame)];
    for (const id of ["a", "item", "deep", "b", "form"]) expect(is.get(id)).toBe(was.get(id));
  });
  test("over any frame: everything lies in its container, nothing on anything else, and the same frame gives the same plan", () => {
    fc.assert(
      fc.property(anyFrame(), (frame) => {
        const { plates, cards, ...rest } = planLayout(frame);
        expect(planLayout({ ...frame })).toEqual({ plates, cards, ...rest });
        const byId = new Map(plates.map((plate) => [plate.id, plate]));
        for (const item of [...plates, ...cards]) {
          const outer = item.parent === null ? undefined : byId.get(item.parent);
          if (outer && !inside(item, outer)) throw new Error(`${item.id} sticks out of ${item.parent}`);
        }
        const siblings = new Map<string | null, Placed[]>();
        for (const item of [...plates, ...cards])
          siblings.set(item.parent, [...(siblings.get(item.parent) ?? []), item]);
        for (const group of siblings.values())
          for (let i = 0; i < group.length; i += 1)
            for (let j = 0; j < i; j += 1)
              if (!apart(group[i]!, group[j]!)) throw new Error(`${group[i]!.id} lies on ${group[j]!.id}`);
      }),
      { numRuns: 200 },
    );
  });
  test("what is kept of it over edits is what would be worked out from scratch", () => {
    fc.assert(
      fc.property(anyFrame(), fc.array(anyEdit(), { maxLength: 8 }), (frame, edits) => {
        let now = frame;
        planLayout(now);
        for (const edit of edits) {
          const result = applySoundly(now, edit);
          if (!result.ok) continue;
          now = result.frame;
          expect(planLayout(now)).toEqual(planLayout(structuredClone(now)));
        }
      }),
      { numRuns: 150 },
    );
  });
  test("fitted into a room, cards are as large as it lets them be, down to title rows", () => {
    const width = (room: { width: number; height: number }) => {
      const card = fitPlan(tabbed(), room, 2).cards.find((each) => each.id === "a")!;
      return card.picture ? card.width : 0;
    };
    expect(width({ width: 3000, height: 3000 })).toBe(150);
    expect(width({ width: 700, height: 560 })).toBeGreaterThanOrEqual(90);
    expect(width({ width: 300, height: 200 })).toBe(0);
    // too narrow either way, with height to spare: rows would be no narrower, so pictures stay
    expect(width({ width: 300, height: 900 })).toBe(90);
  });
});

test("a folded container is drawn by its name alone, and makes room for the others", () => {
  const open = planLayout(tabbed());
  const folded = planLayout(tabbed(), { folded: (id) => id === "home" });
  expect(folded.width * folded.height).toBeLessThan(open.width * open.height);
  expect(folded.plates.map(({ id, folded: is }) => [id, is])).toEqual([
    ["app", false],
    ["home", true],
  ]);
  expect(folded.cards.map(({ id }) => id)).toEqual(["cover"]);
  const tab = planLayout(tabbed(), { folded: (id) => id === "aTab" });
  expect(tab.teeth.map(({ id }) => id)).toEqual(["aTab", "bTab", "c"]);
  expect(tab.cards.map(({ id }) => id)).not.toContain("item");
});
