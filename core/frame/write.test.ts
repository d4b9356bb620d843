import { hub, screen, stack, tabbed } from "../testing/frames.js";
import { indexOf } from "./frame-index.js";
import type { Frame, HubNode } from "./types.js";
import { plainFrame, writeFrame } from "./write.js";

describe("writing a frame", () => {
  test("a key that has its default is left out", () => {
    const home: Partial<HubNode> = {
      keep: "live",
      again: "root",
      back: "start",
      limit: 5,
      labels: "always",
      face: "bar",
      floating: false,
      extras: [],
      start: "aTab",
    };
    const loud: Frame = {
      ...tabbed(home),
      targets: [{ id: "touch", label: "Phone" }],
      relaunch: "place",
      facts: [],
      journeys: [],
      motions: {},
    };
    loud.nodes.c = screen({
      opens: "push",
      over: "all",
      edge: "start",
      rest: [0.6],
      body: { kind: "blank" },
      actions: [],
      path: "/c",
    });
    loud.nodes.app = stack(["home", "cover"], { start: "home", base: "home" });
    expect(writeFrame(loud)).toBe(writeFrame(tabbed()));
    expect(plainFrame(loud).nodes.home).toEqual(hub(["aTab", "bTab", "c"]));
  });
  test("what is not the default stays: another base, and none at all", () => {
    const frame = tabbed({}, { app: stack(["home", "cover"], { base: null }) });
    expect(plainFrame(frame).nodes.app).toEqual({ kind: "stack", children: ["home", "cover"], base: null });
  });
  test("what a container may say otherwise stays too", () => {
    const frame = tabbed({}, { c: screen({ bars: "keep" }) });
    expect(plainFrame(frame).nodes.c).toEqual({ kind: "screen", bars: "keep" });
  });
  test("nodes are written down the tree and keys in one order, whatever order they were in", () => {
    const frame = tabbed({}, { alone: screen() });
    const turned: Frame = {
      nodes: Object.fromEntries(
        Object.entries(frame.nodes)
          .reverse()
          .map(([id, node]) => [id, Object.fromEntries(Object.entries(node).reverse())]),
      ),
      root: frame.root,
      name: frame.name,
      format: frame.format,
    } as Frame;
    expect(writeFrame(turned)).toBe(writeFrame(frame));
    expect(Object.keys(plainFrame(turned).nodes)).toEqual([
      "app",
      "home",
      "aTab",
      "a",
      "item",
      "deep",
      "bTab",
      "b",
      "form",
      "c",
      "cover",
      "alone",
    ]);
  });
  test("writing what was written changes nothing", () => {
    const once = plainFrame(tabbed());
    expect(plainFrame(once)).toEqual(once);
  });
});

test("the index knows places depth first, ways from the root, and what is loose", () => {
  const index = indexOf(tabbed({}, { alone: stack(["inner"]), inner: screen() }));
  expect(index.ways.get("bTab")).toEqual(["app", "home", "bTab"]);
  expect(index.places.get("item")).toEqual(["aTab"]);
  expect(index.loose).toEqual(["alone"]);
  expect(index.places.get("inner")).toBeUndefined();
});
