import type { Frame, HubNode } from "../core/index.js";
import { demo, eachIn, type Person, shelve, type World } from "./world.js";

let me: Person;
let world: World;
eachIn((person, its) => {
  [me, world] = [person, its];
});

const device = (n: number) => `[data-sized]:nth-of-type(${n})`;
const onDevice = (n: number, css: string) => `${device(n)} [data-device] ${css}`;
const bands = () => me.texts("[data-sized] [data-band]");
/** What each device shows: its screens, back to front. */
const shown = () =>
  me.page.$$eval("[data-sized]", (all) =>
    all.map((one) =>
      [...one.querySelectorAll("[data-screen]")].map((each) => each.getAttribute("data-screen")).join(" "),
    ),
  );
const showsOn = (n: number, css: string) => me.page.waitForSelector(onDevice(n, css), { timeout: 25_000 });
const open = async (frame: Frame): Promise<string> => {
  const id = await shelve(world, frame);
  await me.go(`/f/${id}/sizes`);
  for (const n of [1, 2, 3, 4]) await me.see(onDevice(n, "[data-screen]"));
  return id;
};

test("one state on every device: all follow what is done on one, each as its size has it", async () => {
  await me.go("/f/night-sky-log/sizes");
  await me.click(onDevice(1, "[data-row='3']"));
  await showsOn(4, '[data-screen="night"]');
  expect(await bands()).toEqual(["hand", "lap · low", "lap", "desk"]);
  // the list stays beside it where there is room, and a low view shows one at a time
  await me.page.waitForFunction(() => document.querySelectorAll('[data-screen="night"]').length === 4);
  expect(await shown()).toEqual(["night", "night", "nightRows night", "nightRows night"]);
  await me.read(`${device(3)} [data-apart]`, "parted at the hinge");
  await me.read(`${device(1)} [data-back]`, "Back: Nights, out");
  await me.read(`${device(3)} [data-back]`, "Back: out");
  // a pair is parted where the hinge is
  const at = await me.page.evaluate((css) => {
    const box = (selector: string) => document.querySelector(`${css} ${selector}`)!.getBoundingClientRect();
    return {
      list: box("[data-pane=list]").right,
      hinge: box("[data-hinge]").left,
      detail: box("[data-pane=detail]").left,
    };
  }, device(3));
  expect(at.list).toBeCloseTo(at.hinge, 0);
  expect(at.detail).toBeGreaterThan(at.hinge);
});

test("a draft that is typed on one device is on every other as it was typed", async () => {
  await me.go("/f/night-sky-log/sizes");
  await me.click(onDevice(1, "[data-tab=me]"));
  await me.click(onDevice(1, '[data-screen="me"] input'));
  await me.type("Eight inch, on loan");
  await me.page.waitForFunction(
    () =>
      [
        ...document.querySelectorAll<HTMLInputElement>("[data-sized] [data-screen=me] label:first-of-type input"),
      ].filter(({ value }) => value === "Eight inch, on loan").length === 4,
  );
});

