import type { Page } from "puppeteer-core";
import { demo, eachIn, type Person, shelve, type World } from "./world.js";

let me: Person;
let world: World;
eachIn(
  (person, its) => {
    [me, world] = [person, its];
  },
  { moves: true },
);

const device = "[data-device]";
/** Waits until nothing moves on any device. */
const atRest = (page: Page = me.page) =>
  page.waitForFunction(() => !document.querySelector("[data-moving]"), { timeout: 25_000 });
/** What of the page is drawn on its devices, in words: each element that a person could tell from another, with where it is. */
const drawn = () =>
  me.page.evaluate(() => {
    const round = (value: number) => Math.round(value * 2) / 2;
    return [...document.querySelectorAll("[data-device]")].map((device) => {
      const from = device.getBoundingClientRect();
      return [...device.querySelectorAll("*")]
        .filter(
          (each) => getComputedStyle(each).display !== "contents" && !each.closest("[aria-label='Hard to touch']"),
        )
        .map((each) => {
          const { x, y, width, height } = each.getBoundingClientRect();
          const { opacity, backgroundColor, color } = getComputedStyle(each);
          const own = [...each.childNodes].flatMap((node) => (node.nodeType === 3 ? [node.textContent] : [])).join("");
          return [
            each.tagName,
            [x - from.x, y - from.y, width, height].map(round).join(" "),
            opacity,
            backgroundColor,
            color,
            own,
            each.scrollTop,
            (each as HTMLElement).inert ? "inert" : "",
          ].join("|");
        });
    });
  });
const layers = () =>
  me.page.evaluate(() => ({
    leaving: document.querySelectorAll("[data-leaving]").length,
    running: document.getAnimations().filter((each) => !(each instanceof CSSTransition)).length,
  }));
const pace = (value: number) =>
  me.page.evaluate((kept) => localStorage.setItem("handy-frame:pace", JSON.stringify({ form: 3, value: kept })), value);

/** The demo with a push and a calm motion of its own that take so many times as long as usual: a machine that stands still does not miss them. */
const slow = (times: number) => {
  const frame = demo("allotment");
  const furrow = frame.motions!.furrow!;
  for (const { ease } of [...furrow.forward.incoming, ...furrow.forward.outgoing])
    if (typeof ease === "object" && "spring" in ease)
      Object.assign(ease.spring, {
        stiffness: ease.spring.stiffness / times ** 2,
        damping: ease.spring.damping / times,
      });
  const fade = { property: "opacity", from: 0, to: 1, ms: 200 * times, ease: "linear" } as const;
  frame.motions!.dim = { name: "Dim", forward: { incoming: [fade], outgoing: [], above: "incoming" }, back: "mirror" };
  frame.calm = "dim";
  return shelve(world, frame);
};

test("a push brings the new screen from the end over the one that goes, the bar stands still; slowed down it is seen", async () => {
  await me.go(`/f/${await slow(3)}/plan?on=swipe`);
  await me.waitTop("plots");
  await atRest();
  await me.page.select("select[aria-label='How fast devices move']", "0.1");
  await me.click(`${device} [data-row="3"]`);
  const at = () =>
    me.page.evaluate(() => {
      const left = (css: string) => {
        const element = document.querySelector(`[data-device] ${css}`);
        return element
          ? element.getBoundingClientRect().x - element.closest("[data-device]")!.getBoundingClientRect().x
          : null;
      };
      return {
        plot: left('[data-screen="plot"]'),
        plots: left('[data-screen="plots"]'),
        bar: left('[role="tablist"]'),
      };
    });
  await me.page.waitForFunction(() => document.querySelectorAll("[data-device] [data-screen]").length === 2);
  const early = await at();
  await me.page.waitForFunction(
    (from) => {
      const plot = document.querySelector('[data-device] [data-screen="plot"]')!;
      return plot.getBoundingClientRect().x < from - 20;
    },
    {},
    (await me.page.$eval('[data-device] [data-screen="plot"]', (each) => each.getBoundingClientRect().x)) as number,
  );
  const later = await at();
  expect(later.plot!).toBeLessThan(early.plot!);
  expect(later.plots!).toBeLessThanOrEqual(0);
  expect(later.bar).toBe(early.bar);
  expect(await me.page.$eval('[data-device] [data-screen="plots"]', (each) => each.closest("[inert]") !== null)).toBe(
    true,
  );
  await atRest();
  expect(await layers()).toEqual({ leaving: 0, running: 0 });
});

