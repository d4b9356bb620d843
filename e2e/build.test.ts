import { eachIn, type Person } from "./world.js";

let me: Person;
eachIn((person) => {
  me = person;
});

/** A way of working: the same steps by mouse, and by keys alone. Names are typed in both. */
interface Hand {
  /** Opens a group of the bench. */
  group: (id: string) => Promise<void>;
  choose: (id: string, title: string) => Promise<void>;
  /** Adds something at what is chosen, and calls it so. */
  add: (kind: string, name: string) => Promise<void>;
  remove: () => Promise<void>;
  press: (selector: string) => Promise<void>;
  pick: (selector: string, value: string, label: string) => Promise<void>;
  write: (selector: string, text: string) => Promise<void>;
  /** A new way from what is chosen. */
  lead: (to: string, title: string) => Promise<void>;
  devices: () => Promise<void>;
}

const node = (id: string) => `[data-node="${id}"]`;
const bench = 'section[aria-label="Bench"]';
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

const mouse = (): Hand => ({
  group: (id) => me.group(id),
  choose: async (id) => {
    await me.page.$eval(node(id), (element) => element.scrollIntoView({ block: "center" }));
    const box = (await (await me.see(node(id))).boundingBox())!;
    await me.page.mouse.click(box.x + Math.min(box.width / 2, 40), box.y + 12);
    await chosenIs(id);
  },
  add: async (kind, name) => {
    await clickText(`${bench} button`, "Add");
    await clickText('[role="option"]', kind);
    await named(name);
  },
  remove: () => me.click(`${bench} button[aria-label="Delete"]`),
  press: (selector) => me.click(selector),
  pick: async (selector, value) => {
    await me.see(selector);
    await me.page.select(selector, value);
  },
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
  devices: async () => {
    await me.click('button[aria-label="More"]');
    await clickText('[role="menuitem"]', "Devices");
  },
});

/** Goes on with Tab until what CSS names has the focus. */
const tabTo = async (selector: string) => {
  await me.see(selector);
  const there = () => me.page.evaluate((css) => document.activeElement?.matches(css) ?? false, selector);
  for (let i = 0; i < 220; i += 1) {
    if (await there()) return;
    await me.page.keyboard.press("Tab");
  }
  throw new Error(`Tab never reaches ${selector}`);
};

const keys = (): Hand => ({
  group: async (id) => {
    await tabTo("[data-group]");
    const there = () => me.page.evaluate((at) => (document.activeElement as HTMLElement).dataset.group === at, id);
    for (let i = 0; i < 20 && !(await there()); i += 1) await me.keys("ArrowRight");
    await me.page.waitForFunction((at) => (document.activeElement as HTMLElement).dataset.group === at, {}, id);
    if (await me.page.$(`[data-group="${id}"][aria-expanded="false"]`)) await me.keys("Enter");
    await me.see(`[data-group="${id}"][aria-expanded="true"]`);
  },
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
  remove: () => me.keys("Delete"),
  press: async (selector) => {
    await tabTo(selector);
    await me.keys("Enter");
  },
  pick: async (selector, _, label) => {
    await tabTo(selector);
    await me.type(label);
  },
  write: async (selector, text) => {
    await tabTo(selector);
    await me.keys("Control+a");
    await me.type(text);
    await me.keys("Tab");
  },
  lead: async (_, title) => {
    await me.keys("o");
    await tabTo('input[aria-label^="Add a way out"]');
    await me.type(title);
    await me.keys("Enter");
  },
  devices: () => me.find("Devices, widths"),
});

const action = (id: string) => `[data-device] [data-action="${id}"]`;

/** Opens a frame of one stack from the shelf. */
const blank = async () => {
  await me.go("/");
  await clickText("main button", "Blank");
  await me.waitTop("home");
};

describe.each([
  ["by mouse", mouse],
  ["by keyboard alone", keys],
])("a whole structure from a blank frame, %s", (_, handOf) => {
  test("tabs with stacks, a sheet that gives a value back, a pair, a full-screen flow, a drawer on one target", async () => {
    const hand = handOf();
    await me.page.setViewport({ width: 1280, height: 900 });
    await blank();

    // tabs in place of the one screen
    await hand.choose("app", "stack app");
    await hand.add("Tabs", "Main");
    await hand.choose("home", "screen home");
    await hand.remove();
    await hand.choose("main", "hub main");
    await hand.add("Screen inside", "Me");
    await me.waitTop("first");
    expect(await me.count('[data-device] [role="tab"]')).toBe(3);

    // a list, and a sheet that logs into it
    await hand.choose("first", "screen first");
    await hand.group("shows");
    await hand.pick(`${bench} select[aria-label="What it shows"]`, "list", "list");
    await hand.choose("first", "screen first");
    await hand.add("Sheet", "Log");
    await hand.choose("first", "screen first");
    await hand.lead("log", "Log");
    await hand.choose("log", "screen log");
    await hand.group("shows");
    await hand.pick(`${bench} select[aria-label="What it shows"]`, "form", "form");
    await hand.group("out");
    await hand.press(`${bench} button[aria-label="More about the action Done"]`);
    await hand.write(`${bench} input[aria-label="gives back"]`, "logged = {draft.first} metres");
    await me.saved();
    await hand.press(action("log"));
    await me.see('[data-device] [data-overlay="sheet"]');
    await hand.write("[data-device] [data-screen='log'] input", "12");
    await hand.press(action("done"));
    await me.page.waitForSelector('[data-device] [data-overlay="sheet"]', { hidden: true });
    await me.read('[data-device] [data-screen="first"]', "12 metres");

    // a pair in place of the second tab's screen
    await hand.choose("secondTab", "stack secondTab");
    await hand.add("Pair", "Nights");
    await hand.choose("second", "screen second");
    await hand.remove();
    await hand.press('[data-device] [data-tab="secondTab"]');
    await me.waitTop("rows");
    await hand.press('[data-device] [data-row="2"]');
    await me.waitTop("row");
    expect(await me.ladder()).toEqual(["Row 2", "Rows", "First", "leaves"]);

    // a full-screen flow, closed from inside
    await hand.choose("me", "screen me");
    await hand.add("Full-screen flow", "Setup");
    await hand.choose("me", "screen me");
    await hand.lead("setup", "Setup");
    await hand.press('[data-device] [data-tab="meTab"]');
    await hand.press(action("setup"));
    await me.waitTop("firstStep");
    expect(await me.count('[data-device] [role="tablist"]')).toBe(0);
    await hand.press(action("done"));
    await me.waitTop("me");

    // a drawer on one of two targets, both side by side
    await hand.devices();
    await me.see(`${bench} h2`);
    await hand.group("targets");
    await hand.press(`${bench} section[aria-label="Targets"] > button`);
    await me.read(`${bench} fieldset`, "Edge swipe");
    await hand.choose("main", "hub main");
    await hand.group("face");
    await hand.pick(`${bench} select[aria-label^="Tabs at hand on Swipe-back phone"]`, "drawer", "drawer");
    await hand.pick('select[aria-label^="Target"]', "*", "All");
    await me.see('[data-device="swipe"] [data-menu]');
    expect(await me.count('[data-device="touch"] [role="tab"]')).toBe(3);
    expect(await me.count('[data-device="swipe"] [role="tab"]')).toBe(0);
    await hand.press('[data-device="swipe"] [data-menu]');
    await hand.press('[data-device="swipe"] [data-drawer] [data-tab="firstTab"]');
    await me.see('[data-device="touch"] [data-screen="first"]');
    await me.saved();
  }, 120_000);
});
