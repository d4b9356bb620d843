import { type Command, Option } from "commander";
import { faultLine } from "../core/index.js";
import { readFrame } from "../shape/read.js";
import { faultLines, readInput } from "./input.js";

const check = async (file: string, { format }: { format: string }): Promise<void> => {
  const result = readFrame(await readInput(file));
  const faults = result.ok ? [] : result.faults;
  if (format === "json") process.stdout.write(`${JSON.stringify({ file, faults }, null, 2)}\n`);
  else if (faults.length) process.stdout.write(`${faults.map((fault) => `${file}: ${faultLine(fault)}`).join("\n")}\n`);
  else process.stdout.write(`${file}: no faults.\n`);
  if (faults.length === 0) return;
  if (format === "json") process.stderr.write(`${faultLines(file, faults).join("\n")}\n`);
  // a text that is no frame at all cannot be checked; a frame with faults was checked, and they were found
  process.exitCode = faults.some((fault) => fault.pointer === "") ? 2 : 1;
};

export const addCheck = (program: Command): void => {
  program
    .command("check")
    .description("find what is wrong in a frame file")
    .argument("<file>", "a frame file, or - for standard input")
    .addOption(new Option("--format <format>", "how to print").choices(["text", "json"]).default("text"))
    .action(check);
};
