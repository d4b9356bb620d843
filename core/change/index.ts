export { askingFirst, isLeftUnasked } from "./ask-leave.js";
export type { ChangeOfMind } from "./change.js";
export { settingDeed } from "./deed.js";
export { leadElsewhere } from "./lead-elsewhere.js";
export { changes as changesOfMind } from "./table.js";
