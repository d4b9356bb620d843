import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { mkdir, mkdtemp, readdir, readFile, rename, rm, rmdir, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Database } from "../database/database.js";
import { type Edit, equal, plainFrame, writeFrame } from "../../core/index.js";
import { tabbed } from "../../core/testing/frames.js";
import type { FrameStore, Happening } from "../frames/store.js";
import { type Replacing, replacing } from "./write-whole.js";
import { memoryApp } from "../testing/server.js";

let store: FrameStore;
let database: Database;
let folder: string;
let path: string;
let told: Happening[];
let id: string;

beforeAll(async () => {
  ({ store, database } = await memoryApp());
}, 60_000);
afterAll(() => database.close());
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), "handy-frame-file-"));
  path = join(folder, "app.frame.json");
  await writeFile(path, writeFrame(tabbed()));
  id = await store.keepIn(path, plainFrame(tabbed()));
  told = [];
  store.listen((happening) => told.push(happening));
});
afterEach(async () => {
  await store.closeFiles();
  await rm(folder, { recursive: true });
});

const title = (value: string, node = "c"): Edit => ({ kind: "set", node, key: "title", value });
let keys = 0;
const save = async (edit: Edit) =>
  store.save(id, (await store.read(id)).revision, [{ key: `k${(keys += 1)}`, label: "Edit", edit }]);
