import { codeOf, messageOf } from "../server/errors.js";
import { Command } from "commander";
import { addCheck } from "./check.js";
import { Unusable } from "./input.js";
import { addLink } from "./link.js";
import { addMotion } from "./motion.js";
import { addPlay } from "./play.js";
import { addStart } from "./start.js";

const program = new Command("handy-frame")
  .description("Lay out a mobile app's navigation shell, run it at once, and see what Back will do.")
  .showHelpAfterError()
  .exitOverride((error) => process.exit(error.exitCode === 0 ? 0 : 2));

addPlay(program);
addLink(program);
addMotion(program);
addCheck(program);
addStart(program);

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

process.stdout.on("error", (error: NodeJS.ErrnoException) => {
  // the reader of a pipe may stop early, as `head` does
  if (error.code === "EPIPE") process.exit(0);
  endBy(new Unusable([`Standard output cannot be written: ${error.message}.`]));
});
process.on("uncaughtException", endBy);
process.on("unhandledRejection", endBy);

await program.parseAsync().catch(endBy);
