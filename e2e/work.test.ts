import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { eachIn, shelve, type Person, type World } from "./world.js";
import { Served } from "./served.js";

const demo = join(import.meta.dirname, "..", "demo", "allotment.frame.json");
let world: World;
let me: Person;
eachIn(
  (person, its) => {
    me = person;
    world = its;
  },
  { own: new Served() },
);

const bar = '[data-device] [role="tablist"]';
const node = (id: string, parent?: string) =>
  `[data-node="${id}"]${parent === undefined ? "" : `[data-parent="${parent}"]`}`;
const action = (id: string) => `[data-device] [data-action="${id}"]`;
const plan = "/f/allotment-diary/plan";

/** Puts the demo on the shelf under a name of its own, and answers where it is. */
const fresh = async (name: string): Promise<string> =>
  `/f/${await shelve(world, { ...JSON.parse(readFileSync(demo, "utf8")), name })}/plan`;

/** Takes hold of something and goes over the middle of something else. */
const drag = async (from: string, target: string) => {
  await (await me.see(from)).evaluate((element) => element.scrollIntoView({ block: "nearest" }));
  const to = await centre(target);
  const box = (await (await me.see(from)).boundingBox())!;
  await me.page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await me.page.mouse.down();
  await me.page.mouse.move(box.x + box.width / 2 + 20, box.y + box.height / 2 + 10, { steps: 3 });
  await me.page.mouse.move(to.x, to.y, { steps: 6 });
};
const centre = async (selector: string) => {
  const box = (await (await me.see(selector)).boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

test("a developer plans, runs it at once, and finds everything again", async () => {
  // open the demo from the shelf
  await me.go("/");
  await me.click('a[aria-label="Open Allotment Diary"]');
  await me.waitTop("plots");

  // add a screen inside Plots by keyboard
  await me.click(node("plots", "plotsTab"));
  await me.keys("ArrowLeft");
  await me.see(`${node("plotsTab")}[aria-selected="true"]`);
  await me.keys("Shift+N");
  await me.see('input[aria-label="Title"]');
  await me.type("Harvest");
  await me.keys("Enter");
  await me.see(`${node("harvest", "plotsTab")}[aria-selected="true"]`);

  // link to it: the action is made by typing the name of its target
  await me.click(node("plots", "plotsTab"));
  await me.group("out");
  await me.click('input[aria-label^="Add a way out"]');
  await me.type("harv");
  await me.keys("Enter");

  // follow the link on the companion: the bar is there and Back goes to the list
  await me.click(action("harvest"));
  await me.waitTop("harvest");
  expect(await me.count(bar)).toBe(1);
  expect(await me.ladder()).toEqual(["Harvest", "Plots", "leaves"]);
  await me.read('[aria-label="Why"]', "The bar stays");

  // drag it out beside the hub: what a drop would do is said before it is done, and Escape gives it up
  await drag(node("harvest", "plotsTab"), node("photo", "app"));
  await me.read('[role="status"]', "the bar is covered here");
  await me.keys("Escape");
  await me.page.mouse.up();
  expect(await me.count(node("harvest", "plotsTab"))).toBe(1);
  await drag(node("harvest", "plotsTab"), node("photo", "app"));
  await me.read('[role="status"]', "the bar is covered here");
  await me.page.mouse.up();
  await me.see(node("harvest", "app"));
  await me.waitTop("harvest");
  expect(await me.count(bar)).toBe(0);

  // undo: it is back in its tab, and so is the bar
  await me.keys("Control+z");
  await me.see(node("harvest", "plotsTab"));
  await me.see(bar);
  expect(await me.top()).toBe("harvest");

  // type a draft in Me, change tab, come back: it is there
  await me.click('[data-device] [data-tab="meTab"]');
  await me.click(action("change"));
  await me.click("[data-device] input");
  await me.type("Juniper");
  await me.click('[data-device] [data-tab="tasksTab"]');
  await me.waitTop("tasks");
  await me.click('[data-device] [data-tab="meTab"]');
  await me.waitTop("edit");
  expect(await me.page.$eval("[data-device] input", (input) => input.value)).toBe("Juniper");

  // reload: the frame and the history are there, and so is the device
  await me.saved();
  await me.page.reload();
  await me.see(node("harvest", "plotsTab"));
  await me.waitTop("edit");
  expect(await me.page.$eval("[data-device] input", (input) => input.value)).toBe("Juniper");
  await me.click("[data-sync]");
  await me.read('[role="dialog"]', "Add New screen in Plots");
  await me.read('[role="dialog"]', "Undo: Move Harvest");
});

test("a broken file dropped on the shelf names pointer and reason and changes nothing", async () => {
  await me.go("/");
  await me.see('a[aria-label="Open Allotment Diary"]');
  const before = await me.count('section[aria-label="Frames"] li');
  const drop = (name: string, text: string) =>
    me.page.evaluate(
      (name, text) => {
        const dataTransfer = new DataTransfer();
        dataTransfer.items.add(new File([text], name, { type: "application/json" }));
        document
          .querySelector("main")!
          .dispatchEvent(new DragEvent("drop", { dataTransfer, bubbles: true, cancelable: true }));
      },
      name,
      text,
    );
  const broken = JSON.parse(readFileSync(demo, "utf8"));
  broken.nodes.plot.body.opens = "nowhere";
  await drop("broken.frame.json", JSON.stringify(broken));
  await me.read('[role="alert"]', "broken.frame.json was not put on the shelf; nothing was changed");
  await me.read('[role="alert"]', "/nodes/plot/body/opens");
  await me.read('[role="alert"]', '"nowhere", which is not in nodes');
  await drop("torn.frame.json", '{\n "format": oops');
  await me.read('[role="alert"]', "line 2, column 12");
  expect(await me.count('section[aria-label="Frames"] li')).toBe(before);
  // and a sound one is opened
  await drop("sound.frame.json", JSON.stringify({ ...JSON.parse(readFileSync(demo, "utf8")), name: "Dropped" }));
  await me.see(node("plots"));
  expect(me.page.url()).toContain("/f/dropped/plan");
});

test("the plan is worked by keys alone: walk, add, rename, move, reorder, delete, undo, redo", async () => {
  await me.go(await fresh("By keys"));
  await me.waitTop("plots");
  for (
    let i = 0;
    i < 40 && !(await me.page.evaluate(() => document.activeElement?.getAttribute("role") === "treeitem"));
    i += 1
  )
    await me.keys("Tab");
  // into the root, past the splash, into the tabs
  await me.keys("ArrowRight", "ArrowRight", "ArrowDown", "ArrowRight", "ArrowDown");
  await me.see(`${node("tasksTab")}[aria-selected="true"]`);
  await me.keys("n");
  await me.type("Shed");
  await me.keys("Enter");
  await me.see(`${node("shedTab", "home")}[aria-selected="true"]`);
  await me.see(node("shed", "shedTab"));
  await me.keys("Alt+ArrowUp");
  await me.page.waitForFunction(
    () =>
      [...document.querySelectorAll("[data-device] [data-tab]")].map((tab) => tab.getAttribute("data-tab")).join() ===
      "plotsTab,shedTab,tasksTab,swapsTab,meTab",
  );
  await me.keys("ArrowRight", "p");
  await me.waitTop("shed");
  await me.keys("Enter");
  await me.type("Tool shed");
  await me.keys("Enter");
  await me.read(`[data-device]`, "Tool shed");
  await me.keys("ArrowLeft", "Alt+ArrowLeft");
  await me.see(node("shedTab", "app"));
  await me.keys("Delete");
  await me.page.waitForSelector(node("shed"), { hidden: true });
  await me.keys("Control+z", "Control+z");
  await me.see(node("shedTab", "home"));
  await me.keys("Control+Shift+z");
  await me.see(node("shedTab", "app"));
  await me.click(node("shed"));
  await me.keys("ArrowLeft", "Control+d");
  await me.see(node("shedTab2"));
  // undo is there wherever the keys go, but in a text, which has its own
  await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await me.keys("Control+z");
  await me.page.waitForSelector(node("shedTab2"), { hidden: true });
});

test("what cannot be done is said, and nothing is changed", async () => {
  await me.go(await fresh("Refusals"));
  await me.click(node("plots"));
  const address = 'section[aria-label="Bench"] input[value="/plots"]';
  await me.click(address);
  await me.keys("Control+a");
  await me.type("/tasks");
  await me.keys("Enter");
  await me.read('[role="alert"]', "matches the same addresses as /tasks of Tasks (tasks)");
  expect(await me.page.$eval("[data-sync]", (element) => element.textContent)).toBe("saved · change 1");
});

test("the device is worked by hand: rows, tabs, scroll, header Back, system Back, the ladder", async () => {
  await me.go(plan);
  await me.waitTop("plots");
  await me.click("[data-device] [data-row='4']");
  await me.waitTop("plot");
  await me.click("[data-device] [data-row='2']");
  await me.waitTop("bed");
  expect(await me.ladder()).toEqual(["Bed 2", "Plot 4", "Plots", "leaves"]);
  await me.click("[data-device] [data-back]");
  await me.waitTop("plot");
  // scrolled, left and come back to: the place is kept
  await me.click('[data-device] [data-tab="tasksTab"]');
  await me.waitTop("tasks");
  await me.page.$eval("[data-device] [data-screen] > div", (list) => list.scrollTo(0, 700));
  await me.click('[data-device] [data-tab="swapsTab"]');
  await me.waitTop("swaps");
  await me.click('[data-device] [data-tab="tasksTab"]');
  await me.page.waitForFunction(
    () => document.querySelector("[data-device] [data-screen='tasks'] > div")?.scrollTop === 700,
  );
  await me.press("aside button", "Back", "starts");
  await me.waitTop("plot");
  await me.read('[aria-label="Why"]', "the start tab of Home");
  await me.clickAt('[aria-label="What Back will do"] button', 0);
  await me.waitTop("plots");
  // on a target without a Back of its own
  await me.page.select('select[aria-label^="Target"]', "swipe");
  expect(await me.ladder()).toEqual(["Plots", "stays"]);
  expect(new URL(me.page.url()).searchParams.get("on")).toBe("swipe");
});

test("two windows on one frame stay in step, and each can take back its own", async () => {
  const path = await fresh("Two windows");
  await me.go(path);
  await me.waitTop("plots");
  const other = await world.person();
  await other.go(path);
  await other.waitTop("plots");
  await other.page.bringToFront();
  await other.click(node("offer"));
  await other.keys("n");
  await other.type("Terms");
  await other.keys("Enter");
  await other.saved();
  await me.page.bringToFront();
  await me.see(node("terms"));
  await me.click(node("task"));
  await me.keys("n");
  await me.type("Rota");
  await me.keys("Enter");
  await me.saved();
  await other.page.bringToFront();
  await other.see(node("rota"));
  await other.click(node("terms"));
  await other.keys("Control+z", "Control+z");
  await other.page.waitForSelector(node("terms"), { hidden: true });
  await other.see(node("rota"));
  expect(other.errors).toEqual([]);
  await other.page.close();
});

test("while the server is away changes wait, over a reload of nothing, and are sent when it is back", async () => {
  const path = await fresh("Away");
  await me.go(path);
  await me.waitTop("plots");
  const { port } = world.served;
  await world.served.end("SIGKILL");
  await me.see('[data-sync="away"]');
  await me.click(node("task"));
  await me.keys("n");
  await me.type("Rota");
  await me.keys("Enter");
  await me.read("[data-sync]", "2 changes wait");
  await world.served.start(port);
  await me.saved();
  await me.page.reload();
  await me.see(node("rota"));
}, 60_000);

test("a frame that is deleted can be brought back", async () => {
  await fresh("Passing");
  await me.go("/");
  await me.click('button[aria-label="More about Passing"]');
  await me.read('[role="menu"]', "Delete");
  await me.press('[role="menuitem"]', "Delete", "starts");
  await me.read('section[aria-label="Deleted"]', "Passing");
  await me.click('section[aria-label="Deleted"] button');
  await me.see('a[aria-label="Open Passing"]');
});

test("a thousand screens are planned without a stumble", async () => {
  const nodes: Record<string, unknown> = {
    app: { kind: "stack", children: ["home"] },
    home: { kind: "hub", children: [] as string[] },
  };
  for (let t = 0; t < 10; t += 1) {
    const children = Array.from({ length: 100 }, (_, i) => `s${t * 100 + i}`);
    (nodes.home as { children: string[] }).children.push(`t${t}`);
    nodes[`t${t}`] = { kind: "stack", title: `Tab ${t}`, children };
    children.forEach(
      (id, i) =>
        (nodes[id] = {
          kind: "screen",
          title: `Screen ${id}`,
          actions:
            i < 99 ? [{ id: "on", label: "On", place: "body", do: { kind: "open", to: children[i + 1] } }] : undefined,
        }),
    );
  }
  const file = join(world.served.data, "large.frame.json");
  writeFileSync(file, JSON.stringify({ format: "handy-frame/2", name: "Large", root: "app", nodes }));
  const response = await fetch(new URL("/api/frames/file", world.served.url), {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: readFileSync(file, "utf8"),
  });
  expect(response.status).toBe(201);
  await me.go("/f/large/plan?at=s0&in=t0");
  await me.waitTop("s0");
  expect(await me.count("[data-node]")).toBeLessThan(600);
  await me.click(node("s0"));
  await me.keys("n");
  await me.type("Between");
  await me.keys("Enter");
  await me.see(node("between", "t0"));
});
