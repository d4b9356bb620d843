import { plainFrame } from "../frame/write.js";
import { frameOf, hub, screen, stack, tabbed } from "../testing/frames.js";
import { createFinder, find } from "./find.js";
import { findablesOf } from "./findables.js";

const things = (...labels: string[]) =>
  createFinder(labels.map((label) => ({ key: label, label, says: label === "Photo" ? "screen in Diary" : "" })));
const found = (finder: ReturnType<typeof things>, text: string, recent: string[] = []): string[] =>
  find(finder, text, recent).map(({ item }) => item.label);

describe("finding", () => {
  const finder = things("Plot", "Water the plot", "Log water", "Plot notes", "Photo", "Exploit", "Übersicht");
  test("puts what begins with the letters first, then words that do, then the rest", () => {
    expect(found(finder, "plo")).toEqual(["Plot", "Plot notes", "Water the plot", "Exploit"]);
    expect(found(finder, "plot")[0]).toBe("Plot");
  });
  test("knows initials, letters apart, several words in any order, and what is said", () => {
    expect(found(finder, "lw")).toEqual(["Log water"]);
    expect(found(finder, "wtp")[0]).toBe("Water the plot");
    expect(found(finder, "pht")).toEqual(["Photo"]);
    expect(found(finder, "water log")).toEqual(["Log water"]);
    expect(found(finder, "diary")).toEqual(["Photo"]);
    expect(found(finder, "ubers")).toEqual(["Übersicht"]);
    expect(found(finder, "zzz")).toEqual([]);
  });
  test("prefers what was used last, and shows that while nothing is typed", () => {
    expect(found(finder, "plo", ["Plot notes"])[0]).toBe("Plot notes");
    expect(found(finder, "", ["Photo", "Log water"]).slice(0, 3)).toEqual(["Photo", "Log water", "Plot"]);
  });
  test("says which letters answered", () => {
    expect(find(finder, "lw")[0]!.lit).toEqual([
      [0, 1],
      [4, 5],
    ]);
    expect(find(finder, "plo")[2]!.lit).toEqual([[10, 13]]);
  });
  test("reaches screens, containers, actions and addresses of a frame", () => {
    const items = findablesOf(plainFrame(tabbed()));
    const keys = (text: string) => find(createFinder(items), text).map(({ item }) => item.key);
    expect(keys("deep").slice(0, 2).sort()).toEqual(["action item deep", "node deep"]);
    expect(keys("/a/")).toContain("address item");
    expect(keys("aTab")[0]).toBe("node aTab");
    expect(new Set(items.map(({ key }) => key)).size).toBe(items.length);
  });
});

test("things are found by the names they go by elsewhere, behind what is called so itself", () => {
  const frame = frameOf(
    {
      app: stack(["home", "log", "gone"]),
      home: hub(["a", "b"]),
      a: screen({ title: "Plots", tab: { label: "Plots" } }),
      b: screen({ title: "Modal forms" }),
      log: screen({ title: "Log watering", opens: "sheet" }),
      gone: screen({ title: "Nothing grows here" }),
    },
    { address: { lost: "gone" } },
  );
  const first = (text: string, most = 1) =>
    find(createFinder(findablesOf(plainFrame(frame))), text, [], most).map(({ item }) => item.node);
  expect(first("not found")).toEqual(["gone"]);
  expect(first("tab bar")).toEqual(["home"]);
  expect(first("modal", 2)).toEqual(["b", "log"]);
});
