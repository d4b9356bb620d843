import { explain, explainEdit, factsOf, type Frame, type Id, isAttached, launch, nameOf, type NavigationEvent, noRenames, refit, type Renames, routeTo, type State, type Step, step, type View, viewAfter, viewOf } from "../../core/index.js";

/** The live device: where the person is in the app, in which view, and why. A value. */
export interface Device {
  view: View;
  at: Step;
  /** Why the last event did what it did. */
  reasons: readonly string[];
}

export const newDevice = (frame: Frame, given: Partial<View> = {}, facts?: State["facts"]): Device => {
  const view = viewOf(frame, given);
  const at = launch(frame, view, facts);
  return { view, at, reasons: explain(frame, view, null, null, at) };
};

/** A device whose app starts by a link. */
export const linkedDevice = (frame: Frame, view: View, facts: State["facts"], url: string): Device => {
  const at = launch(frame, view, facts, url);
  return { view, at, reasons: explain(frame, view, null, { do: "link", url, start: "cold" }, at) };
};

/** Those facts of a state that outlive the end of the app. */
export const lastingFacts = (frame: Frame, { facts }: State): State["facts"] =>
  Object.fromEntries(
    factsOf(frame).flatMap(({ id, lasting }) =>
      lasting === false || facts[id] === undefined ? [] : [[id, facts[id]]],
    ),
  );

/** The device after an event. */
export const withEvent = (frame: Frame, device: Device, event: NavigationEvent): Device => {
  const at = step(frame, device.view, device.at.state, event);
  const reasons = explain(frame, device.view, device.at, event, at);
  return {
    ...device,
    view: viewAfter(frame, device.view, event),
    at,
    reasons: reasons.length ? reasons : device.reasons,
  };
};

/** The device on a frame that was edited: it keeps its place as far as that exists, also under another id. */
export const withFrame = (frame: Frame, device: Device, renamed: Renames = noRenames, before?: Frame): Device => {
  const view = viewOf(frame, device.view);
  const at: Step = { state: refit(before ?? frame, frame, view, device.at.state, renamed), moves: [], notes: [] };
  const reasons = before ? explainEdit(before, frame, view, device.at.state, at.state, renamed) : [];
  return { view, at, reasons: reasons.length ? reasons : device.reasons };
};

/** The device on a screen, brought there as a person would come; opened from outside when no way leads there. */
export const putOn = (frame: Frame, device: Device, id: Id): Device => {
  const name = nameOf(frame, id);
  if (!isAttached(frame, id))
    return {
      ...device,
      reasons: [`${name} stands in no container, so no device can show it. Put it into a stack or a hub.`],
    };
  const route =
    routeTo(frame, device.view, device.at.state, id) ??
    routeTo(frame, device.view, launch(frame, device.view).state, id);
  if (!route) {
    const opened = withEvent(frame, device, { do: "open", to: id });
    return {
      ...opened,
      reasons: [`No way leads to ${name} yet: it was opened from outside, as a push message would.`, ...opened.reasons],
    };
  }
  const fromHere = routeTo(frame, device.view, device.at.state, id) !== null;
  let next = fromHere ? device : newDevice(frame, device.view);
  for (const event of route) next = withEvent(frame, next, event);
  const taps = route.length === 1 ? "one tap" : `${route.length} taps`;
  return {
    ...next,
    reasons: route.length
      ? [`Brought to ${name} by ${taps}${fromHere ? "" : " from the launch"}.`, ...next.reasons]
      : [`The device is on ${name} already.`],
  };
};
