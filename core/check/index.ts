export { check, checkedOf, type CheckReport, type Finding, type StaleQuiet } from "./check.js";
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
