import { spawn } from "node:child_process";
import { openSync } from "node:fs";
import { join } from "node:path";
import { text } from "node:stream/consumers";
import type { Commands } from "../commands.js";
import { run } from "../program.js";

export const root = join(import.meta.dirname, "..", "..");

/** What a command line came to: its exit code, and what it printed. */
export interface Ran {
  code: number;
  out: string;
  err: string;
}

/** Does what a command line asks for in this process. */
export const ran = async (args: readonly string[], commands: Commands, input = ""): Promise<Ran> => {
  let [out, err] = ["", ""];
  const terminal = {
    input: (async function* () {
      yield Buffer.from(input);
    })(),
    print: (said: string) => void (out += said),
    complain: (said: string) => void (err += said),
    code: 0,
  };
  return { code: await run(args, terminal, commands), out, err };
};

/** Starts the program with a command line; what it prints may go to a file. */
export const started = async (args: readonly string[], input = "", into?: string): Promise<Ran> => {
  const child = spawn(process.execPath, [join(root, "bin", "handy-frame"), ...args], {
    stdio: ["pipe", into === undefined ? "pipe" : openSync(into, "w"), "pipe"],
  });
  child.stdin!.end(input);
  const [out, err, code] = await Promise.all([
    child.stdout ? text(child.stdout) : "",
    text(child.stderr!),
    new Promise<number>((resolve) => child.on("close", resolve)),
  ]);
  return { code, out, err };
};
