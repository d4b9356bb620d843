import { codeOf, messageOf } from "./errors.js";
import { readFile, realpath, stat } from "node:fs/promises";
import { resolve } from "node:path";
import { fileURLToPath } from "node:url";
import { faultLine, type Frame } from "../core/index.js";
import { readFrame } from "../shape/read.js";
import { changedByWriting, sweepBeside } from "./files/write-whole.js";
import type { FrameStore } from "./frames/store.js";

const demos = ["night-sky", "repair-cafe", "allotment"].map((name) =>
  fileURLToPath(new URL(`../demo/${name}.frame.json`, import.meta.url)),
);

type Read = { frame: Frame } | { wrong: string };

const readAt = async (file: string): Promise<Read> => {
  try {
    const read = readFrame(await readFile(file));
    if (read.ok) return { frame: read.frame };
    return { wrong: `${file} cannot be used: ${read.faults.slice(0, 20).map(faultLine).join("\n  ")}` };
  } catch (error) {
    const code = codeOf(error);
    const why = code === "ENOENT" ? "there is no such file" : code === "EISDIR" ? "it is a folder" : messageOf(error);
    return { wrong: `${file} cannot be opened: ${why}.` };
  }
};

/** Puts the demos on an empty shelf. */
export const seedDemos = async (store: FrameStore, say: (line: string) => void): Promise<void> => {
  if ((await store.list()).length > 0) return;
  for (const file of demos) {
    const read = await readAt(file);
    if ("frame" in read) await store.create(read.frame);
    else say(read.wrong);
  }
};

/** A frame file that is to be worked on: with its frame, or with what is wrong in it. */
export interface GivenFile {
  path: string;
  read: Read;
}

export const readFiles = async (files: readonly string[]): Promise<GivenFile[]> => {
  const given = new Map<string, GivenFile>();
  for (const file of files) {
    const path = await realpath(file).catch(() => resolve(file));
    const found = await stat(path).catch(() => null);
    const known = found ? `${found.dev} ${found.ino}` : path;
    // the same file by another name is the same file
    if (!given.has(known)) given.set(known, { path, read: await readAt(file) });
  }
  return [...given.values()];
};

/** Ends the start where a file cannot be read that no frame was kept in, which is asked by its path; what is wrong in the others is said. */
export const refuseUnusable = async (
  files: readonly GivenFile[],
  isKept: (path: string) => Promise<boolean>,
  say: (line: string) => void,
): Promise<void> => {
  const unusable: string[] = [];
  for (const { path, read } of files) {
    if ("frame" in read) continue;
    if (await isKept(path)) say(read.wrong);
    else unusable.push(read.wrong);
  }
  if (unusable.length) throw new Error(unusable.join("\n"));
};

/** Opens frame files to work on them as they are: each change goes into the file, and each in the file is taken in. */
export const openFiles = async (
  store: FrameStore,
  files: readonly GivenFile[],
  say: (line: string) => void,
): Promise<{ path: string; id: string }[]> => {
  const opened: { path: string; id: string }[] = [];
  for (const { path, read } of files) {
    await sweepBeside(path);
    (await changedByWriting(path)).forEach(say);
    opened.push({ path, id: await store.keepIn(path, "frame" in read ? read.frame : null) });
  }
  return opened;
};
