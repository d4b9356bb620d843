export { type AppMove, appMoves, cascadeFor, usesOf } from "./app-moves.js";
export { type Contradiction, contradictionsOf, writtenOut } from "./directions.js";
export { exampleOf, type MoveExample } from "./example.js";
export { alikeEdit, exceptionsOf, type MotionException, motionEdit, type MotionLevel } from "./set-motion.js";
export { takeBackEdit, takeOutMotion } from "./take-back.js";
export { type Verdict, verdictsOf } from "./verdicts.js";
