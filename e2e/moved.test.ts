import { builtInMotions, type Frame } from "../core/index.js";
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

/** What a run of random events found wrong, event by event; and how many of them moved something. */
interface Run {
  wrong: string[];
  moved: number;
  seed: number;
}

/** So many random events in the page, each compared with the same device drawn from scratch: asked from outside, it takes far longer. */
const inPage = async (begins: number, count: number): Promise<Run> => {
  let seed = begins;
  const roll = (sides: number) => (seed = (seed * 48271) % 2147483647) % sides;
  const frame = () => new Promise((resolve) => requestAnimationFrame(resolve));
  const until = async (isSo: () => boolean) => {
    while (!isSo()) await frame();
  };
  const isStill = () => !document.querySelector("[data-moving]");
  const round = (value: number) => Math.round(value * 2) / 2;
  const drawn = (): string[] => {
    const whole = document.querySelector("[data-device]")!;
    const from = whole.getBoundingClientRect();
    return [...whole.querySelectorAll("*")]
      .filter((each) => getComputedStyle(each).display !== "contents" && !each.closest("[aria-label='Hard to touch']"))
      .map((each) => {
        const { x, y, width, height } = each.getBoundingClientRect();
        const { opacity, backgroundColor, color } = getComputedStyle(each);
        const own = [...each.childNodes].flatMap((node) => (node.nodeType === 3 ? [node.textContent] : [])).join("");
        const place = [x - from.x, y - from.y, width, height].map(round).join(" ");
        return [each.tagName, place, opacity, backgroundColor, color, own, each.scrollTop].join("|");
      });
  };
  const press = (element: Element | undefined) => element?.dispatchEvent(new MouseEvent("click", { bubbles: true }));
  const button = (name: string) =>
    [...document.querySelectorAll("aside button")].find(
      (each) => each.textContent === name || each.getAttribute("aria-label") === name,
    );
  const touched =
    "[data-row], [data-tab], [data-action], [data-back], [data-close], [data-menu], [data-scrim], [data-answer]";
  const found: Run = { wrong: [], moved: 0, seed };
  // a move may be over before it is looked for
  let hasMoved = false;
  const watch = new MutationObserver(() => {
    hasMoved ||= !isStill();
  });
  watch.observe(document.body, { subtree: true, childList: true, attributeFilter: ["data-moving"] });
  for (let i = 0; i < count; i += 1) {
    hasMoved = false;
    const free = [...document.querySelectorAll(`[data-device] :is(${touched})`)].filter(
      (each) => !each.closest("[inert]"),
    );
    if (free.length === 0) press(button("start over"));
    else press(roll(9) === 0 ? button("Back") : free[roll(1000) % free.length]);
    await frame();
    await frame();
    await until(isStill);
    if (hasMoved) found.moved += 1;
    await frame();
    const running = document.getAnimations().filter((each) => !(each instanceof CSSTransition)).length;
    const leaving = document.querySelectorAll("[data-leaving]").length;
    if (running + leaving > 0) found.wrong.push(`${i}: ${running} run, ${leaving} leave`);
    const here = drawn();
    press(button("Fold the companion away"));
    await until(() => !document.querySelector("[data-device]"));
    press([...document.querySelectorAll("button[aria-label='Unfold the companion']")][0]);
    await until(() => document.querySelector("[data-device] *") !== null);
    await frame();
    await frame();
    const fresh = drawn();
    const at = here.findIndex((each, n) => each !== fresh[n]);
    if (at >= 0 || here.length !== fresh.length) found.wrong.push(`${i}: ${here[at]} is ${fresh[at]}`);
  }
  watch.disconnect();
  return { ...found, seed };
};

/** The frame with motions that take a sixth of their time: what is looked at is what they leave behind. */
const hurried = (frame: Frame): Frame => {
  const times = 6;
  const motions = structuredClone({ ...builtInMotions, ...frame.motions });
  for (const { forward, back } of Object.values(motions))
    for (const { incoming, outgoing } of back === "mirror" ? [forward] : [forward, back])
      for (const track of [...incoming, ...outgoing]) {
        if (track.delay) track.delay /= times;
        if (track.ms) track.ms = Math.ceil(track.ms / times);
        const { ease } = track;
        if (typeof ease === "object" && "spring" in ease)
          Object.assign(ease.spring, {
            stiffness: ease.spring.stiffness * times ** 2,
            damping: ease.spring.damping * times,
          });
      }
  return { ...frame, motions };
};

test("after each of 200 events the device at rest is the same as one drawn afresh", async () => {
  const id = await shelve(world, hurried(demo("night-sky")));
  await me.go(`/f/${id}/links`);
  await me.see(`${device} [data-screen]`);
  await me.page.waitForFunction(() => !document.querySelector("[data-moving]"));
  const run: Run = { wrong: [], moved: 0, seed: 20 };
  for (let i = 0; i < 8; i += 1) {
    const next = await me.page.evaluate(inPage, run.seed, 25);
    run.wrong.push(...next.wrong);
    run.moved += next.moved;
    run.seed = next.seed;
  }
  expect(run.wrong).toEqual([]);
  expect(run.moved).toBeGreaterThan(100);
}, 400_000);
