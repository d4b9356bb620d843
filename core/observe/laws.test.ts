import fc from "fast-check";
import { viewOf } from "../frame/view.js";
import { launch, step, stepThrough } from "../navigate/step.js";
import { unasked } from "../navigate/asking.js";
import { anyEvent, anyFrame, eventAt } from "../testing/arbitrary.js";
import { backEvent, ladderOf } from "./ladder.js";
import { explain } from "./explain.js";
import { noteText } from "./note-text.js";

const broken = /undefined|\[object|NaN|\bnull\b|^\s*$/;

test("every note of every step has a text of its own, made of what the note holds and nothing else", () => {
  const codes = new Set<string>();
  fc.assert(
    fc.property(anyFrame(), fc.array(anyEvent(), { minLength: 10, maxLength: 30 }), (frame, events) => {
      const view = viewOf(frame);
      let at = launch(frame, view);
      for (const given of events) {
        const event = eventAt(frame, view, at.state, given);
        const after = step(frame, view, at.state, event);
        for (const note of after.notes) {
          codes.add(note.code);
          // what a note says outlives the step: it is a value
          const text = noteText(frame, structuredClone(note));
          expect([note.code, note.code !== "ignored" && broken.test(text)]).toEqual([note.code, false]);
        }
        const reasons = explain(frame, view, at, event, after);
        // whatever is touched is told: what it did, or that it did nothing
        if (!["view", "wait"].includes(event?.do)) expect(reasons.length).toBeGreaterThan(0);
        for (const reason of reasons) expect(reason).not.toMatch(/undefined|\[object|^\s*$/);
        at = after;
      }
    }),
    { numRuns: 250 },
  );
  expect(codes.size).toBeGreaterThan(12);
});

test("a ladder is what pressing Back again and again does, rung by rung, and it says how that ends", () => {
  fc.assert(
    fc.property(
      anyFrame(),
      fc.array(anyEvent(), { maxLength: 20 }),
      fc.constantFrom("key", "swipe", "none"),
      (frame, events, target) => {
        const view = viewOf(frame, { target });
        let { state } = launch(frame, view);
        for (const given of events) state = step(frame, view, state, eventAt(frame, view, state, given)).state;
        if (state.outside) return;
        const { rungs, end } = ladderOf(frame, view, state);
        let now = unasked(state);
        for (const rung of rungs) {
          const event = backEvent(frame, view, now);
          if (!event) throw new Error("a rung where nothing goes back");
          now = stepThrough(frame, view, now, event).state;
          expect({ ...now, nextKey: 0 }).toEqual({ ...rung.state, nextKey: 0 });
        }
        const last = backEvent(frame, view, now);
        if (end === "stays")
          expect(last && stepThrough(frame, view, now, last).state.root === now.root).not.toBe(false);
        if (end === "left") expect(last && stepThrough(frame, view, now, last).state.outside).toBe(true);
      },
    ),
    { numRuns: 200 },
  );
});
