import { spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtemp, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Busy, holdByFile, holdFolder } from "./lock.js";

const folder = () => mkdtemp(join(tmpdir(), "handy-frame-lock-"));

describe.each([
  ["the socket of this system", holdFolder],
  ["a lock file", holdByFile],
])("holding a data folder by %s", (_, hold) => {
  test("a second holder is told who holds it, and the first gives it free", async () => {
    const place = await folder();
    const release = await hold(place);
    await expect(hold(place)).rejects.toThrow(Busy);
    await expect(hold(place)).rejects.toThrow(`held by process ${process.pid}`);
    await release();
    await (
      await hold(place)
    )();
  });
});

test("a lock file whose holder is gone is taken over", async () => {
  const place = await folder();
  const gone = spawn(process.execPath, ["-e", ""]);
  await once(gone, "exit");
  await writeFile(join(place, "held-by"), String(gone.pid));
  await (
    await holdByFile(place)
  )();
});

(process.platform === "linux" ? test : test.skip)(
  "after a crash the folder is free at once",
  async () => {
    const place = await folder();
    const code = `import("tsx/esm/api").then(async ({ register }) => { register(); const { holdFolder } = await import(${JSON.stringify(join(import.meta.dirname, "lock.ts"))}); await holdFolder(${JSON.stringify(place)}); console.log("held"); setInterval(() => {}, 1000); })`;
    const holder = spawn(process.execPath, ["-e", code], {
      cwd: join(import.meta.dirname, ".."),
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
