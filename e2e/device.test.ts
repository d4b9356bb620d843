import type { Frame } from "../core/index.js";
import { eachIn, type Person, shelve, type World } from "./world.js";

let me: Person;
let world: World;
eachIn((person, its) => {
  [me, world] = [person, its];
});

const device = "[data-device]";
const action = (id: string) => `${device} [data-action="${id}"]`;
const row = (n: number) => `${device} [data-row="${n}"]`;
const tab = (id: string) => `${device} [data-tab="${id}"]`;
const boxOf = async (selector: string) => (await (await me.see(selector)).boundingBox())!;
/** Presses at one point, goes to another, and lets go there when told. */
const pullFrom = async (x: number, y: number, toX: number, toY: number) => {
  await me.page.mouse.move(x, y);
  await me.page.mouse.down();
  await me.page.mouse.move((x + toX) / 2, (y + toY) / 2, { steps: 4 });
  await me.page.mouse.move(toX, toY, { steps: 4 });
  return () => me.page.mouse.up();
};
/** A slow pull: nothing is flicked. */
const slowly = () => new Promise((resolve) => setTimeout(resolve, 300));
const heightOf = (selector: string) => me.page.$eval(selector, (element) => element.getBoundingClientRect().height);

test("a sheet rests, is dragged higher and back, and swiped away; a tap beside it dismisses it", async () => {
  await me.go("/f/allotment-diary/plan");
  await me.click(row(3));
  await me.waitTop("plot");
  await me.click(action("log"));
  const sheet = `${device} [data-overlay="sheet"]`;
  const whole = await heightOf(device);
  expect((await heightOf(sheet)) / whole).toBeCloseTo(0.5, 1);
  // beneath it nothing is touched
  await me.page.$eval(row(1), (element) => (element as HTMLElement).click());
  expect(await me.count(`${device} [data-screen="water"]`)).toBe(1);

  const grip = await boxOf(`${device} [data-grip]`);
  const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2];
  const up = await pullFrom(x, y, x, y - whole * 0.3);
  await slowly();
  await up();
  await me.page.waitForFunction(
    (css, least) => document.querySelector(css)!.getBoundingClientRect().height > least,
    {},
    sheet,
    whole * 0.84,
  );
  const high = await boxOf(`${device} [data-grip]`);
  const away = await pullFrom(x, high.y + 4, x, high.y + whole * 0.75);
  await away();
  await me.page.waitForSelector(sheet, { hidden: true });

  await me.click(action("log"));
  await me.see(sheet);
  const box = await boxOf(device);
  await me.page.mouse.click(box.x + 30, box.y + 60);
  await me.page.waitForSelector(sheet, { hidden: true });
  await me.waitTop("plot");
  // Escape does the same, with the focus inside
  await me.click(action("log"));
  await me.click(`${device} [data-screen="water"] input`);
  await me.keys("Escape");
  await me.page.waitForSelector(sheet, { hidden: true });
});

test("what a sheet gives back stands first in the list beneath", async () => {
  await me.go("/f/allotment-diary/plan");
  await me.click(row(3));
  await me.click(action("log"));
  await me.click(`${device} [data-screen="water"] input`);
  await me.type("15");
  await me.click(action("save"));
  await me.read(`${device} [data-screen="plot"]`, "Watered with 15 litres");
  await me.read('[aria-label="Why"]', "It was given watered");
});

test("a swipe from the edge goes back with the finger, and can be let go", async () => {
  await me.go("/f/allotment-diary/plan?on=swipe");
  await me.click(row(3));
  await me.waitTop("plot");
  const box = await boxOf(device);
  const [x, y] = [box.x + 4, box.y + box.height / 2];
  const short = await pullFrom(x, y, x + box.width * 0.2, y);
  // what lies beneath is drawn under the finger, and the bar stays where it is
  expect(await me.count(`${device} [data-screen="plots"]`)).toBe(1);
  expect(await me.count(`${device} [role="tablist"]`)).toBe(1);
  await slowly();
  await short();
  await me.page.waitForSelector(`${device} [data-screen="plots"]`, { hidden: true });
  await me.waitTop("plot");
  const far = await pullFrom(x, y, x + box.width * 0.7, y);
  await far();
  await me.page.waitForSelector(`${device} [data-screen="plot"]`, { hidden: true });
  expect(await me.top()).toBe("plots");
});

