import { codeOf, messageOf } from "../server/errors.js";
import type { Terminal } from "./terminal.js";
import { Unusable } from "./unusable.js";
import { readFile, stat } from "node:fs/promises";
import { buffer } from "node:stream/consumers";
import { type Fault, faultLine, type Frame, shown, targetOfLink } from "../core/index.js";
import { mostBytes } from "../shape/json.js";
import { readFrame } from "../shape/read.js";

/** The most faults printed of one file. */
const mostLines = 50;

export const faultLines = (file: string, faults: readonly Fault[]): string[] => {
  const lines = faults.slice(0, mostLines).map((fault) => `${file}: ${faultLine(fault)}`);
  if (faults.length > mostLines) lines.push(`${file}: and ${faults.length - mostLines} more`);
  return lines;
};

/** The bytes of a file, or of standard input for `-`. */
export const readInput = async (file: string, { input }: Pick<Terminal, "input">): Promise<Uint8Array> => {
  if (file === "-") return buffer(input);
  try {
    const { size } = await stat(file);
    if (size > 4 * mostBytes)
      throw new Unusable([
        `${file}: received ${(size / 1024 / 1024).toFixed(1)} MB; expected at most 4 MB. A frame file holds structure alone.`,
      ]);
    return await readFile(file);
  } catch (error) {
    if (error instanceof Unusable) throw error;
    const code = codeOf(error);
    const why = code === "ENOENT" ? "there is no such file" : code === "EISDIR" ? "it is a folder" : messageOf(error);
    throw new Unusable([`${file}: it cannot be read: ${why}. Name a *.frame.json file, or - for standard input.`]);
  }
};

/** A link as it was given on the command line; one that is none of this app's cannot be used. */
export const asLink = (frame: Frame, name: string, url: string): string => {
  const target = targetOfLink(frame, url);
  if (target.kind !== "ignored") return url;
  throw new Unusable([`${name}: received ${shown(url)}: ${target.reason}.`]);
};

export const readFrameFile = async (file: string, terminal: Terminal): Promise<Frame> => {
  const result = readFrame(await readInput(file, terminal));
  if (result.ok) return result.frame;
  throw new Unusable(faultLines(file, result.faults));
};
