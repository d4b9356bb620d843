import fc from "fast-check";
import type { Frame, Node, ScreenNode } from "../frame/types.js";
import { type View, viewOf } from "../frame/view.js";
import { anyEvent, anyFrame, eventAt } from "../testing/arbitrary.js";
import { lensOf } from "../frame/look.js";
import { entriesInside } from "./entries.js";
import { topOf } from "./focus.js";
import type { NavigationEvent } from "./event.js";
import type { Entry, State } from "./state.js";
import { launch, step, viewAfter } from "./step.js";

/** The frame with a form wherever a screen has nothing else, and every form asking about its drafts. */
const careful = (frame: Frame): Frame => ({
  ...frame,
  nodes: Object.fromEntries(
    Object.entries(frame.nodes).map(([id, node]): [string, Node] => {
      if (node.kind !== "screen" || (node.body && node.body.kind !== "form")) return [id, node];
      const body: ScreenNode["body"] = { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] };
      return [id, { ...node, body, leave: { when: "draft", ask: "Leave?" } }];
    }),
  ),
});

/** The drafts there are, as `key/field`, each with its text. */
const draftsIn = (entry: Entry): [string, string][] => [
  ...Object.entries(entry.ui.drafts)
    .filter(([, text]) => text !== "")
    .map(([field, text]): [string, string] => [`${entry.key}/${field}`, text]),
  ...entriesInside(entry).flatMap(draftsIn),
];

/** Drafts whose text stands nowhere any more: neither as a draft nor as what a screen was given or opened with. */
const lostBetween = (before: State, after: State): string[] => {
  const kept = new Map(draftsIn(after.root));
  const all = JSON.stringify([after.root, after.pending]);
  return draftsIn(before.root)
    .filter(([place, text]) => !kept.has(place) && !all.includes(JSON.stringify(text)))
    .map(([place]) => place);
};

/** The screen whose drafts a tap hands over, wherever they end up; undefined where it does not. */
const givingScreen = ({ frame, view, before, event }: Seen): string | undefined => {
  if (event.do !== "tap") return undefined;
  const id = event.in ?? topOf(lensOf(frame, view), before.root).node;
  const node = frame.nodes[id];
  const action = node?.kind === "screen" ? node.actions?.find((each) => each.id === event.action) : undefined;
  return JSON.stringify(action?.do ?? "").includes("{draft.") ? id : undefined;
};

const keysOfNode = (entry: Entry, id: string): number[] => [
  ...(entry.node === id ? [entry.key] : []),
  ...entriesInside(entry).flatMap((inner) => keysOfNode(inner, id)),
];

const unaskedFor = new Set(["fact", "view", "wait", "kill", "type", "answer"]);
const isThePersons = (event: NavigationEvent): boolean =>
  !unaskedFor.has(event.do) && !(event.do === "link" && event.start === "cold");

interface Seen {
  frame: Frame;
  view: View;
  before: State;
  event: NavigationEvent;
  after: ReturnType<typeof step>;
}

const overRuns = (frames: fc.Arbitrary<Frame>, law: (seen: Seen) => void, numRuns: number): void =>
  fc.assert(
    fc.property(
      frames,
      fc.array(anyEvent(), { minLength: 20, maxLength: 40 }),
      fc.constantFrom("key", "swipe"),
      (frame, events, target) => {
        let view = viewOf(frame, { target });
        let { state } = launch(frame, view);
        events.forEach((given, i) => {
          // every other time something is typed, so that there is something to lose
          const typed = i % 2 === 0 && !state.asking;
          const event: NavigationEvent = typed
            ? { do: "type", field: "name", text: `text ${i}` }
            : eventAt(frame, view, state, given);
          const after = step(frame, view, state, event);
          if (typeof event === "object" && event !== null) {
            law({ frame, view, before: state, event, after });
            view = viewAfter(frame, view, event);
          }
          ({ state } = after);
        });
      },
    ),
    { numRuns },
  );

test("where every form asks, no event of the person loses a draft unasked", () => {
  const seen = { asked: 0, kept: 0, lost: 0 };
  overRuns(
    anyFrame().map(careful),
    (at) => {
      const { before, event, after } = at;
      if (after.notes.some(({ code }) => code === "asks")) seen.asked += 1;
      const giving = givingScreen(at);
      const given = giving === undefined ? [] : keysOfNode(before.root, giving);
      const lost = lostBetween(before, after.state).filter(
        (place) => !given.some((key) => place.startsWith(`${key}/`)),
      );
      if (!isThePersons(event)) seen.lost += lost.length;
      else {
        expect([event, lost]).toEqual([event, []]);
        seen.kept += draftsIn(before.root).length;
      }
    },
    300,
  );
  // drafts are asked about, kept by the person's events, and lost by others
  expect(seen.asked).toBeGreaterThan(100);
  expect(seen.kept).toBeGreaterThan(1000);
  expect(seen.lost).toBeGreaterThan(30);
});

test("a question leaves the state as it was, no gives that state back, and yes comes to what the event comes to unasked", () => {
  let asked = 0;
  const silent = (frame: Frame): Frame => ({
    ...frame,
    nodes: Object.fromEntries(
      Object.entries(frame.nodes).map(([id, node]) => {
        if (node.kind !== "screen" || !node.leave) return [id, node];
        const { leave: _, ...rest } = node;
        return [id, rest];
      }),
    ),
  });
  overRuns(
    fc.oneof(anyFrame(), anyFrame().map(careful)),
    ({ frame, view, before, event, after }) => {
      if (!after.state.asking || before.asking || event.do === "answer") return;
      asked += 1;
      const was = { ...before, outside: false };
      expect({ ...after.state, asking: null }).toEqual(was);
      expect(step(frame, view, after.state, { do: "answer", leave: false }).state).toEqual(was);
      const yes = step(frame, view, after.state, { do: "answer", leave: true });
      expect(yes.state).toEqual(step(silent(frame), view, was, event).state);
    },
    300,
  );
  expect(asked).toBeGreaterThan(30);
});
