import type { Lens } from "../frame/look.js";
import { isMet, standsInFor } from "../frame/needs.js";
import { screenAt } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import { topOf } from "../navigate/focus.js";
import { type Entry, isStuck, type State } from "../navigate/state.js";
import { step } from "../navigate/step.js";
import type { Choice } from "./choices.js";
import type { Hidden } from "./hidden.js";

/** What a choice came to, beside the state. */
export interface Came {
  state: State;
  /** The same screen is on top as before: a tap that did this has not gone anywhere. */
  isSameTop: boolean;
  /** The screens that lost a draft, and nobody was asked. */
  lost: readonly Id[];
  /** The places whose entries were lost as a whole, with the drafts in them; `but` is the screen whose own draft does not count. */
  lostIn: readonly { place: number; but: Id | null }[];
  /** What shows stands only for those who lack what they have by now, or goes on by itself: nobody should come back to it. */
  isPassed: boolean;
}

/** Whether a screen on top is one that nobody should come back to: it stands in where needs are unmet, and they are met; or it goes on by itself. */
const isPassed = ({ frame }: Lens, { facts }: State, top: Entry): boolean => {
  if (top.kind !== "screen") return false;
  if (screenAt(frame, top.node).after) return true;
  const needs = standsInFor(frame, top.node);
  return needs.length > 0 && needs.every(({ need }) => isMet(facts, need));
};

/** What a choice comes to in a state, with what is hidden in it. */
export const cameOf = (lens: Lens, before: State, hidden: Hidden, { events }: Choice): Came => {
  let state = before;
  const lost: Id[] = [];
  const lostIn: Came["lostIn"][number][] = [];
  for (const event of events) {
    // who taps what a form itself offers means to be done with it
    const doneOn = event.do === "tap" ? (event.in ?? topOf(lens, state.root).node) : null;
    const done = step(lens.frame, lens.view, state, event);
    state = done.state;
    // what was answered is lost with open eyes, and what a fact takes is nobody's doing
    if (event.do !== "answer" && event.do !== "fact")
      for (const note of done.notes) {
        const { code, node } = note;
        const place = hidden.lostIn(note);
        if (place !== undefined) lostIn.push({ place, but: doneOn });
        else if (code === "draft-lost" && node !== null && node !== doneOn && !lost.includes(node)) lost.push(node);
      }
  }
  const [was, is] = [topOf(lens, before.root), topOf(lens, state.root)];
  return {
    state,
    isSameTop:
      was.key === is.key && before.drawer === state.drawer && before.outside === state.outside && !state.asking,
    lost,
    lostIn,
    isPassed: !state.outside && !isStuck(state) && isPassed(lens, state, is),
  };
};
