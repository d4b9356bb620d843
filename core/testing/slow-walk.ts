import { lensOf } from "../frame/look.js";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { upTakes } from "../navigate/back.js";
import { topOf } from "../navigate/focus.js";
import { isStuck, type State } from "../navigate/state.js";
import { launch, step } from "../navigate/step.js";
import { ladderOf } from "../observe/ladder.js";
import { factChanges, factsText } from "../walk/asked-facts.js";
import { bareOf } from "../walk/bare.js";
import { beginningsOf } from "../walk/beginnings.js";
import { beyondOf, usualBounds } from "../walk/bounds.js";
import { choicesIn } from "../walk/choices.js";

// the same walk as plainly as it can be said: each state is the engine's own, and is known by its text

export interface SlowWalk {
  states: number;
  edges: number;
  /** The fewest events to each screen that is on top. */
  tops: Map<string, number>;
  /** Rungs of the longest ladder; ladders that go beyond the bounds are left out. */
  longest: number;
  round: number;
  /** How often a screen lost a draft, and nobody was asked. */
  lost: number;
  /** States in which nothing goes back though something lies beneath. */
  traps: number;
  isFull: boolean;
}

const textOf = (frame: Frame, view: View, state: State): string =>
  JSON.stringify([factsText(frame, state.facts), bareOf(lensOf(frame, view), state).text]);

export const slowWalk = (frame: Frame, view: View, mostStates = Infinity, ladders = true): SlowWalk => {
  const lens = lensOf(frame, view);
  const known = new Map<string, { state: State; events: number }>();
  const tops = new Map<string, number>();
  let [edges, lost] = [0, 0];
  let isFull = false;
  const come = (state: State, events: number, from?: string): void => {
    const text = textOf(frame, view, state);
    if (text === from) return;
    if (from !== undefined) edges += 1;
    if (beyondOf(state, usualBounds) || known.has(text)) return;
    if (known.size >= mostStates) isFull = true;
    else known.set(text, { state, events });
  };
  const goOn = (facts: boolean) => {
    for (const [text, { state, events }] of known) {
      if (!state.outside && !state.asking && !isStuck(state)) {
        const top = topOf(lens, state.root).node;
        if (!tops.has(top)) tops.set(top, events);
      }
      const choices = facts
        ? factChanges(frame, state.facts).map((event) => ({ events: [event] }))
        : choicesIn(lens, state);
      for (const choice of choices) {
        let after = state;
        const losing = new Set<string | null>();
        for (const event of choice.events) {
          const doneOn = event.do === "tap" ? (event.in ?? topOf(lens, after.root).node) : null;
          const done = step(frame, view, after, event);
          after = done.state;
          if (event.do === "answer" || event.do === "fact") continue;
          for (const { code, node } of done.notes) if (code === "draft-lost" && node !== doneOn) losing.add(node);
        }
        lost += losing.size;
        come(after, events + 1, text);
      }
    }
  };
  for (const { facts, url } of beginningsOf(frame).all) come(launch(frame, view, facts, url ?? undefined).state, 0);
  for (let before = -1; before !== known.size;) {
    before = known.size;
    [edges, lost] = [0, 0];
    goOn(false);
    goOn(true);
  }
  let [longest, round, traps] = [0, 0, 0];
  if (ladders)
    for (const { state } of known.values()) {
      if (state.outside || state.asking) continue;
      const { rungs, end } = ladderOf(frame, view, state);
      if (end === "stays" && rungs.length === 0 && upTakes(lens, state) !== null) traps += 1;
      if (end === "round") round += 1;
      else if (rungs.every((rung) => !beyondOf(rung.state, usualBounds))) longest = Math.max(longest, rungs.length);
    }
  return { states: known.size, edges, lost, tops, longest, round, traps, isFull };
};
