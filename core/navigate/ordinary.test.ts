import type { Facts } from "../frame/parts.js";
import type { Frame, Node } from "../frame/types.js";
import { viewOf } from "../frame/view.js";
import { type Snapshot, snapshotOf } from "../observe/snapshot.js";
import {
  frameOf,
  hub,
  list,
  opening,
  openTo,
  pick,
  run,
  screen,
  stack,
  tab,
  tap,
  typing,
  wait,
} from "../testing/frames.js";
import type { NavigationEvent } from "./event.js";
import { launch, step } from "./step.js";

const facts = [
  { id: "in", label: "Signed in" },
  { id: "news", label: "News" },
];
const needsIn = { fact: "in", is: true, otherwise: "gate", resume: true } as const;
const fact = (is: boolean, id = "in"): NavigationEvent => ({ do: "fact", id, is });
const link = (url: string, start: "cold" | "running" = "running"): NavigationEvent => ({ do: "link", url, start });

/** A run that begins with other facts than those at a launch. */
const runWith = (frame: Frame, given: Facts, ...events: NavigationEvent[]): Snapshot => {
  const view = viewOf(frame);
  let at = launch(frame, view, given);
  for (const event of events) at = step(frame, view, at.state, event);
  return snapshotOf(frame, view, at);
};

/** Tabs of which one is for those who are signed in, with the gate in that very tab. */
const gated = (more: Record<string, Node> = {}): Frame =>
  frameOf(
    {
      app: stack(["home"]),
      home: hub(["feedTab", "meTab"]),
      feedTab: stack(["feed", "post"]),
      feed: list("post", "post", { path: "/feed" }),
      post: screen({ path: "/feed/:post" }),
      meTab: stack(["me", "details", "gate"]),
      me: screen({ path: "/me", needs: [needsIn], actions: [opening("details")] }),
      details: screen({ path: "/me/details", needs: [needsIn] }),
      gate: screen({ actions: [{ id: "go", label: "Go", place: "body", do: { kind: "set", fact: "in", is: true } }] }),
      ...more,
    },
    { facts },
  );

describe("an app with a gate", () => {
  test("that stands in the very tab it guards gives way to that tab's first screen", () => {
    const asked = run(gated(), openTo("details"));
    expect([asked.top, asked.pending]).toEqual(["gate", { to: "details", params: {} }]);
    expect(run(gated(), openTo("details"), tap("go"))).toMatchObject({ top: "details", trail: ["me", "details"] });
    expect(run(gated(), tab("meTab"), tap("go")).trail).toEqual(["me"]);
  });
  test("is where it begins for one who signs out and in again, not where it ended", () => {
    const whole = gated({
      app: stack(["home", "gate"]),
      home: hub(["feedTab", "meTab"], { needs: [needsIn] }),
      meTab: stack(["me", "details"]),
      me: screen({ actions: [opening("details")] }),
      details: screen(),
    });
    const deep = [tab("meTab"), tap("details"), fact(false)];
    expect(runWith(whole, { in: true }, ...deep)).toMatchObject({ top: "gate", pending: { to: "home", params: {} } });
    expect(runWith(whole, { in: true }, ...deep, fact(true))).toMatchObject({
      top: "feed",
      pending: null,
      back: ["exit"],
    });
    // of a screen with values in its address its stack's start waits, where that is for them alone too
    const item = gated({
      feed: list("post", "post", { path: "/feed", needs: [needsIn] }),
      post: screen({ path: "/feed/:post", needs: [needsIn] }),
      feedTab: stack(["feed", "post", "gate"]),
      meTab: stack(["me", "details"]),
    });
    expect(runWith(item, { in: true }, pick(2), fact(false)).pending).toEqual({ to: "feed", params: {} });
  });
  test("asks again when a tab is chosen that a sign-out emptied", () => {
    const out = runWith(gated(), { in: true }, tab("meTab"), tab("feedTab"), fact(false));
    expect([out.top, out.tabs]).toEqual(["feed", { feedTab: ["feed"] }]);
    expect(runWith(gated(), { in: true }, tab("meTab"), tab("feedTab"), fact(false), tab("meTab"))).toMatchObject({
      top: "gate",
      pending: { to: "meTab" },
    });
  });
  test("moves nobody by a fact of another matter", () => {
    const before = run(gated(), openTo("details"));
    const after = run(gated(), openTo("details"), fact(true, "news"));
    expect([after.top, after.pending, after.moves]).toEqual([before.top, before.pending, []]);
  });
  test("resumes a tab that waited at its start, and a hub with that tab", () => {
    expect(run(gated(), tab("meTab"), tap("go"))).toMatchObject({ top: "me", pending: null });
  });
  test("gives up what waited when the gate is left, whatever else has the same name", () => {
    const sheet = gated({
      gate: screen({ opens: "sheet" }),
      app: stack(["home", "gate"]),
      meTab: stack(["me", "details"]),
    });
    expect(run(sheet, openTo("details"), { do: "dismiss" })).toMatchObject({ top: "feed", pending: null });
  });
});

