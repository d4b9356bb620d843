import type { Frame, ScreenNode } from "../frame/types.js";
import { viewOf } from "../frame/view.js";
import { waysOut } from "../navigate/ways.js";
import { list, opening, screen, stack, tabbed } from "../testing/frames.js";
import { propertySays } from "./property-says.js";
import { waySays } from "./way-says.js";
import { actionSays, onlySays } from "./words.js";

const frame = tabbed(
  { faces: { hand: "bar", lap: "rail" } },
  {
    app: stack(["home", "cover", "note"]),
    c: { kind: "pair", list: "rows", detail: "one", tab: { label: "Both" } },
    rows: list("one", "n"),
    one: screen({ path: "/one/:n" }),
    deep: screen({ opens: "sheet", opensIn: { desk: "dialog" }, rest: [0.5, 0.9] }),
    note: screen({ title: "Note", opens: "side", edge: "end", over: "region" }),
  },
);
const said = (id: string, given = {}, of: Frame = frame) => propertySays(of, viewOf(of, given), id);

describe("what a property causes is said in one line", () => {
  test("how a screen opens, at each width where it differs", () => {
    expect(said("deep").opens).toBe("hand, lap: a sheet over everything; desk: a dialog over everything");
    expect(said("item").opens).toBe("hand: pushed, the bar stays; lap, desk: pushed, the rail stays");
    expect(said("cover").opens).toBe("hand: pushed, covers the bar; lap, desk: pushed, covers the rail");
    expect(said("note").opens).toBe("a side panel over app at every width");
    expect(said("a").opens).toMatch("aTab starts with it");
    expect(said("c").opens).toMatch("a tab or a pane is never an overlay");
  });
  test("where a sheet rests, and from which side a panel comes", () => {
    expect(said("deep").rest).toBe("stands at 50 %, is dragged to 90 %; dragged down it goes");
    expect(said("note").edge).toBe("comes from the right where it opens as a side panel");
    expect(said("note", { rtl: true }).edge).toMatch("left");
  });
  test("whether bars stay, and whether strips stack up", () => {
    expect(said("item").bars).toBe("the bar of home stays");
    expect(said("cover").bars).toBe("covered all the same: it stands beside the hub");
    expect(said("item").header).toBe("one strip, with Back in it");
    const twice = tabbed({ strip: true });
    expect(said("item", {}, twice).header).toBe("2 strips stack up: home and aTab draw one each");
    expect(said("home", {}, twice).strip).toMatch("two strips stack up");
  });
  test("how many tabs a face shows, and where heading and extras can be reached", () => {
    expect(said("home").limit).toBe("all 3 fit");
    const few = tabbed({ limit: 2 });
    expect(said("home", {}, few).limit).toBe("1 in the bar, bTab and c behind More");
    expect(said("home").heading).toMatch("here is none");
    expect(said("home", { width: 700 }).heading).toBe("on top of the rail here");
  });
  test("when a pair is split, and how wide its list is", () => {
    expect(said("c").splitFrom).toBe("here one lies over the other");
    expect(said("c", { width: 1000 }).splitFrom).toMatch("side by side here");
    expect(said("c", { width: 1000 }).ratio).toBe("the list is 351 px wide here, between 280 and 440");
  });
  test("what a screen wants and is not given", () => {
    const wanting = tabbed({}, { deep: screen({ wants: ["size"] }) });
    expect(said("deep", {}, wanting).wants).toBe("1 of 1 ways in do not hand it over");
    (wanting.nodes.item as ScreenNode).actions = [opening("deep", { with: { size: "{item}" } })];
    expect(said("deep", {}, { ...wanting }).wants).toBe("every way in hands it over");
  });
  test("of a loose node that nothing opens it", () => {
    expect(said("alone", {}, tabbed({}, { alone: screen() })).opens).toBe(
      "stands in no container, so nothing opens it",
    );
  });
});

test("what a way does is said by taking it", () => {
  const ways = waysOut("item", frame.nodes.item!);
  expect(ways.map((way) => [way.to, waySays(frame, viewOf(frame), way)])).toEqual([
    ["deep", "a sheet"],
    ["cover", "covers the bar"],
    ["b", "changes the tab, the bar stays"],
  ]);
  const rows = waysOut("rows", frame.nodes.rows!)[0]!;
  expect(waySays(frame, viewOf(frame, { width: 1000 }), rows)).toBe("beside its list");
});

test("actions and limits are said in words", () => {
  expect(actionSays(frame, { do: { kind: "open", to: "cover", as: "dialog" } })).toBe("opens cover as a dialog");
  expect(actionSays(frame, { do: { kind: "close", give: { a: "1", b: "2" } } })).toBe("closes, gives a and b back");
  expect(actionSays(frame, { do: { kind: "set", fact: "in", is: true, then: { kind: "back" } } })).toBe(
    "sets in, then goes back",
  );
  expect(onlySays(frame, { targets: ["touch"], bands: ["hand", "lap"], facts: { in: true } })).toBe(
    "on Phone, at hand and lap, while in is true",
  );
  expect(onlySays(frame, undefined)).toBe("");
});
