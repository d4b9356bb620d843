export type { Beginning } from "./beginnings.js";
export { type Beyond, type Bounds, usualBounds } from "./bounds.js";
export { viewInBand, type WalkedClass, walkedClasses } from "./classes.js";
export { type FirstWays, firstWaysOf, Scout } from "./first-ways.js";
export { type Proof, type ProofId, proofIds, type ReachedBy, reportOf, type Shown, type WalkReport } from "./report.js";
export { Walk } from "./walk.js";
