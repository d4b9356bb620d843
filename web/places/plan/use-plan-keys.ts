import { type KeyboardEvent as PressEvent, type RefObject, useEffect, useRef } from "react";
import {
  alike,
  childrenOf,
  type Frame,
  indexOf,
  plainName,
  placesOf,
  type PlanLayout,
  sameKind,
  setElsewhere,
  settings,
  siblings,
  nodeAt,
  firstOf,
} from "../../../core/index.js";
import { type Command, runByKey, useCommands } from "../../app/commands.js";
import { useOpenFrame } from "../../app/open-frame.js";
import type { Chosen } from "../../app/place.js";
import { addAfter, addInside, copyOf, type Direction, moveToward, type Planned, takeOutAll, walk } from "./edits.js";
import { isSame, outermost } from "./selection.js";
import type { Rect } from "./under.js";
import type { Folds } from "./use-folds.js";

export interface PlanHands {
  frame: Frame;
  chosen: Chosen | null;
  others: readonly Chosen[];
  layout: PlanLayout | null;
  folds: Folds;
  make: (planned: Planned | null) => boolean;
  select: (next: Chosen | null, replace?: boolean, also?: readonly Chosen[]) => void;
  /** Chooses everything between where the choice began and this. */
  extend: (next: Chosen) => void;
  takeFocus: () => void;
  rename: () => void;
  /** Lets a new thing be named at once, if it was made. */
  renameNew: (made: boolean) => void;
  isRenaming: boolean;
  /** What the plan is drawn in. */
  room: RefObject<HTMLElement | null>;
  setTool: (tool: "add" | "change" | null) => void;
  zoomBy: (factor: number) => void;
  zoomTo: (zoom: number) => void;
  fit: () => void;
  zoomToBox: (box: Rect) => void;
}

const arrows: Record<string, Direction> = { ArrowUp: "up", ArrowDown: "down", ArrowLeft: "left", ArrowRight: "right" };

/** What can be done on the plan: the table that the keys, and the find box, go by. */
const commandsOf = (hands: PlanHands, opened: ReturnType<typeof useOpenFrame>): Command[] => {
  const { frame, chosen, others, layout, folds, make, select } = hands;
  const at = chosen ?? { id: frame.root, parent: null };
  const all = chosen ? [chosen, ...others] : [];
  const name = plainName(frame, at.id);
  const selectAll = (parts: readonly Chosen[]) => {
    const rest = parts.filter((part) => !isSame(part, chosen));
    if (chosen) select(chosen, true, rest);
  };
  // the innermost are folded: the plates around them go on showing which there are
  const innermost = () =>
    [...indexOf(frame).ways.keys()].filter(
      (id) =>
        id !== frame.root && childrenOf(nodeAt(frame, id)).every((child) => nodeAt(frame, child).kind === "screen"),
    );
  const box = () =>
    layout &&
    [...layout.cards, ...layout.plates, ...layout.teeth].find((each) => each.id === at.id && each.parent === at.parent);
  const isContainer = nodeAt(frame, at.id).kind !== "screen" && at.id !== frame.root;
  return [
    {
      id: "add",
      label: "Add anything",
      keys: ["A"],
      says: "screen, tabs, pair, sheet",
      run: () => hands.setTool("add"),
    },
    {
      id: "add-after",
      label: "Add a screen after",
      keys: ["N"],
      says: name,
      run: () => hands.renameNew(make(addAfter(frame, at))),
    },
    {
      id: "add-inside",
      label: "Add a screen inside",
      keys: ["Shift N"],
      says: name,
      run: () => hands.renameNew(make(addInside(frame, at))),
    },
    {
      id: "list",
      label: "Make screens from a list",
      keys: ["L"],
      says: "an indented list of names",
      run: () => opened.selection.showPanel("list"),
    },
    {
      id: "change",
      label: "Change your mind",
      keys: ["W"],
      says: `wrap, unwrap, tab, pair, share: ${name}`,
      run: () => chosen && hands.setTool("change"),
    },
    { id: "routes", label: "Routes and all ways", keys: ["R"], run: () => opened.selection.showPanel("routes") },
    { id: "rename", label: "Rename", keys: ["Enter", "F2"], says: name, run: hands.rename },
    { id: "duplicate", label: "Duplicate", keys: ["Ctrl D"], says: name, run: () => make(copyOf(frame, at)) },
    {
      id: "delete",
      label: "Delete",
      keys: ["Delete", "Backspace"],
      says: all.length > 1 ? `${all.length} chosen` : name,
      run: () => all.length && make(takeOutAll(frame, outermost(frame, all))),
    },
    {
      id: "device",
      label: "Put the device here",
      keys: ["P"],
      says: name,
      run: () => chosen && opened.live.putOn(chosen.id),
    },
    {
      id: "alike",
      label: "Choose all that are like this",
      keys: ["S"],
      says: name,
      run: () => chosen && selectAll(alike(frame, chosen)),
    },
    {
      id: "same-kind",
      label: "Choose all of this kind",
      keys: ["Shift S"],
      says: nodeAt(frame, at.id).kind,
      run: () => chosen && selectAll(sameKind(frame, chosen)),
    },
    {
      id: "siblings",
      label: "Choose all beside it",
      keys: ["Ctrl A"],
      says: name,
      run: () => chosen && selectAll(siblings(frame, chosen)),
    },
    {
      id: "fold",
      label: folds.isFolded(at.id) ? "Unfold" : "Fold",
      keys: ["C"],
      says: name,
      run: () => isContainer && folds.fold([at.id], !folds.isFolded(at.id)),
    },
    {
      id: "fold-all",
      label: folds.any ? "Unfold everything" : "Fold all tabs and containers",
      keys: ["Shift C"],
      run: () => {
        if (!folds.any) select({ id: frame.root, parent: null });
        folds.fold(folds.any ? [...indexOf(frame).ways.keys()] : innermost(), !folds.any);
      },
    },
    { id: "zoom-in", label: "Larger", keys: ["+", "="], run: () => hands.zoomBy(1.25) },
    { id: "zoom-out", label: "Smaller", keys: ["-"], run: () => hands.zoomBy(0.8) },
    { id: "zoom-one", label: "As it is", keys: ["0"], says: "zoom 100 %", run: () => hands.zoomTo(1) },
    { id: "zoom-all", label: "All of the plan", keys: ["F"], says: "zoom to fit", run: hands.fit },
    {
      id: "zoom-chosen",
      label: "Zoom to what is chosen",
      keys: ["Z"],
      says: name,
      run: () => {
        const found = box();
        if (found) hands.zoomToBox(found);
      },
    },
    { id: "none", label: "Choose nothing", keys: ["Escape"], run: () => select(null) },
  ];
};

