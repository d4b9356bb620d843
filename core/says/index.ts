export { consequenceSays } from "./consequence-says.js";
export { type Difference, differencesOf } from "./difference-says.js";
export { eventSays } from "./event-says.js";
export { faultSays } from "./fault-says.js";
export { endWords, ladderNames } from "./ladder-says.js";
export { needSays } from "./need-says.js";
export { propertySays } from "./property-says.js";
export { waySays } from "./way-says.js";
export { actionSays, onlySays } from "./words.js";
