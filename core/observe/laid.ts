import type { Id } from "../frame/parts.js";
import { activeTab } from "../navigate/entries.js";
import type { Entry } from "../navigate/state.js";

/** The screens one lies on another from an entry down: what a stack holds, the chosen tab, a pair's list, then its detail. */
export const screensLaid = (entry: Entry): Id[] => {
  switch (entry.kind) {
    case "screen":
      return [entry.node];
    case "stack":
      return entry.entries.flatMap(screensLaid);
    case "hub":
      return screensLaid(activeTab(entry));
    case "pair":
      return [entry.list, ...(entry.detail ? [entry.detail] : [])].flatMap(screensLaid);
  }
};
