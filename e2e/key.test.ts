import { Served } from "./served.js";
import { newWorld, type Person, type World } from "./world.js";

const key = "a-key-that-nobody-guesses";
const served = new Served([], undefined, ["--host", "0.0.0.0"], { HANDY_FRAME_KEY: key });
let world: World;
let me: Person;

beforeAll(async () => {
  world = await newWorld({ own: served });
}, 120_000);
afterAll(() => world.end());
beforeEach(async () => {
  me = await world.person();
});
afterEach(() => world.forget());

/** The key by which a frame may be looked at, as the menu of the frame has it. */
const look = async (id: string): Promise<string> => {
  const headers = { authorization: `Bearer ${key}` };
  return ((await (await fetch(new URL(`/api/frames/${id}`, served.url), { headers })).json()) as { look: string }).look;
};

test("a browser that has no key is asked for it, told where it is wrong, and keeps it", async () => {
  await me.go("/f/allotment-diary/plan");
  await me.read('[role="dialog"] h1', "This server asks for a key");
  await me.type("not the key");
  await me.keys("Enter");
  await me.read('[role="dialog"] [role="alert"]', "The key is not right");
  expect(await me.look()).toEqual([]);
  await me.keys("Control+a");
  await me.type(`${served.url}#key=${key}`);
  await me.keys("Enter");
  await me.waitTop("plots");
  await me.go("/");
  await me.read('[aria-label="Frames"]', "Allotment Diary");
  expect(me.errors).toEqual([]);
});

test("the address that was printed opens the shelf, and its key stays in no history", async () => {
  await me.go(`/#key=${key}`);
  await me.read('[aria-label="Frames"]', "Allotment Diary");
  expect(me.page.url()).not.toContain(key);
  expect(await me.page.evaluate(() => document.cookie)).toBe("");
});

test("by its own address a frame is looked at and tried, and nothing of it can be changed", async () => {
  await me.go(`/f/allotment-diary/plan#key=${await look("allotment-diary")}`);
  await me.waitTop("plots");
  await me.read('[role="status"]', "This frame is shown to be looked at");
  await me.press("[data-device] button", "Plot 1");
  await me.waitTop("plot");
  await me.click('[data-node="plots"]');
  await me.keys("Delete");
  await me.press("button", "Delete, and that way with it");
  await me.read('[role="alert"]', "nothing was changed");
  await me.see('[data-node="plots"]');
  expect(await me.count('[title="Rename the frame"]')).toBe(0);
  await me.go("/");
  await me.read('[role="alert"]', "may look at one frame, not at the shelf");
  const headers = { authorization: `Bearer ${key}` };
  const { revision } = (await (
    await fetch(new URL("/api/frames/allotment-diary", served.url), { headers })
  ).json()) as { revision: number };
  expect(revision).toBe(1);
  expect(me.errors).toEqual([]);
});

test("what was changed while the key was taken away waits, and is sent once it was given", async () => {
  await me.go(`/f/night-sky-log/plan#key=${key}`);
  await me.saved();
  const cookies = await me.page.browserContext().cookies();
  await me.page.browserContext().deleteCookie(...cookies);
  await me.click('[data-return="frame-name"]');
  await me.keys("Control+a");
  await me.type("Night Log");
  await me.keys("Enter");
  await me.see('[role="dialog"] input');
  await me.type(key);
  await me.keys("Enter");
  await me.read('[data-return="frame-name"]', "Night Log");
  await me.saved();
  await me.read('[role="status"]', "saved · change 2");
});
