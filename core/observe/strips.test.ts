import { frameOf, hub, list, opening, pick, run, runIn, screen, stack, tab, tap } from "../testing/frames.js";
import { lensOf } from "../frame/look.js";
import { screenAt } from "../frame/nodes.js";
import { actionsThere } from "../frame/only.js";
import type { Frame } from "../frame/types.js";
import type { NavigationEvent } from "../navigate/event.js";
import { topOf } from "../navigate/focus.js";
import { surfaceOf } from "./surface.js";
import { tabLabel } from "./titles.js";

const swipe = { id: "swipe", label: "Swipe", systemBack: false };
const strips = ({ headers }: ReturnType<typeof run>) =>
  headers.map(({ by, back, menu, close }) =>
    [by, ...(back ? ["back"] : []), ...(menu ? ["menu"] : []), ...(close ? ["close"] : [])].join(" "),
  );

describe("the strips over the top screen", () => {
  const nested: Frame = frameOf({
    app: stack(["home"]),
    home: hub(["inner", "c"], { face: "drawer" }),
    inner: hub(["a", "b"], { face: "top" }),
    a: stack(["one", "two"]),
    one: screen({ actions: [opening("two")] }),
    two: screen({ title: "Two {id}" }),
    b: screen(),
    c: screen(),
  });
  test("have the drawer's button through hubs of other faces, but not above what lies beneath", () => {
    expect(strips(run(nested))).toEqual(["a menu"]);
    expect(strips(run(nested, tap("two")))).toEqual(["a back"]);
    expect(strips(run(nested, tab("b")))).toEqual(["inner menu"]);
  });
  test("have Back through hubs without a strip of their own, so that a hub that was pushed can be left", () => {
    const pushed = frameOf({
      app: stack(["first", "home"]),
      first: screen({ actions: [opening("home")] }),
      home: hub(["a", "b"]),
      a: stack(["one"]),
      one: screen(),
      b: screen(),
    });
    const at = runIn({ ...pushed, targets: [swipe] }, {}, tap("home"));
    expect([strips(at), at.back]).toEqual([["a back"], ["first", "stay"]]);
    // a drawer there has its button beside the Back
    const drawer = { ...pushed, nodes: { ...pushed.nodes, home: hub(["a", "b"], { face: "drawer" }) } };
    expect(strips(run(drawer, tap("home")))).toEqual(["a back menu"]);
    // a strip of the hub's own has it instead
    const own = { ...pushed, nodes: { ...pushed.nodes, home: hub(["a", "b"], { strip: true }) } };
    expect(strips(run(own, tap("home")))).toEqual(["home back", "a"]);
  });
  test("inside an overlay that has one of its own have neither Back nor close at the bottom", () => {
    const flow = frameOf({
      app: stack(["a", "flow"]),
      a: screen({ actions: [opening("flow")] }),
      flow: stack(["one", "two"], { opens: "sheet", header: "on" }),
      one: screen({ actions: [opening("two")] }),
      two: screen(),
    });
    expect(strips(run(flow, tap("flow")))).toEqual(["app close", "flow"]);
    expect(strips(run(flow, tap("flow"), tap("two")))).toEqual(["app close", "flow back"]);
    // the outer close takes the overlay off, with all that lies in it
    expect(run(flow, tap("flow"), tap("two"), { do: "up", in: "flow" }).top).toBe("a");
  });
  test("say Back in the innermost one where something would be taken off and no other says so", () => {
    const bare = frameOf({
      app: stack(["a", "b"], { within: { header: "off" } }),
      a: screen({ actions: [opening("b")] }),
      b: hub(["c"], { strip: true, face: "drawer" }),
      c: screen({ header: "off" }),
    });
    expect(strips(run(bare, tap("b")))).toEqual(["b back menu"]);
  });
});

describe("params in braces", () => {
  const frame = frameOf({
    app: stack(["a", "b", "home"]),
    a: screen({ actions: [opening("b"), { ...opening("b", { params: { plot: "3" } }), id: "third" }] }),
    b: screen({ title: "Plot {plot}!", actions: [{ ...opening("home"), label: "Leave {plot}" }] }),
    home: hub(["one", "two"]),
    one: screen({ title: "One {x}", actions: [opening("two", { params: { x: "7" } })] }),
    two: screen({ tab: { label: "Two {x}" } }),
  });
  test("are filled in a title, and empty where they are not there", () => {
    expect(run(frame, tap("third")).headers[0]!.title).toBe("Plot 3!");
    expect(run(frame, tap("b")).headers[0]!.title).toBe("Plot !");
  });
  test("are so in the labels of actions", () => {
    const labels = (event: string) => {
      const { at, view } = run(frame, tap(event));
      const { facts } = at.state;
      const { params } = topOf(lensOf(frame, view), at.state.root);
      return actionsThere(frame, screenAt(frame, "b").actions, view, { facts, params }).map(({ label }) => label);
    };
    expect([labels("third"), labels("b")]).toEqual([["Leave 3"], ["Leave "]]);
    const { at, view } = run(frame);
    expect(actionsThere(frame, screenAt(frame, "b").actions, view, at.state)[0]!.label).toBe("Leave ");
  });
  test("are so in the labels of tabs, by what the tab shows, made or not", () => {
    const labels = (...events: NavigationEvent[]) => {
      const { at, view } = run(frame, tap("b"), tap("home"), ...events);
      const [bar] = surfaceOf(frame, at.state, view).bars;
      return bar!.tabs.map((id) => tabLabel(lensOf(frame, view), at.state, bar!, id));
    };
    expect([labels(), labels(tap("two"))]).toEqual([
      ["One ", "Two "],
      ["One ", "Two 7"],
    ]);
  });
});

test("the tabs of a hub in which one is a hub itself are told with what that shows", () => {
  const frame = frameOf({
    app: stack(["home"]),
    home: hub(["inner", "c"]),
    inner: hub(["a", "b"]),
    a: stack(["one", "two"]),
    one: screen({ actions: [opening("two")] }),
    two: screen(),
    b: screen(),
    c: screen(),
  });
  expect(run(frame, tap("two"), tab("c")).tabs).toEqual({ inner: ["one", "two"], c: ["c"] });
});

test("without a system Back the strip of the other pane goes back too, after that of the top screen", () => {
  const frame: Frame = frameOf(
    {
      app: stack(["pair"]),
      pair: { kind: "pair", list: "left", detail: "right" },
      left: stack(["rows", "more"]),
      rows: list("item", "item", { actions: [opening("more")] }),
      more: screen(),
      right: stack(["item", "deep"]),
      item: screen({ path: "/i/:item", actions: [opening("deep")] }),
      deep: screen(),
    },
    { targets: [swipe] },
  );
  const at = runIn(frame, { width: 1000 }, pick(1), tap("more", "rows"), tap("deep", "item"));
  expect([at.top, at.back]).toEqual(["deep", ["item", "item", "stay"]]);
});
