import fc from "fast-check";
import { applyEdit } from "../edit/apply.js";
import type { Journey } from "../frame/parts.js";
import { viewOf } from "../frame/view.js";
import { plainFrame } from "../frame/write.js";
import type { NavigationEvent } from "../navigate/event.js";
import { launch, step, viewAfter } from "../navigate/step.js";
import { anyEvent, anyFrame, eventAt } from "../testing/arbitrary.js";
import { back, pick, tab, tabbed } from "../testing/frames.js";
import { freeJourneyId, isLaunch, journeyOf, playJourney, type RecordedStep } from "./journey.js";

const recorded = (frame: ReturnType<typeof tabbed>, events: readonly NavigationEvent[]): Journey => {
  const view = viewOf(frame);
  const start = launch(frame, view).state;
  let [state, seenIn] = [start, view];
  const steps = events.map((event): RecordedStep => {
    const made = {
      event,
      seenIn,
      view: viewAfter(frame, seenIn, event),
      state: step(frame, seenIn, state, event).state,
    };
    [state, seenIn] = [made.state, made.view];
    return made;
  });
  return journeyOf(frame, "way", "A way", { state: start, view }, steps);
};

test("a way that was gone comes out the same when it is played, and otherwise where the frame is another", () => {
  const frame = tabbed();
  const journey = recorded(frame, [pick(3), tab("bTab"), back]);
  expect(journey.steps[0]).toMatchObject({
    event: pick(3),
    see: { top: "item", params: { item: "3" }, back: ["a", "exit"] },
  });
  expect(playJourney(frame, journey).steps.map(({ unlike }) => unlike.length)).toEqual([0, 0, 0]);
  const result = applyEdit(frame, { kind: "set", node: "home", key: "back", value: "leave" });
  if (!result.ok) throw new Error("refused");
  const [, , last] = playJourney(result.frame, journey).steps;
  expect(last!.unlike.map(({ pointer }) => pointer)).toContain("/top");
});
test("what is no event ends it there, with the reason", () => {
  const frame = tabbed();
  const journey = recorded(frame, [pick(3)]);
  const broken: Journey = { ...journey, steps: [...journey.steps, { event: { do: "hop" } }, ...journey.steps] };
  expect(playJourney(frame, broken)).toMatchObject({ broken: { at: 1 }, steps: [{ unlike: [] }] });
});
test("a view that is none is told, and takes nothing with it", () => {
  const frame = tabbed();
  const journey = recorded(frame, [pick(3)]);
  for (const view of [{ width: "wide" }, 7, null, [], { width: 390, height: 844, hinge: 3 }]) {
    const played = playJourney(frame, { ...journey, view: view as never });
    expect([view, played.view.height]).toEqual([view, 844]);
    expect([view, played.broken?.at]).toEqual([view, -1]);
  }
  expect(playJourney(frame, { ...journey, view: { width: 700, height: 500 } }).view).toMatchObject({
    width: 700,
    height: 500,
  });
});
test("ids are free, and a journey begins at a launch alone", () => {
  const frame = tabbed();
  const journey = recorded(frame, []);
  expect(freeJourneyId({ ...frame, journeys: [journey] }, "Way")).toBe("way2");
  const { state } = launch(frame, viewOf(frame));
  expect(isLaunch(frame, viewOf(frame), state)).toBe(true);
  expect(isLaunch(frame, viewOf(frame), step(frame, viewOf(frame), state, pick(1)).state)).toBe(false);
});
test("any way through any frame comes out as it was recorded, and the file keeps it", () => {
  fc.assert(
    fc.property(anyFrame(), fc.array(anyEvent(), { maxLength: 12 }), (frame, given) => {
      const view = viewOf(frame);
      let [state, seenIn] = [launch(frame, view).state, view];
      const events: NavigationEvent[] = [];
      for (const each of given) {
        const event = eventAt(frame, seenIn, state, each);
        const next = step(frame, seenIn, state, event);
        if (next.state === state) continue;
        events.push(event);
        ({ state } = next);
        seenIn = viewAfter(frame, seenIn, event);
      }
      const journey = recorded(frame, events);
      const kept = plainFrame({ ...frame, journeys: [JSON.parse(JSON.stringify(journey)) as Journey] });
      const played = playJourney(kept, kept.journeys![0]!);
      expect(played.broken).toBeNull();
      expect(played.steps.flatMap(({ unlike }) => unlike)).toEqual([]);
    }),
    { numRuns: 100 },
  );
});
