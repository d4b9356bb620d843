import { faultsOf } from "../faults/faults.js";
import { plainFrame } from "../frame/write.js";
import { viewOf } from "../frame/view.js";
import { firstWaysOf } from "../walk/first-ways.js";
import { runIn, tap } from "../testing/frames.js";
import { startingShapes } from "./starts.js";

test.each(startingShapes.map((shape) => [shape.label, shape] as const))(
  "the shape %s is sound, written without defaults, and every screen of it is reached by hand",
  (_label, { frame }) => {
    expect(faultsOf(frame)).toEqual([]);
    expect(plainFrame(frame)).toEqual(frame);
    const screens = Object.keys(frame.nodes).filter((id) => frame.nodes[id]!.kind === "screen");
    for (const view of [viewOf(frame, {}), viewOf(frame, { width: 1100, height: 800 })])
      expect(Object.keys(firstWaysOf(frame, view).to).sort()).toEqual(screens.sort());
  },
);

test("sign-in comes first, and Back never shows it again", () => {
  const { frame } = startingShapes.find(({ id }) => id === "signIn")!;
  const { top, back, facts } = runIn(frame, {}, tap("signIn"), tap("signIn"));
  expect([top, back, facts.signedIn]).toEqual(["home", ["exit"], true]);
});