test("a drawer opens by its button and from the edge, and closes beside it", async () => {
  await me.go("/f/repair-cafe/plan?on=key");
  await me.click(`${device} [data-menu]`);
  const drawer = `${device} [data-drawer]`;
  await me.see(drawer);
  await me.read(drawer, "Call the caretaker");
  const box = await boxOf(device);
  await me.page.mouse.click(box.x + box.width - 12, box.y + 200);
  await me.page.waitForSelector(drawer, { hidden: true });
  const open = await pullFrom(box.x + 4, box.y + 300, box.x + 110, box.y + 300);
  await open();
  await me.see(drawer);
  await me.click(tab("ledger"));
  await me.waitTop("ledger");
  await me.page.waitForSelector(drawer, { hidden: true });
});

test("more tabs than fit stand behind More", async () => {
  await me.go("/f/repair-cafe/plan?on=swipe");
  await me.waitTop("today");
  expect(await me.count(`${device} [role="tab"]`)).toBe(5);
  await me.click(tab("more"));
  await me.click(tab("rules"));
  await me.waitTop("rules");
  expect(await me.page.$eval(tab("more"), (element) => element.getAttribute("aria-selected"))).toBe("true");
});

test("a pair stands side by side where there is room, and both panes are worked", async () => {
  await me.go("/f/night-sky-log/plan?view=1100x760");
  await me.click(row(4));
  await me.see(`${device} [data-screen="night"]`);
  expect(await me.count(`${device} [data-screen]`)).toBe(2);
  await me.click(`${device} [data-screen="nightRows"] [data-row="6"]`);
  await me.read(device, "Night 6");
  await me.click(`${device} [data-screen="night"] [data-row="2"]`);
  await me.see(`${device} [data-screen="sighting"]`);
  expect(await me.ladder()).toEqual(["Sighting 2", "Night 6", "leaves"]);
  // narrower, the same state shows the pane that was opened last
  await me.clickAt('[aria-label="Size of the device"] button', 0);
  await me.page.waitForSelector(`${device} [data-screen="nightRows"]`, { hidden: true });
  expect(await me.ladder()).toEqual(["Sighting 2", "Night 6", "Nights", "leaves"]);
});

const edged: Frame = {
  format: "handy-frame/2",
  name: "At the end",
  root: "app",
  nodes: {
    app: { kind: "stack", children: ["home"] },
    home: { kind: "hub", children: ["a", "b"], face: "drawer", faceEdge: "end" },
    a: { kind: "screen", title: "First" },
    b: { kind: "screen", title: "Second" },
  },
};

test("a drawer at the end edge has its button and its swipe there, and comes from there", async () => {
  const id = await shelve(world, edged);
  await me.go(`/f/${id}/plan`);
  await me.waitTop("a");
  const whole = await boxOf(device);
  const button = await boxOf(`${device} [data-menu]`);
  expect(button.x).toBeGreaterThan(whole.x + whole.width / 2);
  await me.click(`${device} [data-menu]`);
  const drawer = await boxOf(`${device} [data-drawer]`);
  expect(Math.abs(drawer.x + drawer.width - whole.x - whole.width)).toBeLessThan(3);
  await me.click(tab("b"));
  await me.waitTop("b");
  const y = whole.y + whole.height / 2;
  const up = await pullFrom(whole.x + whole.width - 4, y, whole.x + whole.width - 120, y);
  await up();
  await me.see(`${device} [data-drawer]`);
  await me.page.mouse.click(whole.x + 12, y);
  await me.page.waitForFunction(() => !document.querySelector("[data-device] [data-drawer]"));
});

test("what lies under a floating bar is marked with the reason, and so is what is too small to hit", async () => {
  const floating: Frame = {
    ...edged,
    name: "Floating",
    nodes: {
      ...edged.nodes,
      home: { kind: "hub", children: ["a", "b"], floating: true },
      a: {
        kind: "screen",
        title: "First",
        actions: [{ id: "go", label: "Go on", place: "footer", do: { kind: "open", to: "b" } }],
      },
    },
  };
  const id = await shelve(world, floating);
  await me.go(`/f/${id}/plan`);
  await me.waitTop("a");
  await me.read(`${device} [data-hard-to-touch]`, "Go on lies under the floating bar");
  expect(await me.count(`${device} [data-hard-to-touch]`)).toBe(1);
  const low = await shelve(world, {
    ...edged,
    name: "Low",
    nodes: { ...edged.nodes, home: { kind: "hub", children: ["a", "b"] } },
    theme: { sizes: { bar: 20 } },
  });
  await me.go(`/f/${low}/plan`);
  await me.waitTop("a");
  await me.read(`${device} [data-hard-to-touch]`, "× 20 px: less than 24 each way is hard to hit");
  expect(await me.count(`${device} [data-hard-to-touch]`)).toBe(2);
});
