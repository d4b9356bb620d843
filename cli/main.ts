import { Command } from "commander";
import { addCheck } from "./check.js";
import { Unusable } from "./input.js";
import { addLink } from "./link.js";
import { addPlay } from "./play.js";
import { addStart } from "./start.js";

const program = new Command("handy-frame")
  .description("Lay out a mobile app's navigation shell, run it at once, and see what Back will do.")
  .showHelpAfterError()
  .exitOverride((error) => process.exit(error.exitCode === 0 ? 0 : 2));

addPlay(program);
addLink(program);
addCheck(program);
addStart(program);

// the reader of a pipe may stop early, as `head` does
process.stdout.on("error", (error: NodeJS.ErrnoException) => {
  if (error.code === "EPIPE") process.exit(0);
  throw error;
});

try {
  await program.parseAsync();
} catch (error) {
  if (!(error instanceof Unusable)) throw error;
  process.stderr.write(`${error.lines.join("\n")}\n`);
  process.exitCode = 2;
}
