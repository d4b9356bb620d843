import { mkdirSync, readFileSync, renameSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { acknowledgedBy, lostOf, pause, timesOr } from "./kills.js";
import { luckOf } from "./luck.js";
import { FaultPerson } from "./person.js";
import { FaultyServer } from "./server.js";

type Titles = Record<string, { title?: string }>;

const frame = {
  format: "handy-frame/2",
  name: "Many Hands",
  root: "app",
  nodes: {
    app: { kind: "stack", children: ["one"] },
    one: { kind: "screen", title: "One" },
    two: { kind: "screen", title: "Two" },
    three: { kind: "screen", title: "Three" },
  },
};

/** An editor beside the server: reads the file, changes a title in it, and writes it. */
const writeTitle = (path: string, title: string, how: string): void => {
  const read = JSON.parse(readFileSync(path, "utf8")) as { nodes: Titles };
  read.nodes.three = { ...read.nodes.three, title };
  const to = how === "in place" ? path : `${path}~`;
  writeFileSync(to, `${JSON.stringify(read, null, 2)}\n`);
  if (to !== path) renameSync(to, path);
};

/** Two windows and an editor change one file so many times each, while the server is killed in between. */
const handsOn = async (folder: string, how: string, times: number): Promise<string> => {
  const luck = luckOf(5);
  mkdirSync(folder, { recursive: true });
  const path = join(folder, "many-hands.frame.json");
  writeFileSync(path, JSON.stringify(frame));
  const start = () => FaultyServer.start({ folder: join(folder, "data"), more: [path] });
  let server = start();
  let url = await server.url();
  const id = await server.said(/\/f\/([^/]+)\/plan/);
  const titles = async (): Promise<Titles> =>
    ((await (await fetch(new URL(`/api/frames/${id}`, url))).json()) as { frame: { nodes: Titles } }).frame.nodes;
  const windows = ["one", "two"].map((node) => FaultPerson.on(id, node));
  let [working, kills, unseen] = [3, 0, 0];

  const window = async (person: FaultPerson) => {
    while (person.acknowledged.length < times) {
      await person.change(url).catch(() => pause(50));
      await pause(luck() * 250);
    }
    working -= 1;
  };
  const editor = async () => {
    for (let i = 1; i <= times; i += 1) {
      writeTitle(path, `Written ${i}`, how);
      // what is written next is written by who sees what stands there now
      const until = Date.now() + 30_000;
      const isSeen = () =>
        titles().then(
          ({ three }) => three?.title === `Written ${i}`,
          () => false,
        );
      while (!(await isSeen()))
        if (Date.now() > until) {
          unseen += 1;
          break;
        } else await pause(20);
      await pause(luck() * 60);
    }
    working -= 1;
  };
  const killer = async () => {
    for (;;) {
      for (let waited = 0; waited < 2500 + luck() * 2500; waited += 50) {
        if (working === 0) return;
        await pause(50);
      }
      kills += 1;
      await server.kill();
      server = start();
      url = await server.url();
    }
  };
  await Promise.all([...windows.map(window), editor(), killer()]);
  // one after another at the end, so that the last of each is what must stand
  for (const person of windows) await person.change(url);
  writeTitle(path, "Last", how);
  await pause(1500);
  const lost = await lostOf(url, windows);
  const { one, two, three } = await titles();
  const wanted = [...windows.map(({ acknowledged }) => acknowledged.at(-1)), "Last"];
  const stands = [one, two, three].every((node, i) => node?.title === wanted[i]);
  const whole = (await (await fetch(new URL(`/api/frames/${id}/file`, url))).json()) as unknown;
  const isSame = JSON.stringify(JSON.parse(readFileSync(path, "utf8"))) === JSON.stringify(whole);
  await server.stop();
  return `${how}: ${acknowledgedBy(windows)} edits acknowledged in two windows, ${lost} lost; ${times} written by an editor, ${unseen} not taken in; ${kills} kills; ${stands ? "the last of each stands" : "the last of each does NOT stand"}, ${isSame ? "in the file too" : "NOT in the file"}`;
};

export const handsOnFile = async (folder: string, times = timesOr(200)): Promise<string> =>
  [await handsOn(join(folder, "a"), "in place", times), await handsOn(join(folder, "b"), "by a rename", times)].join(
    "; ",
  );
