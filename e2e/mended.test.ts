import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { Frame } from "../core/index.js";
import { chosen, listed, node } from "./listed.js";
import { eachIn, type Person, shelve, type World } from "./world.js";

let world: World;
let me: Person;
eachIn((person, its) => {
  me = person;
  world = its;
});

const bench = 'section[aria-label="Bench"]';
const undoSays = () => me.page.$eval('button[aria-label="Undo"]', (button) => (button as HTMLElement).title);
const call = async (id: string, title: string) => {
  await me.click(node(id));
  await me.keys("Enter", "Control+a");
  await me.type(title);
  await me.keys("Enter");
  await me.page.waitForFunction(
    (at, text) => document.querySelector(`[data-node="${at}"]`)?.textContent?.includes(text),
    {},
    id,
    title,
  );
};

test("a change that the server cannot store is told, tried again and set aside; all others are stored", async () => {
  const id = await listed(world, me, "Set aside");
  let tries = 0;
  let isFailing = true;
  await me.page.setRequestInterception(true);
  me.page.on("request", (request) => {
    if (!isFailing || request.method() !== "POST" || !request.postData()?.includes("Cursed"))
      return void request.continue();
    tries += 1;
    void request.respond({
      status: 500,
      contentType: "application/problem+json",
      body: JSON.stringify({ title: "The database cannot keep this", detail: "No room for a curse.", status: 500 }),
    });
  });
  await call("map", "Cursed");
  await me.read(
    '[role="alert"]',
    "The server cannot store “Call Map Cursed”. The database cannot keep this. No room for a curse.",
  );
  await call("packing", "Rucksack");
  const aside = 'section[aria-label="Changes the server could not store"]';
  await me.read(aside, "Call Map Cursed: The database cannot keep this. No room for a curse.");
  expect(tries).toBeGreaterThanOrEqual(3);
  // what was said while it was tried is said no more, and the notice is whole
  expect((await me.texts('[role="alert"]')).filter((text) => text.includes("tried again"))).toEqual([]);
  expect(await me.page.$eval(aside, (element) => element.scrollHeight - element.clientHeight)).toBe(0);
  const { nodes } = await me.frame(id);
  expect([nodes.map!.title, nodes.packing!.title]).toEqual(["Map", "Rucksack"]);
  await me.read(node("map"), "Map");
  expect(await undoSays()).toBe("Undo: Call Packing Rucksack (Ctrl Z)");
  // it is found after a reload too, and can be made again
  await me.page.reload();
  await me.read(aside, "Call Map Cursed");
  expect(await me.look()).toEqual([]);
  isFailing = false;
  await me.press(`${aside} button`, "Try again");
  await me.page.waitForSelector(aside, { hidden: true });
  expect((await me.frame(id)).nodes.map!.title).toBe("Cursed");
}, 60_000);

test("a change that was set aside is looked at part by part, mended, and made", async () => {
  const id = await listed(world, me, "Looked at");
  const set = (node: string, key: string, value: unknown) => ({ kind: "set", node, key, value });
  const edit = {
    kind: "batch",
    edits: [
      set("map", "title", "Chart"),
      set("map", "path", "/chart"),
      set("packing", "title", "Rucksack"),
      set("map", "also", ["/old-map"]),
    ],
  };
  const aside = [{ key: "k1", label: "Names and addresses", edit, why: "The database cannot keep this." }];
  await me.page.evaluate(
    (key, value) => localStorage.setItem(key, JSON.stringify({ form: 3, value })),
    `handy-frame:aside:${id}`,
    aside,
  );
  await me.page.reload();
  await me.press("section[role=alert] button", "Look and mend");
  const dialog = "[role=dialog]";
  await me.read(dialog, "The database cannot keep this.");
  expect(await me.texts(`${dialog} tbody label`)).toEqual([
    "title of Map",
    "path of Map",
    "also of Map",
    "title of Packing",
  ]);
  const field = (name: string) => `${dialog} textarea[aria-label="${name}"]`;
  const write = async (name: string, text: string) => {
    await me.page.focus(field(name));
    await me.keys("Control+a");
    await me.type(text);
    await me.keys("Enter");
  };
  await write("path of Map", "chart");
  expect(await me.look()).toEqual([]);
  // said at once, before anything is sent
  await me.read(`${dialog} tbody [role=alert]`, 'received "chart"');
  await me.page.focus(field("path of Map"));
  await me.keys("Control+a");
  await me.type("/sea-chart");
  // who goes on by Tab comes to the next part, also where what was wrong is gone by that
  await me.keys("Tab");
  await me.page.waitForSelector(`${dialog} tbody [role=alert]`, { hidden: true });
  expect(await me.page.evaluate(() => document.activeElement?.getAttribute("role"))).toBe("checkbox");
  // what cannot be looked at here is told by the server
  await write("also of Map", "[7");
  await me.read(`${dialog} tbody [role=alert]`, "This is no JSON");
  await write("also of Map", "7");
  await me.press(`${dialog} button`, "Make it so");
  await me.read(`${dialog} tbody [role=alert]`, "also");
  await me.press(`${dialog} label`, "also of Map");
  await me.press(`${dialog} label`, "title of Packing");
  await me.press(`${dialog} button`, "Make it so");
  await me.page.waitForSelector(dialog, { hidden: true });
  await me.page.waitForSelector("section[role=alert]", { hidden: true });
  await me.saved();
  const { nodes } = await me.frame(id);
  expect(nodes).toMatchObject({ map: { title: "Chart", path: "/sea-chart" }, packing: { title: "Packing" } });
  expect(await undoSays()).toBe("Undo: Names and addresses (Ctrl Z)");
});

