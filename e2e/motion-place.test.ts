import { builtInMotions, type Frame, measure, motionsAsCss, type Motion, sample } from "../core/index.js";
import { demo, eachIn, type Person, shelve, type World } from "./world.js";

let me: Person;
let world: World;
eachIn((person, its) => {
  [me, world] = [person, its];
});

const place = "main[aria-label=Motion]";
const track = (name: string) => `[data-track="${name}"]`;
const field = (label: string) => `${place} input[aria-label="${label}"]`;
/** Writes a number into its field, in place of what is there. */
const write = async (label: string, value: string) => {
  await me.click(field(label));
  await me.page.$eval(field(label), (input) => (input as HTMLInputElement).select());
  await me.type(value);
  await me.keys("Enter");
};
/** A demo that says nothing of its motions: what is set is set by the test. */
const plainDemo = (name: string) => {
  const { motions: _, motion: __, vary, ...frame } = demo(name);
  for (const node of Object.values(frame.nodes)) delete node.motion;
  const others = vary?.filter(({ set }) => !("motion" in set)) ?? [];
  return JSON.parse(
    JSON.stringify({ ...frame, ...(others.length > 0 && { vary: others }) }).replaceAll(/,"motion":"[A-Za-z]+"/g, ""),
  ) as Frame;
};
const opened = async (frame = plainDemo("allotment"), path = "") => {
  const id = await shelve(world, frame);
  await me.go(`/f/${id}/motion${path}`);
  await me.see(`${place} [aria-label=Stage] [role=img]`);
  return id;
};
/** Holds the stage at a moment, ms: held first, since a line that is put to where it goes by just now has not changed. */
const holdAt = async (ms: number) => {
  await me.page.focus(`${place} input[type=range]`);
  await me.keys("Home");
  await me.page.$eval(
    `${place} input[type=range]`,
    (input, value) => {
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")!.set!.call(input, String(value));
      input.dispatchEvent(new Event("input", { bubbles: true }));
    },
    ms,
  );
};

test("a move says where its motion comes from; it is set once, and each exception is taken back by one press", async () => {
  const id = await opened(plainDemo("allotment"), "?move=plotsTab.plot");
  expect(await me.page.$eval("[data-level][aria-current]", (row) => row.getAttribute("data-level"))).toBe("builtIn");
  const says = (name: string) => `select[aria-label="Motion that ${name} says"]`;
  await me.page.select(says("Allotment Diary"), "sideBySide");
  await me.see("[data-level=app][aria-current]");
  await me.page.select(says("Plot"), "near");
  await me.see("[data-level=screen][aria-current]");
  await me.read(`${place} [aria-label=Stage] h1`, "Nearer");
  await me.read(`${place} section`, "1 exception is set");
  let frame = await me.frame(id);
  expect([frame.motion, frame.nodes.plot!.motion]).toEqual([{ push: "sideBySide" }, { push: "near" }]);
  await me.click('button[aria-label="Take back what Plot says"]');
  await me.see("[data-level=app][aria-current]");
  await me.page.select(says("Plot"), "leaf");
  await me.press(`${place} button`, "Make all alike");
  await me.see("[data-level=app][aria-current]");
  frame = await me.frame(id);
  expect([frame.motion, frame.nodes.plot!.motion]).toEqual([{ push: "sideBySide" }, undefined]);
});

test("a spring tuned to settle in 400 ms and go 4 % beyond measures so", async () => {
  const id = await opened(plainDemo("allotment"), "?move=plotsTab.plot");
  await me.click(track("incoming x"));
  await write("Settles in", "400");
  await write("Goes beyond by", "4");
  await me.read("[data-verdict=settle]", "goes 4 % beyond its place");
  const { motions } = await me.frame(id);
  const measured = measure({ ...motions!.slip!, forward: { ...motions!.slip!.forward, outgoing: [] } });
  expect(measured.settle).toBeCloseTo(400, 1);
  expect(measured.overshoot).toBeCloseTo(0.04, 4);
  await me.press(`${place} button`, "As built in");
  await me.read("[data-verdict=settle]", "without going too far");
  expect((await me.frame(id)).motions).toBeUndefined();
});

