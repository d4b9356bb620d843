import { node } from "./listed.js";
import { eachIn, type Person } from "./world.js";

let me: Person;
eachIn((person) => {
  me = person;
});

const plan = "/f/allotment-diary/plan";
/** Waits until the page's address is this one. */
const at = (address: string) =>
  me.page.waitForFunction((wanted) => location.pathname + location.search === wanted, {}, address);
const chosen = (id: string) => me.see(`${node(id)}[aria-selected="true"]`);

test("what is chosen stands in the address", async () => {
  await me.go(plan);
  await me.click(node("offer"));
  await me.page.waitForFunction(() => location.search === "?at=offer&in=swapsTab");
  await me.click(node("task"));
  await me.page.waitForFunction(() => location.search === "?at=task&in=tasksTab");
  await me.page.goBack();
  await me.see(`${node("offer")}[aria-selected="true"]`);
});

test("a step is written into the address once: nothing comes after it that could write over where Back has led", async () => {
  await me.go(plan);
  await me.click(node("offer"));
  await me.page.waitForFunction(() => location.search === "?at=offer&in=swapsTab");
  const writes = await me.page.evaluateHandle(() => {
    const writes: string[] = [];
    for (const how of ["pushState", "replaceState"] as const) {
      const write = history[how].bind(history);
      history[how] = (...step) => {
        write(...step);
        writes.push(`${how} ${location.search}`);
      };
    }
    return writes;
  });
  await me.click(node("task"));
  await me.page.waitForFunction(() => location.search === "?at=task&in=tasksTab");
  await me.click(node("offer"));
  await me.page.waitForFunction(() => location.search === "?at=offer&in=swapsTab");
  expect(await writes.jsonValue()).toEqual(["pushState ?at=task&in=tasksTab", "pushState ?at=offer&in=swapsTab"]);
});

test("Back and Forward go through what was chosen and the places, one step each", async () => {
  await me.go(plan);
  await me.click(node("offer"));
  await at(`${plan}?at=offer&in=swapsTab`);
  await me.click(node("task"));
  await at(`${plan}?at=task&in=tasksTab`);
  // a walk by keys is part of the step it began in
  await me.keys("ArrowLeft", "ArrowRight");
  await at(`${plan}?at=tasks&in=tasksTab`);
  await me.click('a[href*="/links"]');
  await at("/f/allotment-diary/links?at=tasks&in=tasksTab");
  await me.read('[aria-label="Addresses"]', "/tasks/:task");
  await me.page.goBack();
  await chosen("tasks");
  await me.page.goBack();
  await chosen("offer");
  await me.page.goForward();
  await chosen("tasks");
  await me.page.goBack();
  await me.page.goBack();
  await at(plan);
  expect(await me.count('[data-node][aria-selected="true"]')).toBe(0);
});

test("going to where one is already is no step", async () => {
  await me.go(`${plan}?at=offer&in=swapsTab`);
  await chosen("offer");
  const steps = await me.page.evaluate(() => history.length);
  await me.find("Theme and bars");
  await at(`${plan}?at=offer&in=swapsTab&panel=theme`);
  await me.click('a[href*="/plan"]');
  await me.read("h2", "Theme and bars");
  expect(await me.page.evaluate(() => history.length)).toBe(steps);
});

test("a copied address finds the choice, the panel and the view again", async () => {
  const asked = `${plan}?view=700x900&on=swipe&at=offer&in=swapsTab&panel=theme`;
  await me.go(asked);
  await me.read("h2", "Theme and bars");
  await me.read('select[aria-label^="Target"] option:checked', "Swipe-back phone");
  expect(await me.page.$eval("[data-device]", (device) => device.clientWidth / device.clientHeight < 1)).toBe(true);
  await me.page.reload();
  await me.read("h2", "Theme and bars");
  await at(asked);
});

test("what an address asks for that is not there is left out, and the page works", async () => {
  await me.go(`${plan}?at=nosuch&in=neither&panel=cupboard&view=9x9&on=bogus&targets=some`);
  await me.waitTop("plots");
  await me.click(node("offer"));
  await chosen("offer");
  await at(`${plan}?at=offer&in=swapsTab`);
  await me.go("/f/allotment-diary/cupboard");
  await at(plan);
});

test("an address that leads nowhere says so", async () => {
  await me.go("/f/nowhere/plan");
  await me.read('[role="alert"]', "There is no such frame");
});
