import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { Frame, ScreenNode } from "../core/index.js";
import { eachIn, type Person, shelve, type World } from "./world.js";

let me: Person;
let world: World;
eachIn((person, its) => {
  [me, world] = [person, its];
});

const demo = (name: string): Frame =>
  JSON.parse(readFileSync(join(import.meta.dirname, "..", "demo", `${name}.frame.json`), "utf8")) as Frame;
const device = (css: string) => `[data-device] ${css}`;
const point = () => me.texts("[data-point]");
const fates = (id: string) =>
  me.page.$$eval(`[data-happening="${id}"] td`, (cells) => cells.map((cell) => cell.getAttribute("data-fate")));
/** What is on the device: its screen, the first draft on it, how far it is scrolled, the row that was picked. */
const onDevice = () =>
  me.page.evaluate(() => {
    const top = [...document.querySelectorAll("[data-device] [data-screen]")].at(-1)!;
    return {
      top: top.getAttribute("data-screen"),
      draft: top.querySelector<HTMLInputElement>("input:not([type=checkbox])")?.value ?? "",
    };
  });

test("lanes show what each tab holds as it changes, and a tab is chosen by its lane", async () => {
  await me.go("/f/allotment-diary/state");
  await me.click(device("[data-row='3']"));
  await me.waitTop("plot");
  await me.click(device("[data-row='2']"));
  await me.waitTop("bed");
  await me.click(device('[data-screen="bed"] input'));
  await me.type("Runner beans");
  await me.read('[data-lane="plotsTab"] [data-lane-step="bed"]', "“Runner beans”");
  expect(await me.texts('[data-lane="plotsTab"] [data-lane-step]')).toHaveLength(3);
  await me.click('[data-lane="tasksTab"] button');
  await me.waitTop("tasks");
  await me.see('[data-lane="tasksTab"][data-active]');
  await me.read('[data-lane="plotsTab"] [data-lane-step="bed"]', "“Runner beans”");
});

describe("each cell of what survives is what doing it by hand comes to", () => {
  const begin = async (frame: Frame) => {
    const id = await shelve(world, frame);
    await me.go(`/f/${id}/state`);
    await me.click(device("[data-row='3']"));
    await me.waitTop("plot");
    await me.click(device("[data-row='2']"));
    await me.waitTop("bed");
    await me.click(device('[data-screen="bed"] input'));
    await me.type("Leeks");
    await me.read('[data-lane-step="bed"]', "Leeks");
    return id;
  };
  const isKept = async (fate: string | null | undefined, what: boolean) =>
    expect([fate, what]).toEqual([fate, fate === "kept"]);

  test("another tab and back, the same tab, other sizes, the system's end, sign-out, a link, Back out", async () => {
    await begin(demo("allotment"));
    const at = (await me.texts("[data-point]")).length - 1;
    const points = await me.page.$$eval("[data-point]", (all) => all.map((each) => each.getAttribute("data-point")));
    const goBack = async () => {
      await me.click(`[data-point="${points[at]}"]`);
      await me.waitTop("bed");
      expect(await onDevice()).toEqual({ top: "bed", draft: "Leeks" });
    };
    const expected: Record<string, (string | null)[]> = {};
    for (const id of ["otherTab", "sameTab", "turned", "resized", "kill", "fact signedIn", "link", "out"])
      expected[id] = await fates(id);
    const hand: Record<string, () => Promise<unknown>> = {
      otherTab: async () => {
        await me.click(device("[data-tab=tasksTab]"));
        await me.waitTop("tasks");
        await me.click(device("[data-tab=plotsTab]"));
        await me.waitTop("bed");
      },
      sameTab: async () => {
        await me.click(device("[data-tab=plotsTab]"));
        await me.waitTop("plots");
      },
      resized: async () => {
        await me.click('[aria-label="Size of the device"] button:nth-child(3)');
        await me.see('aside[data-layout="under"]');
        await me.click('[aria-label="Size of the device"] button:nth-child(1)');
        await me.waitTop("bed");
      },
      kill: async () => {
        await me.press("button", "end it");
        await me.read('[aria-label="Why"]', "The system ended the app");
      },
      "fact signedIn": async () => {
        await me.click('[aria-label="Facts"] button');
        await me.waitTop("welcome");
        await me.click('[aria-label="Facts"] button');
        await me.waitTop("plots");
      },
      link: async () => {
        const url = (await me.texts('[data-happening="link"] th'))[0]!.replace("a link to ", "");
        await me.click('input[aria-label^="Address of the screen"]');
        await me.page.keyboard.down("Control");
        await me.page.keyboard.press("a");
        await me.page.keyboard.up("Control");
        await me.type(url);
        await me.keys("Enter");
        await me.page.waitForFunction(
          () =>
            [...document.querySelectorAll("[data-device] [data-screen]")].at(-1)?.getAttribute("data-screen") !== "bed",
        );
      },
      out: async () => {
        for (let i = 0; i < 3; i += 1) await me.press('aside[aria-label="Companion"] button', "Back", "starts");
        await me.press("button", "Come back to it");
        await me.waitTop("plots");
      },
    };
    for (const [id, doIt] of Object.entries(hand)) {
      await goBack();
      await doIt();
      const [place, , draft] = expected[id]!;
      const there = await onDevice();
      if (place === "kept") expect([id, there.top]).toEqual([id, "bed"]);
      else expect([id, there.top === "bed"]).toEqual([id, false]);
      // where the person is elsewhere the draft is looked for in its lane
      const lane = (await me.texts('[data-lane-step="bed"]')).join(" ");
      await isKept(draft, lane.includes("Leeks"));
    }
    expect(await me.look()).toEqual([]);
  });

  test("what is lost is told with its reason, and changed from there", async () => {
    const id = await begin(demo("allotment"));
    expect((await fates("kill"))[2]).toBe("lost");
    await me.click('[data-happening="kill"] [data-piece=draft] button');
    await me.read("[data-radix-popper-content-wrapper]", "what was typed and scrolled emptied");
    await me.press("[data-mend] button", "Come back with everything");
    await me.page.waitForSelector('[data-happening="kill"] [data-piece=draft][data-fate=kept]');
    expect((await me.frame(id)).relaunch).toBe("everything");
    await me.keys("Escape");
    await me.click('[data-happening="sameTab"] [data-piece=draft] button');
    await me.press("[data-mend] button", "asks before it is left");
    await me.page.waitForSelector('[data-happening="sameTab"] [data-piece=draft][data-fate=asked]');
    expect(((await me.frame(id)).nodes.bed as ScreenNode).leave?.when).toBe("draft");
  });
});

