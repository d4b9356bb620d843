import {
  back,
  frameOf,
  hub,
  list,
  openTo,
  opening,
  pick,
  run,
  screen,
  stack,
  tab,
  tabbed,
  tap,
  typing,
} from "../testing/frames.js";

describe("opening a screen", () => {
  test("a screen inside a tab is laid on that tab's stack, and its bar stays", () => {
    const seen = run(tabbed(), pick(3));
    expect(seen).toMatchObject({
      top: "item",
      params: { item: "3" },
      trail: ["a", "item"],
      address: "/a/3",
      back: ["a", "exit"],
    });
    expect(seen.bars).toEqual([{ hub: "home", face: "bar", active: "aTab", more: [], inert: false, open: false }]);
    expect(seen.moves).toEqual([{ kind: "push", in: "aTab", leaving: "a", entering: "item", toward: "forward" }]);
  });

  test("a screen beside the hub covers its bar", () => {
    const seen = run(tabbed(), pick(3), tap("cover"));
    expect(seen).toMatchObject({
      top: "cover",
      bars: [],
      headers: [],
      trail: ["cover"],
      tabs: {},
      back: ["item", "a", "exit"],
    });
  });

  test("a screen of another tab takes the person to its own tab, and says so", () => {
    const seen = run(tabbed(), tab("bTab"), tap("item"));
    expect(seen).toMatchObject({ top: "item", params: { item: "7" }, trail: ["a", "item"], codes: ["switched"] });
    expect(seen.tabs).toEqual({ aTab: ["a", "item"], bTab: ["b"] });
  });

  test("a tab's stack that is made on the way lays its start first", () => {
    const seen = run(tabbed({ start: "bTab" }), openTo("deep"));
    expect(seen.trail).toEqual(["a", "deep"]);
  });

  test("a start that wants a param which was not given is not laid", () => {
    const frame = frameOf({
      app: stack(["home", "inner"]),
      home: screen(),
      inner: stack(["first", "second"]),
      first: screen({ path: "/f/:x" }),
      second: screen(),
    });
    expect(run(frame, openTo("second")).trail).toEqual(["home", "second"]);
    const given = run(frame, openTo("second", { x: "5" }));
    expect(given.trail).toEqual(["home", "first", "second"]);
  });

  test("the same screen with the same params on top is not laid again", () => {
    const seen = run(tabbed(), pick(3), openTo("item", { item: "3" }));
    expect(seen).toMatchObject({ trail: ["a", "item"], codes: ["already-there"], moves: [] });
    expect(run(tabbed(), pick(3), openTo("item", { item: "4" })).trail).toEqual(["a", "item", "item"]);
  });

  test("opening the stack's start goes down to it, and says what was closed", () => {
    const seen = run(tabbed(), pick(3), tap("deep"), openTo("a"));
    expect(seen).toMatchObject({ trail: ["a"], codes: ["closed", "closed"] });
    expect(seen.moves[0]).toMatchObject({ kind: "pop", leaving: "deep", entering: "a" });
  });

  test("a container that lies beneath is gone back to, and what covers it is closed", () => {
    const seen = run(tabbed(), pick(3), tap("cover"), openTo("b"));
    expect(seen).toMatchObject({ top: "b", codes: ["closed", "switched"] });
  });

  test("a container is gone into as it was left, or starts", () => {
    expect(run(tabbed(), pick(3), tab("bTab"), openTo("aTab")).top).toBe("item");
    expect(run(tabbed(), openTo("bTab")).top).toBe("b");
  });

  test("a container is gone into as it was left, all the way down", () => {
    const frame = frameOf({
      app: stack(["home"]),
      home: hub(["plain", "inner"]),
      plain: screen({ actions: [opening("inner")] }),
      inner: hub(["one", "two"]),
      one: screen(),
      two: stack(["rows", "row"]),
      rows: screen({ actions: [opening("row")] }),
      row: screen(),
    });
    const left = [tab("inner"), tab("two"), tap("row"), tab("plain")];
    expect(run(frame, ...left, tap("inner"))).toMatchObject({ top: "row", trail: ["rows", "row"] });
    expect(run(frame, tap("inner")).top).toBe("one");
  });

  test("a screen that is itself a tab is replaced when it is opened with other params", () => {
    const frame = frameOf({
      app: stack(["home"]),
      home: hub(["one", "two"]),
      one: screen({ actions: [opening("two", { params: { x: "1" } })] }),
      two: screen(),
    });
    const first = run(frame, tap("two"));
    expect(first).toMatchObject({ top: "two", params: { x: "1" } });
    const second = run(frame, tap("two"), openTo("two", { x: "2" }));
    expect(second.params).toEqual({ x: "2" });
    expect(second.moves[0]).toMatchObject({ kind: "replace", in: "home" });
  });

  test("what stands in no container cannot be opened", () => {
    const seen = run(tabbed({}, { alone: screen() }), openTo("alone"));
    expect(seen).toMatchObject({ top: "a", codes: ["unattached"], moves: [] });
    expect(run(tabbed(), openTo("nowhere")).codes).toEqual(["unattached"]);
  });

  test("a shared screen opens in the stack of the screen that asked", () => {
    const frame = frameOf({
      app: stack(["home"]),
      home: hub(["aTab", "bTab"]),
      aTab: stack(["a", "person"]),
      bTab: stack(["b", "person"]),
      a: screen({ actions: [opening("person")] }),
      b: screen({ actions: [opening("person")] }),
      person: screen(),
    });
    expect(run(frame, tap("person")).trail).toEqual(["a", "person"]);
    expect(run(frame, tab("bTab"), tap("person"))).toMatchObject({ trail: ["b", "person"], codes: [] });
    expect(run(frame, tab("bTab"), openTo("person")).trail).toEqual(["b", "person"]);
  });
});

