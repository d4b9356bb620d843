import { factAtLaunch, factsOf } from "../frame/defaults.js";
import type { Facts } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";

/** The facts as they are at a launch. */
export const launchFacts = (frame: FixedFrame): Facts =>
  Object.fromEntries(factsOf(frame).map((fact) => [fact.id, factAtLaunch(fact)]));
