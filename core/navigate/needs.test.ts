import type { Frame, Node, ScreenNode } from "../frame/types.js";
import { viewOf } from "../frame/view.js";
import {
  back,
  frameOf,
  hub,
  openTo,
  opening,
  run,
  runIn,
  screen,
  stack,
  tab,
  tap,
  typing,
  wait,
} from "../testing/frames.js";
import type { NavigationEvent } from "./event.js";
import { snapshotOf } from "../observe/snapshot.js";
import { launch } from "./step.js";

const fact = (is: boolean | string, id = "signedIn"): NavigationEvent => ({ do: "fact", id, is });
const kill: NavigationEvent = { do: "kill" };
const signedIn = { fact: "signedIn", is: true };
const signedOut = { fact: "signedIn", is: false };
const setting = (is: boolean, more: object = {}): NonNullable<ScreenNode["actions"]>[number] => ({
  id: is ? "in" : "out",
  label: is ? "Sign in" : "Sign out",
  place: "body",
  do: { kind: "set", fact: "signedIn", is, ...more },
});

/** A welcome and a sign-in for those who are signed out, tabs for those who are in; the welcome stands in for the tabs. */
const doored = (more: Record<string, Node> = {}, extra: Partial<Frame> = {}): Frame =>
  frameOf(
    {
      app: stack(["welcome", "signIn", "home", "about"], { start: "home" }),
      welcome: screen({ needs: [{ ...signedOut, otherwise: "home" }], actions: [opening("signIn"), opening("about")] }),
      signIn: screen({
        opens: "sheet",
        needs: [{ ...signedOut, otherwise: "home" }],
        body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] },
        actions: [setting(true)],
      }),
      home: hub(["aTab", "me"], { needs: [{ ...signedIn, otherwise: "welcome", resume: true }] }),
      aTab: stack(["a", "item"]),
      a: screen({ path: "/a", actions: [opening("item", { params: { item: "1" } })] }),
      item: screen({ path: "/a/:item", actions: [setting(false)] }),
      me: screen({ actions: [setting(false)] }),
      about: screen({ path: "/about" }),
      ...more,
    },
    { facts: [{ id: "signedIn", label: "Signed in" }], ...extra },
  );

