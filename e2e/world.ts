import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Browser, Page } from "puppeteer-core";
import { openBrowser } from "../scripts/browser.js";

const root = join(import.meta.dirname, "..");

/** A server of its own, on a data folder of its own, that can be stopped and started again. */
export class Served {
  readonly data = mkdtempSync(join(tmpdir(), "handy-frame-e2e-"));
  url = "";
  private child: ChildProcess | null = null;

  async start(port = 0): Promise<void> {
    const child = spawn(
      process.execPath,
      [join(root, "bin", "handy-frame"), "start", "--port", String(port), "--data", this.data],
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
  see = async (selector: string) => (await this.page.waitForSelector(selector, { visible: true, timeout: 8000 }))!;
  /** Waits until a text is there inside an element. */
  read = (selector: string, text: string) =>
    this.page.waitForFunction(
      (where, what) => [...document.querySelectorAll(where)].some((element) => element.textContent?.includes(what)),
      { timeout: 8000 },
      selector,
      text,
    );
  click = async (selector: string) => {
    const element = await this.see(selector);
    await element.click();
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
  waitTop = (id: string) => this.page.waitForSelector(`[data-device] [data-screen="${id}"]`, { timeout: 8000 });
  /** The ladder as it is drawn, from where the device is to its end. */
  ladder = async () =>
    (await this.texts('[aria-label="What Back will do"] li')).slice(1).map((text) => text.replace(/^\d+/, ""));
  saved = () => this.page.waitForSelector('[data-sync="saved"]', { timeout: 8000 });
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
