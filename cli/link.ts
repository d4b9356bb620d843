import type { Command } from "commander";
import { linkOutcome, shown, targetsOf, viewOf } from "../core/index.js";
import { asLink, readFrameFile } from "./input.js";
import type { Terminal } from "./terminal.js";
import { Unusable } from "./unusable.js";

interface LinkOptions {
  on?: string;
}

const link = async (file: string, url: string, { on }: LinkOptions, terminal: Terminal): Promise<void> => {
  const frame = await readFrameFile(file, terminal);
  const targets = targetsOf(frame).map((target) => target.id);
  if (on !== undefined && !targets.includes(on))
    throw new Unusable([`--on: received ${shown(on)}; expected one of the targets ${targets.join(", ")}.`]);
  const outcome = linkOutcome(frame, viewOf(frame, { target: on }), asLink(frame, "URL", url));
  terminal.print(`${JSON.stringify(outcome ?? { lost: true }, null, 2)}\n`);
  if (!outcome) terminal.code = 1;
};

export const addLink = (program: Command, terminal: Terminal): void => {
  program
    .command("link")
    .description("say which screen a link leads to, and what it is laid on when the app starts by it")
    .argument("<file>", "a frame file, or - for standard input")
    .argument("<url>", "scheme://path, https://host/path, or /path")
    .option("--on <target>", "the target, by its id")
    .action((file: string, url: string, options: LinkOptions) => link(file, url, options, terminal));
};
