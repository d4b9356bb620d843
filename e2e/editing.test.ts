import { type Frame, writeOutline } from "../core/index.js";
import { eachIn, type Person, shelve, type World } from "./world.js";

let world: World;
let me: Person;
eachIn((person, its) => {
  me = person;
  world = its;
});

const list = `Main =
  Trips *suitcase /trips
    Trip {trip} /trips/:trip
      Day {day} /trips/:trip/days/:day
        Note ^
      Share ^dialog
    New trip > ^fullscreen
      Where
      When
  Map *map-trifold /map
    Place {place} /places/:place
      Photos
  Packing *list-checks /packing
    Bag {bag} /packing/:bag
      Thing ^
    Templates
  Me *user /me
    Settings
      Language
      Units
    Friends
      Friend {friend} /friends/:friend
`;
const blank = (name: string): Frame => ({
  format: "handy-frame/1",
  name,
  root: "app",
  nodes: { app: { kind: "stack", title: "App", children: ["home"] }, home: { kind: "screen", title: "Home" } },
});
const node = (id: string, parent?: string) =>
  `[data-node="${id}"]${parent === undefined ? "" : `[data-parent="${parent}"]`}`;
const chosen = (id: string) => `${node(id)}[aria-selected="true"]`;
const fileOf = async (id: string) => (await fetch(new URL(`/api/frames/${id}/file`, world.served.url))).text();
const frameOf = async (id: string) => JSON.parse(await fileOf(id)) as Frame;
const screensOf = (frame: Frame) => Object.values(frame.nodes).filter(({ kind }) => kind === "screen").length;
const open = async (id: string, person = me) => {
  await person.go(`/f/${id}/plan`);
  await person.see("[data-device] [data-screen]");
};
/** Chooses the root: with nothing chosen an arrow goes there. */
const chooseRoot = async (person = me) => {
  await person.click('[role="treeitem"]');
  await person.keys("Escape", "ArrowDown");
  await person.see(chosen("app"));
};
/** Waits until the focus is on the plan, where what was found is chosen. */
const onPlan = (id: string) =>
  me.page.waitForFunction((at) => document.activeElement?.getAttribute("data-node") === at, {}, id);
/** Makes the list in a blank frame of its own; answers its id. */
const listed = async (name: string): Promise<string> => {
  const id = await shelve(world, blank(name));
  await open(id);
  await chooseRoot();
  await me.paste(list);
  await me.read('[role="status"]', "makes");
  await me.keys("Control+Enter");
  await me.see(chosen("main"));
  await me.saved();
  return id;
};
/** Takes a change of mind by its name, and answers what was said of it before. */
const change = async (label: string): Promise<string> => {
  await me.keys("w");
  await me.see('[aria-label="Changes of mind"]');
  for (let i = 0; i < 9; i += 1) {
    const [at = ""] = await me.texts('[aria-label="Changes of mind"] [aria-selected="true"] span');
    if (at === label) break;
    await me.keys("ArrowDown");
  }
  const [said = ""] = await me.texts('[role="dialog"] [role="status"]');
  await me.keys("Enter");
  await me.page.waitForSelector('[aria-label="Changes of mind"]', { hidden: true });
  await me.saved();
  return said;
};

test("a pasted list is shown before it is made, makes twenty screens in one step, and runs", async () => {
  const id = await listed("Trips by list");
  const frame = await frameOf(id);
  expect(screensOf(frame)).toBe(22);
  // it runs: the first tab's rows lead on
  await me.click(node("main"));
  await me.keys("p");
  await me.waitTop("trips");
  await me.click('[data-device] [data-row="2"]');
  await me.waitTop("trip");
  // copied from the plan it is the same list
  await me.click(node("main"));
  expect((await me.copy())["text/plain"]).toBe(list);
  await me.keys("Control+z");
  await me.page.waitForSelector(node("trips"), { hidden: true });
  await me.saved();
  expect(await frameOf(id)).toEqual(blank("Trips by list"));
});

test("a list with mistakes says line and column while it is written, and makes nothing until they are gone", async () => {
  const id = await shelve(world, blank("Mistakes"));
  await open(id);
  await me.click(node("home"));
  await me.keys("l");
  await me.see("textarea");
  await me.type("One ^popup");
  await me.read('[aria-label="What is not right yet"]', "Line 1, column 5");
  expect(await me.count("button:disabled")).toBeGreaterThan(0);
  await me.keys("Control+Enter");
  await me.see("textarea");
  await me.click('[aria-label="What is not right yet"] button');
  await me.keys("Delete");
  await me.read('[role="status"]', "makes 1 screen");
  // what was written outlives the panel
  await me.keys("Escape");
  await me.keys("l");
  expect(await me.page.$eval("textarea", (area) => area.value)).toBe("One ");
  await me.keys("Control+Enter");
  await me.see(chosen("one"));
  expect((await frameOf(id)).nodes.home).toMatchObject({ actions: [{ do: { kind: "open", to: "one" } }] });
});

