import { startingShapes } from "../core/index.js";
import { demo, eachIn, lingering, type Person, shelve, type World } from "./world.js";
import { Served } from "./served.js";

let me: Person;
let world: World;
eachIn(
  (person, its) => {
    me = person;
    world = its;
  },
  { own: new Served() },
);

const plan = "/f/allotment-diary/plan";
const links = "/f/allotment-diary/links";
const line = 'input[aria-label^="Address of the screen"]';
const tryLine = 'input[aria-label="Link to try"]';

const write = async (selector: string, text: string) => {
  await me.click(selector);
  await me.page.$eval(selector, (input) => (input as HTMLInputElement).select());
  await me.keys("Backspace");
  await me.type(text);
};
/** Puts a long text into a field at once, as pasting does. */
const put = (selector: string, text: string) =>
  me.page.$eval(
    selector,
    (input, value) => {
      const of = input instanceof HTMLTextAreaElement ? HTMLTextAreaElement : HTMLInputElement;
      Object.getOwnPropertyDescriptor(of.prototype, "value")!.set!.call(input, value);
      input.dispatchEvent(new Event("input", { bubbles: true }));
    },
    text,
  );
const follow = async (link: string) => {
  await write(line, link);
  await me.keys("Enter");
};
const act = (id: string) => me.click(`[data-device] [data-action="${id}"]`);
const value = (selector: string) => me.page.$eval(selector, (input) => (input as HTMLInputElement).value);

test("a splash counts down and goes on, and can be held", async () => {
  await me.go(`/f/${await shelve(world, lingering("allotment"))}/plan`);
  await me.waitTop("splash");
  await me.press("[data-device] button", "hold");
  await me.read('[role="timer"]', "held at");
  expect(await me.top()).toBe("splash");
  await me.press("[data-device] button", "now");
  await me.waitTop("plots");
});

test("a link while signed out leads to the sign-in and on to its screen with its ladder; Back never shows sign-in again", async () => {
  await me.go(plan);
  await me.waitTop("plots");
  await me.click('[aria-label="Facts"] [role="switch"]');
  await me.waitTop("welcome");
  await write(line, "https://diary.example/plots/3/beds/2");
  await me.press("button", "cold");
  await me.read('[aria-label="Waiting"]', "Bed 2 waits for Signed in: yes");
  expect(await me.top()).toBe("welcome");
  expect(await me.ladder()).toEqual(["Welcome", "leaves"]);
  await act("toSignIn");
  await me.waitTop("welcome");
  await me.read("[data-device]", "The word on the shed door");
  await act("enter");
  await me.waitTop("bed");
  expect(await me.ladder()).toEqual(["Bed 2", "Plot 3", "Plots", "leaves"]);
  expect(await value(line)).toBe("/plots/3/beds/2");
  // the same link again, and the page anew: the same ladder
  await me.press("button", "cold");
  await me.read('[aria-label="Why"]', "The app started by the link, on Bed 2, laid on Plots, Plot");
  expect(await me.ladder()).toEqual(["Bed 2", "Plot 3", "Plots", "leaves"]);
  await me.page.reload();
  await me.waitTop("bed");
  expect(await me.ladder()).toEqual(["Bed 2", "Plot 3", "Plots", "leaves"]);
  for (const screen of ["plot", "plots"]) {
    await me.press("aside button", "Back");
    await me.waitTop(screen);
  }
  await me.press("aside button", "Back");
  await me.read("[data-device]", "The app was left");
});

test("signing out from deep inside shows the welcome and nothing behind it", async () => {
  await me.go(plan);
  await me.waitTop("plots");
  await follow("/me");
  await me.waitTop("me");
  await follow("/plots/3/beds/2");
  await me.waitTop("bed");
  await me.click('[aria-label="Facts"] [role="switch"]');
  await me.waitTop("welcome");
  expect(await me.ladder()).toEqual(["Welcome", "leaves"]);
  await me.read('[aria-label="Why"]', "Home was taken out: it needs Signed in: yes");
  // by the app's own button as well
  await me.click('[aria-label="Facts"] [role="switch"]');
  await me.waitTop("plots");
  await follow("/me");
  await me.waitTop("me");
  await act("signOut");
  await me.waitTop("welcome");
  expect(await me.ladder()).toEqual(["Welcome", "leaves"]);
  // the system ends the app: it comes back, signed out
  await me.press("aside button", "end the app");
  await me.read('[aria-label="Why"]', "The system ended the app. It comes back on Welcome");
});

