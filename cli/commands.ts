import type { Command } from "commander";
import type { Terminal } from "./terminal.js";

/** Commands by their names, each loaded when it is asked for. */
export type Commands = Record<string, () => Promise<(to: Command, terminal: Terminal) => void>>;

/** Those that read a file, print and end: they are started from a bundle of their own, as nothing is to wait for them. */
export const quickCommands: Commands = {
  play: async () => (await import("./play.js")).addPlay,
  link: async () => (await import("./link.js")).addLink,
  motion: async () => (await import("./motion.js")).addMotion,
  check: async () => (await import("./check.js")).addCheck,
};
