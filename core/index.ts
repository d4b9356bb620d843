export type {
  Action,
  Again,
  Body,
  ColourName,
  Colours,
  Do,
  DoOpen,
  Face,
  Fact,
  Facts,
  FactValue,
  Field,
  How,
  HubBack,
  Id,
  Keep,
  LinkCase,
  ListBody,
  Mark,
  Need,
  Opens,
  Tab,
  Target,
  Theme,
} from "./frame/parts.js";
export type {
  ContainerNode,
  Frame,
  FrameField,
  HubNode,
  Node,
  PairNode,
  ScreenNode,
  StackNode,
} from "./frame/types.js";
export { colourNames, marks, sizeNames } from "./frame/parts.js";
export {
  bandsOf,
  childrenOf,
  factAtLaunch,
  factsOf,
  factValues,
  hasEdgeSwipe,
  hasSystemBack,
  keepOf,
  plainIcon,
  secondBand,
  startOf,
  targetsOf,
} from "./frame/defaults.js";
export { heldBy, ownValue } from "./frame/held.js";
export {
  classIn,
  classOf,
  isLifted,
  type Lens,
  lensOf,
  type Look,
  lookOf,
  opensOf,
  type ViewClass,
} from "./frame/look.js";
export { hubAt, nodeAt, nodeIn, pairAt, screenAt, stackAt } from "./frame/nodes.js";
export { actionsThere, isThere } from "./frame/only.js";
export {
  faceChoices,
  type FieldGroup,
  fieldsIn,
  type NodeKind,
  opensChoices,
  optionsOf,
  type PropertyKey,
  propertyKeys,
  propertyOf,
  type ValueOf,
} from "./frame/properties.js";
export { firstOf, lastOf, sure } from "./frame/sure.js";
export { tabsOf } from "./frame/tabs.js";
export { equal } from "./frame/equal.js";
export { called } from "./frame/names.js";
export { type Fault, faultLine, shown } from "./frame/fault.js";
export { faultsOf } from "./faults/faults.js";
export { indexOf, isAttached, isInStack, mostDepth, parentsOf, placesOf, subtreeOf } from "./frame/frame-index.js";
export { pointer, segmentsOf } from "./frame/pointer.js";
export { textFaults, wrongLetter } from "./frame/text.js";
export { type StartingShape, startingShapes } from "./starts/starts.js";
export { cornerOf, defaultCorner, defaultSizes, markOf } from "./frame/sizes.js";
export { type ColourPair, colourPairs, coloursOf, inkOn, type Palette } from "./frame/theme.js";
export { bandAt, type Insets, noInsets, targetIn, type View, viewOf } from "./frame/view.js";
export { plainFrame, writeFrame } from "./frame/write.js";

export { addressesOf, type ScreenAddress, type Target as LinkTarget, targetOfLink } from "./address/addresses.js";
export { type Shadow, shadowsOf } from "./address/shadows.js";
export { linkTo, readLink } from "./address/link.js";
export { addressFor, fillPattern, type Pattern, patternOf, queryNames, readPattern } from "./frame/pattern.js";

export {
  type Applied,
  applyEach,
  applyEdit,
  type ApplyOptions,
  applySoundly,
  type EditResult,
  type Refused,
} from "./edit/apply.js";
export { isId } from "./frame/ids.js";
export type { Forms } from "./edit/draft.js";
export type { Edit, EditKind, PatchOperation, RestoreEdit } from "./edit/edit.js";
export { carriedOver, type Change, fold, type History, type HistoryEvent } from "./edit/history.js";
export { editBetween } from "./edit/difference-edit.js";
export { duplicateOf, freeIdIn } from "./edit/naming.js";
export type { Part, Planned } from "./edit/part.js";
export { noRenames, nowNamed, type Renames, thenRenamed } from "./edit/renames.js";

export type { ChangeOfMind, ChangeResult } from "./change/change.js";
export { settingDeed } from "./change/deed.js";
export { changes as changesOfMind } from "./change/table.js";

export { frameOfLines } from "./outline/build.js";
export type { OutlineFault, OutlineLine } from "./outline/line.js";
export { pasteLines, type Place } from "./outline/paste.js";
export { readOutline } from "./outline/read.js";
export { actionTo, withDone } from "./outline/ways.js";
export { writeOutline } from "./outline/write.js";