test("wrong and hostile links are answered calmly, on the device and in the try line", async () => {
  await me.go(links);
  await me.waitTop("plots");
  const hostile = [
    ["/plots/%E0%A4%A", "no valid percent-encoding"],
    ["javascript:alert(1)", "no scheme of this app"],
    ["https://elsewhere.example/plots", "no host of this app"],
    ["//elsewhere.example", "no host of this app"],
  ] as const;
  for (const [link, says] of hostile) {
    await write(tryLine, link);
    await me.read('[aria-label="What becomes of it"]', says);
    await follow(link);
    await me.read('[aria-label="Why"]', says);
    expect(await me.top()).toBe("plots");
  }
  for (const link of ["/plots/../../tasks/7", "/%74asks/7", "allotment:///tasks/7?x=%00&y#z"]) {
    await follow(link);
    await me.waitTop("task");
    await follow("/plots");
    await me.waitTop("plots");
  }
  await follow("/plots/日本");
  await me.waitTop("lost");
  const long = `/${"a/".repeat(50_000)}`;
  await put(tryLine, long);
  await me.read('[aria-label="What becomes of it"]', "Lost:");
  await put(line, long);
  await me.page.focus(line);
  await me.keys("Enter");
  await me.waitTop("lost");
});

test("a link that the browser does not let be copied is told, to be copied by hand", async () => {
  await me.go(plan);
  await me.waitTop("plots");
  await me.page.evaluate(() => {
    navigator.clipboard.writeText = () => Promise.reject(new Error("not allowed"));
  });
  await me.click('[aria-label="Copy the link"]');
  await me.read('[role="alert"]', "The link is https://diary.example/plots");
});

test("any link is tried in every way, kept as a case, and the case turns red when the frame changes", async () => {
  await me.go(links);
  await write(tryLine, "allotment://plots/5");
  await me.read('[aria-label="What becomes of it"]', "plot = 5");
  const grid = async () => me.texts('[aria-label="The link in every way"] td');
  await me.page.waitForFunction(
    () => document.querySelectorAll('[aria-label="The link in every way"] td').length === 4,
  );
  expect(await grid()).toEqual(["1PlotPlots, out", "1PlotPlots, out", "2WelcomePlot waits", "2WelcomePlot waits"]);
  const stair = () => me.texts('[aria-label="The ladder, its end first"] li > span:last-child');
  expect((await stair()).map((text) => text.replace(/^\d/, ""))).toEqual(["Plots", "Plot 5"]);
  // what is tried stands in the page's address
  await me.press('[aria-label="The link in every way"] td:last-child button', "Welcome");
  await me.page.waitForFunction(() => location.search.includes("signedIn.false"));
  await me.page.reload();
  await me.read('[aria-label="What becomes of it"]', "Plot 5 waits");
  expect(await value(tryLine)).toBe("allotment://plots/5");
  await me.press('[aria-label="The link in every way"] td button', "Plots, out");

  await me.press('[aria-label="Try a link"] button', "Keep");
  await me.read('[aria-label="Kept cases"]', "all 6 as kept");
  await me.saved();
  // Plots lays nothing under a link any more
  const other = await world.person();
  await other.page.bringToFront();
  await other.go(`${plan}?at=plotsTab&in=home`);
  await other.waitTop("plots");
  const base = 'select[aria-label="What a cold link is laid on"]';
  await other.see(base);
  await other.page.select(base, "none");
  await other.page.waitForFunction(() => document.querySelector("[data-sync]")!.textContent!.endsWith("change 3"));
  await other.saved();
  await other.page.close();
  await me.page.bringToFront();
  await me.read('nav[aria-label="Places"]', "2 changed");
  await me.read('[data-case="changed"]', 'back is ["exit"], was kept as ["plots","exit"]');
  await me.press('[data-case="changed"] button', "Keep it as it is now");
  await me.read('nav[aria-label="Places"]', "1 changed");
  await me.click('[aria-label="Undo"]');
  await me.read('nav[aria-label="Places"]', "2 changed");
});

test("an app without addresses says so in its links, and any link is tried there all the same", async () => {
  const bare = {
    ...startingShapes[0]!.frame,
    nodes: { app: { kind: "stack", children: ["a"] }, a: { kind: "screen" } },
  };
  await me.go(`/f/${await shelve(world, bare)}/links`);
  await me.read('[aria-label="Addresses"]', "No screen has an address yet");
  await write(tryLine, "/anywhere");
  await me.read('[aria-label="What becomes of it"]', "Leads nowhere");
});

test("the links are worked by keys alone: a link is tried, another way chosen, a case kept and undone", async () => {
  await me.go(`/f/${await shelve(world, demo("allotment"))}/links`);
  await me.see(tryLine);
  const has = (selector: string) => me.page.evaluate((of) => document.activeElement?.matches(of) ?? false, selector);
  /** Goes on by Tab until what CSS names has the focus. */
  const tabTo = async (selector: string) => {
    for (let n = 0; n < 120; n += 1) {
      if (await has(selector)) return;
      await me.keys("Tab");
    }
    throw new Error(`${selector} is not reached by Tab`);
  };
  await tabTo(tryLine);
  await me.keys("Control+a");
  await me.type("/tasks/7");
  await me.read('[aria-label="What becomes of it"]', "task = 7");
  await tabTo('[aria-label="The link in every way"] tr:last-child td:last-child button');
  await me.keys("Enter");
  await me.page.waitForFunction(() => location.search.includes("signedIn.false"));
  const before = await me.count("[data-case]");
  // back to the top of the page, and on to what keeps it
  await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await tabTo(tryLine);
  await tabTo('[aria-label="Try a link"] button[title^="Keeps how the link comes out"]');
  await me.keys("Enter");
  await me.page.waitForFunction((count) => document.querySelectorAll("[data-case]").length === count, {}, before + 1);
  await me.keys("Control+z");
  await me.page.waitForFunction((count) => document.querySelectorAll("[data-case]").length === count, {}, before);
});