describe("how a screen is opened", () => {
  const flow = (how: "add" | "replace" | "clear") =>
    frameOf({
      app: stack(["splash", "home"]),
      splash: screen({ actions: [opening("home", { how })] }),
      home: hub(["aTab", "b"]),
      aTab: stack(["a", "item"]),
      a: list("item", "n", {}),
      item: screen({ path: "/i/:n", actions: [opening("b", { how })] }),
      b: screen({ actions: [opening("item", { how, params: { n: "9" } })] }),
    });

  test("`replace` takes the screen that asked out: a splash is gone once it has opened the hub", () => {
    expect(run(flow("add"), tap("home")).back).toEqual(["splash", "exit"]);
    const seen = run(flow("replace"), tap("home"));
    expect(seen.back).toEqual(["exit"]);
    expect(seen.moves[0]).toMatchObject({ kind: "replace", leaving: "splash", entering: "home" });
  });

  test("a tab that `replace` takes out starts again", () => {
    const seen = run(flow("replace"), tap("home"), tab("b"), tap("item"));
    expect(seen).toMatchObject({ top: "item", trail: ["a", "item"] });
    expect(seen.tabs).toEqual({ aTab: ["a", "item"] });
  });

  test("a nested stack that `replace` empties leaves its parent", () => {
    const frame = frameOf({
      app: stack(["home", "flow", "end"]),
      home: screen({ actions: [opening("flow")] }),
      flow: stack(["step"]),
      step: screen({ actions: [opening("end", { how: "replace" })] }),
      end: screen(),
    });
    expect(run(frame, tap("flow"), tap("end")).back).toEqual(["home", "exit"]);
  });

  test("`clear` keeps only the way, and forgets the visits", () => {
    const frame = tabbed({ back: "visited" });
    const seen = run(frame, pick(1), tab("bTab"), openTo("deep", undefined, "clear"));
    expect(seen).toMatchObject({ top: "deep", trail: ["deep"], back: ["exit"] });
    expect(seen.codes).toEqual(["switched", "closed", "closed"]);
  });
});

describe("what is handed over", () => {
  const frame = frameOf({
    app: stack(["form", "done"]),
    form: screen({
      body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] },
      actions: [
        opening("done", { params: { who: "{draft.name}" }, with: { text: "for {draft.name}" }, how: "replace" }),
        opening("form"),
      ],
    }),
    done: screen({ wants: ["text"] }),
  });

  test("params and values are filled from the screen's params and drafts, and a draft given away is not lost", () => {
    const seen = run(frame, typing("Ada"), tap("done"));
    expect(seen).toMatchObject({ params: { who: "Ada" }, carried: { text: "for Ada" }, codes: [] });
  });

  test("a screen that wants a value nobody handed over says so each time it becomes the top", () => {
    expect(run(frame, openTo("done")).codes).toContain("wanting");
  });

  test("a draft that leaves the state unsent is said to be lost", () => {
    expect(run(tabbed(), tab("bTab"), tap("form"), typing("half"), back).codes).toEqual(["draft-lost"]);
    expect(run(tabbed(), tab("bTab"), tap("form"), typing(""), back).codes).toEqual([]);
  });
});
