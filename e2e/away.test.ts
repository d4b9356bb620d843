import { listed, node, open } from "./listed.js";
import { Served } from "./served.js";
import { eachIn, type Person, type World } from "./world.js";

let world: World;
let me: Person;
const served = new Served();
eachIn(
  (person, its) => {
    me = person;
    world = its;
  },
  { own: served },
);
afterEach(async () => {
  if (!served.isRunning) await served.start(served.port);
});

const rename = async (person: Person, id: string, title: string) => {
  await person.page.bringToFront();
  await person.click(node(id));
  await person.keys("Enter", "Control+a");
  await person.type(title);
  await person.keys("Enter");
  await person.read(node(id), title);
};
const waits = (person: Person, count: number) =>
  person.read('[data-sync="away"]', `${count} ${count === 1 ? "change waits" : "changes wait"}`);
const noRoom = '[role="alert"]';

test("a day's work in two browsers without a server comes together afterwards, what clashes chosen one by one", async () => {
  const id = await listed(world, me, "Offline day");
  const other = await world.stranger();
  await open(other, id);
  const { port } = served;
  await served.end();
  /** Copies of one screen moved about, and two names of its own. */
  const work = async (person: Person, from: string, name: string) => {
    await person.page.bringToFront();
    await rename(person, from, name);
    for (let i = 0; i < 15; i += 1) await person.keys("Control+d", "Alt+ArrowUp");
    await rename(person, "language", `${name} language`);
    await rename(person, "units", `${name} units`);
    await waits(person, 33);
  };
  await work(me, "templates", "Mine");
  await work(other, "photos", "Theirs");
  // in the evening the windows are closed, and the work is in the browsers alone
  await me.page.close();
  const place = other.page.browserContext();
  await other.page.close();
  await served.start(port);

  const mine = await world.person();
  await open(mine, id);
  await mine.read('[role="status"]', "saved · change 35");
  const their = await place.newPage();
  await their.setViewport({ width: 1280, height: 800 });
  await their.goto(mine.page.url());
  const bar = '[aria-label="Written in two windows at once"]';
  await their.waitForSelector(bar);
  await their.waitForSelector('[data-sync="saved"]');
  expect(await their.$$eval(`${bar} li`, (all) => all.length)).toBe(2);
  const text = await their.$eval(bar, (element) => element.textContent);
  expect(text).toMatch(/“Mine language”.*“Theirs language”/);
  expect(text).toMatch(/“Mine units”.*“Theirs units”/);
  await their.locator(`${bar} li:first-child button:last-child`).click();
  await their.waitForFunction((where) => document.querySelectorAll(`${where} li`).length === 1, {}, bar);
  await their.locator(`${bar} li:first-child button:nth-last-child(2)`).click();
  await their.waitForSelector(bar, { hidden: true });
  await their.waitForSelector('[data-sync="saved"]');
  await mine.read('[role="status"]', "saved");
  const { nodes } = await mine.frame(id);
  expect(nodes.templates!.title).toBe("Mine");
  expect(nodes.photos!.title).toBe("Theirs");
  expect(Object.values(nodes).filter(({ title }) => title === "Mine" || title === "Theirs")).toHaveLength(32);
  expect(nodes.language!.title).toBe("Theirs language");
  expect(nodes.units!.title).toBe("Mine units");
  await place.close();
});

test("a browser whose storage is full says what it cannot keep, until the server has it", async () => {
  await listed(world, me, "Full browser");
  await me.page.evaluate(() => {
    for (let size = 4_000_000; size >= 1; size = Math.floor(size / 2))
      try {
        for (let n = 0; ; n += 1) localStorage.setItem(`filled ${size} ${n}`, "x".repeat(size));
      } catch {
        // full for that size
      }
  });
  const { port } = served;
  await served.end();
  await rename(me, "templates", "No room for this");
  await me.read(noRoom, "This browser has no room for a change that the server does not have");
  await rename(me, "photos", "Nor for this");
  await me.read(noRoom, "no room for 2 changes");
  // whoever closes the window is asked
  const asked = new Promise<string>((resolve) =>
    me.page.once("dialog", (dialog) => {
      resolve(dialog.type());
      void dialog.dismiss();
    }),
  );
  await me.page.close({ runBeforeUnload: true });
  expect(await asked).toBe("beforeunload");
  await me.page.evaluate(() => localStorage.clear());
  await served.start(port);
  await me.saved();
  await me.page.waitForFunction(
    (where) => [...document.querySelectorAll(where)].every((each) => !each.textContent?.includes("no room")),
    {},
    noRoom,
  );
});

test("what another page clears in the browser is kept there again", async () => {
  await listed(world, me, "Cleared browser");
  const other = await world.person();
  await other.go("/");
  await me.page.bringToFront();
  const { port } = served;
  await served.end();
  await rename(me, "templates", "Kept again");
  await waits(me, 1);
  await other.page.evaluate(() => localStorage.clear());
  await other.page.waitForFunction(() => Object.keys(localStorage).some((key) => key.startsWith("handy-frame:queue:")));
  await served.start(port);
  await me.saved();
  await other.page.close();
});
