import { quickCommands } from "./commands.js";
import { run } from "./program.js";

await run({
  ...quickCommands,
  start: async () => (await import("./start.js")).addStart,
  backup: async () => (await import("./keep.js")).addBackup,
  restore: async () => (await import("./keep.js")).addRestore,
  verify: async () => (await import("./keep.js")).addVerify,
});
