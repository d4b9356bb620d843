export { createFinder, find, type Findable, type Finder, type Found } from "./find.js";
export { findablesOf, type FrameFindable } from "./findables.js";
