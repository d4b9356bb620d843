import { keepOf, overOf, startOf } from "../frame/defaults.js";
import { isAttached } from "../frame/frame-index.js";
import type { Frame, HubNode, Id } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { Move, NavigationEvent } from "../navigate/events.js";
import { focusPath, type Lens, topOf } from "../navigate/focus.js";
import { isMet, needsAbove, needWords } from "../frame/needs.js";
import { screensLaid } from "../explore/outcome.js";
import { nameOf, plainName } from "../frame/names.js";
import { isHub, isStuck, type State } from "../navigate/state.js";
import type { Step } from "../navigate/step.js";
import { isBarInSight, type SeenBar, surfaceOf } from "./surface.js";

const topName = ({ frame, view }: Lens, state: State): string => {
  const top = topOf({ frame, view }, state.root);
  return nameOf(frame, top.node, top.params);
};

const barsOf = ({ frame, view }: Lens, state: State): readonly SeenBar[] => surfaceOf(frame, state, view).bars;

/** What became of the bars there were. */
const barsSay = (lens: Lens, was: readonly SeenBar[], after: State): string => {
  const is = barsOf(lens, after);
  const gone = was.find((bar) => !is.some((other) => other.hub === bar.hub));
  if (gone) {
    const covered = !focusPath(lens, after.root).some((entry) => entry.node === gone.hub);
    return covered
      ? ` It covers ${nameOf(lens.frame, gone.hub)}, so its ${gone.face} is gone.`
      : ` It hides the ${gone.face} of ${nameOf(lens.frame, gone.hub)}.`;
  }
  const wasOf = (bar: SeenBar) => was.find((other) => other.hub === bar.hub);
  const dimmed = is.find((bar) => bar.inert && isBarInSight(bar) && !wasOf(bar)?.inert);
  if (dimmed) return ` The ${dimmed.face} is dimmed: nothing beneath can be touched.`;
  const usable = is.findLast((bar) => !bar.inert);
  if (!usable) {
    const beneath = is.findLast(isBarInSight);
    return beneath ? ` The ${beneath.face} beneath stays dimmed.` : "";
  }
  if (!isBarInSight(usable)) return wasOf(usable) ? "" : ` The ${usable.face} can be opened.`;
  if (!wasOf(usable)) return ` The ${usable.face} shows.`;
  return wasOf(usable)!.inert ? ` The ${usable.face} can be used again.` : ` The ${usable.face} stays.`;
};

const overlayWord = {
  sheet: "a sheet",
  dialog: "a dialog",
  side: "a side panel",
  fullscreen: "a full screen",
} as const;

const openSays = (lens: Lens, before: State, after: State, move: Move): string => {
  const { overlay } = surfaceOf(lens.frame, after, lens.view);
  const name = topName(lens, after);
  if (!overlay) return `${name} is on top now.`;
  const over = overOf(lens.frame.nodes[overlay.node]!) === "all" ? "everything" : nameOf(lens.frame, move.in);
  return `${name} opened as ${overlayWord[overlay.opens]} over ${over}.${barsSay(lens, barsOf(lens, before), after)}`;
};

const replaceSays = (lens: Lens, before: State, after: State, move: Move): string => {
  const { frame } = lens;
  const where = nameOf(frame, move.in);
  if (frame.nodes[move.in]?.kind !== "pair")
    return `${topName(lens, after)} took the place of ${topName(lens, before)} in ${where}.`;
  if (move.leaving === null) return `${topName(lens, after)} opened beside its list in ${where}.`;
  if (move.entering === null) return `Nothing is open beside the list of ${where} now.`;
  return `${topName(lens, after)} is the detail of ${where} now, in place of what was there.`;
};

const moveSays = (lens: Lens, before: Step, after: Step, move: Move, event: NavigationEvent): string => {
  const { frame } = lens;
  const name = topName(lens, after.state);
  const where = nameOf(frame, move.in);
  const bars = () => barsSay(lens, barsOf(lens, before.state), after.state);
  const isPair = frame.nodes[move.in]?.kind === "pair";
  switch (move.kind) {
    case "push":
      return isPair
        ? `${name} lies over its list: here ${where} has no room to show both.${bars()}`
        : `${name} was laid on top in ${where}.${bars()}`;
    case "pop":
      return `${move.leaving === null ? "The top" : topName(lens, before.state)} was taken off ${where}: ${name} lay beneath.${bars()}`;
    case "open":
      return openSays(lens, before.state, after.state, move);
    case "close": {
      const { received } = topOf(lens, after.state.root).ui;
      const given = received && Object.entries(received).map(([key, value]) => `${key} ${value}`);
      const got =
        given && received !== topOf(lens, before.state.root).ui.received ? ` It was given ${given.join(", ")}.` : "";
      return `${plainName(frame, move.leaving!)} was closed: ${plainName(frame, move.entering!)} lay beneath.${got}`;
    }
    case "replace":
      return replaceSays(lens, before.state, after.state, move);
    case "switch": {
      const hub = frame.nodes[move.in] as HubNode;
      const tab = nameOf(frame, move.entering!);
      if (event.do === "back")
        return hub.back === "visited"
          ? `Back went to ${tab}, the tab before: ${where} goes back through its tabs.`
          : `Back went to ${tab}, the start tab of ${where}: only from there does Back go out.`;
      const entry = focusPath(lens, before.state.root).find((each) => each.node === move.in);
      const there = entry && isHub(entry) && entry.inside.tabs[move.entering!] !== undefined;
      return there
        ? `${tab} was chosen and shows ${name}, ${keepOf(hub) === "place" ? "its place kept, what was typed and scrolled emptied" : "as it was left"}.`
        : `${tab} was chosen ${hub.keep === "fresh" ? "and starts anew" : "for the first time"}: it starts at ${name}.`;
    }
  }
};

