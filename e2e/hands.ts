import type { Person } from "./world.js";

/** A way of working: the same steps by mouse, and by keys alone. Names are typed in both. */
export interface Hand {
  /** How many things were done so far. */
  steps: () => number;
  /** Chooses a change of mind about what is chosen. */
  restructure: (what: string, target?: string) => Promise<void>;
  /** Opens a group of the bench. */
  group: (id: string) => Promise<void>;
  choose: (id: string, title: string) => Promise<void>;
  /** Adds something at what is chosen, and calls it so. */
  add: (kind: string, name: string) => Promise<void>;
  remove: () => Promise<void>;
  press: (selector: string) => Promise<void>;
  pick: (selector: string, value: string, label: string) => Promise<void>;
  /** Takes one of a few that are all in sight. */
  option: (choice: string, text: string) => Promise<void>;
  write: (selector: string, text: string) => Promise<void>;
  /** A new way from what is chosen. */
  lead: (to: string, title: string) => Promise<void>;
  /** A new action of what is chosen that does something else than lead somewhere. */
  deed: (what: string) => Promise<void>;
  devices: () => Promise<void>;
}

const node = (id: string) => `[data-node="${id}"]`;
export const bench = 'section[aria-label="Bench"]';
type Plain = Omit<Hand, "steps">;

