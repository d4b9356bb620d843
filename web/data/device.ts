import {
  type Facts,
  factsOf,
  type Frame,
  type Id,
  isAttached,
  launch,
  nameOf,
  type NavigationEvent,
  noRenames,
  refit,
  type Renames,
  routeTo,
  type Standpoints,
  type State,
  type Step,
  step,
  throughAll,
  type View,
  viewAfter,
  viewOf,
} from "../../core/index.js";
import { noReasons, Reasons } from "./reasons.js";

/** One step that a device made: what happened, in which view, and what that came to. */
export interface DeviceStep {
  event: NavigationEvent;
  view: View;
  before: State;
  step: Step;
}

/** The live device: where the person is in the app, in which view, and why. A value. */
export interface Device {
  view: View;
  at: Step;
  /** Why the last event did what it did. */
  reasons: Reasons;
  /** Every step of what was done last, one after another: who draws may show each of them. Empty where it was put there. */
  steps: readonly DeviceStep[];
}

/** A step that only says where the app is: nothing led there. */
const standingAt = (state: State): Step => ({ state, moves: [], notes: [], passed: [] });

/** A device on a state, which nothing led to. */
export const deviceAt = (view: View, state: State, reasons: Reasons = noReasons): Device => ({
  view,
  at: standingAt(state),
  reasons,
  steps: [],
});

/** A device that launches its app. */
export const newDevice = (frame: Frame, given: Partial<View> = {}, facts?: Facts): Device => {
  const view = viewOf(frame, given);
  const at = launch(frame, view, facts);
  return { view, at, reasons: Reasons.found((tell) => tell.explain(frame, view, null, null, at)), steps: [] };
};

/** A device whose app starts by a link. */
export const linkedDevice = (frame: Frame, view: View, facts: Facts, url: string): Device => {
  const at = launch(frame, view, facts, url);
  const event: NavigationEvent = { do: "link", url, start: "cold" };
  return { view, at, reasons: Reasons.found((tell) => tell.explain(frame, view, null, event, at)), steps: [] };
};

/** Those facts of a state that outlive the end of the app. */
export const lastingFacts = (frame: Frame, { facts }: State): Facts =>
  Object.fromEntries(
    factsOf(frame).flatMap(({ id, lasting }) =>
      lasting === false || facts[id] === undefined ? [] : [[id, facts[id]]],
    ),
  );

/** The device after an event, which may have happened in another view of the same state. */
export const withEvent = (frame: Frame, device: Device, event: NavigationEvent, view = device.view): Device => {
  const at = step(frame, view, device.at.state, event);
  const before = device.at;
  return {
    view: viewAfter(frame, device.view, event),
    at,
    reasons: Reasons.found((tell) => tell.explain(frame, view, before, event, at), device.reasons),
    steps: [...device.steps, { event, view, before: device.at.state, step: at }],
  };
};

/** The device after several events, one after another; their steps stand behind those it has. */
export const withEvents = (frame: Frame, device: Device, events: readonly NavigationEvent[]): Device =>
  events.reduce((at, event) => withEvent(frame, at, event), device);

/** The device on a frame that was edited: it keeps its place as far as that exists, also under another id. */
export const withFrame = (frame: Frame, device: Device, renamed: Renames = noRenames, before?: Frame): Device => {
  const view = viewOf(frame, device.view);
  const was = device.at.state;
  const state = refit(before ?? frame, frame, view, was, renamed);
  if (!before) return deviceAt(view, state, device.reasons);
  const edited = Reasons.found((tell) => tell.explainEdit(before, frame, view, was, state, renamed), device.reasons);
  return deviceAt(view, state, edited);
};

/** The device on a screen, brought there as a person would come; opened from outside when no way leads there. */
export const putOn = (points: Standpoints<Frame>, device: Device, id: Id): Device => {
  const { frame } = points;
  const name = nameOf(frame, id);
  if (!isAttached(frame, id))
    return {
      ...device,
      reasons: Reasons.of([`${name} stands in no container, so no device can show it. Put it into a stack or a hub.`]),
    };
  const fromHere = routeTo(frame, device.view, device.at.state, id);
  const { way } = points.at(id);
  const route = fromHere ?? way?.events ?? routeTo(frame, device.view, launch(frame, device.view).state, id);
  if (!route) {
    const opened = withEvents(
      frame,
      device,
      throughAll(frame, device.view, device.at.state, [{ do: "open", to: id }]).events,
    );
    const why = points.isUnreached(id)
      ? `No way leads to ${name} yet: it was opened from outside, as a push message would.`
      : `${name} was opened from outside, as a push message would: no way there is known so far.`;
    return { ...opened, reasons: Reasons.found((tell) => [why, ...opened.reasons.by(tell)]) };
  }
  const put = withEvents(frame, fromHere ? device : newDevice(frame, device.view, way?.beginning.facts), route);
  const taps = route.length === 1 ? "one tap" : `${route.length} taps`;
  return {
    ...put,
    reasons: Reasons.found((tell) =>
      route.length
        ? [`Brought to ${name} by ${taps}${fromHere ? "" : " from the launch"}.`, ...put.reasons.by(tell)]
        : [`The device is on ${name} already.`],
    ),
  };
};
