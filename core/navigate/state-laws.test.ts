import fc from "fast-check";
import type { Frame } from "../frame/types.js";
import { type View, viewOf } from "../frame/view.js";
import { anyEvent, anyFrame, eventAt } from "../testing/arbitrary.js";
import { entriesInside, mapAll, mapEntries } from "./entries.js";
import type { NavigationEvent } from "./event.js";
import type { ContainerEntry, Entry, State } from "./state.js";
import { launch, type Step, step } from "./step.js";

/** Steps one after another, each with the state it began in. */
const anyRun = () =>
  fc
    .tuple(
      anyFrame(),
      fc.array(anyEvent(), { minLength: 10, maxLength: 30 }),
      fc.constantFrom("key", "swipe", "none"),
      fc.constantFrom(390, 700, 1200),
    )
    .map(([frame, events, target, width]) => {
      const view = viewOf(frame, { target, width });
      let { state } = launch(frame, view);
      const steps: { before: State; event: NavigationEvent; after: Step }[] = [];
      for (const given of events) {
        const event = eventAt(frame, view, state, given);
        const after = step(frame, view, state, event);
        steps.push({ before: state, event, after });
        ({ state } = after);
      }
      return { frame, view, steps };
    });

const copyOf = (state: State): State => JSON.parse(JSON.stringify(state)) as State;
const allIn = (entry: Entry): Entry[] => [entry, ...entriesInside(entry).flatMap(allIn)];
const isContainer = (entry: Entry): entry is ContainerEntry => entry.kind !== "screen";

test("a state that comes from elsewhere goes on as the same state does that was made here", () => {
  const law = (frame: Frame, view: View, before: State, event: NavigationEvent, after: Step) => {
    // what was found out about a state is kept by what it is: a copy has nothing of it
    const again = step(frame, view, copyOf(before), event);
    if (JSON.stringify(again) !== JSON.stringify(after))
      throw new Error(`${JSON.stringify(event)} comes out otherwise on a copy`);
  };
  fc.assert(
    fc.property(anyRun(), ({ frame, view, steps }) => {
      for (const { before, event, after } of steps) law(frame, view, before, event, after);
    }),
    { numRuns: 200 },
  );
});

test("the fold over the tree keeps what a change leaves as it is, and takes out what it answers null for", () => {
  fc.assert(
    fc.property(anyRun(), fc.nat(), ({ steps }, n) => {
      const { root } = steps.at(-1)!.after.state;
      for (const container of allIn(root).filter(isContainer)) {
        expect(mapAll(container, (inner) => inner)).toBe(container);
        const inside = entriesInside(container);
        const one = inside[n % Math.max(1, inside.length)];
        if (!one) continue;
        const changed = mapAll(container, (inner) => (inner === one ? { ...inner, since: -1 } : inner));
        const now = entriesInside(changed);
        expect(now.map(({ since }) => since)).toEqual(inside.map((inner) => (inner === one ? -1 : inner.since)));
        inside.forEach((inner, i) => inner !== one && expect(now[i]).toBe(inner));
        const without = mapEntries(container, (inner) => (inner === one ? null : inner));
        const left = container.kind === "pair" && one === container.list ? null : inside.filter((each) => each !== one);
        expect(without && entriesInside(without)).toEqual(left);
      }
    }),
    { numRuns: 200 },
  );
});

describe("what a step tells of what moves", () => {
  test("names what leaves and what enters by entries that there were, or are", () => {
    let moved = 0;
    fc.assert(
      fc.property(anyRun(), ({ steps }) => {
        for (const { before, after } of steps) {
          let from = before;
          for (const { state, moves } of after.passed) {
            // where several close or open one after another, each shows what the next one leaves
            const known = new Map([from, state].flatMap(({ root }) => allIn(root)).map(({ key, node }) => [key, node]));
            for (const { leaving, entering } of moves) {
              if (leaving) expect(known.get(leaving.key)).toBe(leaving.node);
              if (entering) expect(known.get(entering.key)).toBe(entering.node);
              expect(leaving?.key).not.toBe(entering?.key);
              moved += 1;
            }
            from = state;
          }
        }
      }),
      { numRuns: 200 },
    );
    expect(moved).toBeGreaterThan(300);
  });

  test("comes past all that was on screen on the way: the last is where it ends, their moves are its moves", () => {
    let several = 0;
    fc.assert(
      fc.property(anyRun(), ({ frame, view, steps }) => {
        for (const { before, event, after } of steps) {
          // time that passes is what can make several things happen
          const waited = step(frame, view, after.state, { do: "wait", ms: 2000 });
          for (const { state, moves, passed } of [after, waited]) {
            if (passed.length === 0) continue;
            if (passed.length > 1) several += 1;
            expect(passed.at(-1)!.state).toBe(state);
            expect(passed.flatMap((each) => each.moves)).toEqual(moves);
          }
          expect(after.passed.length > 0 || after.state === before || event.do === "wait").toBe(true);
        }
      }),
      { numRuns: 400 },
    );
    expect(several).toBeGreaterThan(5);
  });
});
