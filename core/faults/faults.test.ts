import { frameOf, hub, opening, screen, stack, tabbed } from "../testing/frames.js";
import { faultsOf } from "./faults.js";
import type { Frame, Node } from "../frame/types.js";

const places = (frame: Frame): string[] => faultsOf(frame).map((fault) => fault.pointer);
const withNodes = (nodes: Record<string, Node>, extra: Partial<Frame> = {}): Frame =>
  frameOf({ app: stack(["one"]), one: screen(), ...nodes }, extra);

describe("the faults of meaning", () => {
  test("a sound frame has none, and loose nodes are no fault", () => {
    expect(faultsOf(tabbed({}, { alone: screen() }))).toEqual([]);
  });
  test("each says where, what was received, what was expected and what to do", () => {
    const [fault] = faultsOf(withNodes({ one: screen({ actions: [opening("nowhere")] }) }));
    expect(fault).toEqual({
      code: "dangling",
      pointer: "/nodes/one/actions/0/do/to",
      received: '"nowhere", which is not in nodes',
      expected: "the id of a node of the frame",
      remedy: "Correct the id, add the node, or take the reference out.",
    });
  });
  test("all are said at once", () => {
    const frame = withNodes({
      app: stack(["one", "gone"], { start: "other" }),
      one: screen({ path: "no-slash", body: { kind: "list", rows: 1, row: "", opens: "none" } }),
    });
    expect(places(frame).sort()).toEqual([
      "/nodes/app/children/1",
      "/nodes/app/start",
      "/nodes/one/body/opens",
      "/nodes/one/path",
    ]);
  });
  test("the root is a stack", () => {
    expect(places({ ...withNodes({}), root: "one" })).toContain("/root");
    expect(places({ ...withNodes({}), root: "nowhere" })).toContain("/root");
  });
  test("a container needs a child to start with", () => {
    expect(places(withNodes({ app: stack(["one", "two"]), two: stack([]) }))).toEqual(["/nodes/two/children"]);
  });
  test("a container stands in one place; a screen in several, if all are stacks", () => {
    const inner = { a: stack(["inner"]), b: stack(["inner", "one"]) };
    expect(places(withNodes({ app: stack(["a", "b"]), ...inner, inner: stack(["two"]), two: screen() }))).toEqual([
      "/nodes/a/children/0",
      "/nodes/b/children/0",
    ]);
    expect(places(withNodes({ app: stack(["a", "b"]), ...inner, inner: screen() }))).toEqual([]);
    expect(places(withNodes({ app: stack(["a", "h"]), a: stack(["one"]), h: hub(["one"]) }))).toEqual([
      "/nodes/a/children/0",
      "/nodes/h/children/0",
    ]);
  });
  test("a loop, attached or loose, is found and hangs nothing", () => {
    expect(places(withNodes({ a: stack(["b"]), b: stack(["a"]) }))).toEqual(["/nodes/a/children", "/nodes/b/children"]);
    expect(places(withNodes({ app: stack(["app"]) }))).toContain("/nodes/app/children/0");
  });
  test("nesting has an end", () => {
    const nodes: Record<string, Node> = { app: stack(["n0"]) };
    for (let i = 0; i < 10_000; i += 1) nodes[`n${i}`] = stack([`n${i + 1}`]);
    nodes.n10000 = screen();
    expect(faultsOf(frameOf(nodes))).toEqual([expect.objectContaining({ received: "a container 64 deep" })]);
  });
  test("two screens whose addresses match equally well clash, whatever their params are called", () => {
    const two = (first: string, second: string) =>
      places(withNodes({ app: stack(["one", "two"]), one: screen({ path: first }), two: screen({ path: second }) }));
    expect(two("/a/:x", "/a/:y")).toEqual(["/nodes/two/path"]);
    expect(two("/a/:x?", "/a")).toEqual(["/nodes/two/path"]);
    expect(two("/a/", "/a")).toEqual(["/nodes/two/path"]);
    expect(two("/a/:x", "/a/*")).toEqual([]);
    expect(two("/a/b", "/a/:x")).toEqual([]);
  });
  test("names of bands, targets, facts and their values, and motions are those there are", () => {
    const frame = withNodes(
      {
        one: screen({
          needs: [{ fact: "in", is: "maybe" }],
          vary: [
            { from: "wide", set: { opens: "sheet" } },
            { on: ["watch"], set: { opens: "sheet" } },
            { from: "desk", to: "lap", set: { opens: "sheet" } },
            { on: [], set: { opens: "sheet" } },
            { set: { opens: "sheet" } },
          ],
          motion: { push: "glide" },
        }),
        app: stack(["one", "two"]),
        two: hub(["three"], { vary: [{ to: "wide", set: { face: "bar" } }] }),
        three: screen({ actions: [{ ...opening("one"), only: { on: ["watch"], facts: { out: true } } }] }),
      },
      { facts: [{ id: "in", label: "In" }] },
    );
    expect(places(frame).sort()).toEqual([
      "/nodes/one/motion/push",
      "/nodes/one/needs/0",
      "/nodes/one/vary/0/from",
      "/nodes/one/vary/1/on/0",
      "/nodes/one/vary/2/from",
      "/nodes/one/vary/3/on",
      "/nodes/one/vary/4",
      "/nodes/three/actions/0/only/facts/out",
      "/nodes/three/actions/0/only/on/0",
      "/nodes/two/vary/0/to",
    ]);
  });
  test("tables name each id once, and the narrowest band starts at 0", () => {
    const bands = [
      { id: "a", from: 100 },
      { id: "a", from: 200 },
    ];
    expect(places(withNodes({}, { bands }))).toEqual(["/bands/1", "/bands"]);
    expect(places(withNodes({ one: screen({ actions: [opening("one"), opening("one")] }) }))).toEqual([
      "/nodes/one/actions/1",
    ]);
  });
  test("`tab` is only for children of a hub", () => {
    expect(places(withNodes({ one: screen({ tab: { label: "One" } }) }))).toEqual(["/nodes/one/tab"]);
  });
  test("with the touched nodes named, only what they can have broken is looked at", () => {
    const frame = withNodes({ one: screen({ path: "bad" }), two: screen({ path: "bad" }) });
    expect(faultsOf(frame, new Set(["two"])).map((fault) => fault.pointer)).toEqual(["/nodes/two/path"]);
  });
});

test("what leaves a screen without being asked is an action that is there, by id or on another screen", () => {
  const frame = (free: unknown[]) =>
    tabbed({}, { form: screen({ leave: { when: "draft", ask: "Leave?", free: free as never } }) });
  expect(faultsOf(frame([{ in: "item", action: "deep" }])).map(({ pointer }) => pointer)).toEqual([]);
  expect(
    faultsOf(frame(["none", { in: "item", action: "no" }, { in: "nowhere", action: "a" }]))
      .map(({ pointer }) => pointer)
      .sort(),
  ).toEqual(["/nodes/form/leave/free/0", "/nodes/form/leave/free/1", "/nodes/form/leave/free/2/in"]);
});
