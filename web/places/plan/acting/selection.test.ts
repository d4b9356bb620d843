import { plainFrame } from "../../../../core/index.js";
import { tabbed } from "../../../../core/testing/frames.js";
import { outermost, rangeOf, toggled } from "./selection.js";

const frame = plainFrame(tabbed());
const at = (id: string, parent = "aTab") => ({ id, parent });

test("a range is all that is drawn between two siblings, whichever comes first", () => {
  expect(rangeOf(frame, at("a"), at("deep"))).toEqual([at("deep"), [at("a"), at("item")]]);
  expect(rangeOf(frame, at("deep"), at("a"))).toEqual([at("a"), [at("item"), at("deep")]]);
  expect(rangeOf(frame, at("a"), at("b", "bTab"))).toEqual([at("b", "bTab"), [at("a")]]);
});
test("one more is chosen, or one less, and something stays chosen while anything is", () => {
  expect(toggled(at("a"), [], at("item"))).toEqual([at("item"), [at("a")]]);
  expect(toggled(at("item"), [at("a")], at("item"))).toEqual([at("a"), []]);
  expect(toggled(at("item"), [at("a")], at("a"))).toEqual([at("item"), []]);
});
test("what stands in something chosen is taken along by it", () => {
  expect(outermost(frame, [at("a"), { id: "home", parent: "app" }, { id: "cover", parent: "app" }])).toEqual([
    { id: "home", parent: "app" },
    { id: "cover", parent: "app" },
  ]);
});