test("what shows through is told with its share and its time, and mended by one press", async () => {
  await opened(plainDemo("allotment"), "?move=plotsTab.plot&motion=dissolve");
  await me.read("[data-verdict=bare]", "bare 25 % at 105 ms");
  await me.press("[data-verdict=bare] button", "Mend");
  await me.read("[data-verdict=bare]", "nothing bare");
});

test("directions that contradict each other are pointed out, and go the other way by one press", async () => {
  const id = await opened(plainDemo("allotment"), "?move=plotsTab.plot&motion=sideBySide");
  await write("outgoing across to", "100");
  await me.read("[data-contradiction]", "comes in from the end meets what goes out to the end");
  await me.press("[data-contradiction] button", "Mend");
  await me.page.waitForSelector("[data-contradiction]", { hidden: true });
  expect((await me.frame(id)).motions!.sideBySide!.forward.outgoing[0]!.to).toBe(-100);
});

test("tracks are drawn along the time by the pointer and by keys, and what is no number changes nothing", async () => {
  const id = await opened(plainDemo("allotment"), "?move=plotsTab.plot&motion=dissolve");
  const bar = '[aria-label="incoming opacity starts at, on the time line"]';
  const box = (await (await me.see(bar)).boundingBox())!;
  await me.page.mouse.move(box.x + 10, box.y + 8);
  await me.page.mouse.down();
  await me.page.mouse.move(box.x + 40, box.y + 8, { steps: 4 });
  await me.page.mouse.up();
  await me.saved();
  const delayed = (await me.frame(id)).motions!.dissolve!.forward.incoming[0]!.delay!;
  expect(delayed).toBeGreaterThan(20);
  await me.page.focus('[aria-label="incoming opacity lasts, on the time line"]');
  await me.keys("Shift+ArrowRight");
  await me.page.waitForFunction(
    (css) => (document.querySelector(css) as HTMLInputElement).value === "260",
    {},
    field("incoming opacity lasts"),
  );
  await write("incoming opacity from", "half");
  await me.read(`${place} [role=alert]`, "half is no number.");
  await me.keys("Escape");
  expect((await me.frame(id)).motions!.dissolve!.forward.incoming[0]).toMatchObject({
    from: 0,
    ms: 260,
    delay: delayed,
  });
});

test("a curve is shaped by its handles, a track is added and taken out, the way back is written out", async () => {
  const id = await opened(plainDemo("allotment"), "?move=plotsTab.plot&motion=settle");
  await me.page.select('select[aria-label="incoming down ease"]', "past");
  await me.click('[aria-label="incoming down: first handle"]');
  await me.keys("ArrowUp", "ArrowUp");
  await me.page.select('select[aria-label="Add a track"]', "outgoing scale");
  await me.see(track("outgoing scale"));
  await me.click('button[aria-label="Take out incoming opacity"]');
  await me.page.waitForSelector(track("incoming opacity"), { hidden: true });
  await me.press(`${place} [aria-label="Tracks of which way"] button`, "back: mirror");
  await write("outgoing down to", "9");
  await me.read(`${place} [aria-label="Tracks of which way"]`, "back: its own");
  const { forward, back } = (await me.frame(id)).motions!.settle!;
  expect(forward.incoming).toEqual([
    { property: "y", from: 3, to: 0, ms: 190, ease: { bezier: [0.3, 0.94, 0.36, 1.24] } },
  ]);
  expect(forward.outgoing.map(({ property, to }) => [property, to])).toEqual([["scale", 0.9]]);
  expect(back).toMatchObject({ outgoing: [{ property: "y", to: 9 }] });
});

