import { askBeforeLeaving } from "./ask-leave.js";
import type { ChangeOfMind } from "./change.js";
import { listAndDetail } from "./list-detail.js";
import { pushOrSheet } from "./opens.js";
import { pairOrTabs } from "./pair.js";
import { share, split } from "./share.js";
import { askToSignIn } from "./sign-in.js";
import { makeTab } from "./tab.js";
import { unwrap } from "./unwrap.js";
import { wrapInHub, wrapInSheet, wrapInStack } from "./wrap.js";

/** All changes of mind, in the order they are offered. */
export const changes: readonly ChangeOfMind[] = [
  pushOrSheet,
  makeTab,
  wrapInStack,
  wrapInHub,
  wrapInSheet,
  unwrap,
  listAndDetail,
  pairOrTabs,
  share,
  split,
  askToSignIn,
  askBeforeLeaving,
];
