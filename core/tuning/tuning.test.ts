import fc from "fast-check";
import { builtInMotions } from "../frame/built-in-motions.js";
import { lensOf } from "../frame/look.js";
import type { Motion, Track } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { viewOf } from "../frame/view.js";
import { applyEdit } from "../edit/apply.js";
import type { Edit } from "../edit/edit.js";
import { faultsOf } from "../faults/faults.js";
import { measure } from "../motion/measure.js";
import { movesBetween } from "../navigate/moves.js";
import { walkedPoints } from "../testing/points.js";
import { anyFrame } from "../testing/arbitrary.js";
import { opening, screen, tabbed } from "../testing/frames.js";
import { anyMotion } from "../testing/motions.js";
import { type AppMove, appMoves, cascadeFor, usesOf } from "./app-moves.js";
import { contradictionsOf } from "./directions.js";
import { exampleOf } from "./example.js";
import { alikeEdit, exceptionsOf, motionEdit } from "./set-motion.js";
import { takeBackEdit, takeOutMotion } from "./take-back.js";
import { verdictsOf } from "./verdicts.js";

const targets = [
  { id: "one", label: "One" },
  { id: "two", label: "Two" },
];
const frame: Frame = {
  ...tabbed(
    {},
    {
      item: screen({
        title: "Item",
        actions: [opening("deep"), opening("cover", { motion: "near" }), opening("b", { as: "sheet" })],
      }),
      form: screen({ opens: "sheet" }),
    },
  ),
  targets,
};
const at = (given: Frame, target = "one") => viewOf(given, { target });
const moveOf = (given: Frame, id: string): AppMove => appMoves(given, at(given)).find((each) => each.id === id)!;
const saidFor = (given: Frame, id: string, target = "one") => {
  const { by, id: motion } = cascadeFor(lensOf(given, at(given, target)), moveOf(given, id));
  return `${motion} by ${by.level}`;
};
const changed = (given: Frame, edit: Edit | null): Frame => {
  const result = applyEdit(given, edit!);
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return result.frame;
};