test("a motion is saved as one's own, brought in from another frame and from tokens, and what cannot be taken is named", async () => {
  const other = plainDemo("night-sky");
  const { leaf } = builtInMotions as { leaf: Motion };
  await shelve(world, {
    ...other,
    name: "Motions to borrow",
    motions: { borrowed: { ...leaf, name: "Borrowed leaf" } },
  });
  const id = await opened(plainDemo("allotment"), "?move=plotsTab.plot&motion=leaf");
  await me.press(`${place} button`, "Save as own");
  await me.see('[data-motion=leaf2][aria-pressed="true"]');
  await me.press(`${place} button`, "Bring in");
  const value = await me.page.waitForFunction(
    () =>
      [...document.querySelectorAll<HTMLOptionElement>('select[aria-label="Another frame"] option')].find((each) =>
        each.textContent?.includes("Motions to borrow"),
      )?.value,
  );
  await me.page.select('select[aria-label="Another frame"]', (await value.jsonValue())!);
  await me.read('[aria-label="Found"]', "Borrowed leaf");
  await me.press("[role=dialog] button", "Bring in 1");
  await me.see('[data-motion=borrowed][aria-pressed="true"]');
  await me.press(`${place} button`, "Bring in");
  const input = (await me.page.waitForSelector('input[aria-label="A file of design tokens"]'))!;
  const tokens = {
    ink: { $type: "color", $value: "#123456" },
    calm: { $type: "transition", $value: { duration: { value: 180, unit: "ms" }, timingFunction: [0.2, 0, 0, 1] } },
  };
  await me.page.evaluate(
    (element, text) => {
      const held = new DataTransfer();
      held.items.add(new File([text], "tokens.json", { type: "application/json" }));
      (element as HTMLInputElement).files = held.files;
      element.dispatchEvent(new Event("change", { bubbles: true }));
    },
    input,
    JSON.stringify(tokens),
  );
  await me.read("[role=dialog] [role=alert]", "/ink: a color says nothing of a motion");
  await me.press("[role=dialog] button", "Bring in 1");
  await me.see('[data-motion=calm][aria-pressed="true"]');
  expect(Object.keys((await me.frame(id)).motions!)).toEqual(["leaf2", "borrowed", "calm"]);
});

