import { walkedPoints } from "../../../../core/testing/points.js";
import { applySoundly, type Frame, plainFrame, planLayout, viewOf } from "../../../../core/index.js";
import { screen, stack, tabbed } from "../../../../core/testing/frames.js";
import { lookAtDrop, placeAt, sayDrop } from "./drop.js";
import { addAfter, addInside, addWay, addWayToNew, moveToward, type Planned, retitle, takeOut, walk } from "./edits.js";
import { pegsOf } from "../drawing/pegs.js";

const frame = plainFrame(tabbed());
const made = (planned: Planned | null, on = frame): Frame => {
  const result = applySoundly(on, planned!.edit);
  if (!result.ok) throw new Error(result.faults[0]!.received);
  return result.frame;
};
const children = (of: Frame, id: string): string[] => (of.nodes[id] as { children: string[] }).children;
const item = { id: "item", parent: "aTab" };

describe("adding by a key", () => {
  test("what is added beside a screen of the door is for those who are not let in yet, too", () => {
    const needs = [{ fact: "signedIn", is: false as const, otherwise: "home" }];
    const { nodes } = frame;
    const door = plainFrame({
      ...frame,
      facts: [{ id: "signedIn", label: "Signed in" }],
      nodes: { ...nodes, cover: { ...nodes.cover!, needs } },
    });
    const next = made(addAfter(door, { id: "cover", parent: "app" }, "Register"), door);
    expect(next.nodes.register).toMatchObject({ needs });
    expect(made(addAfter(door, item, "Other"), door).nodes.other).not.toHaveProperty("needs");
  });
  test("after a screen comes a screen, in the same container, and is chosen", () => {
    const planned = addAfter(frame, item);
    expect(children(made(planned), "aTab")).toEqual(["a", "item", "newScreen", "deep"]);
    expect(planned).toMatchObject({ choose: { id: "newScreen", parent: "aTab" }, label: "Add New screen in aTab" });
  });
  test("in a hub comes a tab with a stack of its own", () => {
    const next = made(addInside(frame, { id: "home", parent: "app" }));
    expect(children(next, "home")).toEqual(["aTab", "bTab", "c", "newScreenTab"]);
    expect(next.nodes.newScreenTab).toEqual({
      kind: "stack",
      title: "New screen",
      tab: { label: "New screen", icon: "circle-dashed" },
      children: ["newScreen"],
    });
  });
  test("after the root comes a screen inside it, and inside a screen one beside it", () => {
    expect(children(made(addAfter(frame, { id: "app", parent: null })), "app")).toEqual(["home", "cover", "newScreen"]);
    expect(children(made(addInside(frame, item)), "aTab")).toContain("newScreen");
  });
});

describe("giving a title", () => {
  test("what still has its first name gets an id made from the title, with the screen of a new tab", () => {
    const added = addInside(frame, { id: "home", parent: "app" });
    const next = made(added);
    const planned = retitle(next, added.choose!, "Tool shed");
    const named = made(planned, next);
    expect(named.nodes.toolShedTab).toMatchObject({
      title: "Tool shed",
      tab: { label: "Tool shed" },
      children: ["toolShed"],
    });
    expect(planned.choose).toEqual({ id: "toolShedTab", parent: "home" });
  });
  test("what has an id of its own keeps it", () => {
    const planned = retitle(frame, item, "Entry");
    expect(made(planned).nodes.item).toMatchObject({ title: "Entry" });
    expect(planned.choose).toEqual(item);
  });
});

describe("walking and moving by arrows", () => {
  test("up and down go among siblings as they are drawn, left to the container, right inside", () => {
    expect(walk(frame, item, "down")).toEqual({ id: "deep", parent: "aTab" });
    expect(walk(frame, item, "up")).toEqual({ id: "a", parent: "aTab" });
    expect(walk(frame, item, "left")).toEqual({ id: "aTab", parent: "home" });
    expect(walk(frame, { id: "home", parent: "app" }, "right")).toEqual({ id: "aTab", parent: "home" });
    expect(walk(frame, item, "right")).toBeNull();
    expect(walk(frame, { id: "app", parent: null }, "left")).toBeNull();
  });
  test("with Alt they move: among siblings, out of the container, into the one beside", () => {
    expect(children(made(moveToward(frame, item, "up")), "aTab")).toEqual(["item", "a", "deep"]);
    expect(children(made(moveToward(frame, item, "down")), "aTab")).toEqual(["a", "deep", "item"]);
    expect(children(made(moveToward(frame, { id: "cover", parent: "app" }, "right")), "home")).toEqual([
      "aTab",
      "bTab",
      "c",
      "cover",
    ]);
    expect(children(made(moveToward(frame, { id: "bTab", parent: "home" }, "left")), "app")).toEqual([
      "home",
      "bTab",
      "cover",
    ]);
    expect(moveToward(frame, { id: "app", parent: null }, "up")).toBeNull();
  });
  test("a screen moved out of its tab into the hub becomes a tab, with a label", () => {
    expect(made(moveToward(frame, item, "left")).nodes.item).toMatchObject({ tab: { label: "Item" } });
  });
});

