import type { Frame, Node } from "../frame/types.js";
import { viewOf } from "../frame/view.js";
import { back, frameOf, hub, list, run, screen, stack, tab, tap, typing, opening } from "../testing/frames.js";
import type { NavigationEvent } from "./event.js";
import { linkOutcome } from "../explore/outcome.js";

const cold = (url: string): NavigationEvent => ({ do: "link", url, start: "cold" });
const running = (url: string): NavigationEvent => ({ do: "link", url, start: "running" });
const form = { kind: "form" as const, fields: [{ id: "name", label: "Name", input: "text" as const }] };

const garden = (more: Record<string, Node> = {}, extra: Partial<Frame> = {}): Frame =>
  frameOf(
    {
      app: stack(["home", "poster", "lost"]),
      home: hub(["plotsTab", "meTab", "both"]),
      plotsTab: stack(["plots", "plot", "tasks", "task"]),
      plots: list("plot", "plot", { path: "/plots" }),
      plot: screen({
        path: "/plots/:plot",
        title: "Plot {plot}",
        actions: [opening("tasks", { params: { plot: "{plot}" } })],
      }),
      tasks: screen({ path: "/plots/:id/tasks" }),
      task: screen({ path: "/plots/:plot/tasks/:task", params: { plot: "whole", task: "whole" } }),
      meTab: stack(["me", "shared"]),
      me: screen({ path: "/me", body: form }),
      shared: screen({ path: "/people/:who" }),
      both: { kind: "pair", list: "rows", detail: "row" },
      rows: screen({ path: "/rows" }),
      row: screen({ path: "/rows/:row" }),
      poster: screen({ path: "/poster", also: ["/old-poster"] }),
      lost: screen(),
      ...more,
    },
    { address: { scheme: "garden", lost: "lost" }, ...extra },
  );

describe("a cold link", () => {
  test("lays the stacks on its way: the base, what lies on the way by its address, then its screen", () => {
    const at = run(garden(), cold("garden://plots/3/tasks/9"));
    expect(at).toMatchObject({
      top: "task",
      params: { plot: "3", task: "9" },
      trail: ["plots", "plot", "tasks", "task"],
      moves: [],
    });
    expect(at.back).toEqual(["tasks", "plot", "plots", "exit"]);
    // params are taken by position: the tasks know the plot as id
    expect(run(garden(), cold("/plots/3/tasks/9"), back)).toMatchObject({ top: "tasks", params: { id: "3" } });
  });
  test("in another tab goes back through the start tab", () => {
    expect(run(garden(), cold("/people/ida")).back).toEqual(["me", "plots", "exit"]);
  });
  test("beside the hub is laid on the hub, unless its stack lays nothing", () => {
    expect(run(garden(), cold("/poster"))).toMatchObject({ top: "poster", back: ["plots", "exit"] });
    const bare = garden({ app: stack(["home", "poster", "lost"], { base: null }) });
    expect(run(bare, cold("/poster")).back).toEqual(["exit"]);
    const noneBeneath = garden({ plotsTab: stack(["plots", "plot", "tasks", "task"], { base: null }) });
    expect(run(noneBeneath, cold("/plots/3/tasks/9")).trail).toEqual(["task"]);
  });
  test("skips a base that goes on by itself, lacks a param, or may not be shown, and says so", () => {
    const splash = garden({
      app: stack(["splash", "home", "poster", "lost"]),
      splash: screen({ after: { ms: 9, do: { kind: "open", to: "home" } } }),
    });
    expect(run(splash, cold("/poster"))).toMatchObject({ back: ["exit"], codes: ["base-skipped"] });
    const lacking = garden({ plotsTab: stack(["plots", "plot", "tasks", "task"], { base: "other" }) });
    (lacking.nodes.plotsTab as { children: string[] }).children.push("other");
    const other = garden({ ...lacking.nodes, other: screen({ path: "/other/:thing" }) });
    expect(run(other, cold("/plots/3"))).toMatchObject({ trail: ["plots", "plot"], codes: ["base-skipped"] });
    const needy = garden(
      { plot: screen({ path: "/plots/:plot", needs: [{ fact: "in", is: true }] }) },
      { facts: [{ id: "in", label: "In" }] },
    );
    expect(run(needy, cold("/plots/3/tasks/9"))).toMatchObject({
      trail: ["plots", "tasks", "task"],
      codes: ["base-skipped"],
    });
  });
  test("into a detail has its list", () => {
    expect(run(garden(), cold("/rows/4"))).toMatchObject({ top: "row", trail: ["rows", "row"] });
  });
  test("opens a shared screen in the stack it names, else in its first place", () => {
    const places = { plotsTab: stack(["plots", "plot", "tasks", "task", "shared"]) };
    expect(run(garden(places), cold("/people/ida")).trail).toEqual(["plots", "shared"]);
    const named = garden({ ...places, shared: screen({ path: "/people/:who", linkIn: "meTab" }) });
    expect(run(named, cold("/people/ida")).trail).toEqual(["me", "shared"]);
    expect(run(named, running("/people/ida")).trail).toEqual(["me", "shared"]);
  });
  test("starts the app: nothing of before is there, and drafts are told as lost", () => {
    const at = run(garden(), tab("meTab"), typing("half"), cold("/plots/3"));
    expect(at.codes).toEqual(["draft-lost"]);
    expect(at.tabs).toEqual({ plotsTab: ["plots", "plot"] });
  });
});

