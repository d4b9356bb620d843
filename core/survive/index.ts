export { type Lane, type LaneStep, lanesOf } from "./lanes.js";
export { mendsOf, type SurvivalMend } from "./mends.js";
export { type Piece, pieces } from "./pieces.js";
export { type Fate, type SurvivalCell, survivalOf, type SurvivalRow, whyOf } from "./survival.js";
export { muchIn, worstCase } from "./worst.js";
