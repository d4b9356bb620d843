import { sure } from "../../core/index.js";
import { useEffect, useMemo, useSyncExternalStore } from "react";

/** Something that can be done, by its key or by being found. */
export interface Command {
  id: string;
  label: string;
  /** Keys that do it, such as `N`, `Shift N` or `Ctrl D`; the first one is shown. */
  keys?: readonly string[];
  /** Said behind its name. */
  says?: string;
  /** Other words it is looked for by, which are not shown. */
  also?: string;
  run: () => void;
}

/** Commands, or what makes them once they are asked for. */
export type Offer = readonly Command[] | (() => readonly Command[]);

const board = new Map<string, Offer>();
/** How often the board changed, for those who follow it. */
let turns = 0;
const followers = new Set<() => void>();
const turn = (): void => {
  turns += 1;
  for (const follower of followers) follower();
};

/** Everything that can be done now, by all that is on the page. */
const commandsNow = (): readonly Command[] =>
  [...board.values()].flatMap((offer) => (typeof offer === "function" ? offer() : offer));

/** Draws anew what shows commands, as they change. */
export const useCommandsNow = (): readonly Command[] => {
  const now = useSyncExternalStore(
    (follower) => {
      followers.add(follower);
      return () => void followers.delete(follower);
    },
    () => turns,
  );
  return useMemo(() => commandsNow(), [now]);
};

/** Offers commands while the component is there. */
export const useCommands = (source: string, commands: Offer): void => {
  useEffect(() => {
    board.set(source, commands);
    turn();
  }, [source, commands]);
  useEffect(
    () => () => {
      board.delete(source);
      turn();
    },
    [source],
  );
};

interface Pressed {
  key: string;
  ctrlKey: boolean;
  metaKey: boolean;
  shiftKey: boolean;
  altKey: boolean;
}

/** Whether a key press is what `keys` names. A sign such as + may need Shift on some keyboards, so there it is not asked for. */
export const isPressed = (keys: string, event: Pressed): boolean => {
  const parts = keys.split(" ");
  const key = sure(parts.pop());
  const isSign = key.length === 1 && key.toLowerCase() === key.toUpperCase();
  return (
    event.key.toLowerCase() === key.toLowerCase() &&
    (event.ctrlKey || event.metaKey) === parts.includes("Ctrl") &&
    event.altKey === parts.includes("Alt") &&
    (isSign || event.shiftKey === parts.includes("Shift"))
  );
};

/** Does what a key press is for; says whether there was anything. */
export const runByKey = (commands: readonly Command[], event: Pressed): boolean => {
  const command = commands.find(({ keys }) => keys?.some((each) => isPressed(each, event)));
  command?.run();
  return command !== undefined;
};
