export type { Beginning } from "./beginnings.js";
export { type Beyond, type Bounds, usualBounds } from "./bounds.js";
export { viewInBand, type WalkedClass, walkedClasses } from "./classes.js";
export {
  type Proof,
  type ProofId,
  proofIds,
  type ReachedBy,
  reportOf,
  type SeenOn,
  type Shown,
  type WalkReport,
} from "./report.js";
export { Walk, type Watched } from "./walk.js";
