import { blank, chosen, listed, node, open } from "./listed.js";
import { demo, eachIn, type Person, shelve, type World } from "./world.js";

let world: World;
let me: Person;
eachIn((person, its) => {
  me = person;
  world = its;
});

const bench = 'section[aria-label="Bench"]';
/** What has the focus: a node of the plan by its id, else what it is called. */
const focus = () =>
  me.page.evaluate(() => {
    const at = document.activeElement as HTMLElement | null;
    if (!at || at === document.body) return "nowhere";
    return at.dataset.node ?? at.getAttribute("aria-label") ?? at.textContent ?? at.tagName;
  });
const focused = (name: string) =>
  me.page.waitForFunction(
    (what) => {
      const at = document.activeElement as HTMLElement | null;
      return (at?.dataset.node ?? at?.getAttribute("aria-label") ?? at?.textContent)?.startsWith(what);
    },
    {},
    name,
  );
const typed = () => me.page.evaluate(() => (document.activeElement as HTMLInputElement).value);
/** Nothing is other than before, on the server and in what is chosen. */
const unchanged = async (id: string, before: string, at: string) => {
  expect(await me.file(id)).toBe(before);
  expect(await me.count('[aria-selected="true"][role="treeitem"]')).toBe(1);
  await me.see(chosen(at));
};

test("what is refused stays in its field with the reason and the focus; letters go there and nowhere else", async () => {
  const id = await listed(world, me, "Refused");
  await me.click(node("map"));
  const before = await me.file(id);
  const address = `${bench} input[value="/map"]`;
  await me.click(address);
  await me.keys("Control+a");
  await me.type("home page");
  await me.keys("Enter");
  await me.read(`${bench} [role="alert"]`, "Map (map): received");
  expect(await typed()).toBe("home page");
  await me.type("nans");
  expect(await typed()).toBe("home pagenans");
  await unchanged(id, before, "map");
  // Escape takes back what was typed, once more gives the focus back
  await me.keys("Escape");
  expect(await typed()).toBe("/map");
  expect(await me.count(`${bench} [role="alert"]`)).toBe(0);
  await me.keys("Escape");
  await focused("map");
  // a letter that can be neither kept nor sent is refused there too, before anything is sent
  await me.click(`${bench} input[value="Map"]`);
  await me.keys("Control+a");
  await me.page.evaluate(() => {
    const field = document.activeElement as HTMLInputElement;
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")!.set!.call(field, "Map\u0000");
    field.dispatchEvent(new Event("input", { bubbles: true }));
  });
  await me.keys("Enter");
  await me.read(`${bench} [role="alert"]`, "the control character U+0000");
  await me.keys("Escape");
  await unchanged(id, before, "map");
  // what is taken leaves the focus where it is
  await me.keys("Control+a");
  await me.type("Charts");
  await me.keys("Enter");
  expect(await typed()).toBe("Charts");
  expect((await me.frame(id)).nodes.map).toMatchObject({ title: "Charts" });
});

test("Escape closes one thing and gives the focus back where it was", async () => {
  const id = await listed(world, me, "One thing");
  await me.click(node("trip"));
  const before = await me.file(id);
  // the list of a field, which keeps the focus: what is typed next goes there
  await me.group("out");
  await me.click('input[aria-label^="Add a way out"]');
  await me.see('[role="listbox"]');
  await me.keys("Escape");
  await me.page.waitForSelector('[role="listbox"]', { hidden: true });
  await me.type("sam");
  expect(await typed()).toBe("sam");
  await me.keys("Escape");
  expect(await typed()).toBe("");
  await me.keys("Escape");
  await focused("trip");
  // menus, pickers and panels that a key opened
  for (const [key, seen] of [
    ["w", '[role="dialog"][aria-label="Restructure"]'],
    ["a", 'input[aria-label="Add"]'],
    ["l", "textarea"],
  ] as const) {
    await me.keys(key);
    await me.see(seen);
    await me.keys("Escape");
    await me.page.waitForSelector(seen, { hidden: true });
    await focused("trip");
  }
  // what a button opened: back to the button
  await me.press(`${bench} button`, "Restructure", "starts");
  await me.see('[role="dialog"][aria-label="Restructure"]');
  await me.keys("Escape");
  await focused("Restructure");
  await me.press(`${bench} button`, "Add", "starts");
  await me.see('input[aria-label="Add"]');
  await me.keys("Escape");
  await focused("Add");
  await me.group("bars");
  await me.click('[data-set-mark="bars"]');
  await me.see('[role="dialog"]');
  await me.keys("Escape");
  await focused("Bars");
  // in a dialog, the name that is being written first
  await me.click('[data-sync="saved"]');
  await me.see('[role="dialog"]');
  await me.press('[role="dialog"] li button', "Put on the shelf");
  await me.see('input[aria-label="Name of the change"]');
  await me.type("Some");
  await me.keys("Escape");
  await me.page.waitForSelector('input[aria-label="Name of the change"]', { hidden: true });
  await me.read('[role="dialog"]', "Put on the shelf");
  await focused("Put on the shelf");
  await me.keys("Escape");
  await me.page.waitForSelector('[role="dialog"]', { hidden: true });
  // a new name for the frame, and one for a card
  await me.press("header button", "One thing");
  await me.type("Other");
  await me.keys("Escape");
  await focused("One thing");
  await me.click(node("trip"));
  await me.keys("Enter");
  await me.type("Other");
  await me.keys("Escape");
  await focused("trip");
  await unchanged(id, before, "trip");
});

