import type { Frame } from "../core/index.js";
import { bench, type Hand, keys, mouse } from "./hands.js";
import { screensOf } from "./listed.js";
import { eachIn, type Person } from "./world.js";

let me: Person;
eachIn((person) => {
  me = person;
});

const area = 'textarea[aria-label="List of names"]';
/** The structure of an app, as it is first written down. */
const list = `Main =
  Plots *plant /plots
    Plot {plot} /plots/:plot
      Bed {bed} /plots/:plot/beds/:bed
      Log water ^
      Photo {photo} /photos/:photo
  Tasks *list-checks /tasks
    Task {task} /tasks/:task
      Give away ^dialog
    Done
  Swaps *arrows-left-right /swaps
    Offer {offer} /swaps/:offer
    New offer > ^
      What to offer
      Where to meet
    Neighbour {neighbour} /neighbours/:neighbour
  Me *user /me
    Details /me/details
      Rules
    Notices /me/notices
    About
  Shop *storefront /shop
  Help *question /help
Tour > ^fullscreen
  First look
  Second look
Nothing grows here
Opening
`;

/** From a blank frame to an app of 29 screens and more, as a developer who never saw the tool would go about it. */
const build = async (hand: Hand) => {
  await me.page.setViewport({ width: 1280, height: 800 });
  await me.go("/");
  await me.press("main button", "Blank", "starts");
  await me.waitTop("home");

  // the structure, written down as a list
  await hand.choose("app", "stack app");
  await me.find("Make screens from a list");
  await me.see(area);
  await me.page.evaluate(
    (text, css) => {
      const area = document.querySelector<HTMLTextAreaElement>(css)!;
      area.focus();
      document.execCommand("insertText", false, text);
    },
    list,
    area,
  );
  await me.read('[role="status"]', "makes");
  await me.keys("Control+Enter");
  await me.page.waitForSelector(area, { hidden: true });
  await hand.choose("home", "screen home");
  await hand.remove();
  await me.waitTop("plots");

  // tabs: a badge, a hidden one, more than fit
  await hand.choose("tasksTab", "stack tasksTab");
  await hand.group("tab");
  await hand.write(`${bench} input[placeholder^="none; a number"]`, "3");
  await hand.choose("helpTab", "stack helpTab");
  await hand.group("tab");
  await hand.press(`${bench} [role="checkbox"][aria-checked="true"]`);
  await hand.choose("main", "hub main");
  await hand.group("face");
  await hand.write(`${bench} input[inputmode="numeric"]`, "4");
  // a rail and a panel by width
  await hand.pick(`${bench} select[aria-label^="Tabs at lap"]`, "rail", "rail");
  await hand.pick(`${bench} select[aria-label^="Tabs at desk"]`, "panel", "panel");

  // a list and its detail as a pair
  await hand.choose("swaps", "screen swaps");
  await hand.restructure("This list and its detail as a pair");

  // a cover, and the same screen inside where it is led to from an offer
  await hand.choose("photo", "screen photo");
  await hand.group("opens");
  await hand.option("Opens as", "Full");
  await hand.choose("offer", "screen offer");
  await hand.deed("Photo");
  await hand.press(`${bench} button[aria-label="More about the action Photo"]`);
  await hand.pick(`${bench} select[aria-label="As what Photo opens it"]`, "push", "as a push");

  // a dialog that lies over its own stack alone
  await hand.choose("giveAway", "screen giveAway");
  await hand.group("opens");
  await hand.option("What it lies over", "Tasks");

  // a sheet that hands back; a screen that is in two tabs, and covers the bar in one
  await hand.choose("logWater", "screen logWater");
  await hand.group("shows");
  await hand.pick(`${bench} select[aria-label="What it shows"]`, "form", "form");
  await hand.deed("close");
  await hand.press(`${bench} button[aria-label="More about the action Close"]`);
  await hand.write(`${bench} input[aria-label="gives back"]`, "litres = {draft.first}");
  await hand.choose("rules", "screen rules");
  await hand.restructure("Share with", "Plots");

  // signing in, registering beside it, signing out from deep inside
  await hand.choose("main", "hub main");
  await hand.restructure("Ask to sign in first");
  await hand.choose("signIn", "screen signIn");
  await hand.add("Sheet", "Register");
  await hand.choose("details", "screen details");
  await hand.deed("Set Signed in");

  // a splash that goes on by itself
  await hand.choose("app", "stack app");
  await hand.group("title");
  await hand.pick(`${bench} select[aria-label="Starts at"]`, "opening", "Opening");
  await hand.choose("opening", "screen opening");
  await hand.group("out");
  await hand.press(`${bench} button[role="checkbox"]`);
  await hand.pick(`${bench} select[aria-label="Where what it does by itself leads"]`, "main", "Main");

  // what is shown for links that lead nowhere
  await hand.choose("nothingGrowsHere", "screen nothingGrowsHere");
  await hand.group("in");
  await hand.press(`${bench} button[role="checkbox"]`);

  // a drawer with a heading on one of two targets
  await hand.devices();
  await hand.group("targets");
  await hand.press(`${bench} section[aria-label="Targets"] > button`);
  await hand.choose("main", "hub main");
  await hand.group("face");
  await hand.pick(`${bench} select[aria-label^="Tabs at hand on Swipe-back phone"]`, "drawer", "drawer");
  await hand.group("draws");
  await hand.write(`${bench} label:has([data-set-mark="heading"]) input`, "Allotment");
  await me.saved();
};

