import { quickCommands } from "./commands.js";
import { runHere } from "./program.js";

void runHere(quickCommands);