describe("needs", () => {
  test("a launch shows what stands in for what may not be shown, and nothing behind it", () => {
    expect(run(doored())).toMatchObject({ top: "welcome", back: ["exit"], codes: ["redirected"] });
    // a launch that is turned away waits, where its need says so
    expect(run(doored()).pending).toEqual({ to: "home", params: {} });
    expect(run(doored(), fact(true))).toMatchObject({ top: "a", back: ["exit"], pending: null });
    const frame = doored();
    expect(snapshotOf(frame, viewOf(frame), launch(frame, viewOf(frame), { signedIn: true }))).toMatchObject({
      top: "a",
    });
  });

  test("what is opened without its needs is stood in for, waits, and is opened once they are met", () => {
    const asked = run(doored(), tap("about"), openTo("item", { item: "7" }));
    expect(asked).toMatchObject({
      top: "welcome",
      pending: { to: "item", params: { item: "7" } },
      codes: ["redirected"],
    });
    const after = run(doored(), openTo("item", { item: "7" }), tap("signIn"), tap("in"));
    expect(after).toMatchObject({
      top: "item",
      params: { item: "7" },
      trail: ["a", "item"],
      back: ["a", "exit"],
      pending: null,
    });
    expect(after.codes).toContain("resumed");
  });

  test("without a stand-in nothing is opened, and it is said why", () => {
    const frame = doored({ home: hub(["aTab", "me"], { needs: [signedIn] }) }, {});
    const before = run(frame, openTo("about"));
    const after = run(frame, openTo("about"), openTo("item"));
    expect(after).toMatchObject({ top: before.top, codes: ["refused"] });
    expect(after.notes[0]!.text).toBe("item was not opened: home needs Signed in: yes.");
  });

  test("signing out from deep inside takes everything out that needs it, background tabs too", () => {
    const after = run(doored(), fact(true), tab("me"), tab("aTab"), tap("item"), tap("out"));
    expect(after).toMatchObject({ top: "welcome", shown: ["welcome"], back: ["exit"], pending: { to: "home" } });
    expect(after.codes).toEqual(["swept", "redirected"]);
    // a session starts afresh
    expect(run(doored(), fact(true), tap("item"), tap("out"), fact(true)).trail).toEqual(["a"]);
  });

  test("a tab that needs something leaves its hub, which goes to its start, or to the first tab allowed", () => {
    const frame = (start: string) =>
      frameOf(
        {
          app: stack(["home"]),
          home: hub(["free", "mine", "alsoMine"], { start }),
          free: screen(),
          mine: screen({ needs: [signedIn] }),
          alsoMine: screen({ needs: [signedIn] }),
        },
        { facts: [{ id: "signedIn", label: "Signed in", launch: true }] },
      );
    expect(run(frame("free"), tab("mine"), fact(false))).toMatchObject({ top: "free", codes: ["swept"] });
    expect(run(frame("mine"), tab("alsoMine"), fact(false))).toMatchObject({ top: "free", tabs: { free: ["free"] } });
    // the tab is shown all the same, and choosing it is an opening
    const refused = run(frame("free"), fact(false), tab("mine"));
    expect(refused).toMatchObject({ top: "free", codes: ["refused"] });
    // and Back passes a start tab that may not be shown
    expect(run(frame("mine"), fact(false)).back).toEqual(["exit"]);
  });

  test("a nested stack that is left empty leaves its parent, a tab takes its start again", () => {
    const secret = screen({ needs: [signedIn] });
    const frame = frameOf(
      {
        app: stack(["a", "flow", "tabs"]),
        a: screen(),
        flow: stack(["secret"]),
        secret,
        tabs: hub(["one", "two"]),
        one: stack(["first", "deep"], { base: null }),
        first: screen(),
        deep: screen({ needs: [signedIn], path: "/deep" }),
        two: screen(),
      },
      { facts: [{ id: "signedIn", label: "Signed in", launch: true }] },
    );
    expect(run(frame, openTo("secret"), fact(false))).toMatchObject({ top: "a", back: ["exit"] });
    const only: NavigationEvent = { do: "link", url: "/deep", start: "cold" };
    expect(run(frame, only)).toMatchObject({ trail: ["deep"] });
    expect(run(frame, only, fact(false))).toMatchObject({ top: "first", trail: ["first"] });
  });

  test("a pair whose list may not be shown leaves, a detail leaves its pair", () => {
    const frame = (list: Node, detail: Node) =>
      frameOf(
        { app: stack(["a", "both"]), a: screen(), both: { kind: "pair", list: "l", detail: "d" }, l: list, d: detail },
        { facts: [{ id: "signedIn", label: "Signed in", launch: true }] },
      );
    const needy = screen({ needs: [signedIn] });
    expect(run(frame(needy, screen()), openTo("d"), fact(false)).top).toBe("a");
    expect(run(frame(screen(), needy), openTo("d"), fact(false))).toMatchObject({
      top: "l",
      trail: ["a", "l"],
    });
  });

  test("of several needs the first unmet one counts, and the first that was asked is what waits", () => {
    const frame = doored(
      {
        vault: screen({
          needs: [
            { ...signedIn, otherwise: "signIn", resume: true },
            { fact: "checked", is: true, otherwise: "check" },
          ],
        }),
        check: screen({
          actions: [{ id: "ok", label: "OK", place: "body", do: { kind: "set", fact: "checked", is: true } }],
        }),
        app: stack(["welcome", "signIn", "home", "about", "vault", "check"], { start: "about" }),
      },
      {
        facts: [
          { id: "signedIn", label: "Signed in" },
          { id: "checked", label: "Checked" },
        ],
      },
    );
    const first = run(frame, openTo("vault"));
    expect(first).toMatchObject({ top: "signIn", pending: { to: "vault" } });
    const second = run(frame, openTo("vault"), fact(true));
    expect(second).toMatchObject({ top: "check", pending: { to: "vault" }, back: ["about", "exit"] });
    expect(run(frame, openTo("vault"), fact(true), tap("ok"))).toMatchObject({
      top: "vault",
      back: ["about", "exit"],
      pending: null,
    });
  });

  test("what waits is dropped when its stand-in is left, and kept while other things happen", () => {
    const frame = doored({ app: stack(["about", "welcome", "signIn", "home"]) });
    expect(run(frame, openTo("item")).pending).toMatchObject({ to: "item" });
    expect(run(frame, openTo("item"), tap("signIn"), back).pending).toMatchObject({ to: "item" });
    expect(run(frame, openTo("item"), back)).toMatchObject({ top: "about", pending: null });
    expect(run(frame, openTo("item"), back, fact(true)).top).toBe("about");
  });

  test("a stand-in with something beneath is taken out first, so Back goes there", () => {
    const frame = doored({
      app: stack(["about", "signIn", "home"]),
      about: screen({ actions: [opening("home")] }),
      home: hub(["aTab", "me"], { needs: [{ ...signedIn, otherwise: "signIn", resume: true }] }),
    });
    expect(run(frame, tap("home"), tap("in"))).toMatchObject({ top: "a", back: ["about", "exit"] });
  });

  test("a stand-in that is a tab stays a tab", () => {
    const frame = frameOf(
      {
        app: stack(["home", "vault"]),
        home: hub(["a", "account"]),
        a: screen({ actions: [opening("vault")] }),
        account: screen({ actions: [setting(true)] }),
        vault: screen({ needs: [{ ...signedIn, otherwise: "account", resume: true }] }),
      },
      { facts: [{ id: "signedIn", label: "Signed in" }] },
    );
    expect(run(frame, tap("vault"))).toMatchObject({ top: "account", pending: { to: "vault" } });
    expect(run(frame, tap("vault"), tap("in"))).toMatchObject({ top: "vault", back: ["account", "a", "exit"] });
  });

  test("what waits and would be refused goes on waiting", () => {
    const frame = doored(
      {
        vault: screen({
          needs: [
            { ...signedIn, otherwise: "signIn", resume: true },
            { fact: "checked", is: true },
          ],
        }),
        app: stack(["about", "signIn", "vault"]),
        signIn: screen({ actions: [setting(true)] }),
      },
      {
        facts: [
          { id: "signedIn", label: "Signed in" },
          { id: "checked", label: "Checked" },
        ],
      },
    );
    expect(run(frame, openTo("vault"), tap("in"))).toMatchObject({ top: "signIn", pending: { to: "vault" } });
    expect(run(frame, openTo("vault"), tap("in"), fact(true, "checked"))).toMatchObject({
      top: "vault",
      pending: null,
      back: ["about", "exit"],
    });
  });

  test("a sweep that is sent on goes on until something may be shown", () => {
    const frame = frameOf(
      {
        app: stack(["a", "b", "c"]),
        a: screen({ needs: [{ ...signedIn, otherwise: "b" }] }),
        b: screen({ needs: [{ ...signedIn, otherwise: "c" }] }),
        c: screen(),
      },
      { facts: [{ id: "signedIn", label: "Signed in", launch: true }] },
    );
    expect(run(frame, fact(false))).toMatchObject({ top: "c", back: ["exit"], pending: null });
  });

  test("a splash that opens the tabs in its own place gives way to the welcome as well", () => {
    const frame = doored({
      splash: screen({ after: { ms: 900, do: { kind: "open", to: "home", how: "replace" } } }),
      app: stack(["splash", "welcome", "signIn", "home", "about"]),
    });
    expect(run(frame, wait(899)).top).toBe("splash");
    expect(run(frame, wait(900))).toMatchObject({ top: "welcome", back: ["exit"], pending: { to: "home" } });
    expect(run(frame, wait(900), tap("signIn"), tap("in"))).toMatchObject({ top: "a", back: ["exit"], pending: null });
  });

  test("needs that send round and round end, and are told", () => {
    const round = (id: string, to: string): Node => screen({ title: id, needs: [{ ...signedIn, otherwise: to }] });
    const frame = frameOf(
      { app: stack(["free", "x", "y"]), free: screen(), x: round("x", "y"), y: round("y", "x") },
      { facts: [{ id: "signedIn", label: "Signed in" }] },
    );
    expect(run(frame, openTo("x"))).toMatchObject({ top: "free" });
    expect(run(frame, openTo("x")).codes).toContain("needs-loop");
  });

  test("where nothing may be shown the app is stuck: calmly, until a fact lets something be shown", () => {
    const frame = frameOf(
      { app: stack(["a"]), a: screen({ needs: [signedIn] }) },
      { facts: [{ id: "signedIn", label: "Signed in" }] },
    );
    expect(run(frame)).toMatchObject({ top: null, shown: [], back: ["exit"], outside: false, codes: ["stuck"] });
    expect(run(frame, tap("x")).codes).toEqual(["ignored"]);
    expect(run(frame, fact(true))).toMatchObject({ top: "a" });
    expect(run(frame, back)).toMatchObject({ outside: true });
  });

  test("drafts that go with what is swept are told", () => {
    const frame = doored({
      me: screen({ body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] } }),
    });
    expect(run(frame, fact(true), tab("me"), typing("half"), tab("aTab"), fact(false)).codes).toContain("draft-lost");
  });

  test("a sweep does not bring back an app that was left", () => {
    expect(run(doored(), fact(true), back, fact(false))).toMatchObject({ outside: true });
    expect(run(doored(), fact(true), back, fact(false), { do: "return" })).toMatchObject({
      outside: false,
      top: "welcome",
    });
  });
});

