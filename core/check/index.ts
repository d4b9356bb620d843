export { check, checkedOf } from "./check.js";
export { checkedAtOnce, Checking, type CheckProgress } from "./checking.js";
export { type CheckReport, type Finding, type StaleQuiet, type Told, type ToldFinding, toldOf } from "./finding.js";
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
export { type MendVerdict, MendTrial, type TriedMend, verdictOn } from "./mend-trial.js";
export { boundsSay, type ProofOverall, proofsOverall, proofTitles, whereSays } from "./words.js";
