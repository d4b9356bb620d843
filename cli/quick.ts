import { quickCommands } from "./commands.js";
import { run } from "./program.js";

void run(quickCommands);
