import { readFile, realpath } from "node:fs/promises";
import { basename } from "node:path";
import { fileURLToPath } from "node:url";
import { faultLine, type Frame } from "../core/index.js";
import { readFrame } from "../shape/read.js";
import type { FrameStore } from "./frames/store.js";

const demos = ["night-sky", "repair-cafe", "allotment"].map((name) =>
  fileURLToPath(new URL(`../demo/${name}.frame.json`, import.meta.url)),
);

const readAt = async (file: string, say: (line: string) => void): Promise<Frame | null> => {
  const text = await readFile(file).catch((error: Error) => {
    say(`${file} was not opened: ${error.message}`);
    return null;
  });
  if (text === null) return null;
  const read = readFrame(text);
  if (read.ok) return read.frame;
  say(`${basename(file)} cannot be used: ${read.faults.map(faultLine).join("\n  ")}`);
  return null;
};

/** Puts the demos on an empty shelf. */
export const seedDemos = async (store: FrameStore, say: (line: string) => void): Promise<void> => {
  if ((await store.list()).length > 0) return;
  for (const file of demos) {
    const frame = await readAt(file, say);
    if (frame) await store.create(frame);
  }
};

/** Opens frame files to work on them as they are: each change goes into the file, and each in the file is taken in. */
export const openFiles = async (
  store: FrameStore,
  files: readonly string[],
  say: (line: string) => void,
): Promise<{ path: string; id: string }[]> => {
  const opened: { path: string; id: string }[] = [];
  for (const file of files) {
    const frame = await readAt(file, say);
    const path = await realpath(file).catch(() => null);
    const id = path === null ? null : await store.keepIn(path, frame);
    if (path !== null && id !== null) opened.push({ path, id });
  }
  return opened;
};
