export { alike, sameKind, siblings } from "./alike.js";
export { type GridCell, valueWords, type ViewGrid, viewGrid } from "./by-view.js";
export {
  type Held,
  isSetHere,
  setElsewhere,
  type Setting,
  settings,
  type Shared,
  sharedSettings,
  valueOf,
  valueSays,
} from "./settings.js";
