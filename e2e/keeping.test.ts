import { spawn } from "node:child_process";
import { mkdtempSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { text } from "node:stream/consumers";
import { Served } from "./served.js";

const served = new Served();
const place = mkdtempSync(join(tmpdir(), "handy-frame-keeping-"));
const file = join(place, "shelf.backup.gz");

const handy = async (...args: string[]): Promise<{ code: number; out: string; err: string }> => {
  const child = spawn(process.execPath, [join(import.meta.dirname, "..", "bin", "handy-frame"), ...args]);
  const [out, err, code] = await Promise.all([
    text(child.stdout),
    text(child.stderr),
    new Promise<number>((resolve) => child.on("close", resolve)),
  ]);
  return { code, out, err };
};
const read = async (url: string, path: string) => (await fetch(new URL(path, url))).text();

beforeAll(() => served.start());
afterAll(() => served.end());

test("a shelf is written into a file while it is served, looked at, and restored with its history into a new folder", async () => {
  for (let revision = 1; revision <= 60; revision += 1)
    await fetch(new URL("/api/frames/allotment-diary/edits", served.url), {
      method: "POST",
      headers: { "content-type": "application/json", "if-match": `"${revision}"` },
      body: JSON.stringify({
        edits: [{ key: `k${revision}`, label: "Name", edit: { kind: "setFrame", key: "name", value: `N${revision}` } }],
      }),
    });
  expect(await handy("backup", file, "--data", served.data)).toMatchObject({
    code: 0,
    out: expect.stringMatching(/holds 3 frames with 63 revisions, and was read again/),
  });
  expect(statSync(file).mode & 0o077).toBe(0);
  expect(await handy("backup", file, "--data", served.data)).toMatchObject({
    code: 2,
    err: expect.stringMatching(/is there already/),
  });
  expect(await handy("verify", "--data", served.data)).toMatchObject({
    code: 0,
    out: expect.stringMatching(/allotment-diary: 61 revisions, sound/),
  });
  expect(await handy("restore", file, "--data", served.data)).toMatchObject({
    code: 2,
    err: expect.stringMatching(/is served at http.* Stop that server, or name another folder/),
  });

  const other = new Served([], join(place, "restored"));
  expect(await handy("restore", file, "--data", other.data)).toMatchObject({
    code: 0,
    out: expect.stringMatching(/holds 3 frames with 63 revisions/),
  });
  expect(await handy("verify", "--data", other.data)).toMatchObject({ code: 0 });
  await other.start();
  for (const path of [
    "allotment-diary",
    "allotment-diary/revisions?most=100",
    "allotment-diary/revisions/33",
    "repair-cafe",
  ])
    expect(await read(other.url, `/api/frames/${path}`)).toBe(await read(served.url, `/api/frames/${path}`));
  await other.end();
  expect(await handy("restore", file, "--data", other.data)).toMatchObject({
    code: 2,
    err: expect.stringMatching(/There are 3 frames on the shelf/),
  });
});

test("a data folder that is not there is not made by who only looks", async () => {
  for (const command of [["backup", join(place, "none.gz")], ["verify"]]) {
    const { code, err } = await handy(...command, "--data", join(place, "mistyped"));
    expect(code).toBe(2);
    expect(err).toMatch(/mistyped is no data folder/);
  }
  expect(readdirSync(place)).not.toContain("mistyped");
  expect(readdirSync(place)).not.toContain("none.gz");
});

test("a backup that was cut is refused in one line before anything is made", async () => {
  const cut = join(place, "cut.gz");
  const whole = readFileSync(file);
  writeFileSync(cut, whole.subarray(0, whole.length - 100));
  const { code, err } = await handy("restore", cut, "--data", join(place, "never"));
  expect(code).toBe(2);
  expect(err).toMatch(/^.*cut\.gz cannot be restored: .*Nothing was changed\.\n$/);
  expect(() => statSync(join(place, "never"))).toThrow();
});