export type { EventOf, Move, MoveSide, NavigationEvent } from "./navigate/event.js";
export type { Note } from "./navigate/notes.js";
export { canDismiss, canGoUp, upTakes } from "./navigate/back.js";
export { type Consequences, consequencesOf } from "./explore/consequences.js";
export { explain, explainEdit } from "./observe/explain.js";
export {
  backEvent,
  type Ladder,
  type LadderEnd,
  ladderOf,
  type LadderPath,
  pathOf,
  type Rung,
  samePath,
} from "./observe/ladder.js";
export { noteText } from "./observe/note-text.js";
export { addressOf, type Seen, seenAfter } from "./observe/seen.js";
export { screensLaid } from "./observe/laid.js";
export { type EventResult, readEvent } from "./navigate/read-event.js";
export {
  factCombinations,
  factWords,
  firstUnmet,
  mayStand,
  needsAbove,
  needWords,
  sameFacts,
  shortNeed,
  standsInFor,
  type Unmet,
  valuesOf,
  valueWord,
} from "./frame/needs.js";
export { type LinkOutcome, linkOutcome } from "./explore/outcome.js";
export { refit } from "./navigate/refit.js";
export { choicesAt, exploreFrom, routeTo } from "./explore/route.js";
export { factsFor, landed, openedAt, reachableWith } from "./explore/standpoint.js";
export { fill, nameOf, plainName } from "./frame/names.js";
export { printed, type Snapshot, snapshotOf } from "./observe/snapshot.js";
export { focusPath, topOf } from "./navigate/focus.js";
export { type ContainerEntry, type Entry, isStuck, type ScreenEntry, type State, type Ui } from "./navigate/state.js";
export { activeTab, entriesInside, pathTo } from "./navigate/entries.js";
export type { Passed } from "./navigate/run.js";
export {
  isBarInSight,
  type OverlayScene,
  type Scene,
  type ScreenScene,
  type SeenBar,
  type Sight,
  sightOf,
} from "./navigate/sight.js";
export { launch, type Step, step, viewAfter } from "./navigate/step.js";
export { type SeenHeader, type Surface, surfaceIn, surfaceOf } from "./observe/surface.js";
export { canExplore, exploredOf, looksOf, takeWay, type Way, waysIn, type WayInLook, waysOut } from "./explore/ways.js";

export {
  arrange,
  type ArrangeOptions,
  arrangeSurface,
  type DrawnScreen,
  plainRegion,
  type Region,
  type Role,
} from "./arrange/arrange.js";

export { fitPlan } from "./plan/fit.js";
export { planLayout } from "./plan/layout.js";
export type { Card, PaneHead, PlanLayout, Plate } from "./plan/placed.js";
export { planSizes } from "./plan/sizes.js";
export { stepsOf } from "./plan/steps.js";

export { faultSays } from "./says/fault-says.js";
export { endWords, ladderNames } from "./says/ladder-says.js";
export { consequenceSays } from "./says/consequence-says.js";
export { needSays } from "./says/need-says.js";
export { propertySays } from "./says/property-says.js";
export { actionSays, onlySays, opensWords } from "./says/words.js";
export { waySays } from "./says/way-says.js";

export { createFinder, find, type Findable, type Finder, type Found } from "./find/find.js";
export { findablesOf, type FrameFindable } from "./find/findables.js";

export { alike, sameKind, siblings } from "./settings/alike.js";
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
} from "./settings/settings.js";

export { type Clip, clipOf, clipType, pasteClip, readClip } from "./edit/clip.js";

export { type Route, routesBetween, type RouteStep } from "./routes/routes.js";
export { type WayRow, wayRows } from "./routes/table.js";
export { eventSays } from "./says/event-says.js";

export { type Difference, differencesOf } from "./says/difference-says.js";

export { type Clash, clashesOf, withoutClashes } from "./edit/clash.js";

export { type Unlike, unlike } from "./links/expect.js";
export {
  type FoundPattern,
  type GivenAddress,
  mostAddresses,
  type Proposal,
  proposeAddresses,
} from "./links/propose.js";
export { type AddressRow, addressRows, sampleOf } from "./links/rows.js";
export {
  type CaseRun,
  caseOf,
  freeCaseId,
  type Grid,
  runCase,
  seeOf,
  type Trial,
  type Tried,
  tryEverywhere,
  tryLink,
} from "./links/trial.js";
