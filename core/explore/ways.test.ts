import { printed } from "../observe/snapshot.js";
import { applyEdit } from "../edit/apply.js";
import type { Edit } from "../edit/edit.js";
import type { Frame } from "../frame/types.js";
import { viewOf } from "../frame/view.js";
import { plainFrame } from "../frame/write.js";
import { propertySays } from "../says/property-says.js";
import { waySays } from "../says/way-says.js";
import { back, opening, openTo, pick, run, screen, tab, tabbed, tap } from "../testing/frames.js";
import { consequencesOf } from "./consequences.js";
import { explain, explainEdit } from "../observe/explain.js";
import { refit } from "../navigate/refit.js";
import { routeTo } from "./route.js";
import { step } from "../navigate/step.js";
import { walkedPoints } from "../testing/points.js";
import { looksOf } from "./taken.js";
import { waysIn, waysOut } from "./ways.js";
import type { NavigationEvent } from "../navigate/event.js";

const frame = tabbed();
const view = viewOf(frame);
const after = (edit: Edit): Frame => {
  const result = applyEdit(frame, edit);
  if (!result.ok) throw new Error();
  return result.frame;
};

describe("ways", () => {
  test("out of a screen lead its rows and actions, into it those of others", () => {
    expect(waysOut("item", frame.nodes.item!).map((way) => `${way.via} ${way.to}`)).toEqual([
      "action deep",
      "action cover",
      "action b",
    ]);
    expect(waysIn(frame, "item").map((way) => `${way.from} ${way.via}`)).toEqual(["a row", "deep action", "b action"]);
  });
  test("each way in has its own Back, taken from where a person comes to its screen", () => {
    const looks = looksOf(walkedPoints(frame), "item").map(({ way, taken }) => [
      way.from,
      taken?.real,
      taken && printed(frame, taken.seen).back.join(),
    ]);
    expect(looks).toEqual([
      ["a", true, "a,exit"],
      ["deep", true, "deep,item,a,exit"],
      ["b", true, "a,exit"],
    ]);
  });
  test("a route is the fewest events a person needs", () => {
    const { at } = run(frame);
    expect(routeTo(frame, view, at.state, "deep")).toEqual([
      { do: "pick", row: 3 },
      { do: "tap", action: "deep" },
    ]);
    expect(routeTo(frame, view, at.state, "bTab")).toEqual([{ do: "tab", to: "bTab" }]);
    expect(routeTo(frame, view, at.state, "a")).toEqual([]);
    const alone = tabbed({}, { deep: screen(), item: screen({ path: "/a/:item" }) });
    expect(routeTo(alone, view, run(alone).at.state, "deep")).toBeNull();
  });
});

describe("what a change would do", () => {
  test("moved beside the hub, a screen loses its bar, and every way in changes", () => {
    const look = consequencesOf(
      walkedPoints(frame),
      walkedPoints(after({ kind: "move", id: "item", from: "aTab", to: "app", after: "home" })),
      "item",
    );
    expect(look).toMatchObject({ bars: { before: true, after: false }, loose: false, broken: [] });
    expect(look.changed.map((way) => way.from)).toEqual(["a", "deep", "b"]);
    expect(look.back).toEqual({ before: { nodes: ["a"], end: "left" }, after: { nodes: ["a"], end: "left" } });
  });
  test("moved to another tab, Back goes elsewhere", () => {
    const look = consequencesOf(
      walkedPoints(frame),
      walkedPoints(after({ kind: "move", id: "item", from: "aTab", to: "bTab", after: "b" })),
      "item",
    );
    expect(look.back.after).toEqual({ nodes: ["b", "a"], end: "left" });
  });
  test("made loose, its ways in lead nowhere", () => {
    const look = consequencesOf(
      walkedPoints(frame),
      walkedPoints(after({ kind: "move", id: "deep", from: "aTab", to: null, after: null })),
      "deep",
    );
    expect(look).toMatchObject({ loose: true, changed: [] });
    expect(look.broken.map((way) => way.from)).toEqual(["item"]);
  });
});

