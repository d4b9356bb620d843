import type { Command } from "commander";
import { type Frame, measure, type Motion, motionAt, motionIds, sample, shown, type Toward } from "../core/index.js";
import { readFrameFile } from "./input.js";
import type { Terminal } from "./terminal.js";
import { Unusable } from "./unusable.js";

interface MotionOptions {
  toward: string;
  at?: string;
}

const motionFrom = (frame: Frame, id: string): Motion => {
  const motion = motionAt(frame, id);
  if (motion) return motion;
  throw new Unusable([`ID: received ${shown(id)}; expected one of the motions ${motionIds(frame).join(", ")}.`]);
};

const towardFrom = (text: string): Toward => {
  if (text === "forward" || text === "back") return text;
  throw new Unusable([`--toward: received ${shown(text)}; expected forward or back.`]);
};

const timesFrom = (text: string): number[] =>
  text.split(",").map((each) => {
    const ms = each.trim() === "" ? NaN : Number(each);
    if (Number.isFinite(ms) && ms >= 0) return ms;
    throw new Unusable([`--at: received ${shown(each)}; expected times in ms with commas between, such as 0,50,100.`]);
  });

/** A number as it is printed: to the millionth, so that what is reckoned in another order prints alike. */
const plain = (_: string, value: unknown): unknown =>
  typeof value === "number" ? Math.round(value * 1e6) / 1e6 + 0 : value;

const motion = async (file: string, id: string, options: MotionOptions, terminal: Terminal): Promise<void> => {
  const found = motionFrom(await readFrameFile(file, terminal), id);
  const toward = towardFrom(options.toward);
  const measured = measure(found, toward);
  const times =
    options.at === undefined ? [0, 1, 2, 3, 4].map((quarter) => (quarter * measured.ms) / 4) : timesFrom(options.at);
  const samples = times.map((t) => ({ t, ...sample(found, toward, t) }));
  terminal.print(`${JSON.stringify({ measure: measured, samples }, plain, 2)}\n`);
};

export const addMotion = (program: Command, terminal: Terminal): void => {
  program
    .command("motion")
    .description("measure a motion, and say where each layer is at some times")
    .argument("<file>", "a frame file, or - for standard input")
    .argument("<id>", "a motion of the frame, or a built-in one")
    .option("--toward <way>", "forward or back", "forward")
    .option("--at <times>", "times in ms, with commas between; without it the quarters")
    .action((file: string, id: string, options: MotionOptions) => motion(file, id, options, terminal));
};