/** Every setting that is not as its default somewhere: all those places are chosen at once. */
const whereSet = ({ frame, select }: PlanHands): Command[] =>
  settings.flatMap(({ key, label }) => {
    const held = setElsewhere(frame, key);
    const ids = held.flatMap((each) => each.ids).filter((id) => id !== frame.root);
    const parts = ids.map((id) => ({ id, parent: placesOf(frame, id)[0] ?? null }));
    if (parts.length === 0) return [];
    const names = ids.slice(0, 3).map((id) => plainName(frame, id));
    return [
      {
        id: `where ${key}`,
        label: `${label}: where it is set`,
        says: `${names.join(", ")}${ids.length > 3 ? ` and ${ids.length - 3} more` : ""}`,
        run: () => select(firstOf(parts), false, parts.slice(1)),
      },
    ];
  });

/** The keys of the plan; its commands can be found too. */
export const usePlanKeys = (hands: PlanHands): ((event: PressEvent) => void) => {
  const opened = useOpenFrame();
  const commands = commandsOf(hands, opened);
  useCommands("plan", commands);
  useCommands("settings", () => whereSet(hands));
  const press = (event: KeyboardEvent): void => {
    if (event.target instanceof HTMLInputElement || hands.isRenaming) return;
    const { frame, chosen } = hands;
    const at = chosen ?? { id: frame.root, parent: null };
    const direction = arrows[event.key];
    if (direction && event.altKey) hands.make(moveToward(frame, at, direction));
    else if (direction) {
      const next = chosen ? walk(frame, at, direction) : at;
      hands.takeFocus();
      if (next && event.shiftKey && next.parent === at.parent) hands.extend(next);
      else if (next) hands.select(next);
    } else if (!runByKey(commands, event)) return;
    event.preventDefault();
  };
  const latest = useRef(press);
  latest.current = press;
  // What had the focus on the plan may be gone by what was done there: then keys are for the plan still. With the focus
  // nowhere for any other reason they are not, but for arrows, which change nothing.
  const { room } = hands;
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
  return (event) => press(event.nativeEvent);
};
