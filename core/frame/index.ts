export { builtInCalm, builtInMotion, builtInMotions, motionAt, motionIds, plainScrim } from "./built-in-motions.js";
export { appSlots, type Cell, isSlot, isVaried, type Slot, type SlotForm, slotsOf } from "./cells.js";
export {
  bandsOf,
  childrenOf,
  factAtLaunch,
  factsOf,
  factValues,
  hasEdgeSwipe,
  hasSystemBack,
  plainIcon,
  startOf,
  targetsOf,
} from "./defaults.js";
export { equal } from "./equal.js";
export { type Fault, faultLine, shown } from "./fault.js";
export { indexOf, isAttached, isInStack, parentsOf, placesOf, subtreeOf } from "./frame-index.js";
export { iconUses } from "./icon-names.js";
export { heldBy } from "./held.js";
export { iconAsSvg, iconNameFrom, type OwnIcon, ownIconAt } from "./own-icon.js";
export { asRecord, compact, fromKeys, keysOf } from "./keys.js";
export { heldIn, type Lens, lensOf, type Look, lookOf } from "./look.js";
export { fill, nameOf, plainName } from "./names.js";
export {
  factCombinations,
  factWords,
  firstUnmet,
  mayStand,
  needsAbove,
  needWords,
  sameFacts,
  shortNeed,
  shortNeeds,
  standsInFor,
  valuesOf,
  valueWord,
} from "./needs.js";
export { hubAt, isOfKind, nodeAt, nodeIn, pairAt, screenAt } from "./nodes.js";
export { actionsThere, conditionsOf } from "./only.js";
export {
  type Action,
  type Band,
  type Body,
  type Condition,
  type ColourName,
  colourNames,
  type Do,
  type DoOpen,
  type Face,
  type Fact,
  type Facts,
  type FactValue,
  type Field,
  type How,
  type Id,
  type Journey,
  type LinkCase,
  type ListBody,
  type Ease,
  type Motion,
  type MotionKind,
  type MotionShape,
  type Track,
  type Leave,
  type Mark,
  marks,
  type Need,
  type Only,
  type Opens,
  type SeenFace,
  sizeNames,
  type Tab,
  type Target,
  type Theme,
} from "./parts.js";
export { patternOf } from "./pattern.js";
export { pointer, segmentsOf } from "./pointer.js";
export { type FaintViews, faintInSomeViews } from "./faint.js";
export {
  faceChoices,
  motionChoices,
  fieldsIn,
  type NodeKind,
  opensChoices,
  optionsOf,
  optionsOfForm,
  type NodeKey,
  propertyKeys,
  propertyOf,
  type ValueOf,
  type Within,
  type WithinKey,
} from "./properties.js";
export { cornerOf, defaultCorner, defaultSizes, markOf, sizeOf } from "./sizes.js";
export { atOnce, type Steps } from "./steps.js";
export { firstOf, lastOf, sure } from "./sure.js";
export { textFaults } from "./text.js";
export { type ColourPair, colourPairs, coloursOf, inkOn, type Palette } from "./theme.js";
export type { FixedFrame, Frame, FrameField, HubNode, Node, ScreenNode, StackNode } from "./types.js";
export { isOlder, presentFormat, upgraded } from "./upgrade.js";
export { draftFieldsOf, plainLeave } from "./drafts.js";
export { bandAt, type Cut, type Hinge, type Insets, noInsets, targetIn, type View, viewOf } from "./view.js";
export { classIn, classOf } from "./views.js";
export { plainFrame, writeFrame } from "./write.js";