describe("the reasons", () => {
  const why = (...events: NavigationEvent[]): string => {
    const before = run(frame, ...events.slice(0, -1));
    const event = events.at(-1)!;
    return explain(frame, view, before.at, event, step(frame, view, before.at.state, event)).join(" ");
  };
  test("a push says where it lies and what became of the bar", () => {
    expect(why(pick(3))).toBe("Item 3 was laid on top in aTab. The bar stays.");
    expect(why(pick(3), tap("cover"))).toBe("cover was laid on top in app. It covers home, so its bar is gone.");
  });
  test("a tab says whether it is as it was left", () => {
    expect(why(tab("bTab"))).toBe("bTab was chosen for the first time: it starts at b.");
    expect(why(tab("bTab"), tab("aTab"))).toBe("aTab was chosen and shows A, as it was left.");
  });
  test("a change of the frame says where the device is now, and what became of the bar", () => {
    const { at } = run(frame, pick(3));
    const said = (edit: Edit) => {
      const next = after(edit);
      return explainEdit(frame, next, view, at.state, refit(frame, next, view, at.state)).join(" ");
    };
    expect(said({ kind: "set", node: "c", key: "title", value: "See" })).toBe(
      "The frame changed, and the device kept its place on Item 3. The bar stays.",
    );
    expect(said({ kind: "move", id: "item", from: "aTab", to: "app", after: "home" })).toBe(
      "The frame changed: Item 3 stands in app now. It covers home, so its bar is gone.",
    );
    expect(said({ kind: "remove", id: "item" })).toBe(
      "The frame changed: Item 3 was deleted, so it is on A. The bar stays.",
    );
    expect(said({ kind: "move", id: "item", from: "aTab", to: null, after: null })).toMatch(
      "Item stands in no container any more, so it is on A.",
    );
  });
  test("what the device showed and is gated now is told as that, and not as gone", () => {
    const doors = plainFrame({ ...tabbed(), facts: [{ id: "in", label: "Signed in" }] });
    const { at } = run(doors, pick(3));
    const said = (node: string) => {
      const gate: Edit = { kind: "set", node, key: "needs", value: [{ fact: "in", is: true, otherwise: "cover" }] };
      const result = applyEdit(doors, gate);
      if (!result.ok) throw new Error();
      return explainEdit(doors, result.frame, view, at.state, refit(doors, result.frame, view, at.state)).join(" ");
    };
    expect(said("item")).toMatch(
      "The frame changed: Item needs Signed in: yes, which is not so here, so it is on cover.",
    );
    expect(said("home")).toMatch("home around Item needs Signed in: yes, which is not so here, so it is on cover.");
  });
  test("a bar that lies under an overlay is not told to stay as it was", () => {
    const flow = tabbed(
      {},
      {
        app: { kind: "stack", children: ["home", "cover", "flow"] },
        flow: { kind: "stack", opens: "sheet", children: ["first", "second"] },
        first: screen({ actions: [opening("second")] }),
        second: screen(),
      },
    );
    const first = run(flow, openTo("flow")).at;
    const at = step(flow, view, first.state, tap("second"));
    expect(explain(flow, view, first, tap("second"), at)).toEqual([
      "second was laid on top in flow. The bar beneath stays dimmed.",
    ]);
    const [way] = waysIn(flow, "second");
    expect(waySays(walkedPoints(flow, view), way!)).toBe("a sheet");
    expect(propertySays(flow, view, "second")).toMatchObject({
      bars: "inside an overlay: the bar lies dimmed beneath",
      opens: "pushed, the bar stays dimmed at every width",
    });
  });
  test("Back says why it went where it did", () => {
    expect(why(tab("bTab"), back)).toBe("Back went to aTab, the start tab of home: only from there does Back go out.");
    expect(why(back)).toBe("Back left the app: aTab is the start tab, and nothing lies beneath A.");
  });
});
