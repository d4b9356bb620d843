import { execFileSync, spawn } from "node:child_process";
import { once } from "node:events";
import { mkdir, mkdtemp, readdir, readFile, rm, symlink, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type HoldOptions, holdByFile } from "./by-file.js";
import { Busy, holdFolder } from "./hold.js";
import { ownHolder } from "./holder.js";

const folder = () => mkdtemp(join(tmpdir(), "handy-frame-hold-"));
const pace = { beat: 40, gone: 300 };
/** As a process in another container would hold it: what it is cannot be told from here. */
const elsewhere = (name: string, more: Partial<HoldOptions> = {}): HoldOptions => ({
  own: { ...ownHolder(name), space: `space of ${name}`, pid: 1 },
  pace,
  ...more,
});

test("a second holder is told who holds the folder, and the first gives it free, with nothing left in it", async () => {
  const place = await folder();
  const release = await holdFolder(place);
  await expect(holdFolder(place)).rejects.toThrow(Busy);
  await expect(holdFolder(place)).rejects.toThrow(`held by process ${process.pid}`);
  await release();
  expect(await readdir(place)).toEqual([]);
  await (
    await holdFolder(place)
  )();
});

test("by another path it is the same folder", async () => {
  const place = await folder();
  const other = join(await folder(), "other");
  let mounted = false;
  try {
    await mkdir(other);
    execFileSync("mount", ["--bind", place, other], { stdio: "ignore" });
    mounted = true;
  } catch {
    // who may not mount goes by a link
    await rm(other, { recursive: true });
    await symlink(place, other);
  }
  try {
    const release = await holdFolder(place);
    await expect(holdFolder(other)).rejects.toThrow(`held by process ${process.pid}`);
    await release();
    const second = await holdFolder(other);
    await expect(holdFolder(place)).rejects.toThrow(Busy);
    await second();
  } finally {
    if (mounted) execFileSync("umount", [other]);
  }
});

describe("the file in the folder, for those whom the system does not tell of one another", () => {
  test("a holder that touches it is there, for as long as one looks", async () => {
    const place = await folder();
    const said: string[] = [];
    const first = await holdByFile(place, elsewhere("one"));
    const second = holdByFile(place, elsewhere("two", { say: (line) => said.push(line) }));
    await expect(second).rejects.toThrow("held by process 1, started");
    expect(said[0]).toMatch("looking for 0.3 s whether it is still there");
    await first.release();
    await (await holdByFile(place, elsewhere("two"))).release();
    expect(await readdir(place)).toEqual([]);
  });
  test("one that touches it no more is gone; of several that come for it one gets it", async () => {
    const place = await folder();
    await writeFile(join(place, "held-by"), JSON.stringify(elsewhere("gone").own));
    const came = await Promise.allSettled(["a", "b", "c", "d"].map((name) => holdByFile(place, elsewhere(name))));
    const got = came.flatMap((each) => (each.status === "fulfilled" ? [each.value] : []));
    expect(got).toHaveLength(1);
    for (const each of came) if (each.status === "rejected") expect(each.reason).toBeInstanceOf(Busy);
    await got[0]!.release();
    expect(await readdir(place)).toEqual([]);
  });
  test("one of this machine that has ended is known to be gone at once; so is one of an earlier run of the system", async () => {
    const place = await folder();
    const ended = spawn(process.execPath, ["-e", ""]);
    await once(ended, "exit");
    const own = ownHolder("own");
    const slow = { beat: 60_000, gone: 3_600_000 };
    for (const gone of [
      { ...own, token: "x", pid: ended.pid! },
      { ...own, token: "y", boot: "an earlier one" },
    ]) {
      await writeFile(join(place, "held-by"), JSON.stringify(gone));
      await (await holdByFile(place, { own, pace: slow })).release();
    }
  });
  test("one that is taken away by hand is written again; one that another process has is told as lost", async () => {
    const place = await folder();
    const path = join(place, "held-by");
    let lost = 0;
    const held = await holdByFile(place, elsewhere("one", { onLost: () => (lost += 1) }));
    const until = async (holds: () => Promise<boolean>) => {
      while (!(await holds().catch(() => false))) await new Promise((resolve) => setTimeout(resolve, 10));
    };
    await rm(path);
    await until(async () => (await readFile(path, "utf8")).includes('"one"'));
    expect(lost).toBe(0);
    await rm(path);
    await writeFile(path, JSON.stringify(elsewhere("two").own));
    await until(async () => lost > 0);
    await held.release();
    // what is another's stays
    expect(await readFile(path, "utf8")).toMatch("two");
  });
});

(process.platform === "linux" ? test : test.skip)(
  "after a crash the folder is free at once",
  async () => {
    const place = await folder();
    const code = `import("tsx/esm/api").then(async ({ register }) => { register(); const { holdFolder } = await import(${JSON.stringify(join(import.meta.dirname, "hold.ts"))}); await holdFolder(${JSON.stringify(place)}); console.log("held"); setInterval(() => {}, 1000); })`;
    const holder = spawn(process.execPath, ["-e", code], {
      cwd: join(import.meta.dirname, "..", ".."),
      stdio: ["ignore", "pipe", "inherit"],
    });
    await once(holder.stdout, "data");
    await expect(holdFolder(place)).rejects.toThrow(`held by process ${holder.pid}`);
    holder.kill("SIGKILL");
    await once(holder, "exit");
    await (
      await holdFolder(place)
    )();
  },
  30_000,
);