test("six changes of mind, each said before, made, undone and redone, with the device where it was", async () => {
  const id = await listed("Changed minds");
  const changes: [at: string, label: string, says: RegExp][] = [
    ["day", "Push or sheet", /opens as a sheet here/],
    ["templates", "Make a tab of it", /Back goes to/],
    ["settings", "Wrap in a stack", /way|Back/],
    ["mapTab", "Unwrap", /way|Back|bar/],
    ["language", "Wrap in a sheet", /opens as a sheet here/],
    ["share", "Share with", /Share Share with/],
  ];
  await me.click(node("main"));
  await me.keys("p");
  await me.click('[data-device] [data-tab="packingTab"]');
  await me.waitTop("packing");
  for (const [at, label, says] of changes) {
    const before = await fileOf(id);
    await me.keys("Control+k");
    await me.type(at);
    await me.see('[aria-label="Found"] [aria-selected="true"]');
    await me.keys("Enter");
    await onPlan(at);
    const said = await change(label);
    expect(said).toMatch(says);
    const after = await fileOf(id);
    expect(after).not.toBe(before);
    await me.keys("Control+z");
    await me.saved();
    await me.page.waitForFunction(() => document.querySelector('[data-sync="saved"]') !== null);
    expect(await fileOf(id)).toBe(before);
    await me.keys("Control+Shift+z");
    await me.saved();
    expect(await fileOf(id)).toBe(after);
    expect(await me.top()).toBe("packing");
  }
});

test("a setting is made on many at once, and its mark tells where it is set otherwise", async () => {
  const id = await listed("At once");
  await me.click(node("trip"));
  await me.keys("s");
  await me.read("h2", "chosen");
  const count = Number((await me.texts("h2"))[0]!.split(" ")[0]);
  expect(count).toBeGreaterThanOrEqual(12);
  const bars = '[data-setting="bars"]';
  await me.read(bars, "all stay by default");
  const buttons = await me.page.$$(`${bars} button`);
  await buttons[1]!.click();
  await me.read(bars, "all hidden set");
  await me.saved();
  const hidden = Object.values((await frameOf(id)).nodes).filter(({ bars: is }) => is === "hide");
  expect(hidden).toHaveLength(count);
  await me.keys("Control+z");
  await me.read(bars, "all stay by default");
  await me.keys("Control+Shift+z");
  // a range by keys, and where else it is set
  await me.click(node("trips"));
  await me.click('[data-set-mark="bars"]');
  await me.read('[aria-label="Set otherwise"]', `hidden on ${count}`);
  await me.keys("Escape");
  await me.click(node("trips"));
  await me.keys("Shift+ArrowDown", "Shift+ArrowDown");
  await me.read("h2", "3 chosen");
});

test("anything is found by a few letters, and done", async () => {
  const id = await listed("Found");
  await me.keys("Control+k");
  await me.type("nwt");
  await me.read('[aria-label="Found"] [aria-selected="true"]', "New trip");
  await me.keys("Enter");
  await me.see('[role="treeitem"][aria-selected="true"]');
  await me.keys("Control+k");
  await me.type("friends/");
  await me.read('[aria-label="Found"] [aria-selected="true"]', "/friends/:friend");
  await me.keys("Enter");
  await onPlan("friend");
  await me.keys("Control+k");
  await me.type("bars of");
  await me.read('[aria-label="Found"] [aria-selected="true"]', "Bars of Friend");
  await me.keys("Enter");
  expect(await me.page.evaluate(() => document.activeElement?.getAttribute("data-set-mark"))).toBe("bars");
  await me.keys("Control+k");
  await me.type("duplicate");
  await me.keys("Enter");
  await me.see(chosen("friend2"));
  await me.keys("Control+k");
  // what was found last comes first
  expect((await me.texts('[aria-label="Found"] li'))[0]).toMatch("Duplicate");
  await me.keys("Escape");
  await me.saved();
  expect(screensOf(await frameOf(id))).toBe(23);
});

test("the ways between two screens are shown with the ladder at the end, and played", async () => {
  await listed("Routed");
  await me.click(node("units"));
  await me.keys("r");
  await me.click('input[aria-label="From"]');
  await me.type("trips");
  await me.keys("Enter");
  await me.read('[aria-label="Routes, the shortest first"]', "tab Me");
  const strip = (await me.texts('[aria-label="Routes, the shortest first"] > li'))[0]!;
  expect(strip).toMatch(/tab Me.*tap Settings.*tap Units.*1 Settings.*2 Me.*3 Trips.*out of the app/);
  await me.page.$$eval("button", (buttons) => buttons.find((button) => button.textContent === "Play")!.click());
  await me.waitTop("units");
  // all ways, sorted by a press on a head
  await me.page.$$eval("button", (buttons) => buttons.find((button) => button.textContent === "all ways")!.click());
  await me.see('[aria-sort="none"]');
  const heads = await me.page.$$("th button");
  await heads[2]!.click();
  await me.see('[aria-sort="ascending"]');
  const to = await me.texts("tbody td:nth-child(3)");
  expect(to).toEqual([...to].sort((a, b) => a.localeCompare(b, "en", { numeric: true })));
});