test("an edge is dragged to any width, by the pointer or by arrows, and the band changes on the way", async () => {
  await me.go("/f/night-sky-log/sizes");
  await me.see(onDevice(4, "[data-screen]"));
  const edge = await me.see(`${device(1)} [role=separator]`);
  const box = (await edge.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await me.page.mouse.move(x, y);
  await me.page.mouse.down();
  await me.page.mouse.move(x + 90, y, { steps: 6 });
  await me.page.waitForFunction(
    (css) => document.querySelector(`${css} [data-band]`)?.textContent !== "hand",
    {},
    device(1),
  );
  await me.page.mouse.up();
  const width = Number(
    await me.page.$eval(`${device(1)} [role=separator]`, (each) => each.getAttribute("aria-valuenow")),
  );
  expect(width).toBeGreaterThan(560);
  await me.page.focus(`${device(1)} [role=separator]`);
  await me.keys("ArrowLeft", "Shift+ArrowRight");
  await me.page.waitForSelector(`${device(1)} [aria-valuenow="${width - 19}"]`);
  // it is kept in this browser
  await me.page.reload();
  await me.page.waitForSelector(`${device(1)} [aria-valuenow="${width - 19}"]`);
});

test("a cell of the grid is set in place, by mouse and by keys, and changes the devices of its views alone", async () => {
  const id = await open(demo("night-sky"));
  const faces = () =>
    me.page.$$eval("[data-sized]", (all) =>
      all.map((one) => {
        const bar = one.querySelector("[data-device] [role=tablist]")!.getBoundingClientRect();
        return bar.width > bar.height ? "row" : "column";
      }),
    );
  expect(await faces()).toEqual(["row", "column", "column", "column"]);
  const cell = '[data-cell="0 2"]';
  await me.click(cell);
  // the devices show what is pointed at before it is made
  await (await me.see('[data-option="bar"]')).hover();
  await me.page.waitForFunction(() => {
    const bar = document.querySelector("[data-sized]:nth-of-type(4) [role=tablist]")!.getBoundingClientRect();
    return bar.width > bar.height;
  });
  await me.keys("Escape");
  await me.page.waitForFunction(() => {
    const bar = document.querySelector("[data-sized]:nth-of-type(4) [role=tablist]")!.getBoundingClientRect();
    return bar.width < bar.height;
  });
  await me.click(cell);
  await me.click('[data-option="bar"]');
  await me.read(cell, "bar");
  expect(await faces()).toEqual(["row", "column", "column", "row"]);
  // by keys: one cell on, and the next value
  await me.page.focus(cell);
  await me.keys("ArrowLeft", "Enter");
  await me.see("[data-option=top]");
  await me.page.focus("[data-option=top]");
  await me.keys("Enter");
  await me.read('[data-cell="0 1"]', "top");
  await me.page.waitForFunction(() => {
    const bar = document.querySelector("[data-sized]:nth-of-type(3) [role=tablist]")!.getBoundingClientRect();
    return bar.width > bar.height;
  });
  expect(await faces()).toEqual(["row", "row", "row", "row"]);
  const club = (await me.frame(id)).nodes.club as HubNode;
  expect(club.face).toBeUndefined();
  expect(await me.texts('[data-cell="0 3"], [data-cell="0 4"], [data-cell="0 5"]')).toEqual(["bar", "rail", "rail"]);
});

test("a band begins elsewhere when its mark is moved, and the tour proves that the state is the same at every size", async () => {
  const id = await open(demo("allotment"));
  await showsOn(1, '[data-screen="plots"]');
  await me.read('[data-change="lap"]', "the bar is a rail");
  await me.page.focus('[data-band-mark="lap"]');
  await me.keys("ArrowRight");
  await me.read('[data-band-mark="lap"]', "580");
  await me.saved();
  expect((await me.frame(id)).bands?.find((band) => band.id === "lap")?.from).toBe(580);
  await me.press("button", "Tour of every size");
  await me.page.waitForSelector('[data-tour="done"]', { timeout: 60_000 });
  await me.read('[data-tour="done"]', "The same at all");
});

test("each device goes its own way from the launch where that is asked for", async () => {
  await me.go("/f/night-sky-log/sizes");
  await me.click(onDevice(1, "[data-row='2']"));
  await showsOn(4, '[data-screen="night"]');
  await me.press("button", "each from its start");
  await me.page.waitForFunction(() => document.querySelectorAll('[data-screen="night"]').length === 0);
  await me.click(onDevice(3, "[data-row='1']"));
  await me.page.waitForFunction(() => document.querySelectorAll('[data-screen="night"]').length === 4);
  await me.press("button", "one state");
  await me.page.waitForFunction(() => document.querySelectorAll('[data-screen="night"]').length === 4);
});

test("right to left, larger text, dark, calm, hidden parts and a device of one's own", async () => {
  await me.go("/f/allotment-diary/sizes");
  await showsOn(2, '[data-screen="plots"]');
  await me.press("button", "right to left");
  await me.page.waitForFunction(() => {
    const rail = document.querySelector("[data-sized]:nth-of-type(3) [role=tablist]")!.getBoundingClientRect();
    const whole = document.querySelector("[data-sized]:nth-of-type(3) [data-device]")!.getBoundingClientRect();
    return Math.abs(rail.right - whole.right) < 3;
  });
  const sizeOfTitle = () =>
    me.page.$eval(`${device(1)} [data-device] span.truncate`, (title) => parseFloat(getComputedStyle(title).fontSize));
  const before = await sizeOfTitle();
  await me.page.select('[aria-label="How large text is set"]', "200");
  await me.page.waitForFunction(
    (css, least) => parseFloat(getComputedStyle(document.querySelector(css)!).fontSize) > least,
    {},
    `${device(1)} [data-device] span.truncate`,
    before * 1.9,
  );
  await me.press("button", "hidden parts");
  await me.see(`${device(3)} [data-covered=hinge]`);
  await me.press("button", "Device", "starts");
  await me.press("button", "Small phone");
  await me.see(`${device(5)} [data-device] [data-screen]`);
  await me.press(`${device(5)} button`, "Small phone");
  await me.press("button", "Turn", "starts");
  await me.read(`${device(5)} figcaption`, "568 × 320");
  expect(await me.look()).toEqual([]);
});

test("by keys alone, and with what cannot be: a width is refused with its reason, taken back by Escape, and put right", async () => {
  await me.go("/f/night-sky-log/sizes");
  await me.see(onDevice(4, "[data-screen]"));
  await me.page.focus(`${device(1)} figcaption button`);
  await me.keys("Enter");
  const field = 'input[aria-label="Width"]';
  await me.see(field);
  await me.page.focus(field);
  const write = async (text: string) => {
    await me.keys("Control+a");
    await me.type(text);
    await me.keys("Enter");
  };
  await write("99999");
  await me.read("[role=alert]", "a whole number from 240 to 2000");
  // one Escape takes back what was typed, the next one closes
  await me.keys("Escape");
  expect(await me.page.$eval(field, (input) => (input as HTMLInputElement).value)).toBe("390");
  await write("612");
  await me.read(`${device(1)} figcaption`, "612 × 844");
  await me.keys("Escape");
  await me.page.waitForFunction((css) => !document.querySelector(css), {}, field);
  await me.page.waitForFunction(
    (css) => document.activeElement === document.querySelector(css),
    {},
    `${device(1)} figcaption button`,
  );
});
