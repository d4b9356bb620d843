import { lensOf } from "../frame/look.js";
import { frameOf, hub, list, opening, run, screen, stack, tab, tabbed, tap } from "../testing/frames.js";
import { refit } from "../navigate/refit.js";
import { topOf } from "../navigate/focus.js";
import type { State } from "../navigate/state.js";
import type { Frame, ScreenNode } from "../frame/types.js";
import { plainFrame } from "../frame/write.js";
import { applyEach, applyEdit, applySoundly } from "./apply.js";
import type { Edit } from "./edit.js";
import { fold, type History, type HistoryEvent } from "./history.js";
import { duplicateOf, freeIdIn } from "./naming.js";

const after = (frame: Frame, edit: Edit): Frame => {
  const result = applySoundly(frame, edit);
  if (!result.ok) throw new Error(result.faults[0]!.received);
  return result.frame;
};
const refused = (frame: Frame, edit: Edit): string[] => {
  const result = applySoundly(frame, edit);
  return result.ok ? [] : result.faults.map((fault) => fault.received);
};
const children = (frame: Frame, id: string): string[] => (frame.nodes[id] as { children: string[] }).children;

describe("edits", () => {
  const frame = plainFrame(tabbed());

  test("add puts nodes behind a sibling, first with none, and loose with no parent", () => {
    const adding = (parent: string | null, behind: string | null): Edit => ({
      kind: "add",
      nodes: { fresh: screen() },
      top: "fresh",
      parent,
      after: behind,
    });
    expect(children(after(frame, adding("aTab", "a")), "aTab")).toEqual(["a", "fresh", "item", "deep"]);
    expect(children(after(frame, adding("aTab", null)), "aTab")[0]).toBe("fresh");
    expect(after(frame, adding(null, null)).nodes.fresh).toEqual(screen());
    expect(refused(frame, { kind: "add", nodes: { a: screen() }, top: "a", parent: null, after: null })).toEqual([
      "the id a again",
    ]);
    expect(
      refused(frame, {
        kind: "add",
        nodes: { constructor: screen() } as never,
        top: "constructor",
        parent: null,
        after: null,
      })[0],
    ).toMatch("constructor");
  });
  test("remove takes all that stands only in it, and every reference to that", () => {
    const next = after(frame, { kind: "remove", id: "aTab" });
    expect(Object.keys(next.nodes).sort()).toEqual(["app", "b", "bTab", "c", "cover", "form", "home"]);
    expect((next.nodes.b as ScreenNode).actions).toEqual([opening("form")]);
    expect(children(next, "home")).toEqual(["bTab", "c"]);
  });
  test("remove leaves what stands elsewhere too", () => {
    const shared = plainFrame(
      frameOf({
        app: stack(["one", "two"]),
        one: stack(["a", "both"]),
        two: stack(["b", "both"]),
        a: screen(),
        b: screen(),
        both: screen(),
      }),
    );
    expect(Object.keys(after(shared, { kind: "remove", id: "one" }).nodes).sort()).toEqual(["app", "b", "both", "two"]);
  });
  test("what would leave a container with nothing to start with is refused, and so is removing the root", () => {
    expect(refused(plainFrame(frameOf({ app: stack(["one"]), one: screen() })), { kind: "remove", id: "one" })).toEqual(
      ["no children, so no start"],
    );
    expect(refused(frame, { kind: "remove", id: "app" })).toEqual(["the root app"]);
  });
  test("rename gives another id with every reference", () => {
    const next = after(frame, { kind: "rename", id: "item", to: "entry" });
    expect(JSON.stringify(next)).not.toContain('"to":"item"');
    expect(children(next, "aTab")).toEqual(["a", "entry", "deep"]);
    expect((next.nodes.a as ScreenNode).body).toMatchObject({ opens: "entry" });
    expect(after(frame, { kind: "rename", id: "app", to: "top" }).root).toBe("top");
    expect(refused(frame, { kind: "rename", id: "item", to: "deep" })).toEqual(["the id deep again"]);
    expect(refused(frame, { kind: "rename", id: "item", to: "Not an id" })).toHaveLength(1);
  });
  test("move takes a node to any legal place, and drops what means nothing there", () => {
    const next = after(frame, { kind: "move", id: "deep", from: "aTab", to: "app", after: "home" });
    expect([children(next, "aTab"), children(next, "app")]).toEqual([
      ["a", "item"],
      ["home", "deep", "cover"],
    ]);
    const tabbedOut = plainFrame(tabbed({}, { c: screen({ tab: { label: "C" } }) }));
    expect(after(tabbedOut, { kind: "move", id: "c", from: "home", to: "app", after: null }).nodes.c).toEqual(screen());
    expect(after(tabbedOut, { kind: "move", id: "c", from: "home", to: null, after: null }).nodes.c).toEqual(
      screen({ tab: { label: "C" } }),
    );
  });
  test("move within a container reorders, and the start stays the start", () => {
    const next = after(frame, { kind: "move", id: "item", from: "aTab", to: "aTab", after: null });
    expect(children(next, "aTab")).toEqual(["item", "a", "deep"]);
    expect(next.nodes.aTab).toMatchObject({ start: "a" });
    const first = after(frame, { kind: "move", id: "cover", from: "app", to: "home", after: null });
    expect(first.nodes.home).toMatchObject({ start: "aTab" });
  });
  test("a screen gets one place more by a move from none", () => {
    expect(children(after(frame, { kind: "move", id: "deep", from: null, to: "bTab", after: "b" }), "bTab")).toEqual([
      "b",
      "deep",
      "form",
    ]);
    expect(refused(frame, { kind: "move", id: "bTab", from: null, to: "aTab", after: null })).toHaveLength(2);
  });
  test("a container cannot go into itself", () => {
    expect(refused(frame, { kind: "move", id: "home", from: "app", to: "aTab", after: null })[0]).toBe(
      "home into aTab, which stands inside it",
    );
  });
  test("set changes one key, and without a value brings the default back", () => {
    const next = after(frame, { kind: "set", node: "c", key: "over", value: "region" });
    expect(next.nodes.c).toMatchObject({ over: "region" });
    expect(after(next, { kind: "set", node: "c", key: "over" })).toEqual(frame);
    expect(after(next, { kind: "set", node: "c", key: "over", value: "all" })).toEqual(frame);
    expect(refused(frame, { kind: "set", node: "app", key: "children", value: [] })).toHaveLength(1);
  });
  test("a set that makes two addresses clash is refused", () => {
    expect(refused(frame, { kind: "set", node: "c", key: "path", value: "/b" })).toHaveLength(1);
  });
  test("duplicate copies a node with all inside, its own ways among the copies, and no address twice", () => {
    const next = after(frame, duplicateOf(frame, "aTab", "home"));
    expect(children(next, "home")).toEqual(["aTab", "aTab2", "bTab", "c"]);
    expect(next.nodes.a2).toEqual(list("item2", "item", { title: "A" }));
  });
  test("each edit is said as a JSON Patch too", () => {
    const result = applyEdit(frame, { kind: "set", node: "c", key: "bars", value: "hide" });
    expect(result.ok && result.patches).toEqual([{ op: "add", path: "/nodes/c/bars", value: "hide" }]);
  });
  test("only what an edit touches is other than before", () => {
    const next = after(frame, { kind: "set", node: "c", key: "title", value: "See" });
    for (const id of Object.keys(frame.nodes)) expect(next.nodes[id] === frame.nodes[id]).toBe(id !== "c");
  });
  test("an inverse that comes late leaves what others did since", () => {
    const moved = applySoundly(frame, { kind: "move", id: "deep", from: "aTab", to: "app", after: "home" });
    if (!moved.ok) throw new Error();
    const meanwhile = after(moved.frame, {
      kind: "add",
      nodes: { fresh: screen() },
      top: "fresh",
      parent: "aTab",
      after: "a",
    });
    const back = after(meanwhile, moved.inverse);
    expect(children(back, "aTab").sort()).toEqual(["a", "deep", "fresh", "item"]);
  });
});

