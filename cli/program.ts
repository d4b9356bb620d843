import { Command } from "commander";
import { codeOf, messageOf } from "../server/errors.js";
import type { Commands } from "./commands.js";
import { Unusable } from "./unusable.js";

/** One line that says what went wrong; where it did is for those who work on the tool itself. */
const endBy = (error: unknown): never => {
  const [code, message] = [codeOf(error), messageOf(error)];
  if (error instanceof Unusable) process.stderr.write(`${error.lines.join("\n")}\n`);
  else if (process.env.HANDY_FRAME_TRACE) process.stderr.write(`${error instanceof Error ? error.stack : message}\n`);
  else if (code === "EACCES" || code === "EROFS" || code === "EPERM")
    process.stderr.write(`${message}. It cannot be written there: name another place.\n`);
  else process.stderr.write(`${message || "It ended for a reason that it does not know."}\n`);
  process.exit(2);
};

/** Does what the command line asks for. Of the commands, in the order they are told, only what is asked for is loaded. */
export const run = async (commands: Commands): Promise<void> => {
  process.stdout.on("error", (error: NodeJS.ErrnoException) => {
    // the reader of a pipe may stop early, as `head` does
    if (error.code === "EPIPE") process.exit(0);
    endBy(new Unusable([`Standard output cannot be written: ${error.message}.`]));
  });
  process.on("uncaughtException", endBy);
  process.on("unhandledRejection", endBy);
  const program = new Command("handy-frame")
    .description("Lay out a mobile app's navigation shell, run it at once, and see what Back will do.")
    .showHelpAfterError()
    .exitOverride((error) => process.exit(error.exitCode === 0 ? 0 : 2));
  const [asked = ""] = process.argv.slice(2);
  for (const name of Object.hasOwn(commands, asked) ? [asked] : Object.keys(commands))
    (await commands[name]?.())?.(program);
  await program.parseAsync().catch(endBy);
};
