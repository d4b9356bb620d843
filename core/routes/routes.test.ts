import { plainFrame } from "../frame/write.js";
import { viewOf } from "../frame/view.js";
import { eventSays } from "../says/event-says.js";
import { frameOf, opening, screen, stack, tabbed } from "../testing/frames.js";
import { walkedPoints } from "../testing/points.js";
import { routesBetween } from "./routes.js";
import { wayRows } from "./table.js";

const frame = plainFrame(tabbed());
const view = viewOf(frame, {});
const routes = (from: string, to: string) =>
  routesBetween(walkedPoints(frame, view), from, to).map(({ steps, ladder }) => ({
    through: steps.map((each) => each.to),
    said: steps.map((each) => each.events.map((event) => eventSays(frame, event, each.from)).join(", ")),
    ladder,
  }));

describe("routes between two screens", () => {
  test("are the shortest first, each step as a person takes it, with the ladder at the end", () => {
    expect(routes("a", "form")[0]).toEqual({
      through: ["b", "form"],
      said: ["tab bTab", "tap form"],
      ladder: { nodes: ["b", "a"], end: "left" },
    });
    expect(routes("b", "deep")[0]).toMatchObject({ through: ["item", "deep"], said: ["tap item", "tap deep"] });
  });
  test("differ in their screens, and pass none twice", () => {
    const found = routes("a", "b");
    expect(found.length).toBeGreaterThan(1);
    expect(new Set(found.map(({ through }) => through.join())).size).toBe(found.length);
    for (const { through } of found) expect(new Set(["a", ...through]).size).toBe(through.length + 1);
  });
  test("go back and close where that is the way, and are none where none leads", () => {
    expect(routes("cover", "a")[0]!.said.at(-1)).toMatch(/Back|tap Close/);
    const apart = frameOf({ app: stack(["one", "two"]), one: screen(), two: screen({ actions: [opening("one")] }) });
    expect(routesBetween(walkedPoints(apart), "one", "two")).toEqual([]);
    expect(routes("a", "a")).toEqual([]);
  });
});

test("the table has every way with how it goes, what it covers and what Back does then", () => {
  const row = (from: string, to: string) =>
    wayRows(walkedPoints(frame, view)).find(({ way }) => way.from === from && way.to === to) as NonNullable<
      ReturnType<typeof wayRows>[0]
    >;
  expect(row("item", "deep")).toMatchObject({
    how: "pushed",
    covers: "nothing: the bar stays",
    back: { nodes: ["item", "a"], end: "left" },
  });
  expect(row("item", "cover")).toMatchObject({ how: "pushed", covers: "the bar" });
  expect(row("b", "item")).toMatchObject({ how: "changes the tab" });
  expect(wayRows(walkedPoints(frame, view), ["b"]).map(({ way }) => way.to)).toEqual(["form", "item"]);
  const sheet = plainFrame(tabbed({}, { form: screen({ opens: "sheet" }) }));
  expect(wayRows(walkedPoints(sheet, view), ["b"])[0]).toMatchObject({ how: "a sheet", covers: "everything" });
});
