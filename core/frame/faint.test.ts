import { frameOf, screen } from "../testing/frames.js";
import { faintInSomeViews } from "./faint.js";
import type { Frame } from "./types.js";

const with_ = (more: Partial<Frame>): Frame => ({ ...frameOf({ app: screen() }), ...more });

test("colours that are too faint in some views only are found in these, and named with them", () => {
  const frame = with_({ vary: [{ on: ["touch"], from: "desk", set: { theme: { light: { ink: "#EEEEEE" } } } }] });
  const found = faintInSomeViews(frame);
  expect(found.map(({ where }) => where)).toEqual(["on Phone, at desk"]);
  expect(found[0]?.faint.map(({ id }) => id)).toEqual(["ink-page", "ink-surface", "ink-mark"]);
});

test("low views are looked at where the frame has them", () => {
  const vary: Frame["vary"] = [{ short: true, to: "hand", set: { theme: { dark: { badge: "#101416" } } } }];
  expect(faintInSomeViews(with_({ vary }))).toEqual([]);
  expect(faintInSomeViews(with_({ vary, short: 500 })).map(({ where }) => where)).toEqual(
    expect.arrayContaining([expect.stringMatching(/at hand, when low$/)]),
  );
});

test("colours that are too faint everywhere are not told of twice", () => {
  expect(faintInSomeViews(with_({ theme: { light: { ink: "#EEEEEE" } } }))).toEqual([]);
});