const exitSays = (lens: Lens, before: State): string => {
  const { frame } = lens;
  const hub = focusPath(lens, before.root).find(isHub);
  if (!hub) return `Back left the app: nothing lies beneath ${topName(lens, before)}.`;
  const node = frame.nodes[hub.node] as HubNode;
  const tab = nameOf(frame, hub.inside.active);
  if (node.back === "leave")
    return `Back left the app: in ${nameOf(frame, hub.node)} the first screen of any tab goes out at once.`;
  return hub.inside.active === startOf(node)
    ? `Back left the app: ${tab} is the start tab, and nothing lies beneath ${topName(lens, before)}.`
    : `Back left the app: no tab was visited before ${tab}.`;
};

/** Why the last event did what it did, in sentences for a developer, the most telling first. */
export const explain = (
  frame: Frame,
  view: View,
  before: Step | null,
  event: NavigationEvent | null,
  after: Step,
): string[] => {
  const lens = { frame, view };
  const said: string[] = [];
  if (isStuck(after.state)) return after.notes.map((note) => note.text);
  if (!before && event?.do === "link") said.push(coldSays(lens, after.state));
  else if (!before || !event)
    said.push(`Launched at ${topName(lens, after.state)}, the start of ${nameOf(frame, frame.root)}.`);
  else if (!before.state.outside && after.state.outside) said.push(exitSays(lens, before.state));
  else if (before.state.outside && !after.state.outside && event.do === "return")
    said.push(`Back in the app, as it was left: ${topName(lens, after.state)}.`);
  else {
    if (event.do === "kill" && after.state !== before.state) said.push(killSays(lens, after.state));
    if (event.do === "link" && event.start === "cold" && after.state !== before.state)
      said.push(coldSays(lens, after.state));
    for (const move of after.moves) said.push(moveSays(lens, before, after, move, event));
    if (after.moves.length === 0 && event.do === "tab" && after.state !== before.state)
      said.push(`${nameOf(frame, event.to)} was the chosen tab already: its first screen was scrolled to the top.`);
    if (before.state.drawer !== after.state.drawer)
      said.push(drawerSays(frame, before.state.drawer, after.state.drawer));
    if (event.do === "scroll")
      said.push(`Scrolled to ${Math.round(event.to)} px: kept with this entry of ${topName(lens, after.state)}.`);
    if (event.do === "type" && after.state !== before.state)
      said.push(`The draft belongs to this entry of ${topName(lens, after.state)} and lives as long as it does.`);
  }
  return [...said, ...after.notes.map((note) => note.text)];
};

const relaunchSays = {
  nothing: "launched anew",
  place: "with its entries kept, what was typed and scrolled emptied",
  everything: "with everything as it was",
} as const;

const killSays = (lens: Lens, after: State): string =>
  `The system ended the app. It comes back on ${topName(lens, after)}, ${relaunchSays[lens.frame.relaunch ?? "place"]}.`;

const coldSays = (lens: Lens, after: State): string => {
  const laid = screensLaid(after.root);
  const beneath = laid.slice(0, -1).map((id) => plainName(lens.frame, id));
  const on = beneath.length ? `, laid on ${beneath.join(", ")}` : ", with nothing beneath";
  return `The app started by the link, on ${topName(lens, after)}${on}.`;
};

const drawerSays = (frame: Frame, was: Id | null, is: Id | null): string =>
  is === null
    ? `The drawer of ${nameOf(frame, was!)} was closed.`
    : `The drawer of ${nameOf(frame, is)} is open: until it closes, nothing beside it can be touched.`;

/** Why a screen that a device showed is not shown any more on the frame as it is now. */
const goneSays = ({ frame }: Lens, id: Id, facts: State["facts"]): string => {
  if (!Object.hasOwn(frame.nodes, id)) return "what the device showed is no longer there";
  const name = plainName(frame, id);
  if (!isAttached(frame, id)) return `${name} stands in no container any more`;
  const unmet = needsAbove(frame, id).find(({ need }) => !isMet(facts, need));
  if (!unmet) return `${name} cannot be shown where it stood`;
  const who = unmet.id === id ? name : `${plainName(frame, unmet.id)} around ${name}`;
  return `${who} needs ${needWords(frame, unmet.need)}, which is not so here`;
};

/** What a change of the frame made of a device that shows it: where it is now, and what became of the bars. `renamed` has the ids that are others now. */
export const explainEdit = (
  before: Frame,
  frame: Frame,
  view: View,
  was: State,
  is: State,
  renamed: Readonly<Record<Id, Id>> = {},
): string[] => {
  if (is.outside || isStuck(is) || isStuck(was)) return [];
  const [then, now] = [
    { frame: before, view },
    { frame, view },
  ];
  const [stoodOn, standsOn] = [topOf(then, was.root), topOf(now, is.root)];
  const nowCalled = (id: Id | undefined) => (id !== undefined && Object.hasOwn(renamed, id) ? renamed[id] : id);
  const place = focusPath(now, is.root).at(-2)?.node;
  const bars = barsSay(now, barsOf(then, was), is);
  const name = topName(now, is);
  const stood = nowCalled(stoodOn.node)!;
  if (stood !== standsOn.node && stoodOn.key !== standsOn.key)
    return [`The frame changed: ${goneSays(now, stood, is.facts)}, so it is on ${name}.${bars}`];
  if (place !== undefined && place !== nowCalled(focusPath(then, was.root).at(-2)?.node))
    return [`The frame changed: ${name} stands in ${nameOf(frame, place)} now.${bars}`];
  return [`The frame changed, and the device kept its place on ${name}.${bars}`];
};