test("addresses are brought in from a sitemap, a table or a list, and shown before anything changes", async () => {
  const id = await shelve(world, startingShapes[0]!.frame);
  await me.go(`/f/${id}/links`);
  await me.press("button", "Bring in addresses");
  const area = 'textarea[aria-label="Addresses"]';
  await me.see(area);
  await put(
    area,
    '<?xml version="1.0"?><urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><url><loc>https://b.example/books</loc>',
  );
  await me.read('[role="alert"]', "This is no sound XML");
  const urls = ["/books", "/books/1", "/books/2", "/books/1/notes/3", "/about"];
  await put(
    area,
    `<?xml version="1.0"?><urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">${urls.map((url) => `<url><loc>https://b.example${url}</loc></url>`).join("")}</urlset>`,
  );
  await me.read('[role="dialog"] [role="status"]', "a sitemap: 4 patterns, 4 new");
  await put(area, 'address,title\n/books,"Books, all of them"\n/books/1\nzoo');
  await me.read('[role="dialog"] [role="status"]', "a table: 2 patterns, 2 new, 1 not read");
  await put(area, urls.join("\n"));
  await me.read('[role="dialog"] [role="status"]', "a list: 4 patterns, 4 new");
  await me.saved();
  expect(await me.look()).toEqual([]);
  // the focus goes back to where it was before
  await me.keys("Escape");
  await me.page.waitForFunction(() => document.activeElement?.textContent?.includes("Bring in addresses"));
  await me.page.waitForSelector(area, { hidden: true });
  await me.keys("Enter");
  await me.see(area);
  await put(area, "zoo");
  await me.read('[role="dialog"] [role="status"]', "0 patterns, 0 new, 1 not read");
  await put(area, urls.join("\n"));
  await me.press('[role="dialog"] button:not(:disabled)', "Make them");
  await me.see('[role="treeitem"][aria-selected="true"]');
  await me.saved();
  await follow("/books/1/notes/3");
  await me.waitTop("note");
  await me.click('[aria-label="Undo"]');
  await me.page.waitForFunction(() => !document.querySelector('[data-node="note"]'));
});

test("asking to sign in is one change of mind, and the plan shows who can come where", async () => {
  const id = await shelve(world, startingShapes.find((shape) => shape.id === "tabs")!.frame);
  await me.go(`/f/${id}/plan?at=main&in=app`);
  await me.see('[role="treeitem"][aria-selected="true"]');
  await me.press('section[aria-label="Bench"] button', "Restructure");
  await me.press('[role="option"]', "Ask to sign in first");
  await me.waitTop("welcome");
  await me.see('[data-node="main"] [title="needs Signed in: yes"]');
  const who = 'select[aria-label="Who can come where"]';
  await me.page.select(who, "0");
  await me.read('[role="status"]', "2 of 6 screens within reach");
  await me.page.select(who, "1");
  await me.read('[role="status"]', "4 of 6 screens within reach");
  await act("signIn");
  await me.click('[data-device] [data-screen="signIn"] [data-action="signIn"]');
  await me.waitTop("first");
  expect(await me.ladder()).toEqual(["First", "leaves"]);
  // its needs stand on the bench, with what becomes of a person who has them not
  await me.group("needs");
  await me.read('section[aria-label="Needs"]', "Signed in: no: Welcome instead, and");
  await me.keys("Control+z");
  await me.page.waitForFunction(() => !document.querySelector('[data-node="welcome"]'));
});

test("nothing stands in the way of anyone in the links, in both themes", async () => {
  await me.go("/f/night-sky-log/links?link=%2Fevenings%2Fjoin&with=session.guest");
  await me.read('[aria-label="Shared addresses"]', "/evenings/join");
  await me.read('[aria-label="What becomes of it"]', "Coming along");
  expect(await me.look()).toEqual([]);
  await me.click('[aria-label="QR code of the link"]');
  await me.see('svg[role="img"][aria-label="QR code of https://sky.example/evenings/join"]');
  expect(await me.look()).toEqual([]);
  await me.keys("Escape");
  await me.go("/f/night-sky-log/plan?at=chart&in=app");
  await me.group("needs");
  await me.read('section[aria-label="Needs"]', "Session");
  await me.page.select('select[aria-label="Who can come where"]', "2");
  await me.read('[role="status"]', "1 of 16 screens within reach");
  expect(await me.look()).toEqual([]);
});
