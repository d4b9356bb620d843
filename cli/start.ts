import { isIP } from "node:net";
import { codeOf } from "../server/errors.js";
import { type Command, Option } from "commander";
import { type Sync, syncs } from "../server/database/sync.js";
import type { Terminal } from "./terminal.js";
import { Unusable } from "./unusable.js";

interface StartOptions {
  port: string;
  host: string;
  data: string;
  sync: Sync;
  behind: string[];
  keep: "thinned" | "all";
}

/** The address of a proxy, or of several by the length of what they share. */
const proxyOf = (address: string): string => {
  const [number = "", length = "0"] = address.split("/", 2);
  const most = isIP(number) === 4 ? 32 : 128;
  if (address === "loopback" || (isIP(number) !== 0 && /^\d{1,3}$/.test(length) && Number(length) <= most))
    return address;
  throw new Unusable([
    `--behind: received ${address}; expected an address such as 10.0.0.2 or 10.0.0.0/24, or loopback.`,
  ]);
};

const start = async (files: string[], options: StartOptions, { print }: Terminal): Promise<void> => {
  const port = Number(options.port);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Unusable([`--port: received ${options.port}; expected a number from 0 to 65535.`]);
  // the server is not needed by the other commands, and takes a while to load
  const { serve } = await import("../server/serve.js");
  try {
    await serve({
      files,
      port,
      host: options.host,
      data: options.data,
      sync: options.sync,
      elsewhere: process.env.DATABASE_URL,
      proxies: options.behind,
      keepsAll: options.keep === "all",
      say: (line) => print(`${line}\n`),
    });
  } catch (error) {
    if (codeOf(error) === "EADDRINUSE")
      throw new Unusable([
        `Port ${port} of ${options.host} is taken by another program. Use --port to choose another one.`,
      ]);
    throw error;
  }
};

export const addStart = (program: Command, terminal: Terminal): void => {
  program
    .command("start")
    .description("serve the application")
    .argument(
      "[files...]",
      "frame files to work on: each change is written to them at once, and each made in them is taken in",
    )
    .option("--port <number>", "the port; 0 takes any free one", "4860")
    .option(
      "--host <name>",
      "the address to listen on; where other machines can come to it, a key is printed and asked for",
      "127.0.0.1",
    )
    .option(
      "--behind <address>",
      "a proxy before it, by number or as loopback (several: again): what its X-Forwarded headers say is believed, nobody else's",
      (address: string, before: string[]) => [...before, proxyOf(address)],
      [],
    )
    .option("--data <folder>", "where the frames are kept", process.env.HANDY_FRAME_DATA ?? "data")
    .addOption(
      new Option(
        "--keep <what>",
        "of each frame the newest 1,000 revisions, of older ones each 50th, of those older than 10,000 each 500th, and whatever was named; frames that were deleted for 30 days; or all for ever",
      )
        .choices(["thinned", "all"])
        .default("thinned"),
    )
    .addOption(
      new Option(
        "--sync <when>",
        "when what was accepted is on the disk, so that a power cut does not lose it: before it is acknowledged, within a second, or whenever the system writes it",
      )
        .choices(syncs)
        .default("each"),
    )
    .action((files: string[], options: StartOptions) => start(files, options, terminal));
};
