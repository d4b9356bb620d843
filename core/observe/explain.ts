import { keepOf, startOf } from "../frame/defaults.js";
import { isAttached } from "../frame/frame-index.js";
import { type Lens, lensOf } from "../frame/look.js";
import { nameOf, plainName } from "../frame/names.js";
import { factWords, isMet, needsAbove, needWords } from "../frame/needs.js";
import { hubAt, nodeIn } from "../frame/nodes.js";
import type { Facts, Id } from "../frame/parts.js";
import { opensChoices } from "../frame/properties.js";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { Move, NavigationEvent } from "../navigate/event.js";
import { askerOf, unasked } from "../navigate/asking.js";
import { focusPath, topOf } from "../navigate/focus.js";
import { isBarInSight, type SeenBar, sightOf } from "../navigate/sight.js";
import { type HubEntry, isStuck, type State } from "../navigate/state.js";
import type { Step } from "../navigate/step.js";
import { screensLaid } from "./laid.js";
import { noteText } from "./note-text.js";

/** What an explanation is looked at through: it names things, so it has the frame in full. */
interface Told extends Lens {
  readonly frame: Frame;
}
const toldOf = (frame: Frame, view: View): Told => ({ ...lensOf(frame, view), frame });

const topName = (told: Told, state: State): string => {
  const top = topOf(told, state.root);
  return nameOf(told.frame, top.node, top.params);
};

const barsOf = (told: Told, state: State): readonly SeenBar[] => sightOf(told, state).bars;

const hubOn = (told: Told, state: State): HubEntry | undefined =>
  focusPath(told, state.root).find((entry) => entry.kind === "hub");

