import { conditionsOf } from "../frame/only.js";
import type { Action, Only, Opens } from "../frame/parts.js";
import { viewsSay } from "../frame/view-words.js";
import type { Frame } from "../frame/types.js";
import { plainName } from "../frame/names.js";
import { isBarInSight } from "../navigate/sight.js";
import type { Seen } from "../observe/seen.js";
import { opensChoices } from "../frame/properties.js";

/** “a, b and c”. */
export const list = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? "") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;

/** How something opens, with its article: “a side panel”. */
export const opensWords = (opens: Opens): string => opensChoices[opens].named ?? opens;

/** What becomes of a bar that is not seen any more: inside its hub it is hidden, beside it covered. */
export const losesBar = ({ tabs }: Pick<Seen, "tabs">): "hides" | "covers" =>
  Object.keys(tabs).length > 0 ? "hides" : "covers";

/** The bar that a person sees and can use, or that lies beneath what is over it. */
export const barWords = ({ bars }: Pick<Seen, "bars">): string | null => {
  const usable = bars.findLast((bar) => !bar.inert && isBarInSight(bar));
  if (usable) return `the ${usable.face} stays`;
  const dimmed = bars.findLast((bar) => bar.inert && bar.face !== "drawer");
  return dimmed ? `the ${dimmed.face} stays dimmed` : null;
};

/** Where something limited by `only` is there, in words; empty for everywhere. */
export const onlySays = (frame: Frame, only: Only | undefined): string => {
  if (!only) return "";
  const conditions = conditionsOf(only);
  if (conditions.length === 0) return "nowhere";
  return conditions
    .map((condition) => {
      const facts = Object.entries(condition.facts ?? {}).map(([id, is]) => `${id} is ${String(is)}`);
      return [viewsSay(frame, condition), facts.length && `while ${list(facts)}`].filter(Boolean).join(", ");
    })
    .join(", or ");
};

/** What an action does, in a few words. */
export const actionSays = (frame: Frame, { do: act }: Pick<Action, "do">): string => {
  switch (act.kind) {
    case "open": {
      const as = act.as && act.as !== "push" ? ` as ${opensWords(act.as)}` : "";
      return `opens ${plainName(frame, act.to)}${as}`;
    }
    case "back":
      return "goes back";
    case "close":
      return act.give ? `closes, gives ${list(Object.keys(act.give))} back` : "closes";
    case "root":
      return "goes to the first of its stack";
    case "menu":
      return "opens the drawer";
    case "set":
      return `sets ${act.fact}${act.then ? `, then ${actionSays(frame, { do: act.then })}` : ""}`;
  }
};
