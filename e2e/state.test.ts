import type { Frame, ScreenNode } from "../core/index.js";
import { demo, eachIn, type Person, shelve, type World } from "./world.js";

let me: Person;
let world: World;
eachIn((person, its) => {
  [me, world] = [person, its];
});

const device = (css: string) => `[data-device] ${css}`;
const point = () => me.texts("[data-point]");
const fates = async (id: string) => {
  await me.see('[aria-label="What survives"][aria-busy=false]');
  return me.page.$$eval(`[data-happening="${id}"] td`, (cells) => cells.map((cell) => cell.getAttribute("data-fate")));
};
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

/** Everything that can be lost, in one app: a list that is scrolled and picked from, a form that is typed on and given something back. */
const holding = (
  more: { keep?: "fresh" | "place"; relaunch?: "everything"; leave?: ScreenNode["leave"] } = {},
): Frame => ({
  format: "handy-frame/2",
  name: "Holding",
  root: "app",
  facts: [{ id: "in", label: "Signed in", launch: true, lasting: true }],
  ...(more.relaunch && { relaunch: more.relaunch }),
  nodes: {
    app: { kind: "stack", children: ["home", "gate"] },
    gate: { kind: "screen", title: "Gate" },
    home: {
      kind: "hub",
      children: ["aTab", "b"],
      needs: [{ fact: "in", is: true, otherwise: "gate", resume: true }],
      ...(more.keep && { keep: more.keep }),
    },
    aTab: { kind: "stack", title: "First", tab: { label: "First" }, children: ["rows", "item", "ask"] },
    rows: {
      kind: "screen",
      title: "Rows",
      body: { kind: "list", rows: 30, row: "Row {n}", opens: "item", param: "item" },
    },
    item: {
      kind: "screen",
      title: "Item",
      path: "/items/:item",
      body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] },
      actions: [{ id: "ask", label: "Ask", place: "footer", do: { kind: "open", to: "ask" } }],
      ...(more.leave && { leave: more.leave }),
    },
    ask: {
      kind: "screen",
      title: "Ask",
      opens: "sheet",
      actions: [{ id: "yes", label: "Yes", place: "footer", do: { kind: "close", give: { got: "yes" } } }],
    },
    b: { kind: "screen", title: "Second", path: "/second", tab: { label: "Second" } },
  },
});

