import type { Frame } from "../core/index.js";
import { eachIn, lingering, type Person, shelve, type World } from "./world.js";

let me: Person;
let world: World;
eachIn(
  (person, its) => {
    [me, world] = [person, its];
  },
  { walks: true },
);

const checks = "/f/allotment-diary/checks";
const walked = () => me.see('[data-walk="done"]');
const shelf = (name: string) => me.press('[aria-label="Which findings"] button', name);
const gone = (selector: string) => me.page.waitForFunction((css) => !document.querySelector(css), {}, selector);

/** The demo with one thing in it changed, and a splash that is seen when a way is played. */
const changed = async (change: (frame: Frame) => void): Promise<string> => {
  const frame = lingering("allotment");
  frame.name = "Faulty";
  change(frame);
  return shelve(world, frame);
};

test("the demo is walked: what is proved, what is wrong, and how far each screen is", async () => {
  await me.go(checks);
  await walked();
  expect(await me.count("[data-proof]")).toBe(7);
  expect(await me.count('[data-proof="broken"]')).toBe(1);
  await me.read('[aria-label="Which findings"]', "0 faults");
  expect(await me.count('[aria-label="Taps to every screen"] tbody tr')).toBe(8);
  await me.see('canvas[aria-label^="Screens by taps"]');
});

test("a screen without a way back is found, shown on the device, mended by its button, and gone", async () => {
  const id = await changed((frame) => {
    const photo = frame.nodes.photo!;
    if (photo.kind !== "screen") throw new Error("the photo is no screen");
    frame.targets = frame.targets!.map(({ edgeSwipe: _, ...target }) => target);
    delete photo.actions;
    photo.header = "off";
  });
  await me.go(`/f/${id}/checks`);
  await me.see('[data-finding="trap"]');
  await me.read('nav[aria-label="Places"]', "! 1");
  await me.click('[data-finding="trap"] button');
  await me.waitTop("photo");
  await me.read('[data-finding="trap"] [aria-label="Played on the device"]', "tap Photo");
  await me.clickAt('[data-finding="trap"] ol button', 0);
  await me.waitTop("splash");
  await me.read('[data-finding="trap"] [data-tried="clean"]', "it is gone, and nothing else comes with it");
  await me.click('[data-finding="trap"] button[title^="a strip with a Back"]');
  await gone('[data-finding="trap"]');
  await walked();
  expect((await me.frame(id)).nodes.photo).not.toMatchObject({ header: "off" });
  await me.page.keyboard.down("Control");
  await me.page.keyboard.press("z");
  await me.page.keyboard.up("Control");
  await me.see('[data-finding="trap"]');
});

test("a screen moved beside the hub is found where it stands, and moved back by its mend", async () => {
  const id = await changed((frame) => {
    const [app, tasks] = [frame.nodes.app!, frame.nodes.tasksTab!];
    if (app.kind !== "stack" || tasks.kind !== "stack") throw new Error("no stacks");
    tasks.children = tasks.children.filter((child) => child !== "task");
    app.children.push("task");
  });
  await me.go(`/f/${id}/checks`);
  await shelf("doubts");
  await me.see('[data-finding="bar-vanishes"]');
  await me.click('[data-finding="bar-vanishes"] button[title^="the bar stays"]');
  await gone('[data-finding="bar-vanishes"]');
  expect((await me.frame(id)).nodes.tasksTab).toMatchObject({ children: expect.arrayContaining(["task"]) });
});

test("a finding is silenced with a reason, stays countable, and is heard again", async () => {
  await me.go(checks);
  await shelf("hints");
  await me.click('[data-finding="lost-by-kill"] button');
  await me.click('[data-finding="lost-by-kill"] button[aria-expanded="false"]');
  await me.type("We keep drafts on the server.");
  await me.keys("Enter");
  await gone('[data-finding="lost-by-kill"]');
  await shelf("silenced");
  await me.read('[data-finding="lost-by-kill"]', "silenced: We keep drafts on the server.");
  expect((await me.frame("allotment-diary")).quiet).toEqual([
    { rule: "lost-by-kill", why: "We keep drafts on the server." },
  ]);
  await me.press('[data-finding="lost-by-kill"] button', "Hear it again");
  await gone('[data-finding="lost-by-kill"]');
});

