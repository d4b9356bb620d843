export { type Consequences, consequencesOf } from "./consequences.js";
export { linkOutcome } from "./outcome.js";
export { routeTo, throughAll } from "./route.js";
export { landed, openedAt, reachableWith } from "./standpoint.js";
export { cameTo, canExplore, exploredOf, looksOf, type Way, type WayInLook, waysIn, waysOut } from "./ways.js";
