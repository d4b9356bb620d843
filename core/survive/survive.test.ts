import fc from "fast-check";
import type { Frame } from "../frame/types.js";
import { viewOf } from "../frame/view.js";
import { step, viewAfter } from "../navigate/step.js";
import type { State } from "../navigate/state.js";
import { anyFrame } from "../testing/arbitrary.js";
import { anyStates } from "../testing/states.js";
import { back, frameOf, hub, list, pick, run, screen, stack, tab, tabbed, tap, typing } from "../testing/frames.js";
import { applyEdit } from "../edit/apply.js";
import { lanesOf } from "./lanes.js";
import { mendsOf } from "./mends.js";
import { heldOf, lostOf, type Piece, pieces } from "./pieces.js";
import { rowOf, survivalOf, whyOf } from "./survival.js";
import { muchIn, worstCase } from "./worst.js";

const fatesIn = (frame: Frame, state: State, id: string): Record<Piece, string> => {
  const row = survivalOf(frame, viewOf(frame), state).find((each) => each.id === id);
  if (!row) throw new Error(`nothing of ${id} happens here`);
  return Object.fromEntries(row.cells.map(({ piece, fate }) => [piece, fate])) as Record<Piece, string>;
};

/** On the form of the second tab, with a draft, scrolled; in the first tab a row was picked. */
const used = (frame: Frame) =>
  run(frame, pick(3), tab("bTab"), tap("form"), typing("half"), { do: "scroll", to: 90 }).at.state;

describe("what survives", () => {
  test("all of it another tab and other sizes, where tabs keep everything", () => {
    const frame = tabbed();
    for (const id of ["otherTab", "turned", "folded", "resized"])
      expect(fatesIn(frame, used(frame), id)).toEqual({
        place: "kept",
        scroll: "kept",
        draft: "kept",
        picked: "kept",
        handed: "none",
      });
  });
  test("by the tab that is left: its place alone, or nothing", () => {
    const [place, fresh] = [tabbed({ keep: "place" }), tabbed({ keep: "fresh" })];
    expect(fatesIn(place, used(place), "otherTab")).toMatchObject({ place: "kept", scroll: "lost", draft: "lost" });
    expect(fatesIn(fresh, used(fresh), "otherTab")).toMatchObject({ place: "lost", draft: "lost" });
  });
  test("the same tab moves the person, and an end by the system takes what is not kept by that", () => {
    const frame = tabbed();
    expect(fatesIn(frame, used(frame), "sameTab")).toMatchObject({ place: "moved", draft: "lost", picked: "kept" });
    expect(fatesIn(frame, used(frame), "kill")).toMatchObject({ place: "kept", scroll: "lost", draft: "lost" });
    const whole = { ...frame, relaunch: "everything" as const };
    expect(fatesIn(whole, used(whole), "kill")).toMatchObject({ place: "kept", scroll: "kept", draft: "kept" });
  });
  test("a screen that asks is told as that", () => {
    const frame = tabbed();
    const form = { ...frame.nodes.form!, leave: { when: "draft" as const, ask: "Leave?" } };
    const asking: Frame = { ...frame, nodes: { ...frame.nodes, form: form as Frame["nodes"][string] } };
    expect(fatesIn(asking, used(asking), "sameTab")).toMatchObject({ place: "moved", draft: "asked" });
    expect(fatesIn(asking, used(asking), "out")).toMatchObject({ draft: "asked" });
  });
  test("facts that what is open needs are changed and changed back", () => {
    const needs = [{ fact: "in", is: true, otherwise: "cover", resume: true }];
    const frame = { ...tabbed({ needs }), facts: [{ id: "in", label: "Signed in", launch: true }] };
    expect(fatesIn(frame, used(frame), "fact in")).toMatchObject({ place: "lost", draft: "lost" });
  });
  test("why is told by the step in which it was lost", () => {
    const frame = tabbed({ keep: "place" });
    const [row] = survivalOf(frame, viewOf(frame), used(frame));
    const draft = row!.cells.find(({ piece }) => piece === "draft")!;
    expect(draft.lost).toMatchObject([{ node: "form", says: "half" }]);
    expect(whyOf(frame, row!, draft).join(" ")).toMatch(/held a draft in name: it is lost/);
  });
});

test("mends are those that make it better, tried by running them, with what else they change", () => {
  const frame = tabbed({ keep: "place" });
  const [view, state] = [viewOf(frame), used(frame)];
  const rows = survivalOf(frame, view, state);
  const mends = mendsOf(frame, view, state, rows, rows[0]!, "draft");
  expect(mends.map(({ label, fate }) => [label, fate])).toEqual([
    ["Tabs of home keep everything", "kept"],
    ["form asks before it is left", "asked"],
  ]);
  // the scroll by the same tab change, and both by a link to another tab
  expect(mends[0]!.elsewhere).toBe(3);
  for (const { edit } of mends) expect(applyEdit(frame, edit).ok).toBe(true);
  const kept = rows[0]!.cells.find(({ fate }) => fate === "kept");
  expect(mendsOf(frame, view, state, rows, rows[0]!, kept!.piece)).toEqual([]);
});

