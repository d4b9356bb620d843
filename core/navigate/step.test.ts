import type { Frame } from "../frame/types.js";
import {
  byBand,
  back,
  frameOf,
  list,
  openTo,
  opening,
  pick,
  run,
  runIn,
  screen,
  stack,
  tab,
  tabbed,
  tap,
  typing,
  wait,
} from "../testing/frames.js";
import type { NavigationEvent } from "./event.js";

describe("time", () => {
  const timed = (ms: number) =>
    frameOf({
      app: stack(["splash", "home", "other"]),
      splash: screen({ after: { ms, do: { kind: "open", to: "home", how: "replace" } }, actions: [opening("other")] }),
      home: screen(),
      other: screen(),
    });

  test("an `after` fires once its screen has been the top for its time without a break", () => {
    expect(run(timed(1000), wait(999)).top).toBe("splash");
    expect(run(timed(1000), wait(600), wait(400))).toMatchObject({ top: "home", back: ["exit"] });
    expect(run(timed(1000), wait(600), tap("other"), back, wait(600)).top).toBe("splash");
  });
  test("it fires once each time its screen becomes the top", () => {
    const frame: Frame = {
      ...frameOf({
        app: stack(["a", "b"]),
        a: screen({ after: { ms: 10, do: { kind: "set", fact: "seen", is: true } }, actions: [opening("b")] }),
        b: screen(),
      }),
      facts: [{ id: "seen", label: "Seen" }],
    };
    expect(run(frame, wait(10)).facts).toEqual({ seen: true });
    expect(run(frame, wait(10), { do: "fact", id: "seen", is: false }, wait(100)).facts).toEqual({ seen: false });
    expect(run(frame, wait(10), { do: "fact", id: "seen", is: false }, tap("b"), back, wait(10)).facts).toEqual({
      seen: true,
    });
  });
  test("screens that open one another for ever are stopped after 50 in one wait", () => {
    const after = (to: string) => ({ after: { ms: 1, do: { kind: "open" as const, to, how: "replace" as const } } });
    const frame = frameOf({ app: stack(["a", "b"]), a: screen(after("b")), b: screen(after("a")) });
    const seen = run(frame, wait(10_000));
    expect(seen.codes).toEqual(["after-loop"]);
    expect(seen.moves).toHaveLength(50);
    expect(seen.at.state.clock).toBe(10_000);
  });
});

describe("rows", () => {
  test("a row opens its target with its number, and with those params of its screen that the target's address names", () => {
    const frame = frameOf({
      app: stack(["plots", "plot", "bed"]),
      plots: list("plot", "plot"),
      plot: list("bed", "bed", { path: "/p/:plot" }),
      bed: screen({ path: "/p/:plot/b/:bed" }),
    });
    const seen = run(frame, pick(3), pick(2));
    expect(seen).toMatchObject({ params: { plot: "3", bed: "2" }, address: "/p/3/b/2" });
  });
  test("the row picked is remembered with its screen", () => {
    const seen = run(tabbed(), pick(4), back);
    expect(seen.at.state.root.entries[0]).toMatchObject({
      tabs: { aTab: { entries: [{ ui: { picked: 4 } }] } },
    });
  });
  test("a row that is not there, or leads nowhere, changes nothing", () => {
    expect(run(tabbed(), pick(10))).toMatchObject({ top: "a", codes: ["ignored"] });
    expect(run(tabbed(), tab("c"), pick(1)).codes).toEqual(["ignored"]);
  });
});

describe("facts and limits of actions", () => {
  const frame: Frame = {
    ...frameOf({
      app: stack(["a", "b"]),
      a: screen({
        actions: [
          { ...opening("b"), only: { facts: { signedIn: true } } },
          {
            id: "enter",
            label: "Enter",
            place: "body",
            do: { kind: "set", fact: "signedIn", is: true, then: { kind: "open", to: "b" } },
          },
          { id: "wide", label: "Wide", place: "body", only: { from: "desk" }, do: { kind: "open", to: "b" } },
        ],
      }),
      b: screen(),
    }),
    facts: [
      { id: "signedIn", label: "Signed in" },
      { id: "session", label: "Session", values: ["unknown", "out", "in"], lasting: false },
    ],
  };
  test("facts start at their launch value, else their first", () => {
    expect(run(frame).facts).toEqual({ signedIn: false, session: "unknown" });
  });
  test("an action that is not there now is ignored", () => {
    expect(run(frame, tap("b")).codes).toEqual(["ignored"]);
    expect(run(frame, { do: "fact", id: "signedIn", is: true }, tap("b")).top).toBe("b");
    expect(run(frame, tap("wide")).top).toBe("a");
    expect(runIn(frame, { width: 1000 }, tap("wide")).top).toBe("b");
  });
  test("`set` sets a fact, then does the rest", () => {
    expect(run(frame, tap("enter"))).toMatchObject({ top: "b", facts: { signedIn: true } });
  });
  test("a value the fact cannot have is ignored", () => {
    expect(run(frame, { do: "fact", id: "session", is: "maybe" }).codes).toEqual(["ignored"]);
  });
});

describe("the end of the process", () => {
  const events: NavigationEvent[] = [tab("bTab"), tap("form"), typing("half"), { do: "kill" }];
  const ended = (relaunch: Frame["relaunch"]) => run({ ...tabbed(), ...(relaunch && { relaunch }) }, ...events);
  test("`place`, the default, brings the entries back with nothing on them", () => {
    expect(ended(undefined)).toMatchObject({ top: "form", ui: { drafts: {} }, codes: ["draft-lost"] });
  });
  test("`nothing` launches anew", () =>
    expect(ended("nothing")).toMatchObject({ top: "a", tabs: { aTab: ["a"] }, codes: ["draft-lost"] }));
  test("`everything` keeps all", () =>
    expect(ended("everything")).toMatchObject({ top: "form", ui: { drafts: { name: "half" } }, codes: [] }));
});

describe("views", () => {
  test("another view changes what shows, and not the state", () => {
    const before = run(tabbed(), pick(1));
    const after = run(tabbed(), pick(1), { do: "view", width: 1000, height: 700 });
    expect(after.at.state).toEqual(before.at.state);
    expect(after.view).toMatchObject({ width: 1000, height: 700 });
  });
  test("a target that is not there is ignored", () => {
    expect(run(tabbed(), { do: "view", width: 1000, height: 700, target: "watch" })).toMatchObject({
      codes: ["ignored"],
      view: { width: 390 },
    });
  });
});

test("extras of a hub can be tapped while its rail or panel is seen", () => {
  const frame = tabbed({ ...byBand("face", { hand: "none", lap: "rail" }), extras: [opening("cover")] });
  const extra: NavigationEvent = { do: "tap", action: "cover", in: "home" };
  expect(runIn(frame, { width: 700 }, extra).top).toBe("cover");
  expect(runIn(frame, { width: 390 }, extra).codes).toEqual(["ignored"]);
});

test("what is opened from outside counts as a start for what follows", () => {
  expect(run(tabbed(), openTo("deep"), tap("item")).trail).toEqual(["a", "deep", "item"]);
});