describe("a link while the app runs", () => {
  test("is opened like anything else", () => {
    expect(run(garden(), tab("meTab"), running("/plots/3")).trail).toEqual(["plots", "plot"]);
    expect(run(garden(), running("/plots/3/tasks/9")).trail).toEqual(["plots", "task"]);
    expect(run(garden(), back, running("/plots/3"))).toMatchObject({ outside: false, top: "plot" });
  });
  test("or laid anew along its way, other tabs and a pair's list as they were", () => {
    const rebuild = garden({}, { address: { running: "rebuild" } });
    const at = run(rebuild, tab("meTab"), typing("half"), tab("plotsTab"), tap("x"), running("/plots/3/tasks/9"));
    expect(at).toMatchObject({ trail: ["plots", "plot", "tasks", "task"], tabs: { meTab: ["me"] } });
    expect(run(rebuild, tab("meTab"), typing("half"), running("/plots/3"), tab("meTab")).ui.drafts).toEqual({
      name: "half",
    });
    expect(run(rebuild, tab("both"), { do: "scroll", to: 9 }, running("/rows/4"), back).ui.scroll).toBe(9);
    expect(run(rebuild, running("/rows/4"), running("/rows"))).toMatchObject({ top: "rows", trail: ["rows"] });
  });
  test("a screen says for itself what a link does", () => {
    const own = garden({ task: screen({ path: "/plots/:plot/tasks/:task", running: "rebuild" }) });
    expect(run(own, running("/plots/3/tasks/9")).trail).toEqual(["plots", "plot", "tasks", "task"]);
  });
});

describe("a link that leads nowhere", () => {
  test("shows the lost screen, where one is named", () => {
    expect(run(garden(), running("/nothing"))).toMatchObject({ top: "lost", codes: ["lost"], back: ["plots", "exit"] });
    expect(run(garden(), cold("/nothing"))).toMatchObject({ top: "lost", codes: ["lost"] });
  });
  test.each([
    "/nothing",
    "/a/%E0%A4%A",
    "javascript:alert(1)",
    "https://elsewhere.example/plots",
    "x".repeat(100_000),
    "",
    "\u202e",
  ])("is ignored where none is: %.20s", (url) => {
    const frame = garden({}, { address: { scheme: "garden" } });
    for (const link of [cold(url), running(url)]) {
      const at = run(frame, tab("meTab"), link);
      expect(at).toMatchObject({ top: "me", codes: ["ignored"] });
      expect(at.notes[0]!.text.length).toBeLessThan(300);
    }
  });
});

describe("a link to what needs something", () => {
  const doored = garden(
    {
      app: stack(["welcome", "home", "poster", "lost"], { start: "home" }),
      welcome: screen({
        needs: [{ fact: "in", is: false, otherwise: "home" }],
        actions: [{ id: "enter", label: "Sign in", place: "body", do: { kind: "set", fact: "in", is: true } }],
      }),
      home: hub(["plotsTab", "meTab", "both"], {
        needs: [{ fact: "in", is: true, otherwise: "welcome", resume: true }],
      }),
    },
    { facts: [{ id: "in", label: "In" }] },
  );
  test("waits behind its stand-in and is laid as it was asked once it may be shown", () => {
    const asked = run(doored, cold("/plots/3/tasks/9"));
    expect(asked).toMatchObject({
      top: "welcome",
      back: ["exit"],
      pending: { to: "task", params: { plot: "3", task: "9" } },
    });
    const entered = run(doored, cold("/plots/3/tasks/9"), tap("enter"));
    expect(entered).toMatchObject({ top: "task", trail: ["plots", "plot", "tasks", "task"], pending: null });
    expect(entered.back).toEqual(["tasks", "plot", "plots", "exit"]);
    expect(run(doored, running("/plots/3/tasks/9"), tap("enter")).trail).toEqual(["plots", "task"]);
  });
  test("a cold link falls back to the facts of a launch where they do not last", () => {
    const brief: Frame = { ...doored, facts: [{ id: "in", label: "In", lasting: false }] };
    expect(run(brief, tap("enter"), cold("/plots")).top).toBe("welcome");
    expect(run(doored, tap("enter"), cold("/plots")).top).toBe("plots");
  });
  test("what a link lays is told with its needs taken as met", () => {
    const laid = (url: string) => linkOutcome(doored, viewOf(doored), url);
    expect(laid("/plots/3/tasks/9")).toEqual({
      screen: "task",
      params: { plot: "3", task: "9" },
      laid: ["plots", "plot", "tasks", "task"],
    });
    expect(laid("/poster")).toEqual({ screen: "poster", params: {}, laid: ["plots", "poster"] });
    expect(laid("/rows/4")?.laid).toEqual(["rows", "row"]);
    expect(laid("/nothing")).toBeNull();
  });
});
