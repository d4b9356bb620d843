import type { Frame, ScreenNode } from "../frame/types.js";
import { viewOf } from "../frame/view.js";
import { waysOut } from "../navigate/ways.js";
import { list, opening, screen, stack, tabbed } from "../testing/frames.js";
import { settingDeed } from "../change/deed.js";
import { askToSignIn } from "../change/sign-in.js";
import { applySoundly } from "../edit/apply.js";
import type { Edit } from "../edit/edit.js";
import { consequencesOf } from "../navigate/consequences.js";
import { consequenceSays } from "./consequence-says.js";
import { faultSays } from "./fault-says.js";
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

describe("what a gate does is said before it is set", () => {
  const open = tabbed({}, {});
  const frame: Frame = { ...open, facts: [{ id: "in", label: "Signed in" }] };
  const said = (edit: Edit, about: string, of = frame) => {
    const result = applySoundly(of, edit);
    if (!result.ok) throw new Error(result.faults[0]!.received);
    return consequenceSays(result.frame, viewOf(of), consequencesOf(of, result.frame, viewOf(of), about));
  };
  const gate = (node: string): Edit => ({
    kind: "set",
    node,
    key: "needs",
    value: [{ fact: "in", is: true, otherwise: "cover", resume: true }],
  });
  test("who is kept out, what is shown instead, and what waits", () => {
    expect(said(gate("deep"), "deep")).toEqual([
      "needs Signed in: yes now",
      "Signed in: no: cover instead, and Deep waits",
    ]);
    // of what stands in what is gated too
    expect(said(gate("bTab"), "form")[0]).toBe("needs Signed in: yes now");
    const gated = applySoundly(frame, gate("deep"));
    if (!gated.ok) throw new Error();
    expect(said({ kind: "set", node: "deep", key: "needs" }, "deep", gated.frame)).toEqual([
      "needs Signed in: yes no more",
    ]);
  });
  test("asking to sign in says the same", () => {
    const plan = askToSignIn.plan(frame, [{ id: "deep", parent: "aTab" }]);
    if (!plan.ok) throw new Error(plan.why);
    expect(said(plan.planned.edit, "deep").join(" · ")).toMatch("Signed in: no: Welcome instead, and Deep waits");
  });
});

test("a deed that sets a fact is born doing something: it is set to what it is not while one stands there", () => {
  const facts = [
    { id: "in", label: "Signed in", launch: true },
    { id: "role", label: "Role", values: ["guest", "host"], launch: "host" },
  ];
  const frame: Frame = { ...tabbed({}, { deep: screen({ needs: [{ fact: "in", is: false }] }) }), facts };
  expect(settingDeed(frame, "item")).toEqual({ kind: "set", fact: "in", is: false });
  expect(settingDeed(frame, "deep")).toEqual({ kind: "set", fact: "in", is: true });
  expect(settingDeed(frame, "item", "role")).toEqual({ kind: "set", fact: "role", is: "guest" });
  expect(settingDeed(tabbed(), "item")).toBeNull();
});

test("a fault is told by what a person called the place, with where it stands behind", () => {
  const frame: Frame = tabbed({}, { bTab: stack(["b"], { title: "Tides" }) });
  const result = applySoundly(frame, { kind: "remove", id: "b" });
  if (result.ok) throw new Error();
  expect(faultSays(frame, result.faults[0]!)).toBe(
    "Tides (bTab): received no children, so no start; expected at least one child to start with. Put a screen into Tides (bTab), or take it out. (/nodes/bTab/children)",
  );
  const moved = applySoundly(frame, { kind: "move", id: "item", from: "bTab", to: "app", after: null });
  if (moved.ok) throw new Error();
  expect(faultSays(frame, moved.faults[0]!)).toMatch("received Item (item), which does not stand in Tides (bTab)");
  expect(faultSays(frame, { pointer: "/name", received: "x", expected: "y", remedy: "Z." })).toBe(
    "received x; expected y. Z. (/name)",
  );
});
