export { frameOfLines } from "./build.js";
export type { OutlineFault } from "./line.js";
export { pasteLines, type Place } from "./paste.js";
export { readOutline } from "./read.js";
export { actionTo } from "./ways.js";
export { writeOutline } from "./write.js";