test("Enter is done with a line: it closes, the focus is back where it was, and the same Enter presses nothing there", async () => {
  await listed(world, me, "Named by keys");
  /** Opens a line by a key on a button, writes in it and is done: the line is closed, and stays so. */
  const write = async (button: string, line: string, text: string) => {
    await (await me.see(button)).focus();
    await me.keys("Enter");
    await me.see(line);
    await me.keys("Control+a");
    await me.type(text);
    await me.keys("Enter");
    await me.page.waitForSelector(line, { hidden: true });
    await me.page.waitForFunction((css) => document.activeElement === document.querySelector(css), {}, button);
    expect(await me.count(line)).toBe(0);
  };
  await write('[data-return="frame-name"]', 'input[aria-label="Name of the frame"]', "Called anew");
  await me.read('[data-return="frame-name"]', "Called anew");
  await me.saved();
  await me.click('[data-sync="saved"]');
  await write('[data-return^="change "]', 'input[aria-label="Name of the change"]', "The first of them");
  await me.keys("Escape");
  await me.click(node("packingTab"));
  await me.group("tab");
  const icon = `${bench} button[aria-label^="Icon"]:not([aria-label$="view"])`;
  await write(icon, 'input[aria-label="Find an icon by its name"]', "anchor");
  await me.page.waitForSelector(`${icon}[aria-label$="anchor"]`);
  await me.go(`/f/${await shelve(world, demo("repair-cafe"))}/state`);
  await me.waitTop("today");
  await me.click("[data-device] [data-row='2']");
  await me.waitTop("slot");
  await write('[data-return="keep-journey"]', 'input[aria-label="Name of the journey"]', "To a slot");
  await me.read("[data-journey]", "To a slot");
});

test("letters are for the plan while the person has put the focus there, and for nothing else", async () => {
  const id = await listed(world, me, "Letters");
  await me.click(node("trip"));
  const before = await me.file(id);
  await me.click(`${bench} h2`);
  expect(await focus()).toBe("nowhere");
  await me.keys("n", "d", "Delete", "s", "a");
  await unchanged(id, before, "trip");
  await me.page.goto(me.page.url().split("?")[0]!);
  await me.see("[data-device] [data-screen]");
  expect(await focus()).toBe("nowhere");
  await me.keys("n", "a", "l");
  expect(await me.file(id)).toBe(before);
  expect(await me.count("textarea")).toBe(0);
  // an arrow changes nothing, and puts the focus there
  await me.keys("ArrowDown");
  await me.see(chosen("app"));
  await focused("app");
  // what had the focus is gone by what was done on the plan: keys go on
  await me.click(node("templates"));
  await me.keys("Delete");
  await me.see('[role="dialog"]');
  await me.keys("Enter");
  await me.page.waitForSelector(node("templates"), { hidden: true });
  await me.keys("Control+z");
  await me.see(node("templates"));
});

