import { isDeepStrictEqual } from "node:util";
import fc from "fast-check";
import { applySoundly } from "../edit/apply.js";
import { equal } from "../frame/equal.js";
import { faultsOf } from "../frame/faults.js";
import type { Frame } from "../frame/types.js";
import { viewOf } from "../frame/view.js";
import { anyEdit, anyEvent, anyFrame } from "../testing/arbitrary.js";
import type { NavigationEvent } from "./events.js";
import { ladderOf } from "./ladder.js";
import { refit } from "./refit.js";
import { snapshotOf } from "./snapshot.js";
import { type Entry, entriesInside, isHub, isStack, type State, topOf } from "./state.js";
import { launch, step, viewAfter } from "./step.js";

const freeze = <T>(value: T): T => {
  if (typeof value === "object" && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    for (const inner of Object.values(value)) freeze(inner);
  }
  return value;
};

/** What is wrong with the shape of a state, if anything. */
const wrong = (frame: Frame, entry: Entry, keys = new Set<number>()): string | null => {
  if (keys.has(entry.key)) return `key ${entry.key} stands twice`;
  keys.add(entry.key);
  const node = frame.nodes[entry.node];
  if (!node) return `${entry.node} is no node`;
  if ((entry.inside?.kind ?? "screen") !== node.kind) return `${entry.node} is no ${node.kind}`;
  if (isStack(entry) && entry.inside.entries.length === 0) return `${entry.node} is empty`;
  if (isHub(entry)) {
    const { active, tabs, visits } = entry.inside;
    if (!tabs[active]) return `${entry.node} shows no tab`;
    if (visits.includes(active) || new Set(visits).size !== visits.length) return `${entry.node} visits one twice`;
  }
  for (const inner of entriesInside(entry)) {
    if (!("children" in node) || !node.children.includes(inner.node)) return `${inner.node} is not in ${entry.node}`;
    const found = wrong(frame, inner, keys);
    if (found) return found;
  }
  return null;
};

const targets = ["key", "swipe", "none"] as const;

describe("laws of the engine, over random frames and random events", () => {
  const runs = { numRuns: 400 };

  test("a step never throws, never leaves a stack empty, never changes the state it was given, and is the same each time", () => {
    let steps = 0;
    fc.assert(
      fc.property(
        anyFrame(),
        fc.array(anyEvent(), { minLength: 20, maxLength: 40 }),
        fc.constantFrom(...targets),
        (frame, events, target) => {
          freeze(frame);
          let view = viewOf(frame, { target });
          let state: State = freeze(launch(frame, view).state);
          for (const event of events as NavigationEvent[]) {
            const first = step(frame, view, state, event);
            if (!isDeepStrictEqual(step(frame, view, state, event), first))
              throw new Error("another answer to the same");
            const fault = wrong(frame, first.state.root);
            if (fault) throw new Error(fault);
            const ignored = first.notes.length === 1 && first.notes[0]!.code === "ignored";
            if (ignored && (event as NavigationEvent | null)?.do !== "wait") expect(first.state.root).toBe(state.root);
            state = freeze(first.state);
            if (typeof event === "object" && event !== null) view = viewAfter(frame, view, event);
            steps += 1;
          }
          JSON.stringify(snapshotOf(frame, view, { state, moves: [], notes: [] }));
        },
      ),
      runs,
    );
    expect(steps).toBeGreaterThan(10_000);
  });

  test("Back always ends: in leaving the app where there is a Back, and never in a loop", () => {
    fc.assert(
      fc.property(
        anyFrame(),
        fc.array(anyEvent(), { maxLength: 25 }),
        fc.constantFrom(...targets),
        (frame, events, target) => {
          const view = viewOf(frame, { target });
          let { state } = launch(frame, view);
          for (const event of events as NavigationEvent[]) state = step(frame, view, state, event).state;
          if (state.outside) return;
          const ladder = ladderOf(frame, view, state);
          if (target === "key") expect(ladder.end).toBe("exit");
          for (const at of ladder.steps) expect(wrong(frame, at.root)).toBeNull();
        },
      ),
      { numRuns: 300 },
    );
  });

  test("a state put on an edited frame is one of that frame, and keeps its top screen where that still stands", () => {
    fc.assert(
      fc.property(
        anyFrame(),
        fc.array(anyEvent(), { maxLength: 12 }),
        fc.array(anyEdit(), { maxLength: 6 }),
        (frame, events, edits) => {
          const view = viewOf(frame);
          let { state } = launch(frame, view);
          for (const event of events as NavigationEvent[]) state = step(frame, view, state, event).state;
          let now = frame;
          for (const edit of edits) {
            const result = applySoundly(now, edit);
            if (!result.ok) continue;
            now = result.frame;
            const before = topOf(state.root).node;
            state = refit(now, view, state, edit.kind === "rename" ? { [edit.id]: edit.to } : {});
            expect(wrong(now, state.root)).toBeNull();
            if (edit.kind === "set" || edit.kind === "setFrame") expect(topOf(state.root).node).toBe(before);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe("laws of edits, over random frames and random edits", () => {
  test("what an edit answers is sound, taken back by its inverse, and the frame it was given is as before", () => {
    fc.assert(
      fc.property(anyFrame(), fc.array(anyEdit(), { minLength: 3, maxLength: 12 }), (frame, edits) => {
        expect(faultsOf(frame)).toEqual([]);
        freeze(frame);
        let now = frame;
        const inverses = [];
        for (const edit of edits) {
          const before = now;
          const result = applySoundly(now, edit);
          if (!result.ok) continue;
          expect(faultsOf(result.frame)).toEqual([]);
          const undone = applySoundly(result.frame, result.inverse);
          if (!undone.ok) throw new Error(JSON.stringify(undone.faults));
          expect(equal(undone.frame, before)).toBe(true);
          const redone = applySoundly(undone.frame, undone.inverse);
          expect(redone.ok && equal(redone.frame, result.frame)).toBe(true);
          inverses.push(result.inverse);
          now = freeze(result.frame);
        }
        for (const inverse of inverses.reverse()) {
          const result = applySoundly(now, inverse);
          if (!result.ok) throw new Error(JSON.stringify(result.faults));
          now = result.frame;
        }
        expect(equal(now, frame)).toBe(true);
      }),
      { numRuns: 400 },
    );
  });
});