describe("needs of what would be made", () => {
  const pair = (list: Partial<Node>, more: Partial<Frame> = {}): Frame =>
    frameOf(
      {
        app: stack(["first", "two", "gate"]),
        first: screen({ actions: [opening("one")] }),
        two: { kind: "pair", list: "rows", detail: "one" },
        rows: { ...screen(), ...list } as Node,
        one: screen(),
        gate: screen(),
      },
      { facts, ...more },
    );
  test("the list of a pair is asked, though its detail is asked for", () => {
    expect(run(pair({ needs: [needsIn] }), tap("one"))).toMatchObject({ top: "gate", pending: { to: "one" } });
    expect(run(pair({ needs: [needsIn] }), tap("one"), fact(true))).toMatchObject({ top: "one", pending: null });
  });
  test("a pair that leaves for its list's sake is stood in for by what its list names", () => {
    const frame = pair({ needs: [needsIn] });
    expect(runWith(frame, { in: true }, tap("one"), fact(false))).toMatchObject({ top: "gate" });
  });
  test("a start that would only lie under what is asked is not asked, and not laid", () => {
    const frame = frameOf(
      {
        app: stack(["first", "box"]),
        first: screen({ actions: [opening("free")] }),
        box: stack(["mine", "free"]),
        mine: screen({ needs: [{ fact: "in", is: true }] }),
        free: screen(),
      },
      { facts },
    );
    const at = run(frame, tap("free"));
    expect([at.top, at.back, at.codes]).toEqual(["free", ["first", "exit"], ["base-skipped"]]);
  });
  test("a hub whose start tab may not be shown starts at the first that may, at a launch and when it is opened", () => {
    const frame = frameOf(
      {
        app: stack(["home"]),
        home: hub(["mine", "free", "other"]),
        mine: screen({ needs: [{ fact: "in", is: true }] }),
        free: screen(),
        other: screen(),
      },
      { facts },
    );
    expect(run(frame)).toMatchObject({ top: "free", codes: [] });
    expect(run(frame, { do: "kill" })).toMatchObject({ top: "free" });
    expect(run(frame, tab("other")).back).toEqual(["exit"]);
  });
});

describe("what waits", () => {
  const two = (needs: Node["needs"], more: Record<string, Node> = {}): Frame =>
    frameOf(
      {
        app: stack(["first", "vault", "gate"]),
        first: screen({ actions: [opening("vault")] }),
        vault: screen({ needs: needs ?? [] }),
        gate: screen(),
        ...more,
      },
      { facts },
    );
  test("is resumed once nothing of it is unmet, whichever fact changed last", () => {
    const frame = two([needsIn, { fact: "news", is: true, otherwise: "gate" }]);
    expect(run(frame, tap("vault"), fact(true))).toMatchObject({ top: "gate", pending: { to: "vault" } });
    for (const events of [
      [fact(true), fact(true, "news")],
      [fact(true, "news"), fact(true)],
    ])
      expect(run(frame, tap("vault"), ...events)).toMatchObject({ top: "vault", pending: null });
  });
  test("ends when its stand-in is swept and nothing opens in its place", () => {
    const frame = two([needsIn], { gate: screen({ needs: [{ fact: "news", is: false }] }) });
    const after = run(frame, tap("vault"), fact(true, "news"));
    expect([after.top, after.pending]).toEqual(["first", null]);
    expect(run(frame, tap("vault"), fact(true, "news"), fact(true)).top).toBe("first");
  });
  test("goes on behind what opened in the place of a stand-in that was swept", () => {
    const frame = two([needsIn], {
      app: stack(["first", "vault", "gate", "other"]),
      gate: screen({ needs: [{ fact: "news", is: false, otherwise: "other" }] }),
      other: screen(),
    });
    const after = run(frame, tap("vault"), fact(true, "news"));
    expect([after.top, after.pending]).toEqual(["other", { to: "vault", params: {} }]);
    expect(run(frame, tap("vault"), fact(true, "news"), fact(true)).trail).toEqual(["first", "vault"]);
  });
  test("a stack that leaves for its start's sake is stood in for by what its start names", () => {
    const frame = two([], {
      app: stack(["home", "gate"]),
      home: hub(["first", "box"]),
      box: stack(["mine", "vault"]),
      mine: screen({ needs: [needsIn] }),
      vault: screen({ path: "/vault", needs: [{ fact: "in", is: true }] }),
    });
    const events = [tap("vault"), fact(false)];
    expect(runWith(frame, { in: true }, ...events)).toMatchObject({ top: "gate", pending: { to: "box" } });
    expect(runWith(frame, { in: true }, ...events, fact(true))).toMatchObject({ trail: ["mine"], pending: null });
    // so is one that was pushed, if its start lay in it; else nothing of that start is asked
    const pushed = (box: Node) => ({ ...frame, nodes: { ...frame.nodes, app: stack(["first", "box", "gate"]), box } });
    const begun = pushed(stack(["mine", "vault"]));
    expect(runWith(begun, { in: true }, ...events)).toMatchObject({ trail: ["first", "gate"], pending: { to: "box" } });
    const bare = pushed(stack(["mine", "vault"], { base: null }));
    const linked = [link("/vault", "cold"), fact(false)];
    expect(runWith(bare, { in: true }, ...linked)).toMatchObject({ trail: ["first"], pending: null });
  });
});