test("taps every 80 ms for five seconds leave no layer behind, and what is drawn then is the state as it is drawn afresh", async () => {
  await me.go("/f/allotment-diary/plan");
  await me.click(`${device} [data-row="3"]`);
  await me.waitTop("plot");
  await me.page.evaluate(async () => {
    const of = (css: string) =>
      [...document.querySelectorAll<HTMLElement>(`[data-device] ${css}`)].find((each) => !each.closest("[inert]"));
    const presses = [
      "[data-row='2']",
      "[data-back]",
      "[data-tab='tasksTab']",
      "[data-row='4']",
      "[data-tab='plotsTab']",
      "[data-action='log']",
      "[data-scrim]",
    ];
    for (let i = 0, until = performance.now() + 5000; performance.now() < until; i += 1) {
      const found = presses.map(of).filter((each) => each !== undefined);
      found[(i * 7 + (i % 3)) % Math.max(1, found.length)]?.dispatchEvent(new MouseEvent("click", { bubbles: true }));
      await new Promise((resolve) => setTimeout(resolve, 80));
    }
  });
  await atRest();
  expect(await layers()).toEqual({ leaving: 0, running: 0 });
  const before = await drawn();
  await me.page.reload();
  await me.see(`${device} [data-screen]`);
  await atRest();
  expect(await drawn()).toEqual(before);
});

test("a finger leads the way back and lets go of it, or goes on with its speed", async () => {
  await me.go("/f/allotment-diary/plan?on=swipe");
  await me.click(`${device} [data-row="3"]`);
  await me.waitTop("plot");
  await atRest();
  const box = (await (await me.see(device)).boundingBox())!;
  const left = () =>
    me.page.$eval('[data-device] [data-screen="plot"]', (each) => Math.round(each.getBoundingClientRect().x));
  const began = await left();
  await me.page.mouse.move(box.x + 4, box.y + 200);
  await me.page.mouse.down();
  await me.page.mouse.move(box.x + 64, box.y + 200, { steps: 3 });
  expect((await left()) - began).toBeCloseTo(60, -0.5);
  await me.keys("Escape");
  await me.page.mouse.up();
  await atRest();
  expect(await left()).toBe(began);
  expect(await me.count('[data-device] [data-screen="plots"]')).toBe(0);
  await me.page.mouse.move(box.x + 4, box.y + 200);
  await me.page.mouse.down();
  await me.page.mouse.move(box.x + box.width * 0.8, box.y + 200, { steps: 6 });
  await me.page.mouse.up();
  await me.waitTop("plots");
  await atRest();
  expect(await layers()).toEqual({ leaving: 0, running: 0 });
});

test("a sheet goes with the finger below its lowest height, comes back where it is let go early, and is gone by a flick", async () => {
  await me.go("/f/allotment-diary/plan");
  await me.click(`${device} [data-row="3"]`);
  await me.waitTop("plot");
  await atRest();
  await me.click(`${device} [data-action="log"]`);
  const sheet = `${device} [data-overlay=sheet]`;
  await me.see(sheet);
  await atRest();
  const top = () => me.page.$eval(sheet, (each) => Math.round(each.getBoundingClientRect().y));
  const grip = (await (await me.see(`${device} [data-grip]`)).boundingBox())!;
  const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2];
  const began = await top();
  await me.page.mouse.move(x, y);
  await me.page.mouse.down();
  await me.page.mouse.move(x, y + 50, { steps: 4 });
  expect(Math.abs((await top()) - began - 50)).toBeLessThan(3);
  // it rests there, and so is let go without any speed
  await me.page.evaluate(() => new Promise((resolve) => setTimeout(resolve, 250)));
  await me.page.mouse.up();
  await atRest();
  expect(await top()).toBe(began);
  await me.page.mouse.move(x, y);
  await me.page.mouse.down();
  await me.page.mouse.move(x, y + 140, { steps: 3 });
  await me.page.mouse.up();
  await me.page.waitForFunction((css) => document.querySelector(`${css}:not([data-leaving] *)`) === null, {}, sheet);
  await atRest();
  expect(await layers()).toEqual({ leaving: 0, running: 0 });
});

test("where the page asks for reduced motion, devices show the app's calm one", async () => {
  await me.page.emulateMediaFeatures([{ name: "prefers-reduced-motion", value: "reduce" }]);
  await pace(0.1).catch(() => undefined);
  await me.go(`/f/${await slow(20)}/plan`);
  await pace(0.1);
  await me.page.reload();
  await me.click(`${device} [data-row="3"]`);
  const moving = await me.page.waitForFunction(() => {
    if (!document.querySelector("[data-moving]")) return null;
    const all = document.getAnimations().map((each) => {
      const frames = (each.effect as KeyframeEffect).getKeyframes();
      return frames.some((frame) => "transform" in frame) ? "moved" : "faded";
    });
    return all.length > 0 ? all : null;
  });
  expect(await moving.jsonValue()).not.toContain("moved");
});