/** What became of the bars there were. */
const barsSay = (told: Told, was: readonly SeenBar[], after: State): string => {
  const is = barsOf(told, after);
  const gone = was.find((bar) => !is.some((other) => other.hub === bar.hub));
  if (gone) {
    const covered = !focusPath(told, after.root).some((entry) => entry.node === gone.hub);
    return covered
      ? ` It covers ${nameOf(told.frame, gone.hub)}, so its ${gone.face} is gone.`
      : ` It hides the ${gone.face} of ${nameOf(told.frame, gone.hub)}.`;
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
  return wasOf(usable)?.inert ? ` The ${usable.face} can be used again.` : ` The ${usable.face} stays.`;
};

const openSays = (told: Told, before: State, after: State, move: Move): string => {
  const { overlay } = sightOf(told, after);
  const name = topName(told, after);
  if (!overlay) return `${name} is on top now.`;
  const over = told.look(overlay.node).over === "all" ? "everything" : nameOf(told.frame, move.in);
  return `${name} opened as ${opensChoices[overlay.opens].named} over ${over}.${barsSay(told, barsOf(told, before), after)}`;
};

const replaceSays = (told: Told, before: State, after: State, move: Move): string => {
  const { frame } = told;
  const where = nameOf(frame, move.in);
  if (frame.nodes[move.in]?.kind !== "pair")
    return `${topName(told, after)} took the place of ${topName(told, before)} in ${where}.`;
  if (move.leaving === null) return `${topName(told, after)} opened beside its list in ${where}.`;
  if (move.entering === null) return `Nothing is open beside the list of ${where} now.`;
  return `${topName(told, after)} is the detail of ${where} now, in place of what was there.`;
};

const moveSays = (told: Told, before: Step, after: Step, move: Move, event: NavigationEvent): string => {
  const { frame } = told;
  const name = topName(told, after.state);
  const where = nameOf(frame, move.in);
  const bars = () => barsSay(told, barsOf(told, before.state), after.state);
  const isPair = frame.nodes[move.in]?.kind === "pair";
  switch (move.kind) {
    case "push":
      return isPair
        ? `${name} lies over its list: here ${where} has no room to show both.${bars()}`
        : `${name} was laid on top in ${where}.${bars()}`;
    case "pop":
      return `${move.leaving === null ? "The top" : topName(told, before.state)} was taken off ${where}: ${name} lay beneath.${bars()}`;
    case "open":
      return openSays(told, before.state, after.state, move);
    case "close": {
      const { received } = topOf(told, after.state.root).ui;
      const given = received && Object.entries(received).map(([key, value]) => `${key} ${value}`);
      const got =
        given && received !== topOf(told, before.state.root).ui.received ? ` It was given ${given.join(", ")}.` : "";
      return `${plainName(frame, move.leaving?.node ?? "")} was closed: ${plainName(frame, move.entering?.node ?? "")} lay beneath.${got}`;
    }
    case "replace":
      return replaceSays(told, before.state, after.state, move);
    case "switch":
      return switchSays(told, before.state, name, move, event);
  }
};

const switchSays = (told: Told, before: State, name: string, move: Move, event: NavigationEvent): string => {
  const { frame } = told;
  const id = move.entering?.node ?? "";
  const [tab, where] = [nameOf(frame, id), nameOf(frame, move.in)];
  if (event.do === "back")
    return told.look(move.in).back === "visited"
      ? `Back went to ${tab}, the tab before: ${where} goes back through its tabs.`
      : `Back went to ${tab}, the start tab of ${where}: only from there does Back go out.`;
  const entry = focusPath(told, before.root).find((each) => each.node === move.in);
  const keep = keepOf(hubAt(frame, move.in));
  const isThere = entry?.kind === "hub" && entry.tabs[id] !== undefined;
  return isThere
    ? `${tab} was chosen and shows ${name}, ${keep === "place" ? "its place kept, what was typed and scrolled emptied" : "as it was left"}.`
    : `${tab} was chosen ${keep === "fresh" ? "and starts anew" : "for the first time"}: it starts at ${name}.`;
};

const exitSays = (told: Told, before: State): string => {
  const { frame } = told;
  const hub = hubOn(told, before);
  if (!hub) return `Back left the app: nothing lies beneath ${topName(told, before)}.`;
  const tab = nameOf(frame, hub.active);
  if (told.look(hub.node).back === "leave")
    return `Back left the app: in ${nameOf(frame, hub.node)} the first screen of any tab goes out at once.`;
  return hub.active === startOf(hubAt(frame, hub.node))
    ? `Back left the app: ${tab} is the start tab, and nothing lies beneath ${topName(told, before)}.`
    : `Back left the app: no tab was visited before ${tab}.`;
};

/** Which facts are others now. */
const factsSay = (frame: Frame, before: State, after: State): string[] =>
  Object.entries(after.facts)
    .filter(([id, is]) => before.facts[id] !== is)
    .map(([id, is]) => `Now ${factWords(frame, id, is)}.`);

/** What an event did to an app that goes on. */
const eventSays = (told: Told, before: Step, event: NavigationEvent, after: Step): string[] => {
  const { frame } = told;
  const said: string[] = [];
  const isChanged = after.state !== before.state;
  if (event.do === "kill" && isChanged) said.push(killSays(told, after.state));
  if (event.do === "link" && event.start === "cold" && isChanged) said.push(coldSays(told, after.state));
  for (const move of after.moves) said.push(moveSays(told, before, after, move, event));
  if (after.moves.length === 0 && event.do === "tab" && isChanged)
    said.push(`${nameOf(frame, event.to)} was the chosen tab already: its first screen was scrolled to the top.`);
  if (before.state.drawer !== after.state.drawer) said.push(drawerSays(frame, before.state.drawer, after.state.drawer));
  said.push(...factsSay(frame, before.state, after.state));
  if (event.do === "scroll")
    said.push(`Scrolled to ${Math.round(event.to)} px: kept with this entry of ${topName(told, after.state)}.`);
  if (event.do === "type" && isChanged)
    said.push(`The draft belongs to this entry of ${topName(told, after.state)} and lives as long as it does.`);
  return said;
};

/** What an answer came to: what was asked about is told as if it had just happened. */
const answerSays = (told: Told, before: Step, leave: boolean, after: Step): string[] => {
  const { asking } = before.state;
  const asker = askerOf(before.state);
  if (!asking || !asker) return [];
  const name = nameOf(told.frame, asker.node, asker.params);
  if (!leave) return [`${name} stays: what would have left it was not done.`];
  const from = { ...before, state: unasked(before.state) };
  return [`${name} may be left.`, ...mainlySays(toldOf(told.frame, asking.view), from, asking.event, after)];
};

const mainlySays = (told: Told, before: Step | null, event: NavigationEvent | null, after: Step): string[] => {
  const { frame } = told;
  if (!before && event?.do === "link") return [coldSays(told, after.state)];
  if (!before || !event)
    return [`Launched at ${topName(told, after.state)}, the start of ${nameOf(frame, frame.root)}.`];
  if (event.do === "answer") return answerSays(told, before, event.leave, after);
  if (!before.state.outside && after.state.outside) return [exitSays(told, before.state)];
  if (before.state.outside && !after.state.outside && event.do === "return")
    return [`Back in the app, as it was left: ${topName(told, after.state)}.`];
  return eventSays(told, before, event, after);
};

/** Not touched by a person: it goes without saying where it changes nothing. */
const unfelt: ReadonlySet<NavigationEvent["do"]> = new Set(["view", "wait"]);

/** What is said of something touched that changed nothing to be seen, and brought no note. */
const stillSays = (told: Told, before: Step, event: NavigationEvent, after: Step): string => {
  const { frame } = told;
  const name = topName(told, after.state);
  if (before.state.outside && !after.state.outside) return `Back in the app, on ${name}.`;
  if (event.do === "fact") return `${factWords(frame, event.id, event.is)} already: nothing changed.`;
  if (event.do === "tab") return `${nameOf(frame, event.to)} is the chosen tab already, at its start: nothing changed.`;
  if (event.do === "pick")
    return `Row ${event.row} was picked, and ${name} stays: what the row opens is there already.`;
  return `Nothing changed: what it does is so already, on ${name}.`;
};

/** Why the last event did what it did, in sentences for a developer, the most telling first. */
export const explain = (
  frame: Frame,
  view: View,
  before: Step | null,
  event: NavigationEvent | null,
  after: Step,
): string[] => {
  const notes = after.notes.map((note) => noteText(frame, note));
  if (isStuck(after.state))
    return notes.length > 0 ? notes : [noteText(frame, { code: "stuck", node: null, args: {} })];
  const told = toldOf(frame, view);
  const said = [...mainlySays(told, before, event, after), ...notes];
  if (said.length > 0 || !before || !event || unfelt.has(event.do)) return said;
  return [stillSays(told, before, event, after)];
};

const relaunchSays = {
  nothing: "launched anew",
  place: "with its entries kept, what was typed and scrolled emptied",
  everything: "with everything as it was",
} as const;

const killSays = (told: Told, after: State): string =>
  `The system ended the app. It comes back on ${topName(told, after)}, ${relaunchSays[told.frame.relaunch ?? "place"]}.`;

const coldSays = (told: Told, after: State): string => {
  const laid = screensLaid(after.root);
  const beneath = laid.slice(0, -1).map((id) => plainName(told.frame, id));
  const on = beneath.length ? `, laid on ${beneath.join(", ")}` : ", with nothing beneath";
  return `The app started by the link, on ${topName(told, after)}${on}.`;
};

const drawerSays = (frame: Frame, was: Id | null, is: Id | null): string =>
  is === null
    ? `The drawer of ${nameOf(frame, was ?? "")} was closed.`
    : `The drawer of ${nameOf(frame, is)} is open: until it closes, nothing beside it can be touched.`;

/** Why a screen that a device showed, and how it was called, is not shown any more on the frame as it is now. */
const goneSays = ({ frame }: Told, id: Id, facts: Facts, called: string): string => {
  if (!nodeIn(frame, id)) return `${called} was deleted`;
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
  const [then, now] = [toldOf(before, view), toldOf(frame, view)];
  const [stoodOn, standsOn] = [topOf(then, was.root), topOf(now, is.root)];
  const nowCalled = (id: Id): Id => (Object.hasOwn(renamed, id) ? (renamed[id] ?? id) : id);
  const place = focusPath(now, is.root).at(-2)?.node;
  const bars = barsSay(now, barsOf(then, was), is);
  const name = topName(now, is);
  const stood = nowCalled(stoodOn.node);
  if (stood !== standsOn.node && stoodOn.key !== standsOn.key)
    return [`The frame changed: ${goneSays(now, stood, is.facts, topName(then, was))}, so it is on ${name}.${bars}`];
  const stoodIn = focusPath(then, was.root).at(-2)?.node;
  if (place !== undefined && place !== (stoodIn && nowCalled(stoodIn)))
    return [`The frame changed: ${name} stands in ${nameOf(frame, place)} now.${bars}`];
  return [`The frame changed, and the device kept its place on ${name}.${bars}`];
};
