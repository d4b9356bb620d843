import { keepOf, startOf } from "../frame/defaults.js";
import type { Frame, HubNode, Id } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { Move, NavigationEvent } from "./events.js";
import { nameOf } from "./run.js";
import { focusPath, isHub, type State, topOf } from "./state.js";
import type { Step } from "./step.js";
import { surfaceOf } from "./surface.js";

const topName = (frame: Frame, state: State): string => {
  const top = topOf(state.root);
  return nameOf(frame, top.node, top.params);
};

const barsOf = (frame: Frame, view: View, state: State): Id[] =>
  surfaceOf(frame, state, view).layers.flatMap(({ bar }) => (bar ? [bar.hub] : []));

/** What became of the bars there were. */
const barsSay = (frame: Frame, view: View, was: readonly Id[], after: State): string => {
  const is = barsOf(frame, view, after);
  const gone = was.find((hub) => !is.includes(hub));
  if (gone !== undefined) {
    const covered = !focusPath(after.root).some((entry) => entry.node === gone);
    return covered
      ? ` It covers ${nameOf(frame, gone)}, so its bar is gone.`
      : ` It hides the bar of ${nameOf(frame, gone)}.`;
  }
  if (was.length === 0 && is.length > 0) return " The bar is back.";
  return is.length > 0 ? " The bar stays." : "";
};

const moveSays = (frame: Frame, view: View, before: Step, after: Step, move: Move, event: NavigationEvent): string => {
  const name = topName(frame, after.state);
  const where = nameOf(frame, move.in);
  switch (move.kind) {
    case "push":
      return `${name} was laid on top in ${where}.${barsSay(frame, view, barsOf(frame, view, before.state), after.state)}`;
    case "pop":
      return `${move.leaving === null ? "The top" : topName(frame, before.state)} was taken off ${where}: ${name} lay beneath.${barsSay(frame, view, barsOf(frame, view, before.state), after.state)}`;
    case "replace":
      return `${name} took the place of ${topName(frame, before.state)} in ${where}.`;
    case "switch": {
      const hub = frame.nodes[move.in] as HubNode;
      const tab = nameOf(frame, move.entering!);
      if (event.do === "back")
        return hub.back === "visited"
          ? `Back went to ${tab}, the tab before: ${where} goes back through its tabs.`
          : `Back went to ${tab}, the start tab of ${where}: only from there does Back go out.`;
      const entry = focusPath(before.state.root).find((each) => each.node === move.in);
      const there = entry && isHub(entry) && entry.inside.tabs[move.entering!] !== undefined;
      return there
        ? `${tab} was chosen and shows ${name}, ${keepOf(hub) === "place" ? "its place kept, what was typed and scrolled emptied" : "as it was left"}.`
        : `${tab} was chosen ${hub.keep === "fresh" ? "and starts anew" : "for the first time"}: it starts at ${name}.`;
    }
    case "open":
    case "close":
      return `${name} is on top now.`;
  }
};

const exitSays = (frame: Frame, before: State): string => {
  const hub = focusPath(before.root).find(isHub);
  if (!hub) return `Back left the app: nothing lies beneath ${topName(frame, before)}.`;
  const node = frame.nodes[hub.node] as HubNode;
  const tab = nameOf(frame, hub.inside.active);
  if (node.back === "leave")
    return `Back left the app: in ${nameOf(frame, hub.node)} the first screen of any tab goes out at once.`;
  return hub.inside.active === startOf(node)
    ? `Back left the app: ${tab} is the start tab, and nothing lies beneath ${topName(frame, before)}.`
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
  const said: string[] = [];
  if (!before || !event)
    said.push(`Launched at ${topName(frame, after.state)}, the start of ${nameOf(frame, frame.root)}.`);
  else if (!before.state.outside && after.state.outside) said.push(exitSays(frame, before.state));
  else if (before.state.outside && !after.state.outside && event.do === "return")
    said.push(`Back in the app, as it was left: ${topName(frame, after.state)}.`);
  else {
    for (const move of after.moves) said.push(moveSays(frame, view, before, after, move, event));
    if (after.moves.length === 0 && event.do === "tab" && after.state !== before.state)
      said.push(`${nameOf(frame, event.to)} was the chosen tab already: its first screen was scrolled to the top.`);
    if (event.do === "scroll")
      said.push(`Scrolled to ${Math.round(event.to)} px: kept with this entry of ${topName(frame, after.state)}.`);
    if (event.do === "type" && after.state !== before.state)
      said.push(`The draft belongs to this entry of ${topName(frame, after.state)} and lives as long as it does.`);
  }
  return [...said, ...after.notes.map((note) => note.text)];
};

/** What a change of the frame made of a device that shows it: where it is now, and what became of the bars. */
export const explainEdit = (before: Frame, frame: Frame, view: View, was: State, is: State): string[] => {
  if (is.outside) return [];
  const [stoodOn, standsOn] = [topOf(was.root), topOf(is.root)];
  const container = (state: State): Id | undefined => focusPath(state.root).at(-2)?.node;
  const bars = barsSay(frame, view, barsOf(before, view, was), is);
  const name = topName(frame, is);
  if (stoodOn.node !== standsOn.node && stoodOn.key !== standsOn.key)
    return [`The frame changed: what the device showed is no longer there, so it is on ${name}.${bars}`];
  const place = container(is);
  if (place !== undefined && place !== container(was))
    return [`The frame changed: ${name} stands in ${nameOf(frame, place)} now.${bars}`];
  return [`The frame changed, and the device kept its place on ${name}.${bars}`];
};
