import { addressesOf, type ScreenAddress } from "../address/addresses.js";
import { bandsOf, factsOf, factValues } from "../frame/defaults.js";
import { isAttached } from "../frame/frame-index.js";
import { type Lens, lensOf } from "../frame/look.js";
import { factWords, needsAbove } from "../frame/needs.js";
import type { Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { type View } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/event.js";
import { eventToView } from "../navigate/view-event.js";
import { sightOf } from "../navigate/sight.js";
import type { HubEntry, State } from "../navigate/state.js";
import { stepThrough } from "../navigate/step.js";
import { focusPath } from "../navigate/focus.js";
import { choosingOn, throughAll } from "../explore/route.js";
import { backEvent } from "../observe/ladder.js";
import { devicePreset, turned, usualSize } from "../sizes/devices.js";
import { sampleOf } from "../links/rows.js";
import { screensIn } from "./pieces.js";

/** One thing that happens to an app, and comes to what it was before as far as it can. */
export interface Happening {
  id: string;
  says: string;
  events: NavigationEvent[];
}

const hubOn = (lens: Lens, state: State): HubEntry | undefined =>
  focusPath(lens, state.root).find((entry) => entry.kind === "hub");

/** How a person chooses a tab of a hub now: by its face, a drawer opened first; from outside where it has none in reach. */
const choosing = (lens: Lens, state: State, hub: HubEntry, to: Id): NavigationEvent[] => {
  const bar = sightOf(lens, state).bars.find(({ key, inert }) => key === hub.key && !inert);
  if (!bar || ![...bar.tabs, ...bar.more].includes(to)) return [{ do: "open", to }];
  return choosingOn(bar, to);
};

const tabs = (lens: Lens, state: State, frame: Frame): Happening[] => {
  const hub = hubOn(lens, state);
  if (!hub) return [];
  const node = frame.nodes[hub.node];
  const other = node?.kind === "hub" ? node.children.find((id) => id !== hub.active) : undefined;
  const found: Happening[] = [];
  if (other !== undefined) {
    const there = choosing(lens, state, hub, other);
    const at = throughAll(lens.frame, lens.view, state, there).state;
    const now = hubOn(lens, at);
    const back = now?.key === hub.key ? choosing(lens, at, now, hub.active) : [];
    found.push({ id: "otherTab", says: "another tab and back", events: [...there, ...back] });
  }
  found.push({ id: "sameTab", says: "the same tab again", events: choosing(lens, state, hub, hub.active) });
  return found;
};

const views = (frame: Frame, view: View): Happening[] => {
  const back = eventToView(view);
  const fold = ["foldClosed", "foldOpen"].flatMap((id) => devicePreset(id) ?? []);
  const others = bandsOf(frame).map(({ id }) => ({ ...usualSize(frame, id), insets: view.insets }));
  return [
    { id: "turned", says: "turned and back", events: [eventToView(turned(view)), back] },
    { id: "folded", says: "folded and unfolded", events: [...fold.map(eventToView), back] },
    { id: "resized", says: "every other size", events: [...others.map(eventToView), back] },
  ];
};

/** Facts that what is in the state needs as they are, each with another value: what signs out, and in again. */
const facts = (frame: Frame, state: State): Happening[] => {
  const needed = new Set(
    screensIn(state.root).flatMap(({ node }) => needsAbove(frame, node).map(({ need }) => need.fact)),
  );
  return factsOf(frame)
    .filter(({ id }) => needed.has(id))
    .slice(0, 2)
    .flatMap((fact) => {
      const now = state.facts[fact.id];
      const other = factValues(fact).findLast((value) => value !== now);
      if (other === undefined || now === undefined) return [];
      const says = `${factWords(frame, fact.id, other)}, and back`;
      return [
        {
          id: `fact ${fact.id}`,
          says,
          events: [
            { do: "fact" as const, id: fact.id, is: other },
            { do: "fact" as const, id: fact.id, is: now },
          ],
        },
      ];
    });
};

/** A link to a screen that is not in the state yet, the deepest address first; to any other than the top where there is none. */
const link = (lens: Lens, frame: Frame, state: State): Happening[] => {
  const there = new Set(screensIn(state.root).map(({ node }) => node));
  const top = focusPath(lens, state.root).at(-1)?.node;
  const deep = ({ pattern }: ScreenAddress): number => pattern.text.split("/").length;
  const [to] = addressesOf(frame)
    .filter(({ screen, old }) => !old && screen !== top && isAttached(frame, screen))
    .toSorted((a, b) => Number(there.has(a.screen)) - Number(there.has(b.screen)) || deep(b) - deep(a));
  if (!to) return [];
  const url = sampleOf(to.pattern);
  return [{ id: "link", says: `a link to ${url}`, events: [{ do: "link", url, start: "running" }] }];
};

/** So many Backs at most lead out. */
const mostBacks = 60;

const out = (lens: Lens, state: State): Happening[] => {
  const events: NavigationEvent[] = [];
  let at = state;
  while (!at.outside && events.length < mostBacks) {
    const event = backEvent(lens.frame, lens.view, at);
    const next = event ? stepThrough(lens.frame, lens.view, at, event).state : at;
    if (!event || next === at) break;
    events.push(event);
    at = next;
  }
  if (!at.outside) return events.length ? [{ id: "out", says: "Back as far as it goes", events }] : [];
  return [{ id: "out", says: "Back out, then returned", events: [...events, { do: "return" }] }];
};

/** Everything that may happen to an app in a state, and that a person would expect to survive. */
export const happenings = (frame: Frame, view: View, state: State): Happening[] => {
  if (state.outside || state.root.entries.length === 0) return [];
  const lens = lensOf(frame, view);
  return [
    ...tabs(lens, state, frame),
    ...views(frame, view),
    { id: "kill", says: "ended by the system", events: [{ do: "kill" }] },
    ...facts(frame, state),
    ...link(lens, frame, state),
    ...out(lens, state),
  ];
};