test("two windows take 200 changes at once, the server killed between, and neither loses any", async () => {
  const id = await listed("Two windows");
  const other = await world.person();
  await open(id, other);
  const start = (await frameOf(id)).nodes;
  await me.page.bringToFront();
  await me.click(node("templates"));
  await other.page.bringToFront();
  await other.click(node("photos"));
  /** Fifty copies and fifty moves among them; in turns, as frames stop in a page that is not in front. */
  const work = async (person: Person, turns: number) => {
    await person.page.bringToFront();
    for (let i = 0; i < turns; i += 1) await person.keys("Control+d", "Alt+ArrowUp");
  };
  for (let round = 0; round < 2; round += 1) {
    await work(me, 10);
    await work(other, 10);
  }
  const { port } = world.served;
  await world.served.end("SIGKILL");
  await work(me, 15);
  await other.page.waitForSelector('[data-sync="away"]', { timeout: 15_000 });
  await work(other, 15);
  await world.served.start(port);
  await work(me, 15);
  await work(other, 15);
  for (const person of [me, other]) await person.page.waitForSelector('[data-sync="saved"]', { timeout: 30_000 });
  const { revision } = (await (await fetch(new URL(`/api/frames/${id}`, world.served.url))).json()) as {
    revision: number;
  };
  expect(revision).toBe(2 + 200);
  const frame = await frameOf(id);
  expect(Object.keys(frame.nodes).length).toBe(Object.keys(start).length + 100);
  // both windows have the very frame that is kept
  const parts = [{ id: frame.root, parent: null }];
  for (const person of [me, other]) {
    await person.page.bringToFront();
    await chooseRoot(person);
    expect((await person.copy())["text/plain"]).toBe(writeOutline(frame, parts));
  }
  expect(other.errors).toEqual([]);
  await other.page.close();
}, 180_000);

test("parts go from one frame to another with all they say, and as text into any", async () => {
  const from = await listed("From here");
  const to = await shelve(world, blank("To there"));
  await me.click(node("packingTab"));
  const held = await me.copy();
  expect(held["text/plain"]).toMatch("Packing *list-checks /packing\n");
  await open(to);
  await chooseRoot();
  await me.paste(held);
  await me.see(chosen("packingTab"));
  await me.saved();
  const nodes = (await frameOf(to)).nodes;
  expect(nodes.packing).toEqual((await frameOf(from)).nodes.packing);
  // cut takes it out here
  await me.click(node("templates"));
  await me.page.evaluate(() =>
    document.activeElement!.dispatchEvent(
      new ClipboardEvent("cut", { clipboardData: new DataTransfer(), bubbles: true, cancelable: true }),
    ),
  );
  await me.page.waitForSelector(node("templates"), { hidden: true });
});

test("a change is compared with what was before it and what came after, in plain words", async () => {
  await listed("Compared");
  await me.click(node("templates"));
  await me.keys("Alt+ArrowUp");
  await me.keys("Delete");
  await me.saved();
  await me.click('[data-sync="saved"]');
  await me.read('[role="dialog"]', "Move Templates beside");
  const rows = await me.page.$$('[role="dialog"] li [aria-expanded]');
  await rows[1]!.click();
  await me.read('[aria-label="This change"]', "reordered Packing");
  await me.read('[aria-label="From here until now"]', "took Templates out of Packing");
});

test("a frame of a thousand screens is folded, unfolded by what is found, and gone over on a small map", async () => {
  const lines = Array.from({ length: 10 }, (_, t) =>
    [`  Area ${t}`, ...Array.from({ length: 99 }, (__, i) => `    Screen ${t}.${i}`)].join("\n"),
  );
  const id = await shelve(world, blank("Thousand"));
  await open(id);
  await chooseRoot();
  await me.paste(["Main =", ...lines, ""].join("\n"));
  await me.read('[role="status"]', "makes 1000 screens");
  await me.keys("Control+Enter");
  await me.see(chosen("main"));
  await me.see("[data-small-map]");
  await me.keys("Shift+C");
  await me.page.waitForFunction(() => document.querySelectorAll('[data-node^="screen"]').length === 0);
  expect((await me.texts(node("area3Tab")))[0]).toMatch("100");
  await me.keys("Control+k");
  await me.type("screen 7.42");
  await me.keys("Enter");
  await onPlan("screen742");
  await me.keys("Escape", "Shift+C");
  await me.see("[data-small-map]");
  const map = (await (await me.see("[data-small-map]")).boundingBox())!;
  await me.page.mouse.click(map.x + map.width * 0.97, map.y + map.height * 0.9);
  await me.page.waitForFunction(
    () => document.querySelector('[data-node="screen990"], [data-node^="screen99"]') !== null,
  );
  // only what can be seen is drawn
  expect(await me.count('[data-node^="screen"]')).toBeLessThan(300);
});

