import fc from "fast-check";
import { arrange } from "../arrange/arrange.js";
import type { Frame, HubNode } from "../frame/types.js";
import type { Id, Opens } from "../frame/parts.js";
import { type View, viewOf } from "../frame/view.js";
import { explain } from "../observe/explain.js";
import type { NavigationEvent } from "../navigate/event.js";
import type { State } from "../navigate/state.js";
import { launch, step, viewAfter } from "../navigate/step.js";
import { walkedPoints } from "../testing/points.js";
import { takeWay } from "../explore/taken.js";
import { waysOut } from "../explore/ways.js";
import { anyEvent, anyFrame, eventAt } from "../testing/arbitrary.js";
import { byBand, opening, screen, tabbed } from "../testing/frames.js";
import { waySays } from "./way-says.js";

// what is said, held against what is drawn: the regions of the view are the second reading

interface Drawn {
  roles: Set<string>;
  /** The strips that tabs are chosen on, by their hub. */
  strips: Map<Id, { role: string; dimmed: boolean }>;
}

const drawn = (frame: Frame, state: State, view: View): Drawn => {
  const regions = state.outside || state.root.entries.length === 0 ? [] : arrange(frame, state, view);
  const strips = regions.filter(({ bar, role }) => bar !== undefined && (role !== "drawer" || bar.open));
  return {
    roles: new Set(regions.map(({ role }) => role)),
    strips: new Map(strips.map(({ node, role, bar }) => [node, { role, dimmed: bar!.inert }])),
  };
};

const claim = /[Tt]he (bar|top|rail|panel|drawer) (stays dimmed|stays|shows|is dimmed|can be used again)/;

/** What is not so of what is said of a bar, if anything. */
const untrue = (says: string, before: Drawn, after: Drawn): string | null => {
  const isUsable = [...after.strips.values()].some(({ dimmed }) => !dimmed);
  const [, face, is] = claim.exec(says) ?? [];
  const ofFace = [...after.strips].filter(([, { role }]) => role === face);
  const usable = ofFace.filter(([, { dimmed }]) => !dimmed);
  if (is === "stays" && !usable.some(([hub]) => before.strips.has(hub))) return `no ${face} was and is in sight`;
  if (is === "shows" && !usable.some(([hub]) => !before.strips.has(hub))) return `no ${face} came into sight`;
  if (is === "is dimmed" && !ofFace.some(([, { dimmed }]) => dimmed)) return `no ${face} is dimmed`;
  if (is === "stays dimmed" && (isUsable || !ofFace.some(([, { dimmed }]) => dimmed))) return `no ${face} is dimmed`;
  if (is === "can be used again" && !usable.some(([hub]) => before.strips.get(hub)?.dimmed))
    return `no ${face} was dimmed and is not now`;
  const gone = /(?:hides|covers) the (bar|top|rail|panel)$/.exec(says)?.[1];
  if (gone && isUsable) return "a bar can be used";
  if (gone && ![...before.strips.values()].some(({ role }) => role === gone)) return `there was no ${gone} to lose`;
  if (says.endsWith("no bar in sight") && after.strips.size > 0) return "a bar is in sight";
  return null;
};

/** Random frames, and small ones whose bars come and go at every other event. */
const anyBarred = (): fc.Arbitrary<Frame> => {
  const faces = fc.constantFrom<Partial<HubNode>>(
    byBand("face", { hand: "bar", lap: "rail" }),
    byBand("face", { hand: "top", lap: "panel" }),
    { face: "drawer" },
  );
  const over = fc.record({
    opens: fc.constantFrom<Opens>("push", "push", "push", "sheet", "dialog", "side", "fullscreen"),
    bars: fc.constantFrom("keep", "hide"),
    over: fc.constantFrom("all", "region"),
  });
  const small = fc.tuple(faces, over, over).map(([of, deep, cover]) =>
    tabbed(of, {
      deep: screen({ ...deep, actions: [opening("item")] } as object),
      cover: screen({ ...cover, actions: [opening("b")] } as object),
    }),
  );
  return fc.oneof(anyFrame(), small);
};

const views = fc.constantFrom({ width: 390 }, { width: 390, target: "swipe" }, { width: 700 }, { width: 1100 });

describe("what is said is so, over random frames", () => {
  test("of a way: what opens is drawn as what it is said to be, and bars are where they are said to be", () => {
    const said = new Map<string, number>();
    fc.assert(
      fc.property(anyBarred(), views, (frame, given) => {
        const view = viewOf(frame, given);
        const points = walkedPoints(frame, view);
        for (const [id, node] of Object.entries(frame.nodes))
          for (const way of waysOut(id, node).slice(0, 3)) {
            const says = waySays(points, way).replace("changes the tab, ", "");
            said.set(says, (said.get(says) ?? 0) + 1);
            const taken = takeWay(points, way);
            if (!taken) {
              expect(says).toMatch(/^(loose: leads nowhere|cannot be taken in this view)$/);
              continue;
            }
            const after = drawn(frame, taken.state, view);
            const role = {
              "a sheet": "sheet",
              "a dialog": "dialog",
              "a side panel": "side",
              "a full screen": "fullscreen",
            }[says];
            const wrong =
              // what opens over its region above a full screen over everything is hidden by that
              (role && !after.roles.has(role) && !after.roles.has("fullscreen") && `no ${role} is drawn`) ||
              (says === "beside its list" && !after.roles.has("detail") && "no pair is split") ||
              untrue(says, drawn(frame, taken.from, view), after);
            if (wrong) throw new Error(`${id} to ${way.to}: "${says}", but ${wrong}`);
          }
      }),
      { numRuns: 300 },
    );
    // each of these came up, or nothing was tried
    const came = (words: string) => [...said.keys()].some((says) => says.startsWith(words));
    const words = ["a sheet", "a dialog", "the bar stays", "hides the", "covers the", "no bar in sight"];
    expect(words.filter((each) => !came(each))).toEqual([]);
  });

  test("of an event: a bar that is said to stay, to show, to be dimmed or to be of use again is", () => {
    const said = new Map<string, number>();
    fc.assert(
      fc.property(
        anyBarred(),
        views,
        fc.array(anyEvent(), { minLength: 20, maxLength: 40 }),
        (frame, given, events) => {
          let view = viewOf(frame, given);
          let at = launch(frame, view);
          for (const each of events) {
            const event = eventAt(frame, view, at.state, each);
            const next = step(frame, view, at.state, event);
            const isEvent = typeof event === "object" && event !== null;
            const after = isEvent ? viewAfter(frame, view, event as NavigationEvent) : view;
            if (after === view && next.moves.length === 1)
              for (const says of explain(frame, view, at, event, next)) {
                const wrong = untrue(says, drawn(frame, at.state, view), drawn(frame, next.state, view));
                if (wrong) throw new Error(`"${says}", but ${wrong}`);
                const is = claim.exec(says)?.[2];
                if (is) said.set(is, (said.get(is) ?? 0) + 1);
              }
            at = next;
            view = after;
          }
        },
      ),
      { numRuns: 300 },
    );
    expect(said.get("stays")).toBeGreaterThan(20);
  });
});
