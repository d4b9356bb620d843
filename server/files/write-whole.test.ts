import { chown, link, mkdtemp, readdir, readFile, stat, utimes, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { readFiles } from "../seed.js";
import { lookAt } from "./look.js";
import { changedByWriting, sweepBeside, writeWhole } from "./write-whole.js";

let folder: string;
let path: string;

beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), "handy-frame-whole-"));
  path = join(folder, "tides.frame.json");
  await writeFile(path, "before", { mode: 0o640 });
});

describe("a file that is written whole", () => {
  test("keeps its mode", async () => {
    await writeWhole(path, "after", await lookAt(path));
    expect(await readFile(path, "utf8")).toBe("after");
    expect((await stat(path)).mode & 0o777).toBe(0o640);
    expect(await readdir(folder)).toEqual(["tides.frame.json"]);
  });

  (process.getuid?.() === 0 ? test : test.skip)("keeps its owner where that may be given", async () => {
    await chown(path, 1234, 4321);
    await writeWhole(path, "after", await lookAt(path));
    expect(await stat(path)).toMatchObject({ uid: 1234, gid: 4321 });
  });

  test("says beforehand that another name of it keeps what it was", async () => {
    expect(await changedByWriting(path)).toEqual([]);
    await link(path, join(folder, "other.json"));
    expect(await changedByWriting(path)).toEqual([
      `${path} has other names too (hard links): what these have stays as it is when this one is written.`,
    ]);
    await writeWhole(path, "after", await lookAt(path));
    expect(await readFile(join(folder, "other.json"), "utf8")).toBe("before");
  });

  test("is rid of what a killed process left beside it, and of nothing else", async () => {
    const names = [
      ".tides.frame.json.99.new",
      ".tides.frame.json.98.new",
      ".other.frame.json.99.new",
      ".tides.frame.json.x.new",
    ];
    for (const name of names) await writeFile(join(folder, name), "half");
    const before = new Date(Date.now() - 120_000);
    for (const name of names) if (!name.includes("98")) await utimes(join(folder, name), before, before);
    await sweepBeside(path);
    expect((await readdir(folder)).sort()).toEqual([...names.slice(1), "tides.frame.json"].sort());
  });

  test("is one file, by whatever names it is given", async () => {
    await link(path, join(folder, "other.json"));
    expect(await readFiles([path, join(folder, ".", "tides.frame.json"), join(folder, "other.json")])).toHaveLength(1);
    expect(await readFiles([path, join(folder, "none.json")])).toHaveLength(2);
  });
});
