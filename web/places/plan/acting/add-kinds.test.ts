import { walkedPoints } from "../../../../core/testing/points.js";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { applySoundly, childrenOf, type Frame, parentsOf, startingShapes } from "../../../../core/index.js";
import { addKinds } from "./add-kinds.js";
import { lookAtDrop, sayDrop } from "./drop.js";
import { addWay, moveToward } from "./edits.js";

const demo = join(import.meta.dirname, "..", "..", "..", "..", "demo");
const demos = readdirSync(demo)
  .filter((file) => file.endsWith(".json"))
  .map((file) => JSON.parse(readFileSync(join(demo, file), "utf8")) as Frame);

const applied = (frame: Frame, edit: Parameters<typeof applySoundly>[1]): Frame => {
  const result = applySoundly(frame, edit);
  if (!result.ok) throw new Error(result.faults.map((fault) => `${fault.pointer}: ${fault.received}`).join("\n"));
  return result.frame;
};

describe.each(addKinds.map((kind) => [kind.label, kind] as const))("adding: %s", (_, kind) => {
  test("goes well beside or inside anything that is chosen, twice over, and chooses what it made", () => {
    for (const frame of [...demos, ...startingShapes.map((shape) => shape.frame)])
      for (const id of Object.keys(frame.nodes)) {
        const parents = parentsOf(frame, id);
        for (const parent of parents.length ? parents : [null]) {
          const planned = kind.plan(frame, { id, parent });
          const once = applied(frame, planned.edit);
          expect(once.nodes[planned.choose!.id]).toBeDefined();
          applied(once, kind.plan(once, { id, parent }).edit);
        }
      }
  });
});

test("a way can be pulled from any screen and any hub to anything else", () => {
  for (const frame of demos)
    for (const [from, node] of Object.entries(frame.nodes))
      if (node.kind === "screen" || node.kind === "hub")
        for (const to of Object.keys(frame.nodes).slice(0, 8))
          if (to !== from && to !== frame.root) applied(frame, addWay(frame, from, to).edit);
});

test("what leaves a pane of a pair by keys goes behind the pair", () => {
  const [, sky] = demos as [Frame, Frame];
  const planned = moveToward(sky, { id: "nightFilter", parent: "nightList" }, "left")!;
  const after = applied(sky, planned.edit);
  expect(childrenOf(after.nodes.club!).slice(0, 2)).toEqual(["nights", "nightFilter"]);
  expect(planned.choose).toEqual({ id: "nightFilter", parent: "club" });
});

describe("what a drop would do", () => {
  const [frame] = demos as [Frame];
  const drop = (id: string, parent: string, to: string | null) => {
    const place = { to, after: null, area: { x: 0, y: 0, width: 0, height: 0 } };
    return sayDrop(frame, place, lookAtDrop(walkedPoints(frame), { id, parent }, place)).join(" · ");
  };
  test("is said: a sheet in a hub is no overlay, a screen beside the hub covers it", () => {
    expect(drop("water", "plotsTab", "home")).toMatch("is pushed here");
    expect(drop("bed", "plotsTab", "app")).toMatch("the bar is covered here");
    expect(drop("water", "plotsTab", null)).toMatch("loose");
  });
  test("is refused with the reason", () => {
    expect(drop("home", "app", "plotsTab")).toMatch("not here");
    const [, sky] = demos as [Frame, Frame];
    const place = { to: "nights", after: null, area: { x: 0, y: 0, width: 0, height: 0 } };
    const look = lookAtDrop(walkedPoints(sky), { id: "me", parent: "club" }, place);
    expect(sayDrop(sky, place, look)[0]).toBe("not here: a third child for the pair Nights (nights)");
  });
});
