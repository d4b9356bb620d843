import type { HTTPRequest } from "puppeteer-core";
import { listed, node, open } from "./listed.js";
import { demo, eachIn, type Person, shelve, type World } from "./world.js";

let world: World;
let me: Person;
eachIn((person, its) => {
  me = person;
  world = its;
});

/** Holds back the scripts whose names begin so, until it is called. */
const holdBack = async (...names: string[]): Promise<() => Promise<void>> => {
  const held: HTTPRequest[] = [];
  let isFree = false;
  await me.page.setRequestInterception(true);
  me.page.on("request", (request) => {
    if (!isFree && names.some((name) => request.url().includes(`/assets/${name}-`))) held.push(request);
    else void request.continue();
  });
  return async () => {
    isFree = true;
    await Promise.all(held.map((request) => request.continue()));
  };
};
const waits = 'input[aria-label^="It is being loaded"]';
const hasFocus = (selector: string) =>
  me.page.waitForFunction((where) => document.activeElement?.matches(where), {}, selector);

test("what is typed for something that is still being loaded is there once it is", async () => {
  const free = await holdBack("add-picker", "change-menu");
  await listed(world, me, "Kept");
  await me.click(node("map"));
  await me.keys("a");
  await hasFocus(waits);
  await me.type("dialog");
  await free();
  await me.page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('[role="combobox"][aria-label="Add"]')?.value === "dialog",
  );
  await me.keys("Enter");
  await hasFocus('[data-node] [aria-label="Title"]');
});

test("Escape takes back what is still being loaded, and no key meant for it edits", async () => {
  await holdBack("change-menu", "taking-out");
  const id = await listed(world, me, "Taken back");
  const before = await me.frame(id);
  await me.click(node("trips"));
  await me.keys("w");
  await hasFocus(waits);
  await me.keys("n", "Delete", "Escape");
  await hasFocus(node("trips"));
  await me.click(node("units"));
  await me.keys("Delete");
  await hasFocus(waits);
  await me.keys("Enter", "n", "Escape");
  await hasFocus(node("units"));
  expect(await me.frame(id)).toEqual(before);
});

test("what comes late takes the focus from nobody", async () => {
  const free = await holdBack("list-panel");
  await open(me, await shelve(world, demo("allotment")));
  await me.click(node("plots"));
  await me.keys("l");
  await hasFocus(waits);
  await me.click(node("plot"));
  await me.keys("F2");
  await hasFocus(`${node("plot")} [aria-label="Title"]`);
  await me.type("Wal");
  await free();
  await me.see('textarea[aria-label="List of names"]');
  await me.type("ks");
  expect(await me.page.evaluate(() => (document.activeElement as HTMLInputElement).value)).toBe("Walks");
});

/** Where everything on the plan is. */
const places = () =>
  me.page.$$eval("[data-node]", (all) =>
    all.map((each) => {
      const { x, y, width, height } = each.getBoundingClientRect();
      return [each.getAttribute("data-node"), x, y, width, height].join(" ");
    }),
  );

test("the plan is worked while the companion is still being loaded, and is not moved by it", async () => {
  const free = await holdBack("companion");
  const id = await shelve(world, demo("allotment"));
  await me.go(`/f/${id}/plan`);
  await me.click(node("plot"));
  await me.keys("n");
  await hasFocus('[data-node] [aria-label="Title"]');
  await me.type("Late");
  await me.keys("Enter");
  await me.saved();
  expect(await me.count("[data-device]")).toBe(0);
  const before = await places();
  await free();
  await me.see("[data-device] [data-screen]");
  expect(await places()).toEqual(before);
});

test("a drop waits for what works out where it goes", async () => {
  const free = await holdBack("drop");
  const id = await shelve(world, demo("allotment"));
  await open(me, id);
  const from = await (await me.see(node("plot"))).boundingBox();
  const to = await (await me.see(node("tasks"))).boundingBox();
  await me.page.mouse.move(from!.x + 40, from!.y + 6);
  await me.page.mouse.down();
  await me.page.mouse.move(to!.x + 40, to!.y + to!.height - 4, { steps: 4 });
  await me.page.mouse.up();
  await free();
  await me.see(node("plot", "tasksTab"));
});
