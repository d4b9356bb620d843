export { type GivenAddress, type Proposal, proposeAddresses } from "./propose.js";
export { type AddressRow, addressRows } from "./rows.js";
export {
  caseOf,
  type CaseRun,
  freeCaseId,
  type Grid,
  runCase,
  type Trial,
  type Tried,
  tryEverywhere,
  tryLink,
} from "./trial.js";
