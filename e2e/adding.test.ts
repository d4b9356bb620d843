import { chosen, listed, node } from "./listed.js";
import { eachIn, type Person, type World } from "./world.js";

let world: World;
let me: Person;
eachIn((person, its) => {
  me = person;
  world = its;
});

const bench = 'section[aria-label="Bench"]';
const labels = async (id: string, of: string): Promise<string[]> => {
  const screen = (await me.frame(id)).nodes[of]!;
  return screen.kind === "screen" ? (screen.actions ?? []).map(({ label }) => label) : [];
};

test("what is added at a screen is led to from there by its name, and one undo takes back that way alone", async () => {
  const id = await listed(world, me, "Led to");
  await me.click(node("map"));
  const before = await labels(id, "map");
  await me.keys("a");
  await me.type("Sheet");
  await me.read('[role="option"][aria-selected="true"]', "Sheet");
  await me.keys("Enter");
  await me.see('input[aria-label="Title"]');
  await me.type("Legend");
  await me.keys("Enter");
  await me.see(chosen("legend"));
  await me.read(bench, "Map leads to Legend now");
  expect(await labels(id, "map")).toEqual([...before, "Legend"]);
  await me.keys("Control+z");
  await me.saved();
  expect(await labels(id, "map")).toEqual(before);
  expect((await me.frame(id)).nodes.legend).toMatchObject({ title: "Legend", opens: "sheet" });
  // beside it, as a sibling, nothing leads there by itself
  await me.click(node("map"));
  await me.keys("n");
  await me.see('input[aria-label="Title"]');
  await me.type("Layers");
  await me.keys("Enter");
  await me.see(chosen("layers"));
  expect(await labels(id, "map")).toEqual(before);
});

test("before something is taken out it is said which ways go with it, and they can lead elsewhere", async () => {
  const id = await listed(world, me, "Taken out");
  await me.click(node("units"));
  await me.keys("Delete");
  await me.read('[role="dialog"]', "Settings, “Units”, to Units");
  const before = await me.file(id);
  await me.keys("Escape");
  await me.page.waitForSelector('[role="dialog"]', { hidden: true });
  expect(await me.file(id)).toBe(before);
  await me.keys("Delete");
  await me.click('[role="dialog"] input[role="combobox"]');
  await me.type("langu");
  await me.keys("Enter");
  await me.page.waitForSelector(node("units"), { hidden: true });
  // the keys go on on the plan, at what is chosen now
  await me.page.waitForFunction(() => document.activeElement?.matches('[data-node][aria-selected="true"]'));
  const { settings, units } = (await me.frame(id)).nodes;
  expect(units).toBeUndefined();
  expect(settings?.kind === "screen" && settings.actions?.map(({ do: act }) => act)).toEqual([
    { kind: "open", to: "language" },
    { kind: "open", to: "language" },
  ]);
  // by keys alone, with its ways
  await me.click(node("language"));
  await me.keys("Delete");
  await me.see('[role="dialog"]');
  await me.keys("Enter");
  await me.page.waitForSelector(node("language"), { hidden: true });
  expect(await labels(id, "settings")).toEqual([]);
  // what nothing leads to goes at once
  await me.click(node("mapTab"));
  await me.keys("Delete");
  await me.page.waitForSelector(node("mapTab"), { hidden: true });
  await me.keys("Control+z", "Control+z", "Control+z");
  await me.see(node("units"));
});

test("a list begins empty, with what was being written at hand, and its lines go in and out by levels", async () => {
  await listed(world, me, "Lists");
  const text = () => me.page.$eval("textarea", (area) => area.value);
  await me.click(node("map"));
  await me.keys("l");
  await me.see("textarea");
  expect(await text()).toBe("");
  await me.type("Layers");
  await me.keys("Enter");
  await me.type("Roads");
  await me.keys("Tab");
  await me.page.waitForFunction(() => document.querySelector("textarea")!.value === "Layers\n  Roads");
  await me.keys("Control+ArrowLeft", "Backspace");
  await me.page.waitForFunction(() => document.querySelector("textarea")!.value === "Layers\nRoads");
  await me.keys("Tab");
  await me.page.waitForFunction(() => document.querySelector("textarea")!.value === "Layers\n  Roads");
  await me.keys("Shift+Tab");
  await me.page.waitForFunction(() => document.querySelector("textarea")!.value === "Layers\nRoads");
  await me.keys("Escape");
  await me.page.waitForFunction(() => (document.activeElement as HTMLElement).dataset.node === "map");
  await me.keys("l");
  await me.see("textarea");
  expect(await text()).toBe("");
  await me.press(`${bench} button`, "The one before");
  await me.page.waitForFunction(() => document.querySelector("textarea")!.value === "Layers\nRoads");
});

test("a list and what its rows lead to become a pair in one step", async () => {
  const id = await listed(world, me, "As a pair");
  await me.click(node("trips"));
  await me.keys("w");
  await me.see('[role="dialog"][aria-label="Restructure"]');
  await me.type("list and its detail");
  await me.keys("Enter");
  await me.see(chosen("tripsPair"));
  expect((await me.frame(id)).nodes.tripsPair).toMatchObject({ kind: "pair", list: "tripsList", detail: "tripDetail" });
  await me.keys("Control+z");
  await me.page.waitForSelector(node("tripsPair"), { hidden: true });
});

test("a title that is half typed when the window closes is there when it opens again", async () => {
  const id = await listed(world, me, "Half typed");
  await me.click(node("map"));
  await me.keys("Enter");
  await me.see('input[aria-label="Title"]');
  await me.keys("Control+a");
  await me.type("Charts");
  await me.page.reload();
  await me.read('[data-node="map"]', "Charts");
  expect((await me.frame(id)).nodes.map).toMatchObject({ title: "Charts" });
});