describe("the moves of an app", () => {
  test("are what is pushed or laid over, each other tab, and the ways in that say it themselves", () => {
    expect(
      appMoves(frame, at(frame))
        .map(({ id, kind }) => `${kind} ${id}`)
        .sort(),
    ).toEqual([
      "push aTab.deep",
      "push aTab.item",
      "push app.cover",
      "push app.cover.item.cover",
      "sheet bTab.b.item.b",
      "sheet bTab.form",
      "switch home.bTab",
      "switch home.c",
    ]);
  });
  test("are known by the motion they have", () => {
    expect([...usesOf(frame, at(frame))].map(([id, moves]) => `${id} ${moves.length}`).sort()).toEqual([
      "near 1",
      "rise 2",
      "slip 3",
      "trade 2",
    ]);
  });
  test("each is shown where it happens, and nothing else is shown for it", () => {
    fc.assert(
      fc.property(anyFrame(), (any) => {
        const view = viewOf(any, { target: "key" });
        const points = walkedPoints(any, view);
        for (const move of appMoves(any, view).slice(0, 12)) {
          const found = exampleOf(points, move);
          if (!found) continue;
          const moves = movesBetween(lensOf(any, view), found.before.root, found.after.root);
          expect(moves).toContainEqual(found.move);
          expect([found.move.in, found.move.entering?.node]).toEqual([move.container, move.node]);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe("a motion is set", () => {
  test("once for the whole app, and otherwise for a container, a screen, a way in and a target", () => {
    let now = changed(frame, motionEdit(frame, moveOf(frame, "aTab.item"), "app", "lift"));
    expect(saidFor(now, "aTab.item")).toBe("lift by app");
    now = changed(now, motionEdit(now, moveOf(now, "aTab.item"), "container", "near"));
    expect(saidFor(now, "aTab.deep")).toBe("near by container");
    now = changed(now, motionEdit(now, moveOf(now, "aTab.item"), "screen", "leaf"));
    expect([saidFor(now, "aTab.item"), saidFor(now, "aTab.deep")]).toEqual(["leaf by screen", "near by container"]);
    now = changed(now, motionEdit(now, moveOf(now, "app.cover.item.cover"), "way", "drop"));
    expect(saidFor(now, "app.cover.item.cover")).toBe("drop by way");
    now = changed(now, motionEdit(now, moveOf(now, "app.cover"), "app", "still", "two"));
    expect([saidFor(now, "app.cover"), saidFor(now, "app.cover", "two")]).toEqual(["lift by app", "still by app"]);
    expect(faultsOf(now)).toEqual([]);
    expect(
      exceptionsOf(now, "push")
        .map(({ node, action }) => `${node} ${action}`)
        .sort(),
    ).toEqual(["aTab null", "item cover", "item null", "null null"]);
    const alike = changed(now, alikeEdit(now, "push"));
    expect(exceptionsOf(alike, "push")).toEqual([]);
    expect(alikeEdit(alike, "push")).toBeNull();
    for (const id of ["aTab.item", "aTab.deep", "app.cover"]) expect(saidFor(alike, id, "two")).toBe("lift by app");
  });
  test("each exception by itself is taken back by its own edit", () => {
    const now = changed(frame, motionEdit(frame, moveOf(frame, "aTab.item"), "screen", "leaf"));
    for (const { edit } of exceptionsOf(now, "push").filter(({ action }) => action === null))
      expect(saidFor(changed(now, edit), "aTab.item")).toBe("slip by builtIn");
  });
  test("what is said of one target is taken back alone, then what is said of all", () => {
    const push = moveOf(frame, "aTab.item");
    let now = changed(frame, motionEdit(frame, push, "app", "lift"));
    now = changed(now, motionEdit(now, push, "app", "still", "two"));
    for (const id of ["near", "leaf"])
      now = changed(now, motionEdit(now, push, "screen", id, id === "leaf" ? "two" : undefined));
    expect([saidFor(now, "aTab.item"), saidFor(now, "aTab.item", "two")]).toEqual(["near by screen", "leaf by screen"]);
    now = changed(now, takeBackEdit(now, at(now, "two"), push, "screen"));
    expect([saidFor(now, "aTab.item"), saidFor(now, "aTab.item", "two")]).toEqual(["near by screen", "near by screen"]);
    now = changed(now, takeBackEdit(now, at(now), push, "screen"));
    expect([saidFor(now, "aTab.item"), saidFor(now, "aTab.item", "two")]).toEqual(["lift by app", "still by app"]);
    now = changed(now, takeBackEdit(now, at(now, "two"), push, "app"));
    expect([now.motion, now.vary]).toEqual([{ push: "lift" }, undefined]);
    now = changed(now, takeBackEdit(now, at(now), push, "app"));
    expect([now.motion, now.vary]).toEqual([undefined, undefined]);
  });
  test("what is said of one target alone leaves nothing behind when it is taken back", () => {
    const push = moveOf(frame, "aTab.item");
    for (const level of ["app", "screen", "container"] as const) {
      const now = changed(frame, motionEdit(frame, push, level, "leaf", "two"));
      expect(saidFor(now, "aTab.item", "two")).toBe(`leaf by ${level}`);
      expect(changed(now, takeBackEdit(now, at(now, "two"), push, level))).toEqual(frame);
    }
  });
  test("a motion that is taken out is named nowhere any more, and the frame stays sound", () => {
    const leaf = { leaf2: { ...builtInMotions.leaf!, name: "Leaf 2" } };
    let now: Frame = { ...frame, motions: leaf, calm: "leaf2", motion: { push: "leaf2", sheet: "rise" } };
    for (const [level, target] of [
      ["screen", undefined],
      ["container", "two"],
      ["app", "two"],
      ["way", undefined],
    ] as const) {
      const edit = motionEdit(
        now,
        moveOf(now, level === "way" ? "app.cover.item.cover" : "aTab.item"),
        level,
        "leaf2",
        target,
      );
      now = changed(now, edit);
    }
    expect(faultsOf(now)).toEqual([]);
    const out = changed(now, takeOutMotion(now, "leaf2", false));
    expect(JSON.stringify(out)).not.toContain("leaf2");
    expect(out.motion).toEqual({ sheet: "rise" });
    expect(faultsOf(out)).toEqual([]);
  });
  test("an id that is neither the frame's nor built in is a fault", () => {
    expect(faultsOf({ ...frame, motion: { push: "nowhere" } })[0]).toMatchObject({
      code: "unknown-motion",
      pointer: "/motion/push",
    });
    expect(faultsOf({ ...frame, motion: { push: "leaf" }, calm: "still" })).toEqual([]);
  });
});

const slide = (from: number, to: number): Track => ({ property: "x", from, to, ms: 200, ease: "linear" });
const motion = (incoming: Track[], outgoing: Track[], back: Motion["back"] = "mirror"): Motion => ({
  name: "Test",
  forward: { incoming, outgoing, above: "incoming" },
  back,
});

describe("directions that contradict each other", () => {
  test.each([
    [
      "what comes from where the other goes to",
      motion([slide(100, 0)], [slide(0, 100)]),
      "push",
      /from the end meets what goes out to the end/,
    ],
    [
      "a way back to another side",
      motion([slide(100, 0)], [], { incoming: [], outgoing: [slide(0, -100)], above: "outgoing" }),
      "push",
      /comes from the end and goes back to the start/,
    ],
    [
      "a panel that comes from the other edge",
      motion([slide(100, 0)], []),
      "side",
      /stands at the start and comes from the end/,
    ],
  ] as const)("%s is told, and gone once mended", (_, given, kind, says) => {
    const [found] = contradictionsOf(given, kind);
    expect(found?.says).toMatch(says);
    expect(contradictionsOf(found!.mended, kind)).toEqual([]);
  });
  test("no built-in motion has any, in its own kind of move", () => {
    for (const [id, each] of Object.entries(builtInMotions))
      expect([
        id,
        contradictionsOf(each, id.startsWith("from") ? "side" : "push", id === "fromEnd" ? "end" : "start"),
      ]).toEqual([id, []]);
  });
});

describe("what the numbers of a motion mean", () => {
  const of = (given: Motion, what: string, kind: "push" | "sheet" = "push") =>
    verdictsOf(given, "forward", kind).find((each) => each.of === what)!;
  test("what shows through is told with its share, its time and what to do, and that does it", () => {
    const late: Track = { property: "opacity", from: 0, to: 1, ms: 100, delay: 100, ease: "linear" };
    const { value, says, mend } = of(motion([late], [{ ...late, from: 1, to: 0, delay: 0 }]), "bare");
    expect([value, says]).toEqual(["bare 100 % at 100 ms", "the background shows through: keep the outgoing opaque"]);
    expect(measure(mend!.motion).bare.share).toBeLessThan(0.02);
  });
  test("a mend that is offered mends, whatever the motion", () => {
    fc.assert(
      fc.property(anyMotion(), (given) => {
        for (const toward of ["forward", "back"] as const)
          for (const { mend } of verdictsOf(given, toward, "push"))
            if (mend) expect(measure(mend.motion, toward).bare.share).toBeLessThanOrEqual(0.02);
      }),
      { numRuns: 60 },
    );
  });
  test("a sheet may not swing, a push may a little", () => {
    const lively: Track = {
      property: "y",
      from: 100,
      to: 0,
      ease: { spring: { mass: 1, stiffness: 400, damping: 24 } },
    };
    expect(of(motion([lively], []), "settle", "sheet")).toMatchObject({
      isGood: false,
      says: expect.stringMatching(/a gap opens/),
    });
    expect(of(motion([lively], []), "settle")).toMatchObject({
      isGood: true,
      says: expect.stringMatching(/felt as lively/),
    });
  });
  test("too short, too long and too fast are told", () => {
    const lasting = (ms: number) => motion([{ ...slide(100, 0), ms }], []);
    expect(of(lasting(30), "ms").isGood).toBe(false);
    expect(of(lasting(900), "ms").isGood).toBe(false);
    expect(of(lasting(40), "speed").isGood).toBe(false);
    expect(of(motion([], []), "ms").says).toMatch(/at once/);
  });
});
