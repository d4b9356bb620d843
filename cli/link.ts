import type { Command } from "commander";
import { linkOutcome, shown, targetsOf, viewOf } from "../core/index.js";
import { asLink, readFrameFile } from "./input.js";
import { Unusable } from "./unusable.js";

const link = async (file: string, url: string, { on }: { on?: string }): Promise<void> => {
  const frame = await readFrameFile(file);
  const targets = targetsOf(frame).map((target) => target.id);
  if (on !== undefined && !targets.includes(on))
    throw new Unusable([`--on: received ${shown(on)}; expected one of the targets ${targets.join(", ")}.`]);
  const outcome = linkOutcome(frame, viewOf(frame, { target: on }), asLink(frame, "URL", url));
  process.stdout.write(`${JSON.stringify(outcome ?? { lost: true }, null, 2)}\n`);
  if (!outcome) process.exitCode = 1;
};

export const addLink = (program: Command): void => {
  program
    .command("link")
    .description("say which screen a link leads to, and what it is laid on when the app starts by it")
    .argument("<file>", "a frame file, or - for standard input")
    .argument("<url>", "scheme://path, https://host/path, or /path")
    .option("--on <target>", "the target, by its id")
    .action(link);
};
