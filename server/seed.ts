import { readFile } from "node:fs/promises";
import { basename } from "node:path";
import { fileURLToPath } from "node:url";
import { faultLine } from "../core/index.js";
import { readFrame } from "../shape/read.js";
import type { FrameStore } from "./frames/store.js";

const demos = ["night-sky", "repair-cafe", "allotment"].map((name) =>
  fileURLToPath(new URL(`../demo/${name}.frame.json`, import.meta.url)),
);

/** Puts frame files on the shelf whose names are not there yet; the demos on an empty one. Says what it could not use. */
export const seed = async (store: FrameStore, files: readonly string[], say: (line: string) => void): Promise<void> => {
  const there = await store.list();
  const names = new Set(there.map((row) => row.name));
  for (const file of there.length === 0 ? [...demos, ...files] : files) {
    const text = await readFile(file, "utf8").catch((error: Error) => {
      say(`${file} was not put on the shelf: ${error.message}`);
      return null;
    });
    if (text === null) continue;
    const read = readFrame(text);
    if (!read.ok) say(`${basename(file)} was not put on the shelf: ${read.faults.map(faultLine).join("\n  ")}`);
    else if (!names.has(read.frame.name)) await store.create(read.frame);
  }
};
