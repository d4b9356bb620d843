import { blank, chooseRoot, chosen, list, listed, node, open, screensOf } from "./listed.js";
import { demo, eachIn, type Person, shelve, type World } from "./world.js";

let world: World;
let me: Person;
eachIn((person, its) => {
  me = person;
  world = its;
});

/** Waits until the focus is on the plan, where what was found is chosen. */
const onPlan = (id: string) =>
  me.page.waitForFunction((at) => document.activeElement?.getAttribute("data-node") === at, {}, id);
const menu = '[role="dialog"][aria-label="Restructure"]';
/** Takes a change of mind by typing its name, and that of what it is done with, and answers what was said of it before. */
const change = async (label: string, target?: string): Promise<string> => {
  await me.keys("w");
  await me.see('[aria-label="Ways to restructure"]');
  await me.type(label);
  await me.read(`${menu} [aria-selected="true"]`, label);
  if (target !== undefined) {
    await me.keys("Enter");
    await me.see(`${menu} [role="listbox"][aria-label="${label}"]`);
    await me.type(target);
    await me.read(`${menu} [aria-selected="true"]`, target);
  }
  const [said = ""] = await me.texts(`${menu} [role="status"]`);
  await me.keys("Enter");
  await me.page.waitForSelector(menu, { hidden: true });
  await me.saved();
  return said;
};

test("a pasted list is shown before it is made, makes twenty screens in one step, and runs", async () => {
  const id = await listed(world, me, "Trips by list");
  const frame = await me.frame(id);
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
  expect(await me.frame(id)).toEqual(blank("Trips by list"));
});

test("a list with mistakes says line and column while it is written, and makes nothing until they are gone", async () => {
  const id = await shelve(world, blank("Mistakes"));
  await open(me, id);
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
  // what was written outlives the panel: a list begins empty, and takes it up again
  await me.keys("Escape");
  await me.page.waitForFunction(() => (document.activeElement as HTMLElement).dataset.node === "home");
  await me.keys("l");
  await me.see("textarea");
  expect(await me.page.$eval("textarea", (area) => area.value)).toBe("");
  await me.press("button", "The one before");
  expect(await me.page.$eval("textarea", (area) => area.value)).toBe("One ");
  await me.page.focus("textarea");
  await me.keys("Control+Enter");
  await me.see(chosen("one"));
  expect((await me.frame(id)).nodes.home).toMatchObject({ actions: [{ do: { kind: "open", to: "one" } }] });
});

test("six changes of mind, each said before, made, undone and redone, with the device where it was", async () => {
  const id = await listed(world, me, "Changed minds");
  const changes: [at: string, label: string, says: RegExp, target?: string][] = [
    ["day", "Push or sheet", /opens as a sheet here/],
    ["templates", "Make a tab of it", /Back goes to/],
    ["settings", "Wrap in a stack", /way|Back/],
    ["mapTab", "Unwrap", /way|Back|bar/],
    ["language", "Wrap in a sheet", /opens as a sheet here/],
    ["share", "Share with", /Share Share with Packing/, "Packing"],
  ];
  await me.click(node("main"));
  await me.keys("p");
  await me.click('[data-device] [data-tab="packingTab"]');
  await me.waitTop("packing");
  for (const [at, label, says, target] of changes) {
    const before = await me.file(id);
    await me.find(at);
    await onPlan(at);
    const said = await change(label, target);
    expect(said).toMatch(says);
    const after = await me.file(id);
    expect(after).not.toBe(before);
    await me.keys("Control+z");
    await me.saved();
    expect(await me.file(id)).toBe(before);
    await me.keys("Control+Shift+z");
    expect(await me.file(id)).toBe(after);
    expect(await me.top()).toBe("packing");
  }
});

