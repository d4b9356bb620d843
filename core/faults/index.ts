export { faultsOf } from "./faults.js";