test("a part of the page that breaks says so in its place, the others work on, and it is back when that is undone", async () => {
  await me.page.evaluateOnNewDocument(() => {
    const real = window.encodeURI;
    window.encodeURI = (text) => {
      if (text.includes("knife")) throw new URIError("no icon of a knife");
      return real(text);
    };
  });
  const id = await listed(world, me, "Broken part");
  await me.click(node("map"));
  await me.keys("p");
  await me.waitTop("map");
  /** Gives a tab an icon from outside, as another window does. */
  const icon = async (name: string) => {
    const { revision } = (await (await fetch(new URL(`/api/frames/${id}`, world.served.url))).json()) as {
      revision: number;
    };
    const edit = { kind: "set", node: "mapTab", key: "tab", value: { icon: name } };
    const response = await fetch(new URL(`/api/frames/${id}/edits`, world.served.url), {
      method: "POST",
      headers: { "content-type": "application/json", "if-match": `"${revision}"` },
      body: JSON.stringify({ edits: [{ key: `icon ${name}`, label: "Icon", edit }] }),
    });
    expect(response.status).toBe(200);
  };
  await icon("knife");
  await me.read('[role="alert"]', "The drawing of the plan broke.");
  await me.read('[data-device] [role="alert"]', "The device broke.");
  await me.read('[role="alert"]', "no icon of a knife");
  // the line on top, the bench and the address line work on
  await me.see('button[aria-label="Undo"]');
  await me.see(`${bench} input[value="/map"]`);
  await me.see('input[aria-label^="Address of the screen"]');
  await me.keys("Control+k");
  await me.type("packing");
  await me.read('[aria-label="Found"] [aria-selected="true"]', "Packing");
  await me.keys("Escape");
  await icon("map-trifold");
  await me.page.waitForFunction(() => !document.querySelector('[role="alert"]'));
  await me.see(node("mapTab"));
  await me.see("[data-device] [data-tab]");
  expect(me.errors.splice(0).every((error) => error.includes("knife"))).toBe(true);
});

test("after a restore undo takes back the restore, then what was before it; an id that is given back is followed", async () => {
  const id = await listed(world, me, "Restored");
  await call("map", "Chart");
  await call("packing", "Rucksack");
  await me.saved();
  await me.click('[data-sync="saved"]');
  await me.see('[role="dialog"] ol');
  await me.clickAt('[role="dialog"] li button:last-child', -2);
  await me.page.waitForSelector('[role="dialog"]', { hidden: true });
  await me.read(node("map"), "Map");
  expect(await undoSays()).toBe("Undo: Restore revision 2 (Ctrl Z)");
  await me.click('button[aria-label="Undo"]');
  await me.read(node("map"), "Chart");
  expect(await undoSays()).toBe("Undo: Call Packing Rucksack (Ctrl Z)");
  await me.click('button[aria-label="Undo"]');
  await me.read(node("packing"), "Packing");
  await me.saved();
  // the device and what is chosen go with an id, there and back
  await me.click(node("templates"));
  await me.keys("p");
  await me.waitTop("templates");
  const field = `${bench} input[aria-label^="Id, as"]`;
  await me.click(field);
  await me.keys("Control+a");
  await me.type("patterns");
  await me.keys("Enter");
  await me.waitTop("patterns");
  await me.see(chosen("patterns"));
  // whoever writes an id has not gone to the plan
  await me.type("n");
  expect(await me.page.$eval(field, (input) => (input as HTMLInputElement).value)).toBe("patternsn");
  await me.keys("Escape");
  await me.click('button[aria-label="Undo"]');
  await me.waitTop("templates");
  await me.see(chosen("templates"));
  await me.click('button[aria-label="Redo"]');
  await me.waitTop("patterns");
  expect((await me.frame(id)).nodes.patterns).toMatchObject({ title: "Templates" });
});

test("the chosen tab is a tooth: its cell takes the page's colour, on the device and on the plan's pictures", async () => {
  const colours = (selector: string) =>
    me.page.$eval(selector, (tab) => {
      const style = getComputedStyle(tab);
      const probe = document.createElement("i");
      const of = (name: string) => {
        probe.style.color = style.getPropertyValue(name);
        document.body.append(probe);
        return getComputedStyle(probe).color;
      };
      return { cell: style.backgroundColor, page: of("--page"), mark: of("--mark"), radius: style.borderRadius };
    });
  const active = '[data-device] [role="tab"][aria-selected="true"]';
  await me.go("/f/allotment-diary/plan");
  for (const view of ["390x844", "700x840", "1100x792"]) {
    await me.go(`/f/allotment-diary/plan?view=${view}`);
    const { cell, page, radius } = await colours((await me.see(active), active));
    expect([cell, radius]).toEqual([page, "0px"]);
    // whole: no pill behind the icon
    const icon = await me.page.$eval(`${active} > span`, (span) => getComputedStyle(span).backgroundColor);
    expect(icon).toBe("rgba(0, 0, 0, 0)");
  }
  const sky = JSON.parse(
    readFileSync(join(import.meta.dirname, "..", "demo", "night-sky.frame.json"), "utf8"),
  ) as Frame;
  await me.go(`/f/${await shelve(world, { ...sky, name: "Marked" })}/plan`);
  await me.see(active);
  expect((await colours(active)).cell).toBe("rgba(0, 0, 0, 0)");
  // filled, it is the whole cell
  await me.click('button[aria-label="More"]');
  await me.press('[role="menuitem"]', "Theme");
  await me.group("measures");
  await me.press(`${bench} [role="radio"], ${bench} button`, "fill", "starts");
  await me.page.waitForFunction(
    (css) => getComputedStyle(document.querySelector(css)!).backgroundColor !== "rgba(0, 0, 0, 0)",
    {},
    active,
  );
  const filled = await colours(active);
  expect(filled.cell).toBe(filled.mark);
});
