import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { largeFrame } from "./frames.js";
import { type Figure, quantile, timeOf } from "./measure.js";
import { savesOn, started } from "./started.js";
import { readFrameValue } from "../shape/read.js";

/** Starting, and saving over the network of this machine. */
export const serverFigures = async (): Promise<Figure[]> => {
  const figures: Figure[] = [];
  const data = mkdtempSync(join(tmpdir(), "handy-frame-bench-"));
  const first = await started(data);
  figures.push({ name: "first start, data folder made", value: first.ms, unit: "ms" });
  await first.stop();
  const { url, ms, stop } = await started(data);
  figures.push({ name: "start to first answer", value: ms, unit: "ms", goal: "under 3000", met: ms < 3000 });

  const demo: { frame: unknown } = await (await fetch(`${url}api/frames/allotment-diary`)).json();
  const small = await savesOn(url, demo.frame, "plot", 320);
  figures.push({ name: "save round trip on the demo, p50", value: quantile(small, 0.5), unit: "ms" });
  figures.push({ name: "save round trip on the demo, p99", value: quantile(small, 0.99), unit: "ms" });
  const wide = largeFrame(1920);
  const large = await savesOn(url, wide, "screen9", 320);
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