describe("facts", () => {
  const session: Frame = doored(
    {
      home: hub(["aTab", "me"], {
        needs: [{ fact: "session", is: ["in", "guest"], otherwise: "welcome", resume: true }],
      }),
      welcome: screen({ needs: [{ fact: "session", is: ["out", "unknown"], otherwise: "home" }] }),
      signIn: screen(),
      me: screen({
        actions: [
          { id: "guest", label: "Guest", place: "body", only: { facts: { session: "guest" } }, do: { kind: "close" } },
          {
            id: "end",
            label: "End",
            place: "body",
            do: { kind: "set", fact: "session", is: "out", then: { kind: "open", to: "about" } },
          },
        ],
      }),
    },
    { facts: [{ id: "session", label: "Session", values: ["unknown", "out", "in", "guest"], lasting: false }] },
  );
  test("a fact may have more than two values, and a need name several", () => {
    expect(run(session).top).toBe("welcome");
    for (const is of ["in", "guest"]) expect(run(session, fact(is, "session")).top).toBe("a");
    expect(run(session, fact("nobody", "session")).codes).toEqual(["ignored"]);
  });
  test("an action may be there only with a fact", () => {
    expect(run(session, fact("in", "session"), tab("me"), tap("guest")).codes).toEqual(["ignored"]);
    expect(run(session, fact("guest", "session"), tab("me"), tap("guest")).notes[0]?.text).not.toMatch(
      "shows no action",
    );
  });
  test("what is set then goes on, and the rule holds after all of it", () => {
    expect(run(session, fact("in", "session"), tab("me"), tap("end"))).toMatchObject({
      top: "about",
      back: ["exit"],
      facts: { session: "out" },
    });
  });
  test("a fact that does not last falls back when the system ends the app, and the rule holds then too", () => {
    expect(run(session, fact("in", "session"), kill)).toMatchObject({ top: "welcome", facts: { session: "unknown" } });
    expect(run(doored(), fact(true), tap("item"), kill)).toMatchObject({ top: "item", facts: { signedIn: true } });
  });
  test.each([
    ["nothing", { top: "a", ui: { scroll: 0 } }],
    ["place", { top: "item", ui: { scroll: 0 } }],
    ["everything", { top: "item", ui: { scroll: 40 } }],
  ] as const)("relaunch %s", (relaunch, seen) => {
    const frame = doored({}, { relaunch });
    expect(run(frame, fact(true), tap("item"), { do: "scroll", to: 40 }, kill)).toMatchObject(seen);
  });
});

test("in any view the rule is the same", () => {
  for (const width of [390, 700, 1200])
    expect(runIn(doored(), { width }, fact(true), tap("item"), tap("out")).top).toBe("welcome");
});