test("the shelf is searched, takes a list that is pasted, and starts with sign-in first", async () => {
  await me.go("/");
  await me.see('a[aria-label="Open Night Sky Log"]');
  await me.click('input[aria-label="Search the shelf"]');
  await me.type("night");
  await me.page.waitForSelector('a[aria-label="Open Allotment Diary"]', { hidden: true });
  expect(await me.count('[aria-label="Frames"] li')).toBe(1);
  await me.page.$eval("h1", (element) => element.closest("main")!.focus());
  await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await me.paste("One ^popup");
  await me.read('[role="alert"]', "line 1, column 5");
  await me.paste("One\n  Two ^\n");
  await me.waitTop("one");
  await me.go("/");
  await me.page.$$eval("button", (buttons) => buttons.find((b) => b.textContent?.includes("Sign-in first"))!.click());
  await me.waitTop("welcome");
  await me.click('[data-device] [data-action="signIn"]');
  await me.waitTop("signIn");
});

test("of one name written in two windows at once both texts are shown, and one is chosen", async () => {
  const id = await listed("Clashing");
  const other = await world.person();
  await open(id, other);
  await other.page.setOfflineMode(true);
  const rename = async (person: Person, title: string) => {
    await person.page.bringToFront();
    await person.click(node("templates"));
    await person.keys("Enter", "Control+a");
    await person.type(title);
    await person.keys("Enter");
  };
  await rename(other, "Theirs while away");
  await rename(me, "Mine meanwhile");
  await me.saved();
  await other.page.bringToFront();
  await other.page.setOfflineMode(false);
  const bar = '[aria-label="Written in two windows at once"]';
  await other.page.waitForSelector(bar, { timeout: 20_000 });
  expect((await other.texts(bar))[0]).toMatch(/“Mine meanwhile”.*“Theirs while away”/);
  expect((await frameOf(id)).nodes.templates!.title).toBe("Mine meanwhile");
  await other.page.$$eval(`${bar} button`, (buttons) => buttons.at(-1)!.click());
  await other.page.waitForSelector(bar, { hidden: true });
  await other.saved();
  expect((await frameOf(id)).nodes.templates!.title).toBe("Theirs while away");
  await other.page.close();
});

test.each(["light", "dark"] as const)(
  "what one edits with can be read and worked by all, in the %s theme",
  async (theme) => {
    await listed(`Read by all, ${theme}`);
    if (theme === "dark") {
      await me.keys("Control+k");
      await me.type("dark theme");
      await me.keys("Enter");
    }
    await me.click(node("trip"));
    await me.keys("w");
    await me.see('[aria-label="Changes of mind"]');
    expect(await me.look()).toEqual([]);
    await me.keys("Escape");
    await me.click('[data-set-mark="bars"]');
    await me.see('[role="dialog"]');
    expect(await me.look()).toEqual([]);
    await me.keys("Escape");
    await me.click(node("trip"));
    await me.keys("s");
    await me.read("h2", "chosen");
    expect(await me.look()).toEqual([]);
    await me.click(node("trip"));
    await me.keys("l");
    await me.see("textarea");
    await me.type("One ^popup");
    await me.read('[aria-label="What is not right yet"]', "Line 1");
    expect(await me.look()).toEqual([]);
    await me.keys("Escape", "r");
    await me.read("h2", "Routes");
    await me.click('input[aria-label="From"]');
    await me.type("map");
    await me.keys("Enter");
    await me.see('[aria-label="Routes, the shortest first"]');
    expect(await me.look()).toEqual([]);
    await me.page.$$eval("button", (buttons) => buttons.find((button) => button.textContent === "all ways")!.click());
    await me.see('[aria-sort="none"]');
    expect(await me.look()).toEqual([]);
    await me.keys("Control+k");
    await me.see('[aria-label="Found"]');
    expect(await me.look()).toEqual([]);
    await me.keys("Escape");
    await me.click('[data-sync="saved"]');
    await me.see('[role="dialog"] [aria-expanded]');
    await me.click('[role="dialog"] [aria-expanded]');
    await me.read('[aria-label="This change"]', "added");
    expect(await me.look()).toEqual([]);
  },
);