describe("history", () => {
  const frame = plainFrame(tabbed());
  const doing = (history: History, ...events: HistoryEvent[]): History =>
    events.reduce((now, event) => {
      const result = fold(now, event);
      if (!result.ok) throw new Error(result.faults[0]!.received);
      return result.history;
    }, history);
  const start: History = { frame, done: [], undone: [] };
  const title = (value: string): HistoryEvent => ({
    do: "edit",
    label: value,
    edit: { kind: "set", node: "c", key: "title", value },
  });
  const called = (history: History) => history.frame.nodes.c!.title;

  test("undo and redo go through all that was done, and a new edit forgets what was undone", () => {
    const two = doing(start, title("One"), title("Two"));
    expect(called(two)).toBe("Two");
    expect(called(doing(two, { do: "undo" }))).toBe("One");
    expect(doing(two, { do: "undo" }, { do: "undo" }).frame).toEqual(frame);
    expect(called(doing(two, { do: "undo" }, { do: "undo" }, { do: "redo" }, { do: "redo" }))).toBe("Two");
    expect(doing(two, { do: "undo" }, title("Three")).undone).toEqual([]);
  });
  test("with nothing to undo it says so", () => {
    expect(fold(start, { do: "undo" })).toMatchObject({ ok: false });
  });
});

