import { steppedTo } from "./option-step.js";

test("arrows go through the options and round their ends", () => {
  expect(["ArrowDown", "ArrowUp"].map((key) => steppedTo(key, 1, 3))).toEqual([2, 0]);
  expect([steppedTo("ArrowDown", 2, 3), steppedTo("ArrowUp", 0, 3)]).toEqual([0, 2]);
});

test("from none of them they lead to the first or the last, and in an empty list to none", () => {
  expect([steppedTo("ArrowDown", -1, 3), steppedTo("ArrowUp", -1, 3)]).toEqual([0, 2]);
  expect([steppedTo("ArrowDown", -1, 0), steppedTo("ArrowUp", 0, 0)]).toEqual([-1, -1]);
});

test("other keys are not for the list", () => {
  for (const key of ["Enter", "Tab", "a", "ArrowLeft"]) expect(steppedTo(key, 0, 3)).toBeNull();
});
