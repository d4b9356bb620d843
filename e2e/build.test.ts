import { bench, keys, mouse } from "./hands.js";
import { eachIn, type Person } from "./world.js";

let me: Person;
eachIn((person) => {
  me = person;
});

const action = (id: string) => `[data-device] [data-action="${id}"]`;

/** Opens a frame of one stack from the shelf. */
const blank = async () => {
  await me.go("/");
  await me.press("main button", "Blank", "starts");
  await me.waitTop("home");
};

describe.each([
  ["by mouse", mouse],
  ["by keyboard alone", keys],
])("a whole structure from a blank frame, %s", (_, handOf) => {
  test("tabs with stacks, a sheet that gives a value back, a pair, a full-screen flow, a drawer on one target", async () => {
    const hand = handOf(me);
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
