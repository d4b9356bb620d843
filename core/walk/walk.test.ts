import fc from "fast-check";
import type { Frame } from "../frame/types.js";
import { type View, viewOf } from "../frame/view.js";
import { sure } from "../frame/sure.js";
import type { NavigationEvent } from "../navigate/event.js";
import { launch, step } from "../navigate/step.js";
import { snapshotOf } from "../observe/snapshot.js";
import { anyFrame } from "../testing/arbitrary.js";
import { frameOf, hub, list, opening, screen, stack, tabbed } from "../testing/frames.js";
import { slowWalk } from "../testing/slow-walk.js";
import type { Bounds } from "./bounds.js";
import { type ProofId, proofIds, reportOf, type Shown, type WalkReport } from "./report.js";
import type { Watched } from "./sightings.js";
import { Walk } from "./walk.js";

const swipe = { id: "swipe", label: "Swipe", systemBack: false, edgeSwipe: true };
const none = { id: "none", label: "None", systemBack: false };

const walked = (frame: Frame, given: Partial<View> = {}, bounds: Partial<Bounds> = {}): Walk => {
  const walk = new Walk(frame, viewOf(frame, given), bounds);
  while (walk.advance(100));
  return walk;
};
const reportIn = (frame: Frame, given: Partial<View> = {}, bounds: Partial<Bounds> = {}): WalkReport =>
  reportOf(walked(frame, given, bounds));
const brokenIn = ({ proofs }: WalkReport): ProofId[] => proofs.filter(({ holds }) => !holds).map(({ id }) => id);
const proofOf = ({ proofs }: WalkReport, id: ProofId) => sure(proofs.find((proof) => proof.id === id));

/** What is on screen once events were played from how the app begins. */
const played = (frame: Frame, given: Partial<View>, { beginning, events }: Shown) => {
  const view = viewOf(frame, given);
  let at = launch(frame, view, beginning.facts, beginning.url ?? undefined);
  for (const event of events) at = step(frame, view, at.state, event);
  return snapshotOf(frame, view, at);
};

const anyWalked = () =>
  fc
    .tuple(anyFrame(), fc.constantFrom("key", "swipe", "none"), fc.constantFrom([390, 844], [700, 900], [1200, 800]))
    .map(([frame, target, [width, height]]) => ({
      frame,
      view: viewOf(frame, { target, width: width!, height: height! }),
    }));

test("it comes to the states, the edges and the verdicts of a walk over the engine's own states, each known by its text", () => {
  let compared = 0;
  fc.assert(
    fc.property(anyWalked(), ({ frame, view }) => {
      const walk = new Walk(frame, view, { mostStates: 400 });
      while (walk.advance(50));
      if (walk.isFull) return;
      compared += 1;
      const slow = slowWalk(frame, view);
      expect([walk.states.count, walk.edges]).toEqual([slow.states, slow.edges]);
      const times = (what: Watched): number => walk.seen.of(what).reduce((sum, { count }) => sum + count, 0);
      expect([walk.ladders.longest.backs, times("round"), times("draft")]).toEqual([
        slow.longest,
        slow.round,
        slow.lost,
      ]);
      expect([...slow.tops.keys()].filter((id) => !walk.reached.has(id))).toEqual([]);
      expect([walk.seen.of("unmet"), proofOf(reportOf(walk), "trap").broken]).toEqual([[], slow.traps]);
    }),
    { numRuns: 260, endOnFailure: true },
  );
  if (process.env.LAWS_SEED === undefined) expect(compared).toBeGreaterThanOrEqual(200);
}, 120_000);

test("events that are told lead, played by the engine, to the screen they are told for", () => {
  fc.assert(
    fc.property(anyWalked(), ({ frame, view }) => {
      const report = reportIn(frame, view, { mostStates: 150 });
      for (const reached of report.screens.slice(0, 6))
        expect(played(frame, view, reached).shown).toContain(reached.id);
    }),
    { numRuns: 60, endOnFailure: true },
  );
}, 60_000);

