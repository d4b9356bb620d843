import { spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { largeFrame } from "./frames.js";
import { type Figure, quantile, timeOf } from "./measure.js";
import { readFrameValue } from "../shape/read.js";

const root = join(import.meta.dirname, "..");

const start = async (data: string): Promise<{ url: string; ms: number; stop: () => Promise<void> }> => {
  const began = performance.now();
  const child = spawn(process.execPath, [join(root, "bin", "handy-frame"), "start", "--port", "0", "--data", data], {
    stdio: ["ignore", "pipe", "inherit"],
  });
  let said = "";
  const url = await new Promise<string>((resolve, reject) => {
    child.once("exit", () => reject(new Error(said)));
    child.stdout.on("data", (chunk: Buffer) => {
      said += chunk.toString();
      const found = /is at (http\S+)/.exec(said)?.[1];
      if (found) resolve(found);
    });
  });
  await (await fetch(`${url}api/frames`)).text();
  const ms = performance.now() - began;
  const stop = async () => {
    child.kill("SIGTERM");
    await once(child, "exit");
  };
  return { url, ms, stop };
};

/** Starting, and saving over the network of this machine. */
export const serverFigures = async (): Promise<Figure[]> => {
  const figures: Figure[] = [];
  const data = mkdtempSync(join(tmpdir(), "handy-frame-bench-"));
  const first = await start(data);
  figures.push({ name: "first start, data folder made", value: first.ms, unit: "ms" });
  await first.stop();
  const { url, ms, stop } = await start(data);
  figures.push({ name: "start to first answer", value: ms, unit: "ms", goal: "under 3000", met: ms < 3000 });

  const saves = async (name: string, frame: unknown, node: string, times: number): Promise<number[]> => {
    const headers = { "content-type": "application/json" };
    const posted = await fetch(`${url}api/frames`, { method: "POST", headers, body: JSON.stringify({ frame }) });
    const made: { id: string } = await posted.json();
    const took: number[] = [];
    for (let i = 1; i <= times; i += 1) {
      const body = JSON.stringify({
        edits: [{ key: `${name}${i}`, label: "Title", edit: { kind: "set", node, key: "title", value: `Title ${i}` } }],
      });
      const began = performance.now();
      const response = await fetch(`${url}api/frames/${made.id}/edits`, {
        method: "POST",
        headers: { ...headers, "if-match": `"${i}"` },
        body,
      });
      await response.text();
      if (response.status !== 200) throw new Error(`a save answered ${response.status}`);
      if (i > 20) took.push(performance.now() - began);
    }
    return took;
  };
  const demo: { frame: unknown } = await (await fetch(`${url}api/frames/allotment-diary`)).json();
  const small = await saves("small", demo.frame, "plot", 320);
  figures.push({ name: "save round trip on the demo, p50", value: quantile(small, 0.5), unit: "ms" });
  figures.push({ name: "save round trip on the demo, p99", value: quantile(small, 0.99), unit: "ms" });
  const wide = largeFrame(1920);
  const large = await saves("large", wide, "screen9", 320);
  const whole = timeOf(() => readFrameValue(wide), { rounds: 3 });
  figures.push({
    name: "one-field save on 2,000 nodes, p50",
    value: quantile(large, 0.5),
    unit: "ms",
    against: { name: "reading the whole frame once", value: whole, ratio: whole / quantile(large, 0.5) },
    goal: "under 10",
    met: quantile(large, 0.5) < 10,
  });
  figures.push({ name: "one-field save on 2,000 nodes, p99", value: quantile(large, 0.99), unit: "ms" });
  await stop();
  return figures;
};