test("what is shared is taken out of one place alone, and the sibling is chosen", () => {
  const shared = plainFrame(tabbed({}, { bTab: stack(["b", "form", "deep"]) }));
  const planned = takeOut(shared, { id: "deep", parent: "bTab" });
  expect(made(planned, shared).nodes.deep).toBeDefined();
  expect(planned.choose).toEqual({ id: "form", parent: "bTab" });
});

test("a way out is made by its target, or with a target that is not there yet", () => {
  const way = made(addWay(frame, "form", "cover")).nodes.form;
  expect(way).toMatchObject({ actions: [{ id: "cover", label: "cover", do: { kind: "open", to: "cover" } }] });
  const given = made(addWay(frame, "cover", "item")).nodes.cover;
  expect(given).toMatchObject({ actions: [{}, { do: { to: "item", params: { item: "1" } } }] });
  const next = made(addWayToNew(frame, item, "Harvest"));
  expect(children(next, "aTab")).toEqual(["a", "item", "harvest", "deep"]);
  expect(JSON.stringify(next.nodes.item)).toContain('"to":"harvest"');
});

describe("dropping", () => {
  const layout = planLayout(frame);
  const view = viewOf(frame);
  const at = (id: string) => {
    const spot = [...layout.cards, ...layout.plates].find((each) => each.id === id)!;
    return { x: spot.x + spot.width / 2, y: spot.y + spot.height / 2 };
  };
  const said = (id: string, parent: string, point: { x: number; y: number }) => {
    const place = placeAt(frame, layout, id, point);
    return sayDrop(frame, place, lookAtDrop(walkedPoints(frame, view), { id, parent }, place));
  };

  test("the innermost plate under the pointer takes it, behind what lies above the pointer", () => {
    expect(placeAt(frame, layout, "deep", at("form"))).toMatchObject({ to: "bTab", after: "b" });
    expect(placeAt(frame, layout, "deep", at("cover"))).toMatchObject({ to: "app" });
    expect(placeAt(frame, layout, "deep", { x: -50, y: -50 })).toMatchObject({ to: null });
  });
  test("never a plate that is part of what is dragged", () => {
    expect(placeAt(frame, layout, "home", at("a"))).toMatchObject({ to: "app" });
  });
  test("what it would do is said before it is done", () => {
    expect(said("item", "aTab", at("cover"))).toEqual(["into app", "the bar is covered here", "3 ways in change"]);
    expect(said("item", "aTab", at("form"))).toEqual([
      "into bTab",
      "bTab is lit, not aTab",
      "Back goes to b, A, out",
      "3 ways in change",
    ]);
    expect(said("deep", "aTab", { x: -50, y: -50 })).toEqual(["loose: nothing can open it", "1 way in leads nowhere"]);
    expect(said("bTab", "home", at("cover"))[0]).toBe("into app");
  });
  test("what is not allowed says so", () => {
    const lone = plainFrame(tabbed({}, { bTab: stack(["b"]), form: screen() }));
    const place = placeAt(lone, planLayout(lone), "b", { x: -50, y: -50 });
    expect(sayDrop(lone, place, lookAtDrop(walkedPoints(lone, view), { id: "b", parent: "bTab" }, place))[0]).toMatch(
      "not here: no children, so no start",
    );
  });
});

test("pegs carry the same mark at both ends, filled at the chosen one", () => {
  const pegs = pegsOf(frame, planLayout(frame), item);
  expect(pegs.map((peg) => `${peg.mark}${peg.filled ? "!" : ""}`).sort()).toEqual(
    ["1", "1!", "2", "2!", "3", "3!", "a", "a!", "b", "b!", "c", "c!"].sort(),
  );
  const [first, second] = pegs.filter((peg) => peg.mark === "1");
  expect(first!.way).toBe(second!.way);
});
