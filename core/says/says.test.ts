import type { Face } from "../frame/parts.js";
import type { Frame, Node, ScreenNode } from "../frame/types.js";
import type { Need } from "../frame/parts.js";
import { viewOf } from "../frame/view.js";
import { explain } from "../observe/explain.js";
import { launch, step } from "../navigate/step.js";
import { waysOut } from "../explore/ways.js";
import { byBand, list, opening, screen, stack, tabbed, tap } from "../testing/frames.js";
import { settingDeed } from "../change/deed.js";
import { askToSignIn } from "../change/sign-in.js";
import { applySoundly } from "../edit/apply.js";
import type { Edit } from "../edit/edit.js";
import { consequencesOf } from "../explore/consequences.js";
import { walkedPoints } from "../testing/points.js";
import { consequenceSays } from "./consequence-says.js";
import type { NavigationEvent } from "../navigate/event.js";
import { wayRows } from "../routes/table.js";
import { eventSays } from "./event-says.js";
import { faultSays } from "./fault-says.js";
import { needSays } from "./need-says.js";
import { propertySays } from "./property-says.js";
import { waySays } from "./way-says.js";
import { actionSays, onlySays } from "./words.js";

const frame = tabbed(byBand("face", { hand: "bar", lap: "rail" }), {
  app: stack(["home", "cover", "note"]),
  c: { kind: "pair", list: "rows", detail: "one", tab: { label: "Both" } },
  rows: list("one", "n"),
  one: screen({ path: "/one/:n" }),
  deep: screen({ ...byBand("opens", { hand: "sheet", desk: "dialog" }), rest: [0.5, 0.9] }),
  note: screen({ title: "Note", opens: "side", edge: "end", over: "region" }),
});
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
    expect(said("c").split).toBe("here one lies over the other");
    expect(said("c", { width: 1000 }).split).toMatch("side by side here");
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
  expect(ways.map((way) => [way.to, waySays(walkedPoints(frame), way)])).toEqual([
    ["deep", "a sheet"],
    ["cover", "covers the bar"],
    ["b", "changes the tab, the bar stays"],
  ]);
  const rows = waysOut("rows", frame.nodes.rows!)[0]!;
  expect(waySays(walkedPoints(frame, viewOf(frame, { width: 1000 })), rows)).toBe("beside its list");
});

test("what a person does is said in few words, by what stands on the screen", () => {
  const said = (event: NavigationEvent, on = "item") => eventSays(frame, event, on);
  expect(said(tap("deep"))).toBe("tap deep");
  expect(said({ do: "tap", action: "shut", in: "cover" })).toBe("tap Close");
  expect(said({ do: "tap", action: "nowhere" })).toBe("tap nowhere");
  expect(said({ do: "pick", row: 4 }, "a")).toBe("pick Row 4");
  expect(said({ do: "pick", row: 4 }, "c")).toBe("pick row 4");
  expect(said({ do: "tab", to: "c" })).toBe("tab Both");
  expect(said({ do: "menu" })).toBe("open the menu");
  expect([said({ do: "back" }), said({ do: "up" }), said({ do: "dismiss" })]).toEqual(["Back", "up", "dismiss"]);
  expect([said({ do: "wait", ms: 400 }), said({ do: "return" })]).toEqual(["wait 400 ms", "come back"]);
});