const text = () => readFile(path, "utf8");
const outside = (value: string, node = "c") => {
  const frame = plainFrame(tabbed());
  return writeFile(
    path,
    writeFrame({ ...frame, nodes: { ...frame.nodes, [node]: { ...frame.nodes[node]!, title: value } } }),
  );
};
/** Waits until it holds; how soon that is, is measured by the bench. */
const soon = async (holds: () => Promise<boolean>, ms = 8000) => {
  const end = Date.now() + ms;
  while (!(await holds())) {
    if (Date.now() > end) throw new Error("it was not noticed");
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
};
const titleNow = async (node = "c") => (await store.read(id)).frame.nodes[node]!.title;

describe("a frame kept in a file", () => {
  test("is in the file once a change is acknowledged, whole, with nothing left beside it", async () => {
    const { frame } = await save(title("Inside"));
    expect(await text()).toBe(writeFrame(frame));
    expect(await readdir(folder)).toEqual(["app.frame.json"]);
  });
  test("takes in what another hand changes as a revision that says what it was", async () => {
    await outside("Outside");
    await soon(async () => (await titleNow()) === "Outside");
    expect((await store.revisions(id, 1e9, 1))[0]!.label).toBe('app.frame.json: Outside: called "Outside", was "c"');
    expect(told.at(-1)).toMatchObject({ kind: "revisions", edits: [{ edit: { kind: "restore" } }] });
  });
  test("takes a change from outside in before one from inside, and loses neither", async () => {
    await outside("Outside");
    const { revision } = await store.read(id);
    await expect(store.save(id, revision, [{ key: "a", label: "A", edit: title("Mine", "b") }])).rejects.toThrow();
    await save(title("Mine", "b"));
    expect([await titleNow("c"), await titleNow("b")]).toEqual(["Outside", "Mine"]);
    expect(await text()).toBe(writeFrame((await store.read(id)).frame));
  });
  test("leaves a broken file alone and says where and why; what is changed meanwhile comes together later", async () => {
    await writeFile(path, '{ "format": "handy-frame/2", "nodes": <<<<<<< mine');
    await soon(async () => (await store.read(id)).file?.is === "broken");
    const { file } = await store.read(id);
    expect(file).toMatchObject({ faults: [{ pointer: "" }], name: "app.frame.json" });
    await save(title("Kept here", "b"));
    expect(await text()).toMatch("<<<<<<<");
    await outside("Mended");
    await soon(async () => (await store.read(id)).file?.is === "in step");
    expect([await titleNow("c"), await titleNow("b")]).toEqual(["Mended", "Kept here"]);
    expect(await text()).toBe(writeFrame((await store.read(id)).frame));
  });
  test("leaves a text alone that another hand is in the midst of writing, and brings both together", async () => {
    const frame = plainFrame(tabbed());
    const whole = writeFrame({ ...frame, nodes: { ...frame.nodes, c: { ...frame.nodes.c!, title: "Outside" } } });
    await writeFile(path, whole.slice(0, 200));
    await save(title("Mine", "b"));
    expect(await text()).toBe(whole.slice(0, 200));
    await writeFile(path, whole);
    await soon(async () => (await titleNow()) === "Outside");
    await soon(async () => (await text()) === writeFrame((await store.read(id)).frame));
    expect([await titleNow("c"), await titleNow("b")]).toEqual(["Outside", "Mine"]);
  });
  test("says that the file is gone, and writes it anew with the next change", async () => {
    await rm(path);
    await soon(async () => (await store.read(id)).file?.is === "gone");
    await save(title("Again"));
    expect(await text()).toMatch("Again");
    expect((await store.read(id)).file).toMatchObject({ is: "in step" });
  });
  test.each(["in step", "broken"])("that was %s is so again after it could not be reached for a while", async (is) => {
    if (is === "broken") await writeFile(path, "{");
    const stands = async () => (await store.read(id)).file?.is;
    await soon(async () => (await stands()) === is);
    const before = await text();
    await rename(path, `${path}.away`);
    await mkdir(path);
    await soon(async () => (await stands()) === "out of reach");
    await save(title("Meanwhile"));
    await rmdir(path);
    await rename(`${path}.away`, path);
    await soon(async () => (await stands()) === is);
    if (is === "broken") expect(await text()).toBe(before);
    else await soon(async () => (await text()) === writeFrame((await store.read(id)).frame));
    expect(await titleNow()).toBe("Meanwhile");
  });
  test("is the same frame when it is opened again, with what happened to the file meanwhile", async () => {
    await save(title("Before"));
    await store.closeFiles();
    await save(title("Only here", "b"));
    const now = JSON.parse(await text()) as { nodes: Record<string, { title?: string }> };
    now.nodes.cover!.title = "Only there";
    await writeFile(path, JSON.stringify(now));
    expect(await store.keepIn(path, null)).toBe(id);
    expect([await titleNow("c"), await titleNow("b"), await titleNow("cover")]).toEqual([
      "Before",
      "Only here",
      "Only there",
    ]);
    expect(await text()).toBe(writeFrame((await store.read(id)).frame));
  });
});

/** Another hand in a process of its own: told a number, it writes that as a title into the file, whole by a rename or in place. */
const otherHand = (how: "in place" | "by a rename"): ChildProcess => {
  const code = `
    const fs = require("node:fs");
    const path = ${JSON.stringify(path)};
    process.on("message", ({ n, after }) => setTimeout(() => {
      const until = process.hrtime.bigint() + BigInt(Math.round((after % 1) * 1e6));
      const frame = JSON.parse(fs.readFileSync(path, "utf8"));
      frame.nodes.c.title = "Out " + n;
      const text = JSON.stringify(frame);
      while (process.hrtime.bigint() < until);
      const to = ${how === "in place"} ? path : path + ".other";
      fs.writeFileSync(to, text);
      const began = process.hrtime.bigint();
      if (to !== path) fs.renameSync(to, path);
      process.send([String(began), String(process.hrtime.bigint())]);
    }, Math.floor(after)));`;
  return spawn(process.execPath, ["-e", code], { stdio: ["ignore", "inherit", "inherit", "ipc"] });
};

describe.each(["in place", "by a rename"] as const)("a file that another hand writes %s", (how) => {
  test("in the same moment as a change from here: neither is lost", async () => {
    const hand = otherHand(how);
    const lost: string[] = [];
    const windows: Replacing[] = [];
    const note = (message: unknown) => void windows.push(message as Replacing);
    replacing.subscribe(note);
    // in the form that the last hand gave it
    const isInStep = async () => equal(JSON.parse(await text()), plainFrame((await store.read(id)).frame));
    for (let n = 1; n <= 40; n += 1) {
      hand.send({ n, after: (n * 0.37) % 9 });
      const written = once(hand, "message");
      const mine = save(title(`In ${n}`, "b")).then(
        () => true,
        // what came from outside first is below it now
        () => save(title(`In ${n}`, "b")).then(() => true),
      );
      const [[moved]] = await Promise.all([written, mine]);
      const [began, ended] = (moved as [string, string]).map(BigInt) as [bigint, bigint];
      // what is moved there within the few µs between the last look and the rename cannot be held
      const isInWindow = () => windows.some(({ looked, replaced }) => looked < ended && began < replaced);
      const labels = async () => (await store.revisions(id, 1e9, 6)).map(({ label }) => label).join("\n");
      const lose = async (what: string) => lost.push(`${what}, of\n${await labels()}`);
      const isIn = async () => (await titleNow("c")) === `Out ${n}`;
      await soon(isIn, 3000).catch(async () => {
        if (how === "in place" || !isInWindow()) await lose(`Out ${n}`);
      });
      if ((await titleNow("b")) !== `In ${n}` && !(await labels()).includes(`was "In ${n}"`)) await lose(`In ${n}`);
      // what the other hand reads next is not older than that: a change to an older value is one that it made
      await soon(isInStep);
    }
    hand.kill();
    replacing.unsubscribe(note);
    expect(lost).toEqual([]);
  }, 120_000);
});