describe("each cell of what survives is what doing it by hand comes to", () => {
  /** Puts on the app all that can be lost, by hand; answers the point of the trail at which it is all there. */
  const used = async (frame: Frame): Promise<string> => {
    const id = await shelve(world, frame);
    await me.go(`/f/${id}/state`);
    const list = await me.see(device('[data-screen="rows"] [data-key]'));
    const box = (await list.boundingBox())!;
    await me.page.mouse.move(box.x + 60, box.y + 100);
    await me.page.mouse.wheel({ deltaY: 180 });
    await me.read('[data-lane-step="rows"]', "scrolled");
    await me.click(device("[data-row='9']"));
    await me.waitTop("item");
    await me.click(device('[data-screen="item"] input'));
    await me.type("Leeks");
    await me.click(device("[data-action=ask]"));
    await me.see(device('[data-overlay="sheet"]'));
    await me.click(device("[data-action=yes]"));
    await me.page.waitForFunction(() => !document.querySelector("[data-device] [data-overlay]"));
    await me.page.waitForFunction(() =>
      document.querySelector('[data-lane-step="item"]')?.getAttribute("title")?.includes("given"),
    );
    return (await me.page.$eval('[data-point][aria-current="step"]', (each) => each.getAttribute("data-point")))!;
  };
  /** What is still there, as the lanes and the device show it. */
  const held = () =>
    me.page.evaluate(() => {
      const steps = [...document.querySelectorAll("[data-lane-step]")];
      const said = steps.map((step) => step.getAttribute("title")).join(" ");
      const screens = [...document.querySelectorAll("[data-device] [data-screen]")].map((each) =>
        each.getAttribute("data-screen"),
      );
      return {
        place: screens.at(-1) === "item" && steps.some((step) => step.getAttribute("data-lane-step") === "rows"),
        scroll: said.includes("scrolled"),
        draft: said.includes("Leeks"),
        picked: said.includes("row 9"),
        handed: said.includes("given yes"),
      };
    });
  const waitNot = (id: string) =>
    me.page.waitForFunction(
      (not) =>
        [...document.querySelectorAll("[data-device] [data-screen]")].at(-1)?.getAttribute("data-screen") !== not,
      {},
      id,
    );
  const size = (n: number) => me.click(`[aria-label="Size of the device"] button:nth-child(${n})`);
  const preset = (id: string) => me.page.select('[aria-label="A device with its own strips, holes and folds"]', id);
  const answered = async () => {
    if (await me.page.$("[data-question]")) await me.click(device('[data-answer="leave"]'));
  };
  const hand: Record<string, () => Promise<unknown>> = {
    otherTab: async () => {
      await me.click(device("[data-tab=b]"));
      await answered();
      await me.waitTop("b");
      await me.click(device("[data-tab=aTab]"));
      await waitNot("b");
    },
    sameTab: async () => {
      await me.click(device("[data-tab=aTab]"));
      await answered();
      await me.waitTop("rows");
    },
    turned: async () => {
      await preset("phoneTurned");
      await me.see('aside[data-layout="under"]');
      await size(1);
      await me.see('aside[data-layout="around"]');
    },
    folded: async () => {
      await preset("foldClosed");
      await preset("foldOpen");
      await me.see(device("[data-hinge]"));
      await size(1);
      await me.page.waitForFunction(() => !document.querySelector("[data-device] [data-hinge]"));
    },
    resized: async () => {
      await size(2);
      await size(3);
      await me.see('aside[data-layout="under"]');
      await size(1);
      await me.see('aside[data-layout="around"]');
    },
    kill: async () => {
      await me.press("button", "end the app");
      await me.read('[aria-label="Why"]', "The system ended the app");
    },
    "fact in": async () => {
      await me.click('[aria-label="Facts"] button');
      await me.waitTop("gate");
      await me.click('[aria-label="Facts"] button');
      await waitNot("gate");
    },
    link: async () => {
      const url = (await me.texts('[data-happening="link"] th'))[0]!.replace("a link to ", "");
      await me.click('input[aria-label^="Address of the screen"]');
      await me.keys("Control+a");
      await me.type(url);
      await me.keys("Enter");
      await answered();
      await waitNot("item");
    },
    out: async () => {
      for (const _ of [1, 2]) {
        await me.press('aside[aria-label="Companion"] button', "Back", "starts");
        await answered();
      }
      await me.press("button", "Come back to it");
      await me.waitTop("rows");
    },
  };

  test.each([
    ["where tabs keep everything", holding()],
    [
      "where they keep their place, and the app comes back with everything",
      holding({ keep: "place", relaunch: "everything" }),
    ],
    [
      "where they keep nothing, and the form asks",
      holding({ keep: "fresh", leave: { when: "draft", ask: "Leave it?" } }),
    ],
  ] as const)("%s", async (_, frame) => {
    const point = await used(frame);
    const all = { place: true, scroll: true, draft: true, picked: true, handed: true };
    expect(await held()).toEqual(all);
    const rows = await me.page.$$eval("[data-happening]", (each) =>
      each.map((row) => row.getAttribute("data-happening")!),
    );
    expect(rows.toSorted()).toEqual(Object.keys(hand).toSorted());
    const expected: Record<string, Record<string, boolean>> = {};
    for (const id of rows) {
      const cells = await fates(id);
      expected[id] = Object.fromEntries(Object.keys(all).map((piece, i) => [piece, cells[i] === "kept"]));
    }
    for (const id of rows) {
      await me.click(`[data-point="${point}"]`);
      await me.waitTop("item");
      expect([id, await held()]).toEqual([id, all]);
      await hand[id]!();
      expect([id, await held()]).toEqual([id, expected[id]]);
    }
    // it is no test that finds everything kept, or nothing
    const found = Object.values(expected).flatMap((row) => Object.values(row));
    expect([found.includes(true), found.includes(false)]).toEqual([true, true]);
    expect(await me.look()).toEqual([]);
  });

  test("what is lost is told with its reason, and changed from there", async () => {
    const id = await shelve(world, demo("allotment"));
    await me.go(`/f/${id}/state`);
    await me.click(device("[data-row='3']"));
    await me.waitTop("plot");
    await me.click(device("[data-row='2']"));
    await me.waitTop("bed");
    await me.click(device('[data-screen="bed"] input'));
    await me.type("Leeks");
    await me.read('[data-lane-step="bed"]', "Leeks");
    await me.page.waitForSelector('[data-happening="kill"] [data-piece=draft][data-fate=lost]');
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
  // once more, as it happened
  await me.page.select('[aria-label="How fast it is played"]', "as");
  await me.page.evaluate(() => {
    const shown = () => document.querySelector("[data-device] [data-screen]")?.getAttribute("data-screen") ?? "";
    const { dataset } = document.body;
    dataset.ways = shown();
    const look = () => dataset.ways!.endsWith(shown()) || (dataset.ways += ` ${shown()}`);
    new MutationObserver(look).observe(document.body, { subtree: true, childList: true });
  });
  await me.press("button", "Play again");
  await me.page.waitForSelector('[data-ways="slot today slot"]');
  await me.read('[aria-label="Trail"] button', "Play again");
  // the same way again is no other way
  expect(await me.count("[data-other-way]")).toBe(1);
  expect(await me.look()).toEqual([]);
  // where a window goes on from what it left there was no launch: that is told, and the line stays
  await me.page.reload();
  await me.waitTop("slot");
  await me.press('aside[aria-label="Companion"] button', "Back", "starts");
  await me.waitTop("today");
  await me.press("button", "Keep as journey");
  await me.type("No launch");
  await me.keys("Enter");
  await me.read('[aria-label="Trail"] [role=alert]', "does not begin at a launch");
  await me.keys("Escape");
  await me.page.waitForFunction(() => document.activeElement?.textContent === "Keep as journey");
  await me.saved();
  expect((await me.frame(id)).journeys).toHaveLength(1);
});

test("a screen that asks is answered on the device, by hand and by keys", async () => {
  await me.go("/f/allotment-diary/plan?at=edit&in=meTab");
  await me.press("button", "Device here");
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