/** What the frame is to be in the end. */
const check = (frame: Frame) => {
  const { nodes, facts } = frame;
  expect(screensOf(frame)).toBeGreaterThanOrEqual(29);
  expect(nodes.tasksTab!.tab).toMatchObject({ badge: 3, icon: "list-checks" });
  expect(nodes.helpTab!.tab).toMatchObject({ hidden: true });
  expect(nodes.main).toMatchObject({ kind: "hub", limit: 4, heading: { title: "Allotment" } });
  expect(nodes.swapsPair).toMatchObject({ kind: "pair" });
  expect(nodes.logWater).toMatchObject({ opens: "sheet", body: { kind: "form" } });
  expect(nodes.newOfferStack ?? nodes.newOffer).toMatchObject({ kind: "stack", opens: "sheet" });
  expect(nodes.register).toMatchObject({ title: "Register", opens: "sheet" });
  expect(nodes.photo).toMatchObject({ opens: "fullscreen" });
  expect(nodes.offer).toMatchObject({ actions: [{ do: { to: "photo", as: "push" } }] });
  expect(nodes.giveAway).toMatchObject({ opens: "dialog", over: "region" });
  expect(frame.address).toMatchObject({ lost: "nothingGrowsHere" });
  expect(nodes.opening).toMatchObject({ after: { do: { to: "main" } } });
  expect(facts).toMatchObject([{ id: "signedIn" }]);
  const stacks = Object.values(nodes).filter((node) => node.kind === "stack" && node.children.includes("rules"));
  expect(stacks).toHaveLength(2);
};

test.each([
  ["by mouse", mouse],
  ["by keyboard alone", keys],
] as const)(
  "an app of tabs, sheets, a flow, a pair, a sign-in and a splash is made from a blank frame, %s",
  async (_, handOf) => {
    const hand = handOf(me);
    await build(hand);
    const id = new URL(me.page.url()).pathname.split("/")[2]!;
    check(await me.frame(id));
    // no more than a step for each thing that is wanted, and its place
    expect(hand.steps()).toBeLessThan(66);
    // and it works: a link that leads nowhere is told; signed in, the tabs are there, with More behind the fourth; signing
    // out from deep inside leads back to the door
    await me.press("aside button", "start over");
    await me.waitTop("welcome");
    await me.click('[data-device] [data-action="signIn"]');
    await me.waitTop("signIn");
    await me.click('[data-device] [data-screen="signIn"] [data-action="signIn"]');
    await me.waitTop("plots");
    await me.click('[data-device] [data-tab="more"]');
    await me.click('[data-device] [data-tab="meTab"]');
    await me.waitTop("me");
    await me.click('[data-device] [data-action="details"]');
    await me.waitTop("details");
    await me.click('[data-device] [data-action^="signOut"], [data-device] [data-action*="igned"]');
    await me.waitTop("welcome");
  },
  180_000,
);
