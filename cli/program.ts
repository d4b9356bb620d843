import { Command, CommanderError } from "commander";
import { codeOf, messageOf } from "../server/errors.js";
import type { Commands } from "./commands.js";
import { type Terminal, terminalOfProcess } from "./terminal.js";
import { Unusable } from "./unusable.js";

/** Says in one line what went wrong; where it did is for those who work on the tool itself. The exit code is then 2. */
const endBy = (terminal: Terminal, error: unknown): void => {
  const [code, message] = [codeOf(error), messageOf(error)];
  if (error instanceof Unusable) terminal.complain(`${error.lines.join("\n")}\n`);
  else if (process.env.HANDY_FRAME_TRACE) terminal.complain(`${error instanceof Error ? error.stack : message}\n`);
  else if (code === "EACCES" || code === "EROFS" || code === "EPERM")
    terminal.complain(`${message}. It cannot be written there: name another place.\n`);
  else terminal.complain(`${message || "It ended for a reason that it does not know."}\n`);
  terminal.code = 2;
};

/** Does what a command line asks for and answers the exit code. Of the commands, in the order they are listed, only what is asked for is loaded. */
export const run = async (args: readonly string[], terminal: Terminal, commands: Commands): Promise<number> => {
  const program = new Command("handy-frame")
    .description("Lay out a mobile app's navigation shell, run it at once, and see what Back will do.")
    .configureOutput({ writeOut: terminal.print, writeErr: terminal.complain })
    .showHelpAfterError()
    .exitOverride();
  const [asked = ""] = args;
  for (const name of Object.hasOwn(commands, asked) ? [asked] : Object.keys(commands))
    (await commands[name]?.())?.(program, terminal);
  try {
    await program.parseAsync(args, { from: "user" });
  } catch (error) {
    // what the reader of the command line refuses it has said itself, with the help
    if (error instanceof CommanderError) terminal.code = error.exitCode === 0 ? 0 : 2;
    else endBy(terminal, error);
  }
  return terminal.code;
};

/** Does what the command line of this process asks for. */
export const runHere = async (commands: Commands): Promise<void> => {
  const terminal = terminalOfProcess();
  const end = (error: unknown): never => {
    endBy(terminal, error);
    process.exit(terminal.code);
  };
  process.stdout.on("error", (error: NodeJS.ErrnoException) => {
    // the reader of a pipe may stop early, as `head` does
    if (error.code === "EPIPE") process.exit(0);
    end(new Unusable([`Standard output cannot be written: ${error.message}.`]));
  });
  process.on("uncaughtException", end);
  process.on("unhandledRejection", end);
  const code = await run(process.argv.slice(2), terminal, commands);
  // a server that could not start may have left something open
  if (code === 2) process.exit(code);
  process.exitCode = code;
};
