export { type Box, insetsIn } from "./box.js";
export {
  type Cover,
  type Covered,
  coveredIn,
  hiddenByDevice,
  hingeBox,
  leastTarget,
  type TargetTrouble,
  targetTrouble,
} from "./covered.js";
export { questionIn } from "./question.js";
export { arrange, arrangeSurface, type DrawnScreen, plainRegion, type Region } from "./arrange.js";
