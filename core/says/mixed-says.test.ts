import { frameOf, hub, screen, stack } from "../testing/frames.js";
import { plainFrame } from "../frame/write.js";
import type { Tab } from "../frame/parts.js";
import { mixedSays } from "./mixed-says.js";

const says = (...tabs: Tab[]): string => {
  const ids = tabs.map((_, i) => `t${i}`);
  const nodes = Object.fromEntries(tabs.map((tab, i) => [`t${i}`, screen({ title: `Tab ${i}`, tab })]));
  return mixedSays(plainFrame(frameOf({ app: stack(["home"]), home: hub(ids), ...nodes })), "home");
};

test("tabs with and without icons in one bar are pointed out by name", () => {
  expect(says({ icon: "leaf" }, { label: "Words" })).toBe(
    "The tabs are not alike: no icon on Tab 1, but on the others.",
  );
  expect(says({ icon: "leaf" }, { icon: "leaf" })).toBe("");
  expect(says({}, {})).toBe("");
});

test("so are tabs without a label beside others; what is hidden does not count", () => {
  expect(says({ icon: "leaf", label: "" }, { icon: "leaf" })).toMatch("no label on Tab 0");
  expect(says({ icon: "leaf" }, { hidden: true })).toBe("");
});
