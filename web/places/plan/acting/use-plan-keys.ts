import { type KeyboardEvent as PressEvent, type RefObject, useEffect, useRef } from "react";
import { runByKey, useCommands } from "../../../app/commands.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import { type Direction, moveToward, walk } from "./edits.js";
import { commandsOf, type PlanHands, whereSet } from "./plan-commands.js";
import type { TakesFocus } from "../drawing/use-into-sight.js";

const arrows: Record<string, Direction> = { ArrowUp: "up", ArrowDown: "down", ArrowLeft: "left", ArrowRight: "right" };

/** Walks the plan, or with Alt moves what is chosen; answers whether the key was an arrow. */
const walkBy = ({ frame, picking, make, takesFocus }: KeyHands, event: KeyboardEvent): boolean => {
  const { chosen, select, extend } = picking;
  const at = chosen ?? { id: frame.root, parent: null };
  const direction = arrows[event.key];
  if (!direction) return false;
  if (event.altKey) {
    make(moveToward(frame, at, direction));
    return true;
  }
  const next = chosen ? walk(frame, at, direction) : at;
  takesFocus.current = true;
  if (next && event.shiftKey && next.parent === at.parent) extend(next);
  else if (next) select(next);
  return true;
};

/**
 * What had the focus on the plan may be gone by what was done there: then keys are for the plan still. With the focus
 * nowhere for any other reason they are not, but for arrows, which change nothing.
 */
const useKeysOfNobody = (room: RefObject<HTMLElement | null>, press: (event: KeyboardEvent) => void): void => {
  const latest = useRef(press);
  latest.current = press;
  useEffect(() => {
    let isHere = false;
    const went = (event: Event) => {
      isHere = event.target instanceof Node && (room.current?.contains(event.target) ?? false);
    };
    const keys = (event: KeyboardEvent) => {
      const isWalk = arrows[event.key] !== undefined && !event.altKey && !event.shiftKey;
      if (event.target === document.body && (isHere || isWalk)) latest.current(event);
    };
    for (const kind of ["focusin", "pointerdown"]) document.addEventListener(kind, went, true);
    addEventListener("keydown", keys);
    return () => {
      for (const kind of ["focusin", "pointerdown"]) document.removeEventListener(kind, went, true);
      removeEventListener("keydown", keys);
    };
  }, [room]);
};

interface KeyHands extends PlanHands {
  takesFocus: TakesFocus;
}

/** The keys of the plan; its commands can be found too. */
export const usePlanKeys = (hands: KeyHands): ((event: PressEvent) => void) => {
  const opened = useOpenFrame();
  const commands = commandsOf(hands, opened);
  useCommands("plan", commands);
  useCommands("settings", () => whereSet(hands));
  const press = (event: KeyboardEvent): void => {
    if (event.target instanceof HTMLInputElement || hands.renaming.is) return;
    if (walkBy(hands, event) || runByKey(commands, event)) event.preventDefault();
  };
  useKeysOfNobody(hands.stage.scroller, press);
  return (event) => press(event.nativeEvent);
};