describe("what becomes of a person who has not what a need asks for", () => {
  const facts: Frame["facts"] = [
    { id: "in", label: "Signed in" },
    { id: "role", label: "Role", values: ["guest", "host"] },
  ];
  const becomes = (needs: Need[], more: Record<string, Node> = {}): string => {
    const gated: Frame = { ...tabbed({}, { deep: screen({ needs }), ...more }), facts };
    return needSays(gated, viewOf(gated), "deep", 0);
  };
  test("is shown something else, and what was asked waits or does not", () => {
    expect(becomes([{ fact: "in", is: true, otherwise: "b", resume: true }])).toBe(
      "Signed in: no: b instead, and deep waits",
    );
    expect(becomes([{ fact: "role", is: "host", otherwise: "b" }])).toBe("Role: guest: b instead, and nothing waits");
  });
  test("is refused where nothing stands in", () => {
    expect(becomes([{ fact: "in", is: true }])).toBe("Signed in: no: it is refused, A stays");
  });
  test("is sent round and round where what stands in needs something too", () => {
    const round = { c: screen({ path: "/c", needs: [{ fact: "in", is: true, otherwise: "deep" }] }) };
    expect(becomes([{ fact: "in", is: true, otherwise: "c" }], round)).toMatch("what stands in needs something too");
  });
  test("is nobody where every value will do, and nothing is said of what is loose or not there", () => {
    expect(becomes([{ fact: "role", is: ["guest", "host"] }])).toBe("always met: no other value is left");
    expect(becomes([])).toBe("");
    const loose: Frame = { ...tabbed({}, { alone: screen({ needs: [{ fact: "in", is: true }] }) }), facts };
    expect(needSays(loose, viewOf(loose), "alone", 0)).toBe("");
  });
});

test("a way past which there is no bar, or one that comes, is not said to cover or to keep one", () => {
  const bare = tabbed(
    {},
    { app: stack(["intro", "home", "cover"]), intro: screen({ actions: [opening("a"), opening("cover")] }) },
  );
  const said = waysOut("intro", bare.nodes.intro!).map((way) => waySays(walkedPoints(bare), way));
  expect(said).toEqual(["the bar shows", "no bar in sight"]);
  expect(wayRows(walkedPoints(bare), ["intro"]).map(({ covers }) => covers)).toEqual([
    "nothing: the bar shows",
    "nothing: no bar in sight",
  ]);
  const drawer = {
    ...bare,
    nodes: { ...bare.nodes, home: { ...bare.nodes.home!, face: "drawer", vary: [] } as Node },
  };
  expect(wayRows(walkedPoints(drawer), ["intro"])[0]!.covers).toBe("nothing: its drawer can be opened");
});

test("a bar that comes for the first time is not said to be back, nor a closed drawer to stay", () => {
  const why = (face: Face, action: string): string => {
    const bare = tabbed(
      { face },
      { app: stack(["intro", "home"]), intro: screen({ actions: [opening("a"), opening("item")] }) },
    );
    const view = viewOf(bare);
    const before = launch(bare, view);
    const event = tap(action);
    return explain(bare, view, before, event, step(bare, view, before.state, event))[0]!;
  };
  expect(why("bar", "a")).toMatch(/ The bar shows\.$/);
  expect(why("drawer", "a")).toMatch(/ The drawer can be opened\.$/);
});

test("actions and limits are said in words", () => {
  expect(actionSays(frame, { do: { kind: "open", to: "cover", as: "dialog" } })).toBe("opens cover as a dialog");
  expect(actionSays(frame, { do: { kind: "close", give: { a: "1", b: "2" } } })).toBe("closes, gives a and b back");
  expect(actionSays(frame, { do: { kind: "set", fact: "in", is: true, then: { kind: "back" } } })).toBe(
    "sets in, then goes back",
  );
  expect(onlySays(frame, { on: ["touch"], to: "lap", facts: { in: true } })).toBe(
    "on Phone, up to lap, while in is true",
  );
  expect(onlySays(frame, undefined)).toBe("");
});

describe("what a gate does is said before it is set", () => {
  const open = tabbed({}, {});
  const frame: Frame = { ...open, facts: [{ id: "in", label: "Signed in" }] };
  const said = (edit: Edit, about: string, of = frame) => {
    const result = applySoundly(of, edit);
    if (!result.ok) throw new Error(result.faults[0]!.received);
    return consequenceSays(
      result.frame,
      viewOf(of),
      consequencesOf(walkedPoints(of), walkedPoints(result.frame), about),
    );
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
