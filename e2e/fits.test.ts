import { badlyDrawn } from "./fits.js";
import { chosen } from "./listed.js";
import { eachIn, type Person } from "./world.js";

let me: Person;
eachIn((person) => {
  me = person;
});

/** A node of every kind, in every sort of place, and the panels: what is looked at in one go. */
const looks: [frame: string, at: string[]][] = [
  ["allotment-diary", ["at=app", "at=home&in=app", "at=plot&in=plotsTab"]],
  ["allotment-diary", ["at=water&in=plotsTab", "at=welcome&in=app", "at=swapsTab&in=home"]],
  ["allotment-diary", ["panel=theme", "panel=devices"]],
  ["night-sky-log", ["at=nights&in=club", "at=nightList&in=nights"]],
  ["repair-cafe", ["at=house&in=app", "at=things&in=house"]],
];
const windows = [
  [1280, 800],
  [900, 700],
  [1920, 1080],
];
/** The page in a window of another size, once it is laid out for it. */
const resize = async (width: number, height: number) => {
  await me.page.setViewport({ width, height });
  await me.page.waitForFunction((wide, high) => innerWidth === wide && innerHeight === high, {}, width, height);
  await me.page.evaluate(() => new Promise(requestAnimationFrame));
};

test.each(looks)(
  "nothing of the plan of %s or its bench at %j is cut off, overlaps or lies outside, in any window, in both themes",
  async (frame, all) => {
    const wrong = new Set<string>();
    for (const at of all) {
      await me.go(`/f/${frame}/plan?${at}`);
      const id = new URLSearchParams(at).get("at");
      if (id !== null) await me.see(chosen(id));
      for (const [width = 0, height = 0] of windows) {
        await resize(width, height);
        const look = async (where: string, parts: string) => {
          for (const each of await badlyDrawn(me.page, parts)) wrong.add(`${width} by ${height}, ${where}: ${each}`);
        };
        await me.see("[data-group]");
        await look(at, "main");
        for (const group of await me.page.$$eval("[data-group]", (groups) =>
          groups.map((each) => (each as HTMLElement).dataset.group!),
        )) {
          await me.group(group);
          await look(`${at} ${group}`, 'section[aria-label="Bench"]');
        }
      }
    }
    expect([...wrong]).toEqual([]);
  },
);

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

/** What of the plan can be pressed: near the corner of everything that has its corner in sight, px of the window. */
const corners = () =>
  me.page.$$eval('[role="tree"] [data-node]', (all) => {
    const room = document.querySelector('[role="tree"]')!.parentElement!.getBoundingClientRect();
    return all
      .map((each) => each.getBoundingClientRect())
      .filter(({ x, y }) => x > room.x && y > room.y && x + 9 < room.right && y + 14 < room.bottom)
      .map(({ x, y }) => [x + 5, y + 9] as const);
  });

test.each(["allotment-diary", "night-sky-log", "repair-cafe"])(
  "on %s nothing moves while things are chosen, hovered and pressed",
  async (frame) => {
    await me.go(`/f/${frame}/plan`);
    await me.see("[data-device] [data-screen]");
    const before = await places();
    const spots = await corners();
    for (let i = 0; i < 50; i += 1) {
      const [x, y] = spots[(i * 7) % spots.length]!;
      await me.page.mouse.move(x, y);
      if (i % 2) continue;
      await me.page.mouse.down();
      await me.page.mouse.up();
    }
    await me.see('[role="treeitem"][aria-selected="true"]');
    await me.see("[data-group]");
    const after = await places();
    for (const [key, place] of Object.entries(before)) expect([key, after[key]]).toEqual([key, place]);
  },
);

test("a hover draws nothing anew but the way it is over, at both its ends and in its row", async () => {
  await me.go("/f/allotment-diary/plan?at=plot&in=plotsTab");
  await me.see(chosen("plot"));
  // the splash goes on by itself, and the mark of where the device is goes with it
  await me.waitTop("plots");
  await me.group("out");
  await me.see('[data-peg="2"]');
  /** What of the plan and its bench is changed while the pointer goes over these places. */
  const changedOnceBy = async (spots: readonly (readonly [number, number])[]) => {
    await me.page.evaluate(() => {
      const changed = new Set<string>();
      const watch = new MutationObserver((records) => {
        for (const { target } of records) {
          const element = target instanceof Element ? target : target.parentElement;
          changed.add(element?.getAttribute("data-peg") ?? element?.tagName ?? "");
        }
      });
      watch.observe(document.querySelector("main")!, {
        subtree: true,
        childList: true,
        attributes: true,
        characterData: true,
      });
      Object.assign(window, { changedNow: changed });
    });
    for (const [x, y] of spots) await me.page.mouse.move(x, y);
    const changed = await me.page.evaluate(() => [...(window as unknown as { changedNow: Set<string> }).changedNow]);
    return changed.sort();
  };
  /** The same; looked at again where there is more, as what comes late, such as marks of a check, changes once and a hover each time. */
  const changedBy = async (spots: readonly (readonly [number, number])[], expected: readonly string[]) => {
    let changed: string[] = [];
    for (let tries = 0; tries < 6; tries += 1) {
      await me.page.mouse.move(2, 2);
      changed = await changedOnceBy(spots);
      if (String(changed) === String(expected)) break;
    }
    return changed;
  };
  expect(await changedBy((await corners()).slice(0, 12), [])).toEqual([]);
  const peg = (await (await me.see('[data-peg="2"]')).boundingBox())!;
  expect(await changedBy([[peg.x + 9, peg.y + 9]], ["2", "LI"])).toEqual(["2", "LI"]);
});
