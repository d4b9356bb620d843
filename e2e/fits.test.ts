import { badlyDrawn } from "./fits.js";
import { chosen } from "./listed.js";
import { eachIn, type Person } from "./world.js";

let me: Person;
eachIn((person) => {
  me = person;
});

/** A node of every kind, in every sort of place. */
const nodes: [string, string, string | null][] = [
  ["allotment-diary", "app", null],
  ["allotment-diary", "home", "app"],
  ["allotment-diary", "plot", "plotsTab"],
  ["allotment-diary", "water", "plotsTab"],
  ["allotment-diary", "welcome", "app"],
  ["allotment-diary", "swapsTab", "home"],
  ["night-sky-log", "nights", "club"],
  ["night-sky-log", "nightList", "nights"],
  ["repair-cafe", "house", "app"],
  ["repair-cafe", "things", "house"],
];
const whole = "main";
const bench = 'section[aria-label="Bench"]';

describe.each([
  [1280, 800],
  [900, 700],
  [1920, 1080],
])("in a window of %i by %i", (width, height) => {
  test.each(["light", "dark"])(
    "nothing of the plan or the bench is cut off, overlaps or lies outside, %s",
    async (theme) => {
      await me.page.setViewport({ width, height });
      await me.page.evaluateOnNewDocument((name) => localStorage.setItem("handy-frame:theme", name), theme);
      const wrong: string[] = [];
      const look = async (where: string, parts = bench) => {
        for (const each of await badlyDrawn(me.page, parts)) wrong.push(`${where}: ${each}`);
      };
      for (const [frame, id, parent] of nodes) {
        await me.go(`/f/${frame}/plan?at=${id}${parent ? `&in=${parent}` : ""}`);
        await me.see(chosen(id));
        const groups = await me
          .see("[data-group]")
          .then(() => me.page.$$eval("[data-group]", (all) => all.map((each) => (each as HTMLElement).dataset.group!)));
        for (const group of groups) {
          await me.group(group);
          await look(`${id} ${group}`);
        }
      }
      for (const panel of ["theme", "devices"]) {
        await me.go(`/f/allotment-diary/plan?panel=${panel}`);
        await me.see("[data-group]");
        for (const group of await me.page.$$eval("[data-group]", (all) =>
          all.map((each) => (each as HTMLElement).dataset.group!),
        )) {
          await me.group(group);
          await look(`${panel} ${group}`);
        }
      }
      expect([...new Set(wrong)]).toEqual([]);
    },
    120_000,
  );
});

/** Where every card, tooth and plate on the plan is drawn, px of the window. */
const places = () =>
  me.page.$$eval('[role="tree"] [data-node]', (all) =>
    Object.fromEntries(
      all.map((each) => {
        const { x, y, width, height } = each.getBoundingClientRect();
        const { node = "", parent = "" } = (each as HTMLElement).dataset;
        return [`${parent} ${node}`, [x, y, width, height]];
      }),
    ),
  );

test.each(["allotment-diary", "night-sky-log", "repair-cafe"])(
  "on %s nothing moves while things are chosen, hovered and pressed",
  async (frame) => {
    await me.go(`/f/${frame}/plan`);
    await me.see("[data-device] [data-screen]");
    const before = await places();
    const boxes = await me.page.$$('[role="tree"] [data-node]');
    const room = (await (await me.page.$('[role="tree"]'))!.evaluateHandle((tree) => tree.parentElement!)).asElement()!;
    const seen = (await (room as (typeof boxes)[number]).boundingBox())!;
    let chosen = 0;
    for (const box of [...boxes, ...boxes]) {
      const at = await box.boundingBox();
      // what can be pressed: its corner is in sight
      if (!at || at.x < seen.x || at.y < seen.y || at.x + 8 > seen.x + seen.width || at.y + 14 > seen.y + seen.height)
        continue;
      await me.page.mouse.move(at.x + 5, at.y + 9);
      if (chosen % 2 === 0) {
        await me.page.mouse.down();
        await me.page.mouse.up();
      }
      chosen += 1;
      if (chosen > 50) break;
    }
    expect(chosen).toBeGreaterThan(20);
    await me.see('[role="treeitem"][aria-selected="true"]');
    await me.see("[data-group]");
    const after = await places();
    for (const [key, place] of Object.entries(before)) expect([key, after[key]]).toEqual([key, place]);
  },
);
