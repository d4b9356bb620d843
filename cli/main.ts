import { quickCommands } from "./commands.js";
import { runHere } from "./program.js";

await runHere({
  ...quickCommands,
  start: async () => (await import("./start.js")).addStart,
  backup: async () => (await import("./keep.js")).addBackup,
  restore: async () => (await import("./keep.js")).addRestore,
  verify: async () => (await import("./keep.js")).addVerify,
});