test("a setting is made on many at once, and its mark tells where it is set otherwise", async () => {
  const id = await listed(world, me, "At once");
  await me.click(node("trip"));
  await me.keys("s");
  await me.read("h2", "chosen");
  const count = Number((await me.texts("h2"))[0]!.split(" ")[0]);
  expect(count).toBeGreaterThanOrEqual(12);
  const bars = '[data-setting="bars"]';
  await me.read(bars, "all as usual by default");
  await me.clickAt(`${bars} [role="radio"]`, 2);
  await me.read(bars, "all hidden set");
  const hidden = Object.values((await me.frame(id)).nodes).filter(({ bars: is }) => is === "hide");
  expect(hidden).toHaveLength(count);
  await me.keys("Control+z");
  await me.read(bars, "all as usual by default");
  await me.keys("Control+Shift+z");
  // a range by keys, and where else it is set
  await me.click(node("trips"));
  await me.group("bars");
  await me.click('[data-set-mark="bars"]');
  await me.read('[aria-label="Set otherwise"]', `hidden on ${count}`);
  await me.keys("Escape");
  await me.click(node("trips"));
  await me.keys("Shift+ArrowDown", "Shift+ArrowDown");
  await me.read("h2", "3 chosen");
});

test("of two fields changed faster than the bench is drawn, both changes stand", async () => {
  const id = await shelve(world, demo("allotment"));
  await me.go(`/f/${id}/plan?at=splash&in=app`);
  await me.group("out");
  const leads = 'select[aria-label="Where what it does by itself leads"]';
  const opens = 'select[aria-label="How what it does by itself opens"]';
  await me.see(opens);
  await me.page.evaluate(
    async (...picks) => {
      for (const [css, value] of picks) {
        const select = document.querySelector<HTMLSelectElement>(css)!;
        select.dispatchEvent(new KeyboardEvent("keydown", { bubbles: true, key: value[0]! }));
        select.value = value;
        select.dispatchEvent(new Event("change", { bubbles: true }));
        // what is urgent is drawn between two keys, and what follows is not
        await Promise.resolve();
      }
    },
    [leads, "photo"] as const,
    [opens, "clear"] as const,
  );
  await me.page.waitForFunction((css) => document.querySelector<HTMLSelectElement>(css)!.value === "photo", {}, leads);
  const { splash } = (await me.frame(id)).nodes;
  expect(splash).toMatchObject({ after: { do: { to: "photo", how: "clear" } } });
});

test("what differs by view is set cell by cell, on one node or on several, and made the same again with one press", async () => {
  const id = await listed(world, me, "By view");
  const varied = async (key: string) => (await me.frame(id)).nodes[key]!.vary;
  // on a hub the grid is there: one cell, and no other
  await me.click(node("main"));
  const cell = (name: string) => `select[aria-label^="${name},"]`;
  const put = async (name: string, value: string) => {
    await me.see(cell(name));
    await me.page.select(cell(name), value);
    await me.saved();
  };
  await me.group("face");
  await put("Tabs at lap", "rail");
  expect(await varied("main")).toEqual([{ from: "lap", to: "lap", set: { face: "rail" } }]);
  await put("Tabs at desk", "rail");
  expect(await varied("main")).toEqual([{ from: "lap", set: { face: "rail" } }]);
  // a cell is no text of its own: from there undo takes the change back
  await me.page.focus(cell("Tabs at desk"));
  await me.keys("Control+z");
  await me.saved();
  expect(await varied("main")).toEqual([{ from: "lap", to: "lap", set: { face: "rail" } }]);
  await me.keys("Control+Shift+z");
  await me.saved();
  await me.see(`td[data-here] ${cell("Tabs at lap")}`);
  expect(await me.count(`td[data-here] ${cell("Tabs at desk")}`)).toBe(0);
  // of what a mark stands beside, it opens with the mark
  await me.group("draws");
  await me.click('[data-set-mark="labels"]');
  await put("Labels at desk", "never");
  expect(await varied("main")).toHaveLength(2);
  await me.keys("Escape");
  expect(await me.page.$eval('[data-set-mark="labels"]', (mark) => mark.getAttribute("aria-label"))).toMatch("by view");
  await me.group("face");
  await me.click('[data-view-grid="face"] > button');
  await me.saved();
  expect(await varied("main")).toEqual([{ from: "desk", set: { labels: "never" } }]);
  // several nodes at once
  await me.click(node("trip"));
  await me.keys("s");
  await me.read("h2", "chosen");
  await me.click('[aria-label="Opens as by view"]');
  await put("Opens as at desk", "dialog");
  const { nodes } = await me.frame(id);
  const dialogs = Object.values(nodes).filter(({ vary }) => vary?.some(({ set }) => set.opens === "dialog"));
  expect(dialogs.length).toBe(Number((await me.texts("h2"))[0]!.split(" ")[0]));
  await me.read('[data-setting="opens"]', "push; dialog from desk");
  await me.keys("Control+z");
  await me.saved();
  expect(await varied("trip")).toBeUndefined();
});

