import { chosen, listed, node, open } from "./listed.js";
import { demo, eachIn, type Person, shelve, type World } from "./world.js";

let world: World;
let me: Person;
eachIn((person, its) => {
  me = person;
  world = its;
});

const bench = 'section[aria-label="Bench"]';
/** A drop of water with a hole, in a square that does not begin at 0 0; its parts are turned and moved. */
const drop =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="-12 -12 24 24"><g transform="rotate(45)" fill="#0a6"><path fill-rule="evenodd" d="M-8-8h8a8 8 0 1 1-8 8zM-2-3a3 3 0 1 0 6 3z"/></g></svg>';
const lines =
  '<svg xmlns="http://www.w3.org/2000/svg" width="24" height="24" fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round" stroke-linejoin="round"><circle cx="12" cy="12" r="9"/><rect x="8" y="8" width="8" height="6" rx="2"/></svg>';

/** Brings a file over something and lets it go there; answers what was said while it was over it. */
const letFall = (selector: string, name: string, text: string): Promise<string> =>
  me.page.evaluate(
    async (where, file, content) => {
      const dataTransfer = new DataTransfer();
      dataTransfer.items.add(
        new File([content], file, { type: file.endsWith(".svg") ? "image/svg+xml" : "text/plain" }),
      );
      const element = document.querySelector(where)!;
      const { x, y, width, height } = element.getBoundingClientRect();
      const init = { bubbles: true, cancelable: true, dataTransfer, clientX: x + width / 2, clientY: y + height / 2 };
      const over = new DragEvent("dragover", init);
      element.dispatchEvent(over);
      await new Promise(requestAnimationFrame);
      const said = document.querySelector('[role="tree"] [role="status"]')?.textContent ?? "";
      const fell = new DragEvent("drop", init);
      element.dispatchEvent(fell);
      return `${said} ${fell.defaultPrevented}`;
    },
    selector,
    name,
    text,
  );

/** How unlike two drawings look, in black on white at 96 px: the share of points that differ by more than an eighth. */
const unlike = (one: string, other: string): Promise<number> =>
  me.page.evaluate(
    async (...drawings) => {
      const points = await Promise.all(
        drawings.map(async (svg) => {
          const image = new Image(96, 96);
          image.src = `data:image/svg+xml,${encodeURIComponent(svg)}`;
          await image.decode();
          const canvas = new OffscreenCanvas(96, 96).getContext("2d")!;
          canvas.drawImage(image, 0, 0, 96, 96);
          return canvas.getImageData(0, 0, 96, 96).data.filter((_, i) => i % 4 === 3);
        }),
      );
      const [a, b] = points as [Uint8ClampedArray, Uint8ClampedArray];
      return a.filter((alpha, i) => Math.abs(alpha - b[i]!) > 32).length / a.length;
    },
    one,
    other,
  );

/** What a tab shows as its icon: on the plan, and on the device. */
const drawn = (where: string) =>
  me.page.$eval(`${where} .icon`, (icon) =>
    decodeURIComponent(
      /url\("(.*)"\)/
        .exec((icon as HTMLElement).style.getPropertyValue("--icon"))![1]!
        .split(",")
        .slice(1)
        .join(","),
    ),
  );

test("a drawing dropped on a tab becomes its icon, looks as it was drawn, and goes by one undo", async () => {
  const id = await shelve(world, demo("allotment"));
  await open(me, id);
  expect(await letFall(node("plotsTab"), "Our drop.svg", drop)).toBe("A drawingbecomes the icon of Plots true");
  await me.see(chosen("plotsTab"));
  await me.saved();
  const { icons, nodes } = await me.frame(id);
  expect(nodes.plotsTab!.tab).toMatchObject({ icon: "our-drop" });
  expect(icons).toEqual({ "our-drop": { box: 24, paths: [expect.any(String)], rule: "evenodd" } });
  const onPlan = await drawn(node("plotsTab"));
  await me.see('[data-device] [data-tab="plotsTab"] .icon');
  expect(await drawn('[data-device] [data-tab="plotsTab"]')).toBe(onPlan);
  expect(await unlike(drop, onPlan)).toBeLessThan(0.002);
  // the same drawing is there once
  await letFall(node("tasksTab"), "again.svg", drop);
  await me.read('[role="treeitem"][aria-selected="true"]', "Tasks");
  await me.saved();
  expect((await me.frame(id)).nodes.tasksTab!.tab).toMatchObject({ icon: "our-drop" });
  await me.keys("Control+z", "Control+z");
  await me.saved();
  expect((await me.frame(id)).icons).toBeUndefined();
  expect((await me.frame(id)).nodes.plotsTab!.tab).toMatchObject({ icon: "plant" });
});

test("what cannot be an icon is refused with the reason, and a file beside a tab does not take the page away", async () => {
  const id = await listed(world, me, "Refused");
  await letFall(
    node("mapTab"),
    "two.svg",
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><path d="M0 0h4v4z"/><path fill="red" d="M5 5h4v4z"/></svg>',
  );
  await me.read('[role="alert"]', "It has 2 colours, black, red: an icon has one.");
  await letFall(node("mapTab"), "notes.txt", "hello");
  await me.read('[role="alert"]', "notes.txt is no SVG drawing");
  await letFall(node("mapTab"), "noise.svg", "\u0000\u0003<svg");
  await me.read('[role="alert"]', "noise.svg holds what no text can");
  expect(await letFall(node("settings"), "drop.svg", drop)).toContain(
    "becomes the icon of the tab that it is dropped on",
  );
  expect(await letFall(bench, "drop.svg", drop)).toContain("true");
  expect((await me.frame(id)).icons).toBeUndefined();
});

test("a drawing is brought in where an icon is chosen, found by its name, and taken out where nothing names it", async () => {
  const id = await listed(world, me, "Brought in");
  await me.click(node("mapTab"));
  await me.group("tab");
  const icon = `${bench} button[aria-label="Icon: map-trifold"]`;
  await me.see(icon);
  await letFall(icon, "plant.svg", lines);
  // the package has one that is called so
  await me.see(`${bench} button[aria-label="Icon: plant-2"]`);
  await me.saved();
  const { icons } = await me.frame(id);
  expect(icons!["plant-2"]).toMatchObject({ box: 24, line: 2, ends: "round" });
  expect(await unlike(lines, await drawn(node("mapTab")))).toBeLessThan(0.002);
  // by keys: found by its name, and put on another tab
  await me.click(node("meTab"));
  await me.page.focus(`${bench} button[aria-label="Icon: user"]`);
  await me.keys("Enter");
  await me.see('[aria-label="Find an icon by its name"]');
  await me.type("plant 2");
  await me.see('[role="dialog"] button[aria-label="plant-2"]');
  await me.keys("Enter");
  await me.see(`${bench} button[aria-label="Icon: plant-2"]`);
  // the theme has them all; what is named stays
  await me.find("icons svg", "Theme and bars");
  await me.group("icons");
  await me.read(bench, "plant-2 on Map, Me");
  expect(await me.page.$('[aria-label="Take out the icon plant-2"]')).toBeNull();
  await me.keys("Control+z");
  await me.read(bench, "plant-2 on Map");
  await me.keys("Control+z");
  await me.click('[aria-label="Take out the icon plant-2"]');
  await me.saved();
  expect((await me.frame(id)).icons).toBeUndefined();
});