const diary = (running: "open" | "rebuild"): Frame =>
  frameOf(
    {
      app: stack(["splash", "home"]),
      splash: screen({ after: { ms: 500, do: { kind: "open", to: "home", how: "replace" } } }),
      home: hub(["plotsTab", "me"]),
      plotsTab: stack(["plots", "plot", "bed"]),
      plots: list("plot", "plot", { path: "/plots" }),
      plot: screen({
        path: "/plots/:plot",
        body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] },
        actions: [opening("bed", { params: { plot: "{plot}", bed: "1" } })],
      }),
      bed: screen({ path: "/plots/:plot/beds/:bed" }),
      me: screen({ path: "/me" }),
    },
    { facts, address: { running } },
  );

describe("links", () => {
  test("that are redirected are opened while the app runs; of a cold one what stands in is laid, without the splash", () => {
    const frame = diary("rebuild");
    const guarded: Frame = {
      ...frame,
      nodes: {
        ...frame.nodes,
        app: stack(["splash", "home", "gate"]),
        gate: screen(),
        bed: screen({ path: "/plots/:plot/beds/:bed", needs: [needsIn] }),
      },
    };
    expect(run(guarded, link("/plots/3/beds/2", "cold"))).toMatchObject({
      top: "gate",
      trail: ["gate"],
      back: ["exit"],
    });
    const running = run(guarded, wait(500), pick(3), link("/plots/3/beds/2"));
    expect([running.trail, running.back]).toEqual([["gate"], ["plot", "plots", "exit"]]);
  });
  test("lay nothing on itself", () => {
    const self = frameOf({
      app: stack(["home"]),
      home: hub(["a"]),
      a: stack(["item", "more"], { start: "more", base: "item" }),
      item: screen({ path: "/a/:item" }),
      more: screen(),
    });
    expect(run(self, link("/a/1", "cold")).trail).toEqual(["item"]);
  });
  test("that rebuild keep what stands there already, with its drafts", () => {
    const at = run(diary("rebuild"), wait(500), pick(3), typing("half"), link("/plots/3/beds/2"));
    expect([at.trail, at.codes.includes("draft-lost")]).toEqual([["plots", "plot", "bed"], false]);
    expect(
      run(diary("rebuild"), wait(500), pick(3), typing("half"), link("/plots/3/beds/2"), { do: "back" }).ui.drafts,
    ).toEqual({
      name: "half",
    });
  });
  test("and notifications that come during the splash do not leave it beneath", () => {
    for (const event of [link("/plots/3"), openTo("plot", { plot: "3" })]) {
      const at = run(diary("open"), event);
      expect([at.top, at.back.at(-1), at.back.includes("splash")]).toEqual(["plot", "exit", false]);
    }
  });
});

test("what waits is opened in the place that it was asked for in", () => {
  const frame = frameOf(
    {
      app: stack(["home", "gate"]),
      home: hub(["aTab", "bTab"]),
      aTab: stack(["a", "shared"]),
      a: screen(),
      bTab: stack(["b", "shared"]),
      b: screen({ actions: [opening("shared")] }),
      shared: screen({ needs: [needsIn] }),
      gate: screen(),
    },
    { facts },
  );
  expect(run(frame, tab("bTab"), tap("shared"), fact(true)).trail).toEqual(["b", "shared"]);
});
