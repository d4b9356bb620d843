import { type Focus, mayEdit, seen, watchEdits } from "./causes.js";
import { listed, node } from "./listed.js";
import { eachIn, type Person, type World } from "./world.js";

let world: World;
let me: Person;
eachIn((person, its) => {
  me = person;
  world = its;
});

/** Numbers that look random and are the same each time (a linear congruence, Numerical Recipes). */
const numbers = (seed: number) => () => {
  seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
  return seed / 2 ** 32;
};

const keys = [
  ..."abcilnoprswfzN0",
  ..."map trip",
  ...["Enter", "Enter", "Escape", "Escape", "Tab", "Tab", "Shift+Tab", "Space", "Backspace", "Delete"],
  ...["ArrowUp", "ArrowDown", "ArrowLeft", "ArrowRight", "Alt+ArrowUp", "Shift+N"],
  ...["Control+z", "Control+Shift+z", "Control+a", "Home", "End"],
].map((key) => (key === " " ? "Space" : key === "N" ? "Shift+N" : key));

/** What is pressed: places on the plan, groups, fields and what opens, of the plan and its bench. */
const targets = [
  '[role="tree"] [data-node]',
  "[data-group]",
  'section[aria-label="Bench"] input:not([type="color"])',
  'section[aria-label="Bench"] button',
  '[role="option"]',
];

/** Presses the middle of one of what CSS names, if it can be seen; answers what it was, and whether a press of it may edit. */
const pressOne = async (css: string, share: number) =>
  me.page.evaluate(
    (selector, at) => {
      const seen = [...document.querySelectorAll<HTMLElement>(selector)].filter((each) => {
        const { x, y, width, height } = each.getBoundingClientRect();
        const [mx, my] = [x + Math.min(width / 2, 30), y + Math.min(height / 2, 10)];
        return (
          width > 0 && each.contains(document.elementFromPoint(mx, my)) && !/Tune|broke/.test(each.textContent ?? "")
        );
      });
      const found = seen[Math.floor(at * seen.length)];
      if (!found) return null;
      const { x, y, width, height } = found.getBoundingClientRect();
      return {
        x: x + Math.min(width / 2, 30),
        y: y + Math.min(height / 2, 10),
        name: found.getAttribute("aria-label") ?? found.textContent?.slice(0, 40) ?? "",
        edits: found.matches("button, [role=option]") && found.dataset.group === undefined,
      };
    },
    css,
    share,
  );

const rounds = 8;
const steps = 250;

let made = 0;

test.each(Array.from({ length: rounds }, (_, round) => round))(
  `of ${steps} random keys and presses none edits what the person did not mean: round %i`,
  async (round) => {
    await watchEdits(me.page);
    const wrong: string[] = [];
    const next = numbers(round * 7919 + Number(process.env.LAWS_SEED ?? 17));
    await listed(world, me, `Fuzzed ${round}`);
    await me.click(node("map"));
    const { pathname } = new URL(me.page.url());
    let { focus } = await seen(me.page);
    const lately: string[] = [];
    for (let i = 0; i < steps; i += 1) {
      const had: Focus = focus;
      const isPress = next() < 0.22;
      let did: string;
      let may: boolean;
      if (isPress) {
        const found = await pressOne(targets[Math.floor(next() * targets.length)]!, next());
        if (!found) continue;
        did = `press of ${found.name}`;
        // going elsewhere is done with a field, and with a name
        may = found.edits || had.changed || had.naming;
        await me.page.mouse.click(found.x, found.y);
      } else {
        const key = keys[Math.floor(next() * keys.length)]!;
        did = key;
        may = mayEdit(had, key);
        await me.keys(key);
      }
      const { edits, focus: now, path } = await seen(me.page);
      focus = now;
      made += edits.length;
      lately.push(`${had.kind} ${had.name}: ${did}`);
      if (edits.length > 0 && !may) wrong.push(`step ${i}: ${edits.join(", ")} after ${lately.slice(-4).join(" | ")}`);
      if (path !== pathname) {
        await me.page.goBack();
        await me.see("[data-node]");
        ({ focus } = await seen(me.page));
      }
    }
    expect(wrong).toEqual([]);
  },
);

test("what edits does so: not everything was refused", () => {
  expect(made).toBeGreaterThan(50);
});
