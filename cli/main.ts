import { quickCommands } from "./commands.js";
import { run } from "./program.js";

await run({ ...quickCommands, start: async () => (await import("./start.js")).addStart });
