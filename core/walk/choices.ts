import { hasEdgeSwipe, hasSystemBack } from "../frame/defaults.js";
import { equal } from "../frame/equal.js";
import type { Lens } from "../frame/look.js";
import { hubAt, nodeAt, screenAt } from "../frame/nodes.js";
import { isThere } from "../frame/only.js";
import type { Id } from "../frame/parts.js";
import { targetIn } from "../frame/view.js";
import { canDismiss, upTakes } from "../navigate/back.js";
import { pathTo } from "../navigate/entries.js";
import type { NavigationEvent } from "../navigate/event.js";
import { drawerOf, isBarInSight, type ScreenScene } from "../navigate/sight.js";
import type { State } from "../navigate/state.js";
import { backEvent } from "../observe/ladder.js";
import { type Surface, surfaceIn } from "../observe/surface.js";
import { sampleText } from "./bare.js";

/** Something that may happen in a state: the events of it, one after another. */
export interface Choice {
  events: readonly NavigationEvent[];
  /** It happens by itself, without a tap. */
  isFree: boolean;
}

const byHand = (...events: NavigationEvent[]): Choice => ({ events, isFree: false });

/** Every empty field of a screen filled in. */
const typing = (lens: Lens, { entry }: ScreenScene, at: { in?: Id }): Choice[] => {
  const { body } = screenAt(lens.frame, entry.node);
  const fields = body?.kind === "form" ? body.fields.map(({ id }) => id) : body?.kind === "thread" ? ["reply"] : [];
  const empty = fields.filter((field) => !entry.ui.drafts[field]);
  const events = empty.map((field): NavigationEvent => ({ do: "type", field, text: sampleText, ...at }));
  return events.length ? [byHand(...events)] : [];
};

const onScreen = (lens: Lens, state: State, surface: Surface, screen: ScreenScene): Choice[] => {
  const { entry } = screen;
  const { frame, view } = lens;
  const { actions = [], body } = screenAt(frame, entry.node);
  const isTop = entry === surface.top;
  const at = isTop ? {} : { in: entry.node };
  const choices: Choice[] = [];
  if (body && "opens" in body && body.opens && body.rows > 0) choices.push(byHand({ do: "pick", row: 1, ...at }));
  for (const { id, only } of actions)
    if (isThere(frame, only, view, state.facts)) choices.push(byHand({ do: "tap", action: id, ...at }));
  choices.push(...typing(lens, screen, at));
  const strip = surface.strips.nearest.get(entry.key);
  if (!isTop && (strip?.back || strip?.close) && upTakes(lens, state, pathTo(state.root, entry.key) ?? []) !== null)
    choices.push(byHand({ do: "up", in: entry.node }));
  return choices;
};

const onBars = (lens: Lens, state: State, { bars, focus }: Surface): Choice[] => {
  const { frame, view } = lens;
  const drawer = drawerOf({ bars, focus });
  const choices: Choice[] = drawer && !drawer.open ? [byHand({ do: "menu", open: true })] : [];
  for (const bar of bars) {
    if (bar.inert || !isBarInSight(bar)) continue;
    for (const to of [...bar.tabs, ...bar.more]) choices.push(byHand({ do: "tab", to }));
    if (bar.face === "bar" || bar.face === "top") continue;
    for (const { id, only } of hubAt(frame, bar.hub).extras ?? [])
      if (isThere(frame, only, view, state.facts)) choices.push(byHand({ do: "tap", action: id, in: bar.hub }));
  }
  return choices;
};

const waysBack = (lens: Lens, state: State, { headers, focus, drawer }: Surface): Choice[] => {
  const target = targetIn(lens.frame, lens.view);
  const choices = hasSystemBack(target) ? [byHand({ do: "back" })] : [];
  if (drawer !== null) return [...choices, byHand({ do: "dismiss" })];
  const taken = upTakes(lens, state, focus);
  const hasStrip = headers.some(({ back, close }) => back || close);
  if (taken !== null && (hasStrip || (taken === "push" && hasEdgeSwipe(target)))) choices.push(byHand({ do: "up" }));
  if (canDismiss(lens, focus)) choices.push(byHand({ do: "dismiss" }));
  return choices;
};

const answers: readonly Choice[] = [byHand({ do: "answer", leave: true }), byHand({ do: "answer", leave: false })];

/**
 * Everything a person can do in a state, and what it does by itself; the first row stands for all rows, and a form is filled
 * in as a whole. What a person goes back by is always among them.
 */
export const choicesIn = (lens: Lens, state: State): Choice[] => {
  if (state.asking) return [...answers];
  if (state.outside) return [byHand({ do: "return" })];
  const surface = surfaceIn(lens, state);
  const { top } = surface;
  if (!top) return hasSystemBack(targetIn(lens.frame, lens.view)) ? [byHand({ do: "back" })] : [];
  const node = nodeAt(lens.frame, top.node);
  const after = node.kind === "screen" && top.since !== null ? node.after : undefined;
  const choices: Choice[] = [
    ...(after ? [{ events: [{ do: "wait" as const, ms: after.ms }], isFree: true }] : []),
    ...surface.screens.filter(({ inert }) => !inert).flatMap((screen) => onScreen(lens, state, surface, screen)),
    ...onBars(lens, state, surface),
    ...waysBack(lens, state, surface),
  ];
  const back = backEvent(lens.frame, lens.view, state);
  if (back && !choices.some(({ events }) => events.length === 1 && equal(events[0], back))) choices.push(byHand(back));
  return choices;
};