test("by keys alone a finding is chosen, stepped through, and looked at on the plan", async () => {
  await me.go(checks);
  await walked();
  await me.page.focus('[data-finding="draft-lost"] button');
  await me.keys("Enter");
  await me.see('[data-finding="draft-lost"] [aria-current="step"]');
  const steps = await me.count('[data-finding="draft-lost"] ol button');
  expect(steps).toBeGreaterThan(3);
  for (let i = 0; i < 40; i += 1) {
    await me.keys("Tab");
    const on = await me.page.evaluate(() => document.activeElement?.textContent);
    if (on === "On the plan") break;
  }
  await me.keys("Enter");
  await me.see('main [data-node="bed"], section[aria-label="Bench"] h2');
  await me.read('section[aria-label="Bench"]', "Bed");
});

test("what is wrong is marked at its node on the plan and on the bench, which leads to where it is mended", async () => {
  await me.go("/f/allotment-diary/plan?at=bed&in=plotsTab");
  await me.see('[data-node="bed"] [data-wrong="doubt"]');
  await me.click('section[aria-label="Bench"] button[aria-label*="A draft in Bed is lost unasked"]');
  await me.see('[data-finding="draft-lost"] [aria-current="step"]');
  await me.read('[data-finding="draft-lost"]', "Bed");
  await me.press('[data-finding="draft-lost"] button', "Ask before leaving");
  await me.page.goBack();
  await me.see('[data-node="bed"]');
  await gone('[data-node="bed"] [data-wrong]');
});

/** Many tabs with much in each: more states than anyone waits for. */
const large = (deep = 6): Frame => {
  const tabs = Array.from({ length: 8 }, (_, i) => `t${i}`);
  const nodes: Frame["nodes"] = { app: { kind: "stack", children: ["home"] } };
  nodes.home = { kind: "hub", limit: 8, children: tabs.map((tab) => `${tab}Tab`) };
  for (const tab of tabs) {
    const inner = Array.from({ length: deep }, (_, i) => `${tab}s${i}`);
    nodes[`${tab}Tab`] = { kind: "stack", children: [tab, ...inner], tab: { label: tab, icon: "circle" } };
    nodes[tab] = {
      kind: "screen",
      title: tab,
      actions: inner.map((to) => ({ id: to, label: to, place: "body", do: { kind: "open", to } })),
    };
    for (const id of inner) nodes[id] = { kind: "screen", title: id };
  }
  return { format: "handy-frame/2", name: "Many tabs", root: "app", nodes };
};

test("the walk of a large app shows how far it is, goes farther when asked, and can be stopped; what it says ends there", async () => {
  const id = await shelve(world, large());
  await me.go(`/f/${id}/checks`);
  await walked();
  await me.read("header", "more states than were walked");
  await me.press("main button", "Walk farther");
  await me.see('[data-walk="going"]');
  await me.see('progress[aria-label="Views walked"]');
  await me.press("main button", "Stop");
  await walked();
  await me.read("main header", "Stopped");
});

test("in a frame of some hundred nodes it is known where a person comes to, and how", async () => {
  const frame = large(30);
  frame.facts = [{ id: "in", label: "Signed in" }];
  for (const [i, guarded] of ["t7s0", "t7s1"].entries())
    frame.nodes[guarded] = { kind: "screen", title: `Mine ${i}`, needs: [{ fact: "in", is: true, otherwise: "t0" }] };
  const id = await shelve(world, frame);
  await me.go(`/f/${id}/plan?at=t7s9&in=t7Tab&panel=routes`);
  await me.read('ol[aria-label="Routes, the shortest first"]', "tab t7");
  await me.press('[aria-label="What is shown"] button', "all ways");
  await me.see('input[placeholder="among 240 ways"]');
  await me.page.select('select[aria-label="Who can come where"]', "0");
  await me.read('[role="status"]', "246 of 248 screens within reach");
  await me.page.select('select[aria-label="Who can come where"]', "1");
  await me.read('[role="status"]', "248 of 248 screens within reach");
});

test("nothing stands in the way of anyone, in both themes", async () => {
  await me.go(checks);
  await walked();
  expect(await me.look()).toEqual([]);
  await me.click('[data-finding="draft-lost"] button');
  await me.see('[data-finding="draft-lost"] [aria-current="step"]');
  expect(await me.look()).toEqual([]);
});