/** What both ways of working are made of, for a person. */
const handsOf = (me: Person): { byMouse: () => Plain; byKeys: () => Plain } => {
  const chosenIs = (id: string) => me.see(`${node(id)}[aria-selected="true"]`);
  const clickText = (selector: string, text: string) => me.press(selector, text, "starts");
  const named = async (name: string) => {
    await me.page.waitForFunction(
      () => document.activeElement?.closest("[data-node]") && document.activeElement instanceof HTMLInputElement,
    );
    await me.type(name);
    await me.keys("Enter");
    await me.page.waitForFunction(
      (text) => document.querySelector("[aria-selected='true']")?.textContent?.includes(text),
      {},
      name,
    );
  };

  const byMouse = (): Plain => ({
    group: (id) => me.group(id),
    choose: async (id) => {
      // what is out of sight is looked for with all of the plan in sight
      if (!(await me.page.$(node(id)))) await me.press('[aria-label="Zoom of the plan"] button', "all");
      await me.see(node(id));
      await me.page.$eval(node(id), (element) => {
        const isLarge = element.clientHeight > 300 || element.clientWidth > 600;
        element.scrollIntoView(isLarge ? { block: "start", inline: "start" } : { block: "center" });
      });
      const box = (await (await me.see(node(id))).boundingBox())!;
      // in its head, however small the plan is drawn
      const scale = await me.page.$eval(
        node(id),
        (element) => element.getBoundingClientRect().height / (element as HTMLElement).offsetHeight,
      );
      await me.page.mouse.click(box.x + Math.min(box.width / 2, 40 * scale), box.y + 12 * scale);
      await chosenIs(id);
    },
    add: async (kind, name) => {
      await clickText(`${bench} button`, "Add");
      await clickText('[role="option"]', kind);
      await named(name);
    },
    restructure: async (what, target) => {
      await clickText(`${bench} button`, "Restructure");
      await clickText('[role="dialog"] [role="option"]', what);
      if (target) await clickText('[role="dialog"] [role="option"]', target);
      await me.page.waitForSelector('[role="dialog"]', { hidden: true });
    },
    remove: () => me.click(`${bench} button[aria-label="Delete"]`),
    press: (selector) => me.click(selector),
    pick: async (selector, value) => {
      await me.see(selector);
      await me.page.select(selector, value);
    },
    option: (choice, text) => clickText(`[role="radiogroup"][aria-label="${choice}"] button`, text),
    write: async (selector, text) => {
      await (await me.see(selector)).click({ count: 3 });
      await me.type(text);
      await me.keys("Tab");
    },
    lead: async (to) => {
      await me.page.$eval(node(to), (element) => element.scrollIntoView({ block: "nearest" }));
      const from = (await (await me.see("[data-pull]")).boundingBox())!;
      const target = (await (await me.see(node(to))).boundingBox())!;
      await me.page.mouse.move(from.x + 9, from.y + 9);
      await me.page.mouse.down();
      await me.page.mouse.move(from.x + 30, from.y + 20, { steps: 3 });
      await me.page.mouse.move(target.x + 30, target.y + 14, { steps: 8 });
      await me.read('[role="status"]', "→");
      await me.page.mouse.up();
    },
    deed: async (what) => {
      await me.group("out");
      await me.click('input[aria-label^="Add a way out"]');
      await me.type(what);
      await me.keys("Enter");
    },
    devices: async () => {
      await me.click('button[aria-label="More"]');
      await clickText('[role="menuitem"]', "Devices");
    },
  });

  /** Goes on with Tab until what CSS names has the focus. */
  const tabTo = async (selector: string) => {
    await me.see(selector);
    const there = () => me.page.evaluate((css) => document.activeElement?.matches(css) ?? false, selector);
    // most of the way nothing is asked of the page: only a person's keys are pressed
    const away = await me.page.evaluate((css) => {
      const stops = [...document.querySelectorAll<HTMLElement>("button, input, select, textarea, a[href], [tabindex]")]
        .filter((each) => each.tabIndex >= 0 && !each.matches(":disabled") && !each.closest("[inert]"))
        .filter((each) => each.checkVisibility({ visibilityProperty: true }));
      const to = stops.findIndex((each) => each.matches(css));
      const from = stops.indexOf(document.activeElement as HTMLElement);
      return to < 0 ? 0 : (to - from + stops.length) % stops.length;
    }, selector);
    for (let i = 0; i < away - 3; i += 1) await me.page.keyboard.press("Tab");
    for (let i = 0; i < 220; i += 1) {
      if (await there()) return;
      await me.page.keyboard.press("Tab");
    }
    throw new Error(`Tab never reaches ${selector}`);
  };

  const group = async (id: string) => {
    await tabTo("[data-group]");
    const at = () => me.page.evaluate(() => (document.activeElement as HTMLElement).dataset.group);
    for (let i = 0; i < 20; i += 1) {
      const before = await at();
      if (before === id) break;
      await me.keys("ArrowRight");
      // the focus follows a moment after the key
      await me.page.waitForFunction(
        (was) => (document.activeElement as HTMLElement).dataset.group !== was,
        {},
        before ?? "",
      );
    }
    expect(await at()).toBe(id);
    if (await me.page.$(`[data-group="${id}"][aria-expanded="false"]`)) await me.keys("Enter");
    await me.see(`[data-group="${id}"][aria-expanded="true"]`);
  };

  const leadTo = async (title: string) => {
    await group("out");
    await tabTo('input[aria-label^="Add a way out"]');
    await me.type(title);
    await me.keys("Enter");
  };

  const byKeys = (): Plain => ({
    group,
    choose: async (id, title) => {
      await me.find(title, id);
      await chosenIs(id);
      await me.page.waitForFunction((css) => document.activeElement?.matches(css), {}, node(id));
    },
    add: async (kind, name) => {
      await me.keys("a");
      await me.page.waitForFunction(() => document.activeElement?.getAttribute("aria-label") === "Add");
      await me.type(kind);
      await me.keys("Enter");
      await named(name);
    },
    restructure: async (what, target) => {
      await me.keys("w");
      for (const text of [what, ...(target ? [target] : [])]) {
        await me.page.waitForFunction(() => document.activeElement?.getAttribute("role") === "combobox");
        await me.type(text);
        await me.read('[role="dialog"] [role="option"][aria-selected="true"]', text);
        await me.keys("Enter");
      }
      await me.page.waitForSelector('[role="dialog"]', { hidden: true });
    },
    remove: () => me.keys("Delete"),
    press: async (selector) => {
      await tabTo(selector);
      // a box is ticked by Space alone
      const isBox = await me.page.evaluate(() => document.activeElement?.getAttribute("role") === "checkbox");
      await me.keys(isBox ? "Space" : "Enter");
    },
    pick: async (selector, value, label) => {
      const isPicked = () => me.page.$eval(selector, (select, is) => (select as HTMLSelectElement).value === is, value);
      // a browser forgets what was typed of a name when the machine stands still in the middle of it: it is typed again;
      // and what is picked already is not typed, as its first letter alone would pick the next of that letter
      for (let i = 0; i < 8; i += 1) {
        await tabTo(selector);
        if (await isPicked()) return;
        await me.type(label);
        // fields are drawn as the frame is at the first key of any kind
        await me.keys("Shift");
      }
      if (await isPicked()) return;
      throw new Error(`${label} is not picked in ${selector}`);
    },
    option: async (choice, text) => {
      const one = `[role="radiogroup"][aria-label="${choice}"] button`;
      await tabTo(one);
      const at = () => me.page.evaluate(() => document.activeElement?.textContent ?? "");
      for (let i = 0; i < 8 && !(await at()).startsWith(text); i += 1) {
        const before = await at();
        await me.keys("ArrowRight");
        await me.page.waitForFunction((was) => document.activeElement?.textContent !== was, {}, before);
      }
      expect(await at()).toContain(text);
      await me.keys("Enter");
    },
    write: async (selector, text) => {
      await tabTo(selector);
      await me.keys("Control+a");
      await me.type(text);
      await me.keys("Tab");
    },
    lead: (_, title) => leadTo(title),
    deed: (what) => leadTo(what),
    devices: () => me.find("Devices, widths"),
  });
  return { byMouse, byKeys };
};

/** Counts what is done. */
const counted = (plain: Plain): Hand => {
  let done = 0;
  const hand = Object.fromEntries(
    Object.entries(plain).map(([name, act]) => [
      name,
      (...given: string[]) => {
        done += 1;
        return (act as (...given: string[]) => Promise<void>)(...given);
      },
    ]),
  ) as unknown as Plain;
  return { ...hand, steps: () => done };
};

/** The same steps by mouse. */
export const mouse = (me: Person): Hand => counted(handsOf(me).byMouse());
/** The same steps by keys alone. */
export const keys = (me: Person): Hand => counted(handsOf(me).byKeys());
