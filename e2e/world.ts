import { readFileSync } from "node:fs";
import { join } from "node:path";
import axeCore from "axe-core";
import puppeteer, { type BrowserContext, type ElementHandle, type Page } from "puppeteer-core";
import type { Frame } from "../core/index.js";
import { Served } from "./served.js";

/** ms. How long anything may take to appear: a machine that stands still for seconds fails no test. */
const patience = 25_000;
/** ms. How often a page is asked again for what a test waits for: asked at every frame, it would be drawn at every frame. */
const polling = 40;

/** A page with what a person does on it. What it logs as an error is kept: there should be none. */
export class Person {
  readonly errors: string[] = [];

  constructor(
    readonly page: Page,
    private readonly served: Served,
  ) {
    page.on("pageerror", (error) => this.errors.push(String(error)));
    page.on("console", (message) => {
      if (message.type() === "error" && !message.text().includes("net::ERR") && !message.text().includes("status of"))
        this.errors.push(message.text());
    });
  }

  go = (path: string) => this.page.goto(new URL(path, this.served.url).href);
  /** Waits until something that CSS names is there, and answers it. */
  see = async (selector: string) => (await this.page.waitForSelector(selector, { visible: true, timeout: patience }))!;
  /** Waits until a text is there inside an element. */
  read = (selector: string, text: string) =>
    this.page.waitForFunction(
      (where, what) => [...document.querySelectorAll(where)].some((element) => element.textContent?.includes(what)),
      { timeout: patience, polling },
      selector,
      text,
    );
  /** Tries again for a while: what is drawn anew under the pointer is looked for again. */
  private again = async <T>(work: () => Promise<T>): Promise<T> => {
    for (const until = Date.now() + patience; ;)
      try {
        return await work();
      } catch (error) {
        if (Date.now() > until) throw error;
        await new Promise((resolve) => setTimeout(resolve, 50));
      }
  };
  click = (selector: string) => this.again(async () => (await this.see(selector)).click());
  /** Clicks on one of all that CSS names, by its place: 0 is the first, -1 the last. */
  clickAt = (selector: string, at: number) =>
    this.again(async () => {
      const element = (await this.page.$$(selector)).at(at);
      if (!element) throw new Error(`${selector} names nothing at ${at}`);
      await element.click();
    });
  /** Presses what CSS names and has a text, at its beginning or anywhere. */
  press = (selector: string, text: string, how: "starts" | "has" = "has") =>
    this.again(async () => {
      const found = await this.page.evaluateHandle(
        (where, what, starts) =>
          [...document.querySelectorAll(where)].find((element) =>
            starts ? element.textContent?.startsWith(what) : element.textContent?.includes(what),
          ),
        selector,
        text,
        how === "starts",
      );
      const element = found.asElement() as ElementHandle<Element> | null;
      if (!element) throw new Error(`nothing that ${selector} names has the text ${text}`);
      return element.click();
    });
  /** Opens a group of the bench, if it is not open. */
  group = async (id: string) => {
    const group = await this.see(`[data-group="${id}"]`);
    if ((await group.evaluate((element) => element.ariaExpanded)) === "true") return;
    await this.click(`[data-group="${id}"][aria-expanded="false"]`);
    await this.see(`[data-group="${id}"][aria-expanded="true"]`);
  };
  keys = async (...keys: string[]) => {
    for (const key of keys) {
      const parts = key.split("+");
      const last = parts.pop()!;
      for (const held of parts) await this.page.keyboard.down(held as never);
      await this.page.keyboard.press(last as never);
      for (const held of parts.reverse()) await this.page.keyboard.up(held as never);
    }
  };
  /** Finds something by what is typed in the command box, and takes it once what is said of it is there. */
  find = async (text: string, says = text) => {
    await this.keys("Control+k");
    await this.page.waitForFunction(() => document.activeElement?.getAttribute("aria-label") === "Find");
    await this.type(text);
    await this.read('[aria-label="Found"] [aria-selected="true"]', says);
    await this.keys("Enter");
  };
  type = (text: string) => this.page.keyboard.type(text);
  texts = (selector: string) =>
    this.page.$$eval(selector, (elements) => elements.map((element) => element.textContent ?? ""));
  count = async (selector: string) => (await this.page.$$(selector)).length;
  /** The device's top screen, by its id. */
  top = () => this.page.$eval("[data-device] [data-screen]", (element) => element.getAttribute("data-screen"));
  waitTop = (id: string) => this.page.waitForSelector(`[data-device] [data-screen="${id}"]`, { timeout: patience });
  /** The ladder as it is drawn, from where the device is to its end. */
  ladder = async () =>
    (await this.texts('[aria-label="What Back will do"] li')).slice(1).map((text) => text.replace(/^\d+/, ""));
  /** What copying what is chosen puts on the clipboard: the text, and all by its type. */
  copy = () =>
    this.page.evaluate(() => {
      const data = new DataTransfer();
      document.activeElement!.dispatchEvent(
        new ClipboardEvent("copy", { clipboardData: data, bubbles: true, cancelable: true }),
      );
      return Object.fromEntries([...data.types].map((type) => [type, data.getData(type)]));
    });
  paste = (held: string | Record<string, string>) =>
    this.page.evaluate(
      (given) => {
        const data = new DataTransfer();
        for (const [type, text] of Object.entries(given)) data.setData(type, text);
        (document.activeElement ?? document.body).dispatchEvent(
          new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
        );
      },
      typeof held === "string" ? { "text/plain": held } : held,
    );
  /** What axe finds against WCAG 2.2 AA outside the device: all in this theme, the contrasts in the other too. */
  look = async (): Promise<string[]> => {
    if (!(await this.page.evaluate(() => "axe" in window))) await this.page.evaluate(axeCore.source);
    return this.page.evaluate(async () => {
      const { axe } = window as unknown as { axe: typeof axeCore };
      const { dataset } = document.documentElement;
      const look = async (runOnly: string[]) => {
        const changes = document.getAnimations().filter((animation) => animation instanceof CSSTransition);
        await Promise.allSettled(changes.map((change) => change.finished));
        const options = { runOnly, resultTypes: ["violations" as const] };
        const { violations } = await axe.run({ exclude: ["[data-device]"] }, options);
        return violations.map(
          ({ id, nodes }) => `${dataset.theme} ${id}: ${nodes.map(({ target }) => target.join(" ")).join(", ")}`,
        );
      };
      const theme = dataset.theme!;
      const here = await look(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"]);
      dataset.theme = theme === "dark" ? "light" : "dark";
      const there = await look(["color-contrast"]);
      dataset.theme = theme;
      return [...here, ...there];
    });
  };
  saved = () => this.page.waitForSelector('[data-sync="saved"]', { timeout: patience });
  /** A frame's file as the server holds it, once all that was changed on this page is there: read before, it is now the old and now the new one. */
  file = async (id: string) => {
    await this.saved();
    return (await fetch(new URL(`/api/frames/${id}/file`, this.served.url))).text();
  };
  frame = async (id: string) => JSON.parse(await this.file(id)) as Frame;
}

/** A server, and a browser that knows nothing of what other tests did in it. */
export interface World {
  served: Served;
  /** One more page of the browser. */
  person: () => Promise<Person>;
  /** A page of another browser, which has nothing in common with the first one. */
  stranger: () => Promise<Person>;
  /** Forgets all that the browser keeps, and closes its pages. */
  forget: () => Promise<void>;
  end: () => Promise<void>;
}

/** Devices show what is there at once, as a person may choose: what is tested of them is where they get, unless a test is about how. */
const standStill = (): void => {
  const kept = { form: 3, value: 0 };
  if (localStorage.getItem("handy-frame:pace") === null) localStorage.setItem("handy-frame:pace", JSON.stringify(kept));
};

/** A walk through the states of an app ends where it began: what it finds is of no account, unless a test is about that. */
const hardlyWalk = (): void => {
  const send = Worker.prototype.postMessage;
  Worker.prototype.postMessage = function (message: unknown, ...more: unknown[]) {
    const isCheck = typeof message === "object" && message !== null && "do" in message && message.do === "check";
    Reflect.apply(send, this, [isCheck ? { ...message, mostStates: 1, mostMs: 1 } : message, ...more]);
  };
};

/** How a world differs from the usual one. */
export interface WorldOptions {
  /** A server of its own, which may be ended and started again; without it the one that all share, to be left as it is. */
  own?: Served;
  /** Devices move as they are tuned. */
  moves?: boolean;
  /** Apps are walked through as far as for a person. */
  walks?: boolean;
}

/** A world for some tests. */
export const newWorld = async ({ own, moves = false, walks = false }: WorldOptions = {}): Promise<World> => {
  const served = own ?? Served.ofAll();
  const [browser] = await Promise.all([
    puppeteer.connect({ browserWSEndpoint: process.env.HANDY_FRAME_BROWSER!, defaultViewport: null }),
    own?.start(),
  ]);
  const context: BrowserContext = await browser.createBrowserContext();
  // by a page that stays, what the others leave in the browser is taken away: a new context would load all anew
  const keeper = await context.newPage();
  const storage = await keeper.createCDPSession();
  const personIn = async (its: BrowserContext): Promise<Person> => {
    const page = await its.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    if (!moves) await page.evaluateOnNewDocument(standStill);
    if (!walks) await page.evaluateOnNewDocument(hardlyWalk);
    return new Person(page, served);
  };
  return {
    served,
    person: () => personIn(context),
    stranger: async () => personIn(await browser.createBrowserContext()),
    forget: async () => {
      await Promise.all((await context.pages()).filter((page) => page !== keeper).map((page) => page.close()));
      const { origin } = new URL(served.url);
      await storage.send("Storage.clearDataForOrigin", { origin, storageTypes: "all" });
    },
    end: async () => {
      await context.close();
      await browser.disconnect();
      await own?.end();
    },
  };
};

/** A world for the tests of a file, and a new page for each, of which nothing stays in the browser but what is cached, and which must have logged no error. */
export const eachIn = (begin: (person: Person, world: World) => void, options?: WorldOptions): void => {
  let world: World;
  let person: Person;
  beforeAll(async () => {
    world = await newWorld(options);
  }, 120_000);
  afterAll(() => world.end());
  beforeEach(async () => {
    person = await world.person();
    begin(person, world);
  });
  afterEach(async () => {
    expect(person.errors).toEqual([]);
    await world.forget();
  });
};

/** A demo as its file has it, to be put on the shelf and changed there. */
export const demo = (name: string): Frame =>
  JSON.parse(readFileSync(join(import.meta.dirname, "..", "demo", `${name}.frame.json`), "utf8")) as Frame;

/** The same with screens that go on by themselves only after ten minutes: what is tested of them is seen by the slowest machine. */
export const lingering = (name: string): Frame => {
  const frame = demo(name);
  for (const node of Object.values(frame.nodes)) if (node.kind === "screen" && node.after) node.after.ms = 600_000;
  return frame;
};

/** Puts a frame on the shelf and answers its id. */
export const shelve = async (world: World, frame: unknown): Promise<string> => {
  const response = await fetch(new URL("/api/frames", world.served.url), {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ frame }),
  });
  return ((await response.json()) as { id: string }).id;
};