test("the CSS, put into a page, moves as the stage does", async () => {
  const ids = ["slip", "lift", "dissolve", "leaf", "near", "drop"];
  await opened(plainDemo("allotment"), "?move=plotsTab.plot");
  const named = ids.map((id) => ({ id, motion: builtInMotions[id]! }));
  const css = motionsAsCss(named, { id: "blink", motion: builtInMotions.blink! });
  await me.page.evaluate((text) => {
    document.head.append(Object.assign(document.createElement("style"), { textContent: text }));
    const host = Object.assign(document.createElement("div"), { id: "put" });
    host.style.cssText = "position:fixed;left:0;top:0;width:400px;height:800px;pointer-events:none;z-index:-1";
    document.body.append(host);
  }, css);
  let farthest = 0;
  for (const { id, motion } of named) {
    await me.click(`[data-motion=${id}]`);
    await me.see(`[data-motion=${id}][aria-pressed="true"]`);
    await me.page.waitForFunction(
      (name) => document.querySelector("[aria-label=Stage] h1")?.textContent === name,
      {},
      motion.name,
    );
    const { ms } = measure(motion);
    const times = Array.from({ length: 10 }, (_, i) => (ms * (i + 0.5)) / 10);
    for (const t of times) {
      await holdAt(t);
      const seen = await me.page.evaluate(
        ([name, at]) => {
          const stage = document.querySelector("[aria-label=Stage] [role=img]")!;
          const shapeIn = (element: Element, size: readonly [number, number]) => {
            const { transform, opacity } = getComputedStyle(element);
            const matrix = new DOMMatrix(transform === "none" ? "" : transform);
            return [
              (matrix.m41 / size[0]) * 100,
              (matrix.m42 / size[1]) * 100,
              matrix.m11,
              matrix.m22,
              Number(opacity),
            ];
          };
          const layers = [...stage.querySelectorAll("[data-layer^=layer] > div")].filter(
            (each) => each.getAnimations().length > 0,
          );
          const on = layers.map((each) => {
            const ground = each.firstElementChild as HTMLElement;
            return shapeIn(each, [ground.offsetWidth, ground.offsetHeight]);
          });
          const host = document.getElementById("put")!;
          host.replaceChildren();
          const put = ["incoming", "outgoing"].map((layer) => {
            const element = Object.assign(document.createElement("div"), { className: `${name}-forward-${layer}` });
            element.style.cssText = "position:absolute;inset:0";
            host.append(element);
            for (const animation of element.getAnimations()) {
              animation.pause();
              animation.currentTime = at as number;
            }
            const style = getComputedStyle(element);
            const part = (text: string) => (text === "none" ? [] : text.split(" "));
            const [x = "0", y = "0"] = part(style.translate);
            const rotate = /([-\d.]+)deg/.exec(style.rotate)?.[1] ?? "0";
            const size = Number(part(style.scale)[0] ?? 1);
            const cos = Math.cos((Number(rotate) * Math.PI) / 180);
            return [parseFloat(x), parseFloat(y), size * cos, size, Number(style.opacity)];
          });
          return { on, put };
        },
        [id, t] as const,
      );
      const wanted = sample(motion, "forward", t);
      const of = ({ x, y, scale, turn, opacity }: (typeof wanted)["incoming"]) => [
        x,
        y,
        scale * Math.cos((turn * Math.PI) / 180),
        scale,
        opacity,
      ];
      const layers = [of(wanted.incoming), of(wanted.outgoing)];
      for (const [i, layer] of layers.entries())
        layer.forEach((value, n) => {
          const whole = n < 2 ? 100 : 1;
          farthest = Math.max(farthest, Math.abs(seen.put[i]![n]! - value) / whole);
          // a layer that nothing moves is not on the stage as one that moves
          const near = seen.on.some((each) => Math.abs(each[n]! - value) / whole < 0.01);
          const rests = layer.join() === "0,0,1,1,1";
          if (!near && !rests) throw new Error(`${id} at ${t}: ${seen.on.join(" | ")} is not ${layer.join()}`);
        });
    }
  }
  expect(farthest).toBeLessThan(0.01);
});

test("it is all worked by keys, and said so that a reader of screens can follow", async () => {
  await opened(plainDemo("night-sky"));
  expect(await me.look()).toEqual([]);
  const focused = () =>
    me.page.evaluate(() => {
      const at = document.activeElement;
      return at?.getAttribute("aria-label") ?? at?.textContent ?? "";
    });
  const reached = new Set<string>();
  await me.page.focus('select[aria-label="Which move"]');
  for (let i = 0; i < 90; i += 1) {
    reached.add(await focused());
    await me.keys("Tab");
  }
  const wanted = [
    "Which move",
    "Motions",
    "Save as own",
    "forward",
    "Hold",
    "Still at 0 ms",
    "Moment of the move",
    "incoming across from",
    "incoming across ease",
    "Settles in",
  ];
  expect(wanted.filter((name) => name !== "Motions" && ![...reached].some((each) => each.includes(name)))).toEqual([]);
  await me.page.focus(`${place} input[type=range]`);
  const before = Number(
    await me.page.$eval(`${place} input[type=range]`, (input) => (input as HTMLInputElement).value),
  );
  await me.keys("Home");
  await holdAt(100);
  await me.keys("Shift+ArrowRight");
  const after = Number(await me.page.$eval(`${place} input[type=range]`, (input) => (input as HTMLInputElement).value));
  expect(after).toBeCloseTo(100 + 10000 / 60, 0);
  expect(before).toBeGreaterThanOrEqual(0);
});