describe("what should hold everywhere", () => {
  test("it holds in a sound app, and is told with how many states it holds in", () => {
    const report = reportIn(tabbed({}, { form: screen() }));
    expect(brokenIn(report)).toEqual([]);
    expect(report.states).toBeGreaterThan(20);
    expect(report.proofs.map(({ id }) => id)).toEqual([...proofIds]);
  });

  const planted: [ProofId, string, Frame, Partial<View>, NavigationEvent[]][] = [
    [
      "trap",
      "a screen with no strip, no swipe and nothing that goes back",
      tabbed({}, { deep: screen({ header: "off" }) }),
      { target: "none" },
      [
        { do: "pick", row: 1 },
        { do: "tap", action: "deep" },
      ],
    ],
    ["strips", "a hub with a strip above its tabs' own", tabbed({ strip: true }), {}, []],
    [
      "behind",
      "a sign-in that Back comes to though the person is signed in",
      frameOf(
        {
          app: stack(["gate", "home", "mine"]),
          gate: screen({
            actions: [
              {
                id: "enter",
                label: "In",
                place: "body",
                do: { kind: "set", fact: "in", is: true, then: { kind: "open", to: "home" } },
              },
            ],
          }),
          home: screen({ actions: [opening("mine")] }),
          mine: screen({ needs: [{ fact: "in", is: true, otherwise: "gate" }] }),
        },
        { facts: [{ id: "in", label: "In" }] },
      ),
      {},
      [{ do: "tap", action: "enter" }, { do: "back" }],
    ],
    [
      "reached",
      "a screen that nothing leads away from",
      frameOf({ app: stack(["a", "end"]), a: screen({ actions: [opening("end", { how: "clear" })] }), end: screen() }),
      { target: "none" },
      [{ do: "tap", action: "end" }],
    ],
    [
      "drafts",
      "a form in a sheet that is swiped away",
      frameOf({
        app: stack(["a", "form"]),
        a: screen({ actions: [opening("form")] }),
        form: screen({
          opens: "sheet",
          body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] },
        }),
      }),
      { target: "none" },
      [{ do: "tap", action: "form" }, { do: "type", field: "name", text: "1" }, { do: "dismiss" }],
    ],
  ];
  test.each(planted)("%s: %s", (id, _, given, at, events) => {
    const frame: Frame = { ...given, targets: [{ id: "key", label: "Key" }, swipe, none] };
    const report = reportIn(frame, at);
    expect(brokenIn(report)).toContain(id);
    expect(proofOf(report, id).shown?.events).toEqual(events);
  });

  test("a screen that nothing leads to is named", () => {
    const report = reportIn(frameOf({ app: stack(["a", "b"]), a: screen(), b: screen() }));
    expect(proofOf(report, "reached")).toMatchObject({ holds: false, screens: ["b"], shown: null });
  });

  test("an app that may show nothing is told as one whose needs cannot be met", () => {
    const frame = frameOf(
      { app: stack(["a"]), a: screen({ needs: [{ fact: "in", is: true }] }) },
      { facts: [{ id: "in", label: "In" }] },
    );
    expect(brokenIn(reportIn(frame))).toContain("needs");
  });
});

describe("how far it goes", () => {
  test("a screen that pushes itself without end is walked until it lies there twice, and that is told", () => {
    const frame = frameOf({
      app: stack(["a"]),
      a: screen({ params: { n: "text" }, actions: [opening("a", { params: { n: "{n}1" } })] }),
    });
    const { bounds, states } = reportIn(frame);
    expect(bounds.beyond).toEqual([{ why: "alike", node: "a" }]);
    expect(states).toBeLessThan(10);
  });

  test("after so many states it goes on only to what shows another screen, and says nothing of those it did not come to", () => {
    const [report, whole] = [reportIn(tabbed(), {}, { mostStates: 4 }), reportIn(tabbed())];
    expect([report.bounds.isFull, whole.bounds.isFull]).toEqual([true, false]);
    const idsOf = ({ screens }: WalkReport) => screens.map(({ id }) => id).sort();
    expect(idsOf(report)).toEqual(idsOf(whole));
    expect(report.states).toBeLessThanOrEqual(4 + 2 * report.screens.length);
    expect(proofOf(report, "reached").screens).toEqual([]);
  });

  test("it begins with every value that lasting facts may have, and by every address", () => {
    const frame = frameOf(
      {
        app: stack(["a", "mine"]),
        a: screen(),
        mine: screen({ path: "/mine/:n", needs: [{ fact: "in", is: true }] }),
      },
      {
        facts: [
          { id: "in", label: "In" },
          { id: "unused", label: "Unused" },
        ],
      },
    );
    const { screens } = reportIn(frame);
    expect(screens.find(({ id }) => id === "mine")).toMatchObject({
      taps: 0,
      beginning: { facts: { in: true, unused: false }, url: "/mine/1" },
    });
  });

  test("a screen that goes on by itself takes no tap, and a tap of each way is counted", () => {
    const frame = frameOf({
      app: stack(["splash", "home", "list", "item"]),
      splash: screen({ after: { ms: 900, do: { kind: "open", to: "home", how: "replace" } } }),
      home: screen({ actions: [opening("list")] }),
      list: list("item", "n"),
      item: screen({ params: { n: "text" } }),
    });
    expect(reportIn(frame).screens.map(({ id, taps }) => [id, taps])).toEqual([
      ["splash", 0],
      ["home", 0],
      ["list", 1],
      ["item", 2],
    ]);
  });

  test("what lies in tabs in the background is not asked about again: many more states than the engine is asked for", () => {
    const firsts = ["p", "q", "r", "s", "t"];
    const nodes = Object.fromEntries(
      firsts.flatMap((first) => [
        [`${first}Tab`, stack([first, `${first}1`, `${first}2`])],
        [first, screen({ actions: [opening(`${first}1`), opening(`${first}2`)] })],
        [`${first}1`, screen({ actions: [opening(`${first}2`)] })],
        [`${first}2`, screen()],
      ]),
    );
    const walk = walked(frameOf({ app: stack(["home"]), home: hub(firsts.map((first) => `${first}Tab`)), ...nodes }));
    expect(walk.states.count).toBeGreaterThan(5000);
    expect(walk.asked).toBeLessThan(walk.states.count / 10);
  });
});
