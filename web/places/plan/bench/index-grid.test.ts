import { brief, indexColumns, openIn } from "./index-grid.js";

const cells = Array.from({ length: 11 }, (_, i) => ({ label: "ways out", value: i % 2 ? "3" : "Signed in" }));
const groups = [
  { id: "title", width: 400 },
  { id: "opens", width: 400 },
  { id: "out", width: 860 },
];
const idsOf = (shown: readonly { id: string }[]) => shown.map(({ id }) => id);

test("the index stands in one row where there is room, else in rows as even as can be", () => {
  expect(indexColumns(cells, 2000)).toBe(11);
  expect(indexColumns(cells, 600)).toBe(6);
  expect(indexColumns(cells, 400)).toBe(4);
  expect(indexColumns(cells, 10)).toBe(1);
});

test("the group opened last is open, and those before it as far as they fit beside it, in the order of the index", () => {
  expect(idsOf(openIn(groups, [], 870))).toEqual(["title"]);
  expect(idsOf(openIn(groups, ["opens", "title"], 870))).toEqual(["title", "opens"]);
  expect(idsOf(openIn(groups, ["opens", "title"], 600))).toEqual(["opens"]);
  expect(idsOf(openIn(groups, ["out", "title"], 870))).toEqual(["out"]);
  expect(idsOf(openIn(groups, ["out"], 500))).toEqual(["out"]);
});

test("a group that what is chosen does not have opens nothing, and the first stands in", () => {
  expect(idsOf(openIn(groups, ["face"], 870))).toEqual(["title"]);
  expect(idsOf(openIn(groups, ["face", "opens"], 870))).toEqual(["opens"]);
});

test("a long address keeps its end, and words that are too many their front", () => {
  expect(brief("/plots")).toBe("/plots");
  expect(brief("/gardens/plots/:plot/beds/:bed")).toBe("…s/plots/:plot/beds/:bed");
  expect(brief("/gardens/plots/:plot/beds/:bed").length).toBe(24);
  expect(brief("drawer · rail · panel")).toBe("drawer · rail · panel");
  expect(brief("drawer · rail · panel · drawer")).toBe("drawer · rail · panel ·…");
});
