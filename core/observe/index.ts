export { explain, explainEdit } from "./explain.js";
export { backEvent, type Ladder, ladderOf, pathOf, samePath } from "./ladder.js";
export { addressOf } from "./seen.js";
export { snapshotOf } from "./snapshot.js";
export { type SeenHeader, type Surface, surfaceOf } from "./surface.js";
export { tabLabel } from "./titles.js";
