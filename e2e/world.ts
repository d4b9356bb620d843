import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import axeCore from "axe-core";
import type { Browser, ElementHandle, Page } from "puppeteer-core";
import { openBrowser } from "../scripts/browser.js";

/** ms. How long anything may take to appear: a machine that stands still for seconds fails no test. */
const patience = 25_000;

const root = join(import.meta.dirname, "..");

/** A server of its own, on a data folder of its own, that can be stopped and started again. */
export class Served {
  readonly data = mkdtempSync(join(tmpdir(), "handy-frame-e2e-"));
  url = "";
  private child: ChildProcess | null = null;

  constructor(
    /** Frame files to work on. */
    private readonly files: readonly string[] = [],
  ) {}

  async start(port = 0): Promise<void> {
    const child = spawn(
      process.execPath,
      [join(root, "bin", "handy-frame"), "start", ...this.files, "--port", String(port), "--data", this.data],
      { stdio: ["ignore", "pipe", "inherit"] },
    );
    this.child = child;
    this.url = await new Promise<string>((resolve, reject) => {
      let said = "";
      child.stdout.on("data", (chunk: Buffer) => {
        said += chunk.toString();
        const url = /is at (http\S+)/.exec(said)?.[1];
        if (url) resolve(url);
      });
      child.once("exit", (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
    });
  }

  get port(): number {
    return Number(new URL(this.url).port);
  }

  async end(signal: NodeJS.Signals = "SIGTERM"): Promise<number | null> {
    const child = this.child;
    this.child = null;
    if (!child || child.exitCode !== null) return null;
    child.kill(signal);
    const [code] = (await once(child, "exit")) as [number | null];
    return code;
  }
}

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
      { timeout: patience },
      selector,
      text,
    );
  click = async (selector: string) => {
    const element = await this.see(selector);
    await element.click();
  };
  /** Presses what CSS names and has a text, at its beginning or anywhere; what is drawn anew meanwhile is looked for again. */
  press = async (selector: string, text: string, how: "starts" | "has" = "has") => {
    for (const until = Date.now() + patience; ;) {
      const found = await this.page.evaluateHandle(
        (where, what, starts) =>
          [...document.querySelectorAll(where)].find((element) =>
            starts ? element.textContent?.startsWith(what) : element.textContent?.includes(what),
          ),
        selector,
        text,
        how === "starts",
      );
      try {
        const element = found.asElement() as ElementHandle<Element> | null;
        if (!element) throw new Error(`nothing that ${selector} names has the text ${text}`);
        return await element.click();
      } catch (error) {
        if (Date.now() > until) throw error;
        await new Promise((resolve) => setTimeout(resolve, 50));
      }
    }
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
  /** What axe finds against WCAG 2.2 AA outside the device. */
  look = async (): Promise<string[]> => {
    await this.page.evaluate(axeCore.source);
    const { violations } = await this.page.evaluate(() =>
      (
        window as unknown as {
          axe: {
            run: (
              context: object,
              options: object,
            ) => Promise<{ violations: { id: string; nodes: { target: string[] }[] }[] }>;
          };
        }
      ).axe.run({ exclude: ["[data-device]"] }, { runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"] }),
    );
    return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(" ")).join(", ")}`);
  };
  saved = () => this.page.waitForSelector('[data-sync="saved"]', { timeout: patience });
}

export interface World {
  served: Served;
  browser: Browser;
  person: () => Promise<Person>;
}

export const newWorld = async (): Promise<World> => {
  const served = new Served();
  const [browser] = await Promise.all([openBrowser(), served.start()]);
  const person = async () => {
    const page = await browser.newPage();
    return new Person(page, served);
  };
  return { served, browser, person };
};

/** A world for the tests of a file, and a new page for each, which is closed after it and must have logged no error. */
export const eachIn = (begin: (person: Person, world: World) => void): void => {
  let world: World;
  let person: Person;
  beforeAll(async () => {
    world = await newWorld();
  }, 120_000);
  afterAll(async () => {
    await world.browser.close();
    await world.served.end();
  });
  beforeEach(async () => {
    person = await world.person();
    begin(person, world);
  });
  afterEach(async () => {
    expect(person.errors).toEqual([]);
    await person.page.close();
  });
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
