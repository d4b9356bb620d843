import { seeOf, unlike, type Unlike } from "../links/expect.js";
import { equal } from "../frame/equal.js";
import { type Fault, shown } from "../frame/fault.js";
import { isRaw } from "../frame/raw.js";
import { type EventResult, readEvent } from "../navigate/read-event.js";
import { unusualFacts } from "../explore/standpoint.js";
import type { Id, Journey, JourneyStep } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { type View, viewOf } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/event.js";
import type { State } from "../navigate/state.js";
import { eventToView } from "../navigate/view-event.js";
import { launch, type Step, step, viewAfter } from "../navigate/step.js";
import { snapshotOf } from "../observe/snapshot.js";
import { idFrom } from "../edit/naming.js";

/** One event as it was done: in which view, and what it came to. */
export interface RecordedStep {
  event: NavigationEvent;
  /** The view it happened in. */
  seenIn: View;
  /** The device after it. */
  view: View;
  state: State;
}

const eventStep = (event: NavigationEvent, see?: JourneyStep["see"]): JourneyStep => ({
  event: { ...event },
  ...(see && { see }),
});

/** An id for a journey that no other has. */
export const freeJourneyId = (frame: Frame, name: string): Id =>
  idFrom(name, (id) => (frame.journeys ?? []).some((journey) => journey.id === id));

/** Whether a state is one that the app is launched in: a journey begins at none other. */
export const isLaunch = (frame: Frame, view: View, state: State): boolean =>
  equal(launch(frame, view, state.facts).state, state);

/** A way that was gone from a launch, as a journey: its events with what has to be seen after each. Where one happened in another view, that stands before it. */
export const journeyOf = (
  frame: Frame,
  id: Id,
  name: string,
  start: { state: State; view: View },
  steps: readonly RecordedStep[],
): Journey => {
  const facts = unusualFacts(frame, start.state.facts);
  let seenIn = start.view;
  const made: JourneyStep[] = [];
  for (const each of steps) {
    if (!equal(seenIn, each.seenIn)) made.push(eventStep(eventToView(each.seenIn)));
    made.push(eventStep(each.event, seeOf(snapshotOf(frame, each.view, { state: each.state, moves: [], notes: [] }))));
    seenIn = viewAfter(frame, each.seenIn, each.event);
  }
  const { insets, hinge, cuts, calm, rtl, ...size } = start.view;
  const own = { ...(calm && { calm }), ...(rtl && { rtl }), ...(hinge && { hinge }), ...(cuts && { cuts }) };
  const hasInsets = Object.values(insets).some((inset) => inset > 0);
  const view = { ...size, ...own, ...(hasInsets && { insets }) };
  return { id, name, view, ...(facts && { facts }), steps: made };
};

/** One step of a journey as it comes out now. */
export interface PlayedStep {
  event: NavigationEvent;
  view: View;
  before: State;
  step: Step;
  /** Empty where all is seen that has to be. */
  unlike: Unlike[];
}

/** A journey as it comes out now; null where it cannot be read. */
export interface PlayedJourney {
  view: View;
  start: Step;
  steps: PlayedStep[];
  /** A step that is no event, with its place from 0, or (-1) the view it begins in; what follows it is not played. */
  broken: { at: number; says: string } | null;
}

/** The view a journey begins in; what it says of one that is none is left aside, and told as `broken` when it is played. */
export const viewOfJourney = (frame: Frame, { view }: Journey): View => {
  const usual = viewOf(frame);
  const read = readJourneyView(frame, view);
  return read.ok ? viewAfter(frame, usual, read.event) : usual;
};

/** What a journey says of its view, read as the event that makes a device that: a size that is not said is the usual one. */
const readJourneyView = (frame: Frame, view: unknown): EventResult => {
  const { width, height } = viewOf(frame);
  if (isRaw(view)) return readEvent({ do: "view", width, height, ...view });
  const [expected, remedy] = ["an object with width and height in px", "Write the size of a device."];
  return { ok: false, fault: { pointer: "", received: shown(view), expected, remedy } };
};

const brokenSays = ({ received, expected }: Fault): string => `received ${received}, expected ${expected}`;

/** Plays a journey from its launch, and holds what is seen against what was to be. */
export const playJourney = (frame: Frame, journey: Journey): PlayedJourney => {
  let view = viewOfJourney(frame, journey);
  const start = launch(frame, view, journey.facts, journey.url);
  const played: PlayedJourney = { view, start, steps: [], broken: null };
  const viewed = readJourneyView(frame, journey.view);
  if (!viewed.ok) return { ...played, broken: { at: -1, says: brokenSays(viewed.fault) } };
  let { state } = start;
  for (const [at, { event: given, see }] of journey.steps.entries()) {
    const read = readEvent(given);
    if (!read.ok) {
      played.broken = { at, says: brokenSays(read.fault) };
      break;
    }
    const { event } = read;
    const done = step(frame, view, state, event);
    const after = viewAfter(frame, view, event);
    const found = see ? unlike(snapshotOf(frame, after, done), see) : [];
    played.steps.push({ event, view, before: state, step: done, unlike: found });
    view = after;
    ({ state } = done);
  }
  return played;
};
