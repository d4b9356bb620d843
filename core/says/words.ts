import { targetsOf } from "../frame/defaults.js";
import type { Action, Frame, Only } from "../frame/types.js";
import { plainName } from "../frame/names.js";
import { isBarInSight } from "../observe/surface.js";
import type { Snapshot } from "../observe/snapshot.js";

/** “a, b and c”. */
export const list = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? "") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;

export const overlayWord = {
  sheet: "a sheet",
  dialog: "a dialog",
  side: "a side panel",
  fullscreen: "a full screen",
} as const;

/** What becomes of a bar that is not seen any more: inside its hub it is hidden, beside it covered. */
export const losesBar = ({ tabs }: Pick<Snapshot, "tabs">): "hides" | "covers" =>
  Object.keys(tabs).length > 0 ? "hides" : "covers";

/** The bar that a person sees and can use, or that lies beneath what is over it. */
export const barWords = ({ bars }: Pick<Snapshot, "bars">): string | null => {
  const usable = bars.findLast((bar) => !bar.inert && isBarInSight(bar));
  if (usable) return `the ${usable.face} stays`;
  const dimmed = bars.findLast((bar) => bar.inert && bar.face !== "drawer");
  return dimmed ? `the ${dimmed.face} stays dimmed` : null;
};

/** Where something limited by `only` is there, in words; empty for everywhere. */
export const onlySays = (frame: Frame, only: Only | undefined): string => {
  if (!only) return "";
  const targets = only.targets?.map((id) => targetsOf(frame).find((target) => target.id === id)?.label ?? id);
  const facts = Object.entries(only.facts ?? {}).map(([id, is]) => `${id} is ${String(is)}`);
  return [
    targets && `on ${list(targets)}`,
    only.bands && `at ${list(only.bands)}`,
    facts.length && `while ${list(facts)}`,
  ]
    .filter(Boolean)
    .join(", ");
};

/** What an action does, in a few words. */
export const actionSays = (frame: Frame, { do: act }: Pick<Action, "do">): string => {
  switch (act.kind) {
    case "open": {
      const as = act.as && act.as !== "push" ? ` as ${overlayWord[act.as]}` : "";
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
