import { spawn } from "node:child_process";
import { once } from "node:events";
import { join } from "node:path";
import { text } from "node:stream/consumers";
import { Served } from "./served.js";

const served = new Served();
const edits = () => new URL("/api/frames/allotment-diary/edits", served.url);
const save = (revision: number) =>
  fetch(edits(), {
    method: "POST",
    headers: { "content-type": "application/json", "if-match": `"${revision}"` },
    body: JSON.stringify({
      edits: [
        {
          key: `k${revision}`,
          label: "Title",
          edit: { kind: "set", node: "plot", key: "title", value: `T${revision + 1}` },
        },
      ],
    }),
  });
const head = async () =>
  (await (await fetch(new URL("/api/frames/allotment-diary", served.url))).json()) as {
    revision: number;
    frame: { nodes: { plot: { title: string } } };
  };

beforeAll(() => served.start());
afterAll(() => served.end());

test("after kill -9 in the midst of saving, every revision that was acknowledged is there", async () => {
  for (const after of [30, 57, 91]) {
    let acknowledged = (await head()).revision;
    const until = acknowledged + after;
    for (let stopping = false; !stopping;) {
      // the kill comes while a save is on its way
      const asked = save(acknowledged);
      if (acknowledged >= until) {
        stopping = true;
        await served.end("SIGKILL");
      }
      const answer = await asked.catch(() => null);
      if (answer?.ok) acknowledged = ((await answer.json()) as { revision: number }).revision;
    }
    await served.start();
    const { revision, frame } = await head();
    expect(revision).toBeGreaterThanOrEqual(acknowledged);
    expect(frame.nodes.plot.title).toBe(`T${revision}`);
  }
});

test("a second start on the same folder says who holds it, and changes nothing", async () => {
  const second = spawn(
    process.execPath,
    [join(import.meta.dirname, "..", "bin", "handy-frame"), "start", "--port", "0", "--data", served.data],
    {
      stdio: ["ignore", "ignore", "pipe"],
    },
  );
  const [said, [code]] = await Promise.all([text(second.stderr), once(second, "exit")]);
  expect(code).toBe(2);
  expect(said).toMatch(/is held by process \d+, started .*Nothing was changed/);
  expect((await save((await head()).revision)).status).toBe(200);
});

test("told to stop, it stops cleanly, with a page that listens too", async () => {
  const live = await fetch(new URL("/api/frames/allotment-diary/live", served.url));
  const { revision } = await head();
  expect(await served.end("SIGTERM")).toBe(0);
  await live.body?.cancel().catch(() => undefined);
  await served.start();
  expect((await head()).revision).toBe(revision);
});
