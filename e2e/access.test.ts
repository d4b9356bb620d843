import { eachIn, type Person } from "./world.js";

let me: Person;
eachIn((person) => {
  me = person;
});

const plan = "/f/allotment-diary/plan";

test("nothing runs out of the window, be it wide or narrow", async () => {
  const out = () =>
    me.page.evaluate(() => {
      const isScrolled = (element: Element) => {
        for (let at = element.parentElement; at; at = at.parentElement)
          if (["auto", "scroll"].includes(getComputedStyle(at).overflowX)) return true;
        return false;
      };
      return [...document.querySelectorAll("button, input, select, h1, h2, [role=status], [role=alert]")]
        .filter((element) => !element.closest("[data-device], .sr-only") && !isScrolled(element))
        .filter((element) => {
          const { left, right, width } = element.getBoundingClientRect();
          return width > 0 && (right > innerWidth + 1 || left < -1);
        })
        .map((element) => `${element.tagName} ${element.getAttribute("aria-label") ?? element.textContent}`)
        .concat(document.documentElement.scrollWidth > innerWidth ? ["the page is scrolled sideways"] : []);
    });
  for (const [at, seen] of [
    ["/", 'a[aria-label="Open Allotment Diary"]'],
    [`${plan}?at=plot&in=plotsTab`, 'section[aria-label="Bench"] h2'],
    ["/f/night-sky-log/plan?at=nights&in=club", 'section[aria-label="Bench"] h2'],
    ["/f/night-sky-log/links?link=%2Fevenings%2Fjoin", '[aria-label="What becomes of it"]'],
    ["/f/night-sky-log/sizes", "[data-sized] [data-screen]"],
    ["/f/night-sky-log/state", "[data-lane]"],
  ] as const) {
    await me.go(at);
    for (const width of [1280, 1000, 700]) {
      await me.page.setViewport({ width, height: 800 });
      await me.page.waitForFunction((wide) => innerWidth === wide, {}, width);
      await me.see(seen);
      expect([at, width, await out()]).toEqual([at, width, []]);
    }
  }
});

test("nothing stands in the way of anyone, in both themes", async () => {
  await me.go("/");
  await me.see('a[aria-label="Open Allotment Diary"]');
  expect(await me.look()).toEqual([]);
  await me.go(`${plan}?at=plot&in=plotsTab`);
  await me.waitTop("plots");
  expect(await me.look()).toEqual([]);
  for (const at of [
    "/f/allotment-diary/plan?at=home&in=app",
    "/f/allotment-diary/plan?at=water&in=plotsTab",
    "/f/night-sky-log/plan?at=nights&in=club&view=1100x760",
    "/f/repair-cafe/plan?at=waiting&in=waitingTab",
  ]) {
    await me.go(at);
    await me.see('section[aria-label="Bench"] h2');
    await me.see("[data-device] [data-screen]");
    expect(await me.look()).toEqual([]);
  }
  await me.group("out");
  await me.click('section[aria-label="Bench"] button[aria-label^="More about the action"]');
  expect(await me.look()).toEqual([]);
  for (const panel of ["Theme and bars", "Devices, widths"]) {
    await me.click('input[aria-label="Find"]');
    await me.type(panel);
    await me.read('[role="option"][aria-selected="true"]', panel);
    await me.keys("Enter");
    await me.read("h2", panel);
    expect(await me.look()).toEqual([]);
  }
  await me.go(plan);
  await me.waitTop("plots");
  await me.click('section[aria-label="Bench"] button');
  await me.see('[role="option"]');
  expect(await me.look()).toEqual([]);
});
