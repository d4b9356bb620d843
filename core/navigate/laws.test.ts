import { lensOf } from "../frame/look.js";
import { isDeepStrictEqual } from "node:util";
import fc from "fast-check";
import { applySoundly } from "../edit/apply.js";
import { childrenOf } from "../frame/defaults.js";
import { arrange } from "../arrange/arrange.js";
import { equal } from "../frame/equal.js";
import { faultsOf } from "../faults/faults.js";
import { thenRenamed } from "../edit/renames.js";
import { plainFrame } from "../frame/write.js";
import type { Frame } from "../frame/types.js";
import { type View, viewOf } from "../frame/view.js";
import { targetOfLink } from "../address/addresses.js";
import { anyEdit, anyEvent, anyFrame, anyLink, eventAt } from "../testing/arbitrary.js";
import type { NavigationEvent } from "./event.js";
import { topOf } from "./focus.js";
import { hasNeeds, unmetOf } from "../frame/needs.js";
import { ladderOf } from "../observe/ladder.js";
import { refit } from "./refit.js";
import { snapshotOf } from "../observe/snapshot.js";
import { entriesInside } from "./entries.js";
import type { Entry, State } from "./state.js";
import { launch, step, viewAfter } from "./step.js";
import { surfaceOf } from "../observe/surface.js";

const freeze = <T>(value: T): T => {
  if (typeof value === "object" && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    for (const inner of Object.values(value)) freeze(inner);
  }
  return value;
};

/** What is wrong with the shape of a state, if anything. */
const wrong = (frame: Frame, { root, facts }: State): string | null =>
  root.entries.length === 0 ? null : wronglyHeld(frame, facts, root, new Set());

const wronglyHeld = (frame: Frame, facts: State["facts"], entry: Entry, keys: Set<number>): string | null => {
  if (keys.has(entry.key)) return `key ${entry.key} stands twice`;
  keys.add(entry.key);
  const node = frame.nodes[entry.node];
  const unmet = unmetOf(frame, facts, entry.node);
  if (unmet) return `${entry.node} needs ${unmet.fact}`;
  if (!node) return `${entry.node} is no node`;
  if (entry.kind !== node.kind) return `${entry.node} is no ${node.kind}`;
  if (entry.kind === "stack" && entry.entries.length === 0) return `${entry.node} is empty`;
  if (entry.kind === "hub") {
    const { active, tabs, visits } = entry;
    if (!tabs[active]) return `${entry.node} shows no tab`;
    if (visits.includes(active) || new Set(visits).size !== visits.length) return `${entry.node} visits one twice`;
  }
  if (entry.kind === "pair" && entry.side === "detail" && !entry.detail) return `${entry.node} shows no detail`;
  for (const inner of entriesInside(entry)) {
    if (!childrenOf(node).includes(inner.node)) return `${inner.node} is not in ${entry.node}`;
    const found = wronglyHeld(frame, facts, inner, keys);
    if (found) return found;
  }
  return null;
};

/** What is wrong with what can be seen of a state, if anything. */
const wronglySeen = (frame: Frame, view: View, state: State): string | null => {
  if (state.outside) return null;
  const { screens, top, bars, headers, drawer } = surfaceOf(frame, state, view);
  if (!top) return state.root.entries.length ? "nothing is on top" : null;
  const own = screens.find((screen) => screen.entry === top);
  if (!own) return `the top ${top.node} cannot be seen`;
  if (own.inert !== (drawer !== null || state.asking !== null))
    return `the top ${top.node} is ${own.inert ? "inert" : "not inert"}`;
  if (bars.filter((bar) => bar.open).length > 1) return "two drawers are open";
  for (const header of headers)
    if (header.close && (header.back || header.menu)) return "a strip's close has another button beside it";
  const regions = arrange(frame, state, view);
  if (!regions.some((region) => region.role === "content" && region.key === top.key)) return "the top has no region";
  for (const { role, x, y, width, height } of regions)
    if (!(x >= 0 && y >= 0 && width >= 0 && height >= 0 && x + width <= view.width && y + height <= view.height))
      return `a ${role} lies outside the view: ${x},${y} ${width}x${height}`;
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
          for (const given of events) {
            const event = eventAt(frame, view, state, given);
            const first = step(frame, view, state, event);
            if (!isDeepStrictEqual(step(frame, view, state, event), first))
              throw new Error("another answer to the same");
            const fault = wrong(frame, first.state) ?? wronglySeen(frame, view, first.state);
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
          for (const event of events) state = step(frame, view, state, eventAt(frame, view, state, event)).state;
          if (state.outside) return;
          const ladder = ladderOf(frame, view, state);
          if (target === "key") expect(ladder.end).toBe("left");
          for (const rung of ladder.rungs) expect(wrong(frame, rung.state)).toBeNull();
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
          for (const event of events) state = step(frame, view, state, eventAt(frame, view, state, event)).state;
          let now = frame;
          for (const edit of edits) {
            const result = applySoundly(now, edit);
            if (!result.ok) continue;
            const was = now;
            const before = topOf(lensOf(was, view), state.root).node;
            now = result.frame;
            state = refit(was, now, view, state, result.renamed);
            expect(wrong(now, state)).toBeNull();
            if ((edit.kind === "set" && edit.key !== "opens") || edit.kind === "setFrame")
              expect(topOf(lensOf(now, view), state.root).node).toBe(before);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe("laws of addresses, over random frames and random links", () => {
  test("the address of a screen that a link opened leads back to the same screen and params, cold and running", () => {
    let opened = 0;
    fc.assert(
      fc.property(anyFrame(), fc.array(anyLink(), { minLength: 10, maxLength: 30 }), (frame, links) => {
        const view = viewOf(frame);
        let { state } = launch(frame, view);
        for (const link of links) {
          const target = targetOfLink(frame, link.url);
          const at = step(frame, view, state, link);
          ({ state } = at);
          if (target.kind !== "screen" || at.notes.some(({ code }) => code === "redirected" || code === "refused"))
            continue;
          const { address, params, top } = snapshotOf(frame, view, at);
          if (top !== target.screen || address === null) continue;
          opened += 1;
          expect(targetOfLink(frame, address)).toMatchObject({ screen: top, params });
          // where nothing has needs it opens again too
          if (hasNeeds(frame)) continue;
          const again = snapshotOf(frame, view, launch(frame, view, state.facts, address));
          expect({ top: again.top, params: again.params }).toEqual({ top, params });
        }
      }),
      { numRuns: 400 },
    );
    expect(opened).toBeGreaterThan(150);
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
          // in memory it is what would be written
          expect(equal(result.frame, plainFrame(result.frame))).toBe(true);
          const undone = applySoundly(result.frame, result.inverse);
          if (!undone.ok) throw new Error(JSON.stringify(undone.faults));
          expect(equal(undone.frame, before)).toBe(true);
          // what showed a node goes on showing it, through both
          expect(thenRenamed(result.renamed, undone.renamed)).toEqual({});
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
