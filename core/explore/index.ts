export { type Consequences, consequencesOf } from "./consequences.js";
export { linkOutcome } from "./outcome.js";
export { routeTo, throughAll } from "./route.js";
export { landed, openedAt } from "./standpoint.js";
export { type Standpoint, Standpoints } from "./standpoints.js";
export { looksOf, type WayInLook } from "./taken.js";
export { waysGoneWith } from "./ways-gone.js";
export { type Way, waysIn, waysOut } from "./ways.js";