describe("a bad case", () => {
  test("has every tab deep, scrolled, and typed on", () => {
    const frame = tabbed();
    const { state, events, start } = worstCase(frame, viewOf(frame));
    expect(muchIn(state).drafts).toBe(1);
    expect(muchIn(state).screens).toBeGreaterThanOrEqual(5);
    const again = events.reduce((at, event) => step(frame, viewOf(frame), at, event).state, start);
    expect(again.root).toEqual(state.root);
  });
  test("is found in an app without tabs too", () => {
    const frame = frameOf({
      app: stack(["rows", "form"]),
      rows: list("form"),
      form: screen({ body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] } }),
    });
    expect(muchIn(worstCase(frame, viewOf(frame)).state)).toMatchObject({ screens: 2, drafts: 1 });
  });
});

describe("lanes", () => {
  test("say what each tab holds, with what is on each screen", () => {
    const frame = tabbed();
    const lanes = lanesOf(frame, viewOf(frame), used(frame));
    expect(lanes.map(({ tab: id, isActive, steps }) => [id, isActive, steps.map(({ node }) => node)])).toEqual([
      ["aTab", false, ["a", "item"]],
      ["bTab", true, ["b", "form"]],
      ["c", false, []],
    ]);
    expect(lanes[0]!.steps[0]).toMatchObject({ picked: 3, isTop: false });
    expect(lanes[1]!.steps[1]).toMatchObject({ drafts: ["half"], scroll: 90, isTop: true });
    const covered = run(frame, pick(3), tap("cover")).at.state;
    expect(lanesOf(frame, viewOf(frame), covered)[0]).toMatchObject({ tab: null, steps: [{ node: "cover" }] });
  });
  test("of tabs within a tab stand each on their own", () => {
    const frame = frameOf({
      app: stack(["home"]),
      home: hub(["in", "b"]),
      in: hub(["x", "y"], { face: "top", title: "In" }),
      x: screen({ title: "X" }),
      y: screen({ title: "Y" }),
      b: screen({ title: "B" }),
    });
    expect(lanesOf(frame, viewOf(frame), run(frame).at.state).map(({ label }) => label)).toEqual([
      "In · X",
      "In · Y",
      "B",
    ]);
  });
});

test("every row is what doing its events one by one comes to, in any state of any frame", () => {
  let lost = 0;
  fc.assert(
    fc.property(anyStates(), ({ frame, seen }) => {
      const { state: last, view } = seen.at(-1)!;
      const state = { ...last, asking: null };
      for (const row of survivalOf(frame, view, state)) {
        let [at, seenIn] = [state as State, view];
        let asked = false;
        for (const event of row.events) {
          at = step(frame, seenIn, at, event).state;
          if (at.asking) {
            asked = true;
            at = step(frame, seenIn, at, { do: "answer", leave: true }).state;
          }
          seenIn = viewAfter(frame, seenIn, event);
        }
        for (const { piece, fate } of row.cells) {
          if (piece === "place") continue;
          const held = heldOf(state, piece);
          const gone = lostOf(held, at, piece).length > 0;
          const expected = held.length === 0 ? "none" : !gone ? "kept" : asked ? "asked" : "lost";
          expect([row.id, piece, fate]).toEqual([row.id, piece, expected]);
          if (gone) lost += 1;
        }
        expect(rowOf(frame, view, state, row).cells).toHaveLength(pieces.length);
        // another size never takes anything
        if (["turned", "folded", "resized"].includes(row.id))
          expect(row.cells.every(({ fate }) => fate === "kept" || fate === "none")).toBe(true);
      }
    }),
    { numRuns: 120 },
  );
  expect(lost).toBeGreaterThan(25);
});

test("what brings a device to a bad case brings it there event by event, questions answered, on any frame", () => {
  let [answered, drafts] = [0, 0];
  fc.assert(
    fc.property(anyFrame(), fc.constantFrom("key", "swipe"), (frame, target) => {
      const view = viewOf(frame, { target });
      const { start, events, state } = worstCase(frame, view);
      const again = events.reduce((at, event) => step(frame, view, at, event).state, start);
      expect(again).toEqual(state);
      expect(state.asking).toBeNull();
      answered += events.filter((event) => event.do === "answer").length;
      drafts += muchIn(state).drafts;
    }),
    { numRuns: 250 },
  );
  expect(drafts).toBeGreaterThan(20);
  expect(answered).toBeGreaterThan(0);
});
test("a question that is open is left aside: what survives is that of the state itself", () => {
  const frame = tabbed();
  const form = { ...frame.nodes.form!, leave: { when: "draft" as const, ask: "Leave?" } };
  const asking: Frame = { ...frame, nodes: { ...frame.nodes, form: form as Frame["nodes"][string] } };
  const free = used(asking);
  const asked = step(asking, viewOf(asking), free, back).state;
  expect(asked.asking).not.toBeNull();
  const fates = (state: State) => survivalOf(asking, viewOf(asking), state).map(({ id, cells }) => [id, cells]);
  expect(fates(asked)).toEqual(fates(free));
});
