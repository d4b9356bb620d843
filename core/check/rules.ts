import type { Rule } from "./rule.js";
import { addressShared } from "./rules/address-shared.js";
import { againNothing } from "./rules/again-nothing.js";
import { backDiffers } from "./rules/back-differs.js";
import { badgeBehindMore } from "./rules/badge-behind-more.js";
import { barVanishes } from "./rules/bar-vanishes.js";
import { behindBack } from "./rules/behind-back.js";
import { calmMoves } from "./rules/calm-moves.js";
import { coldNoWayBack } from "./rules/cold-no-way-back.js";
import { contrast } from "./rules/contrast.js";
import { coversInside } from "./rules/covers-inside.js";
import { deepNesting } from "./rules/deep-nesting.js";
import { draftLost } from "./rules/draft-lost.js";
import { edgeTwice } from "./rules/edge-twice.js";
import { floatingCovers } from "./rules/floating-covers.js";
import { givenUnseen } from "./rules/given-unseen.js";
import { goesRound } from "./rules/goes-round.js";
import { grows } from "./rules/grows.js";
import { hubOfOne } from "./rules/hub-of-one.js";
import { iconSame } from "./rules/icon-same.js";
import { leadsNowhere } from "./rules/leads-nowhere.js";
import { leavesDeep } from "./rules/leaves-deep.js";
import { linkShowsNothing } from "./rules/link-shows-nothing.js";
import { loneChild } from "./rules/lone-child.js";
import { loose } from "./rules/loose.js";
import { lostByKill } from "./rules/lost-by-kill.js";
import { lowContent } from "./rules/low-content.js";
import { motionBare } from "./rules/motion-bare.js";
import { motionDirections } from "./rules/motion-directions.js";
import { motionLong } from "./rules/motion-long.js";
import { narrowPane } from "./rules/narrow-pane.js";
import { needsRound } from "./rules/needs-round.js";
import { noAddress } from "./rules/no-address.js";
import { oneTheme } from "./rules/one-theme.js";
import { paramsMissing } from "./rules/params-missing.js";
import { placeLost } from "./rules/place-lost.js";
import { smallTarget } from "./rules/small-target.js";
import { standInNeeds } from "./rules/stand-in-needs.js";
import { swipeAlone } from "./rules/swipe-alone.js";
import { tabsBehindMore } from "./rules/tabs-behind-more.js";
import { tabsUneven } from "./rules/tabs-uneven.js";
import { titlesTwice } from "./rules/titles-twice.js";
import { trap } from "./rules/trap.js";
import { twoStrips } from "./rules/two-strips.js";
import { underCutOut } from "./rules/under-cut-out.js";
import { unreached } from "./rules/unreached.js";
import { varyNothing } from "./rules/vary-nothing.js";
import { wantsMissing } from "./rules/wants-missing.js";

/** Every rule, in the order its findings are told. */
export const rules: readonly Rule[] = [
  trap,
  behindBack,
  goesRound,
  leavesDeep,
  backDiffers,
  againNothing,
  leadsNowhere,
  unreached,
  loose,
  titlesTwice,
  grows,
  varyNothing,
  deepNesting,
  loneChild,
  twoStrips,
  barVanishes,
  coversInside,
  swipeAlone,
  hubOfOne,
  tabsUneven,
  badgeBehindMore,
  tabsBehindMore,
  iconSame,
  paramsMissing,
  draftLost,
  wantsMissing,
  givenUnseen,
  placeLost,
  lostByKill,
  needsRound,
  coldNoWayBack,
  linkShowsNothing,
  standInNeeds,
  noAddress,
  addressShared,
  narrowPane,
  smallTarget,
  floatingCovers,
  underCutOut,
  lowContent,
  edgeTwice,
  contrast,
  oneTheme,
  calmMoves,
  motionBare,
  motionDirections,
  motionLong,
];