test("a colour of the app is another in some views, and what is too faint there is named", async () => {
  const id = await listed(world, me, "Colours by view");
  await me.find("Theme and bars");
  const slots = '[aria-label="What is otherwise in some views"]';
  await me.group("app-views");
  await me.see(slots);
  await me.page.select(slots, "theme.light.ink");
  const cell = 'input[aria-label^="text, light at desk"]';
  await me.see(cell);
  await me.page.focus(cell);
  await me.keys("Control+a");
  await me.type("pale");
  await me.keys("Enter");
  await me.read('[data-view-grid] [role="alert"]', "a colour such as");
  const pale = async () => {
    await me.keys("Control+a");
    await me.type("#dde1e4");
    await me.keys("Enter");
    await me.read('[aria-label="Too faint in some views"]', "at desk: text on the page");
    expect((await me.frame(id)).vary).toEqual([{ from: "desk", set: { theme: { light: { ink: "#DDE1E4" } } } }]);
  };
  await pale();
  await me.click('[data-view-grid="theme.light.ink"] > button');
  expect((await me.frame(id)).vary).toBeUndefined();
  // emptied, a cell is as usual again
  await me.page.focus(cell);
  await pale();
  await me.keys("Control+a", "Delete", "Enter");
  expect((await me.frame(id)).vary).toBeUndefined();
});

test("anything is found by a few letters, and done", async () => {
  const id = await listed(world, me, "Found");
  await me.find("nwt", "New trip");
  await me.see('[role="treeitem"][aria-selected="true"]');
  await me.find("friends/", "/friends/:friend");
  await onPlan("friend");
  await me.find("bars of", "Bars of Friend");
  expect(await me.page.evaluate(() => document.activeElement?.getAttribute("data-set-mark"))).toBe("bars");
  await me.keys("Control+k");
  await me.type("duplicate");
  await me.keys("Enter");
  await me.see(chosen("friend2"));
  await me.keys("Control+k");
  // what was found last comes first
  expect((await me.texts('[aria-label="Found"] li'))[0]).toMatch("Duplicate");
  await me.keys("Escape");
  expect(screensOf(await me.frame(id))).toBe(23);
});

test("the ways between two screens are shown with the ladder at the end, and played", async () => {
  await listed(world, me, "Routed");
  await me.click(node("units"));
  await me.keys("r");
  await me.click('input[aria-label="From"]');
  await me.type("trips");
  await me.keys("Enter");
  await me.read('[aria-label="Routes, the shortest first"]', "tab Me");
  const strip = (await me.texts('[aria-label="Routes, the shortest first"] > li'))[0]!;
  expect(strip).toMatch(/tab Me.*tap Settings.*tap Units.*1 Settings.*2 Me.*3 Trips.*out of the app/);
  await me.press("button", "Play", "starts");
  await me.waitTop("units");
  // all ways, sorted by a press on a head
  await me.press("button", "all ways");
  await me.see('[aria-sort="none"]');
  await me.clickAt("th button", 2);
  await me.see('[aria-sort="ascending"]');
  const to = await me.texts("tbody td:nth-child(3)");
  expect(to).toEqual([...to].sort((a, b) => a.localeCompare(b, "en", { numeric: true })));
});

test("a frame of a thousand screens is folded, unfolded by what is found, and gone over on a small map", async () => {
  const lines = Array.from({ length: 10 }, (_, t) =>
    [`  Area ${t}`, ...Array.from({ length: 99 }, (__, i) => `    Screen ${t}.${i}`)].join("\n"),
  );
  const id = await shelve(world, blank("Thousand"));
  await open(me, id);
  await chooseRoot(me);
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

test("what one edits with can be read and worked by all, in both themes", async () => {
  await listed(world, me, "Read by all");
  await me.keys("Control+k");
  await me.type("dark theme");
  await me.keys("Enter");
  await me.page.waitForSelector('[data-theme="dark"]');
  await me.click(node("trip"));
  await me.keys("w");
  await me.see('[aria-label="Ways to restructure"]');
  expect(await me.look()).toEqual([]);
  await me.keys("Escape");
  await me.group("bars");
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
  await me.press("button", "all ways");
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
});