test("every list that opens filters by typing, and takes nothing that was not chosen", async () => {
  const id = await listed(world, me, "Lists");
  await me.click(node("trip"));
  const before = await me.file(id);
  const menu = '[role="dialog"][aria-label="Restructure"]';
  const rows = () => me.texts(`${menu} [role="option"] span:first-child`);
  await me.keys("w");
  await me.see(menu);
  await me.keys("Enter");
  expect(await me.count(`${menu} [aria-selected="true"]`)).toBe(0);
  await me.type("wrap");
  await me.read(`${menu} [aria-selected="true"]`, "Wrap in a stack");
  expect(await rows()).toEqual(["Wrap in a stack", "Wrap in tabs", "Wrap in a sheet", "Unwrap"]);
  await me.type("xx");
  await me.read(menu, "Nothing is called that");
  await me.keys("Enter", "Escape");
  await me.page.waitForSelector(menu, { hidden: true });
  for (const [key, field] of [
    ["a", 'input[aria-label="Add"]'],
    ["", 'input[aria-label^="Add a way out"]'],
  ] as const) {
    if (key) await me.keys(key);
    else {
      await me.group("out");
      await me.click(field);
    }
    await me.see('[role="listbox"]');
    await me.keys("Enter");
    expect(await me.count('[role="listbox"]')).toBe(1);
    await me.keys("Escape");
  }
  await unchanged(id, before, "trip");
  // by mouse: the list of stacks stays on the way to it, and what is pressed is taken
  await me.click(node("trip"));
  await me.press(`${bench} button`, "Restructure", "starts");
  await me.press(`${menu} [role="option"]`, "Share with", "starts");
  await me.see(`${menu} [role="listbox"][aria-label="Share with"]`);
  expect(await me.file(id)).toBe(before);
  const stacks = await rows();
  expect(stacks).toEqual(expect.arrayContaining(["App", "Packing", "Me"]));
  // one thing at a time: back to all changes of mind
  await me.keys("Escape");
  await me.see('[aria-label="Ways to restructure"]');
  await me.press(`${menu} [role="option"]`, "Share with", "starts");
  await me.press(`${menu} [role="option"]`, "Packing", "starts");
  await me.page.waitForSelector(menu, { hidden: true });
  await me.see(node("trip", "packingTab"));
  expect((await me.frame(id)).nodes.packingTab).toMatchObject({ children: expect.arrayContaining(["trip"]) });
});

describe("what is found out of sight is brought there and has the focus", () => {
  /** Whether what is chosen, or its head where it is larger than the room, can be seen. */
  const isInSight = (id: string) =>
    me.page.waitForFunction(
      (at) => {
        const element = document.activeElement as HTMLElement;
        const room = element.closest('[role="tree"]')?.parentElement?.getBoundingClientRect();
        if (element.dataset.node !== at || element.getAttribute("aria-selected") !== "true" || !room) return false;
        const own = element.getBoundingClientRect();
        const isIn = (from: number, to: number, least: number, most: number) =>
          to - from > most - least ? from >= least - 1 && from < most - 40 : from >= least - 1 && to <= most + 1;
        return isIn(own.left, own.right, room.left, room.right) && isIn(own.top, own.bottom, room.top, room.bottom);
      },
      {},
      id,
    );
  const wide = async (name: string) => {
    const lines = Array.from({ length: 12 }, (_, t) =>
      [`  Area ${t}`, ...Array.from({ length: 14 }, (__, i) => `    Part ${t}.${i}`)].join("\n"),
    );
    const id = await shelve(world, blank(name));
    await open(me, id);
    await me.click('[role="treeitem"]');
    await me.paste(["Main =", ...lines, "Far flow > ^fullscreen", "  First", "  Second", ""].join("\n"));
    await me.read('[role="status"]', "makes");
    await me.keys("Control+Enter");
    await me.see(chosen("main"));
    await me.saved();
    return id;
  };
  test("a tab's plate, a container, a screen; again, from afar, and after a reload", async () => {
    await wide("Out of sight");
    for (const [text, id] of [
      ["Area 11", "area11Tab"],
      ["Area 0", "area0Tab"],
      ["Far flow", "farFlowStack"],
      ["Part 9.13", "part913"],
      ["Main", "main"],
    ] as const) {
      await me.find(text);
      await isInSight(id);
    }
    await me.find("Area 11");
    await isInSight("area11Tab");
    // chosen already, and out of sight by now
    await me.page.evaluate(() => document.querySelector('[role="tree"]')!.parentElement!.scrollTo(0, 0));
    await me.find("Area 11");
    await isInSight("area11Tab");
    // from afar it is drawn as large as it takes to read it
    await me.keys("f");
    await me.find("Far flow");
    await isInSight("farFlowStack");
    expect((await (await me.see(node("farFlowStack"))).boundingBox())!.height).toBeGreaterThan(80);
    for (const id of ["area11Tab", "farFlowStack", "part913"]) {
      await me.find(id === "area11Tab" ? "Area 11" : id === "part913" ? "Part 9.13" : "Far flow");
      await isInSight(id);
      await me.page.waitForFunction((at) => new URLSearchParams(location.search).get("at") === at, {}, id);
      await me.page.reload();
      await isInSight(id);
    }
  });
});
