import { explain, explainEdit } from "../../core/index.js";
import type { Reasons } from "../data/reasons.js";

/** The sentences that tell why. */
export const reasonsTold = (reasons: Reasons): readonly string[] => reasons.by({ explain, explainEdit });
