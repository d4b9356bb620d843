export { check, checkedOf, type CheckReport, type Finding, type StaleQuiet } from "./check.js";
export { checkedAtOnce, Checking, type CheckProgress } from "./checking.js";
export { type PlayedStep, playedSteps } from "./play.js";
export {
  type Group,
  groups,
  type Mend,
  type Played,
  type Rule,
  severities,
  type Severity,
  type Where,
} from "./rule.js";
export { rules } from "./rules.js";
export { boundsSay, type ProofOverall, proofsOverall, proofTitles, whereSays } from "./words.js";