test("a bad case is found, and the device is put there", async () => {
  await me.go("/f/allotment-diary/state");
  await me.waitTop("plots");
  await me.press("button", "the worst one found");
  await me.press("button", "Put the device there");
  await me.read('[data-lane="meTab"] [data-lane-step="edit"]', "half a sentence");
  expect(await me.count("[data-lane] [data-lane-step]")).toBeGreaterThan(6);
});

test("the trail goes back and on another way, is kept as a journey, and played again", async () => {
  const id = await shelve(world, demo("repair-cafe"));
  await me.go(`/f/${id}/state`);
  await me.click(device("[data-row='3']"));
  await me.waitTop("slot");
  await me.read("[data-point]", "pick Slot 3");
  await me.click('[data-point="0"]');
  await me.waitTop("today");
  await me.click(device("[data-row='2']"));
  await me.waitTop("slot");
  await me.read("[data-other-way]", "another way: pick Slot 3");
  expect(await point()).toHaveLength(2);
  await me.press("button", "Keep as journey");
  await me.type("A slot is opened");
  await me.keys("Enter");
  await me.read("[data-journey]", "as it was kept");
  expect((await me.frame(id)).journeys).toMatchObject([
    { name: "A slot is opened", steps: [{ event: { do: "pick", row: 2 }, see: { top: "slot" } }] },
  ]);
  await me.click('[data-point="0"]');
  await me.waitTop("today");
  await me.page.select('[aria-label="How fast it is played"]', "once");
  await me.press("[data-journey] button", "A slot is opened");
  await me.waitTop("slot");
  // the same way again is no other way
  expect(await me.count("[data-other-way]")).toBe(1);
  expect(await me.look()).toEqual([]);
});

test("a screen that asks is answered on the device, by hand and by keys", async () => {
  await me.go("/f/allotment-diary/plan?at=edit&in=meTab");
  await me.press("button", "Put the device here");
  await me.waitTop("edit");
  await me.click(device('[data-screen="edit"] input'));
  await me.type("Ada");
  await me.press('aside[aria-label="Companion"] button', "Back", "starts");
  await me.read(device("[data-question]"), "Leave without keeping your details?");
  await me.keys("Escape");
  await me.page.waitForFunction(() => !document.querySelector("[data-question]"));
  expect(await onDevice()).toEqual({ top: "edit", draft: "Ada" });
  // what it names as free leaves unasked; a tab that keeps everything loses nothing
  await me.click(device("[data-tab=plotsTab]"));
  await me.waitTop("plots");
  await me.click(device("[data-tab=meTab]"));
  await me.waitTop("edit");
  await me.press('aside[aria-label="Companion"] button', "Back", "starts");
  await me.click(device('[data-answer="leave"]'));
  await me.waitTop("me");
  await me.read('[aria-label="Why"]', "it is lost");
});

test("the companion's edge is moved and kept, a double press takes half of the window, a key all of it", async () => {
  await me.go("/f/allotment-diary/plan");
  await me.waitTop("plots");
  const width = () => me.page.$eval('aside[aria-label="Companion"]', (aside) => aside.getBoundingClientRect().width);
  const scale = () => me.page.$eval("[data-device]", (device) => device.getBoundingClientRect().width / 390);
  expect(await scale()).toBeGreaterThan(0.6);
  const edge = '[aria-label="Width of the companion"]';
  await me.page.focus(edge);
  await me.keys("ArrowLeft");
  await me.page.waitForFunction(
    (css) => Number(document.querySelector(css)?.getAttribute("aria-valuenow")) > 420,
    {},
    edge,
  );
  const kept = await width();
  await me.page.reload();
  await me.waitTop("plots");
  expect(await width()).toBe(kept);
  const box = (await (await me.see(edge)).boundingBox())!;
  await me.page.mouse.click(box.x + box.width / 2, box.y + box.height / 2, { count: 2 });
  await me.page.waitForSelector('aside[data-layout="before"]');
  expect(await width()).toBeCloseTo(640, -1);
  expect(await scale()).toBeGreaterThan(0.8);
  await me.keys("Alt+Enter");
  await me.page.waitForFunction(
    () => document.querySelector('aside[aria-label="Companion"]')!.getBoundingClientRect().width > 1200,
  );
  await me.keys("Alt+Enter");
  await me.page.waitForFunction(
    () => document.querySelector('aside[aria-label="Companion"]')!.getBoundingClientRect().width < 700,
  );
});