describe("a device on a frame that is edited", () => {
  const { at, view } = run(tabbed(), tab("aTab"), { do: "pick", row: 2 }, tap("deep"), { do: "scroll", to: 50 });
  const before = plainFrame(tabbed());
  const refitted = (edit: Edit) => refit(before, after(before, edit), view, at.state);
  const top = (frame: Frame, { root }: State) => topOf(lensOf(frame, view), root);
  const topAfter = (edit: Edit) => top(after(before, edit), refitted(edit));

  test("keeps its place when something else changes", () => {
    expect(refitted({ kind: "set", node: "c", key: "title", value: "See" }).root).toEqual(at.state.root);
  });
  test("goes with a screen that is moved, and with what was left on it", () => {
    expect(topAfter({ kind: "move", id: "deep", from: "aTab", to: "app", after: "home" })).toMatchObject({
      node: "deep",
      ui: { scroll: 50 },
    });
  });
  test("falls to what lay beneath when its screen is taken out", () => {
    expect(topAfter({ kind: "remove", id: "deep" })).toMatchObject({ node: "item", params: { item: "2" } });
    expect(topAfter({ kind: "remove", id: "aTab" }).node).toBe("b");
  });
  test("follows an id that is renamed", () => {
    const renamed = after(before, { kind: "rename", id: "aTab", to: "first" });
    const fitted = refit(before, renamed, view, at.state, { aTab: "first" });
    expect(top(renamed, fitted).key).toBe(top(before, at.state).key);
  });
});

test("an id is made from a title, and is not taken", () => {
  const frame = frameOf({ app: stack(["logWater"]), logWater: screen(), h: hub(["x"]), x: screen() });
  expect(
    ["Log water", "Äpfel & Birnen", "3rd plot", "…", "Constructor"].map((title) => freeIdIn(frame, title)),
  ).toEqual(["logWater2", "apfelBirnen", "rdPlot", "screen", "constructor2"]);
});

test("an edit that is refused half way leaves the nodes in their order, for those made with it", () => {
  const frame = tabbed();
  const half: Edit = {
    kind: "batch",
    edits: [
      { kind: "remove", id: "deep" },
      { kind: "remove", id: "nothing" },
    ],
  };
  const named: Edit = { kind: "set", node: "c", key: "title", value: "See" };
  const { frame: made, results } = applyEach(frame, [half, named], { sound: true });
  expect(results.map(({ ok }) => ok)).toEqual([false, true]);
  expect(Object.keys(made.nodes)).toEqual(Object.keys(frame.nodes));
});
