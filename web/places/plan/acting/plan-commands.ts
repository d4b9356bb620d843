import {
  alike,
  childrenOf,
  firstOf,
  type Frame,
  type Id,
  indexOf,
  nodeAt,
  placesOf,
  plainName,
  sameKind,
  setElsewhere,
  settings,
  siblings,
} from "../../../../core/index.js";
import type { Command } from "../../../app/commands.js";
import { pointsIn } from "../../../data/points.js";
import type { Chosen } from "../../../app/place.js";
import type { OpenFrame } from "../../../data/open-frame.js";
import type { Tool } from "../bench/bench-foot.js";
import { addAfter, addInside, copyOf, type Planned } from "./edits.js";
import { beginList } from "../panels/list-text.js";
import { goToGroup } from "./go-to-group.js";
import { isSame, outermost } from "./selection.js";
import type { Adding } from "./use-adding.js";
import type { TakingOut } from "./use-taking-out.js";
import type { Folds } from "../drawing/use-folds.js";
import type { Picking } from "./use-picking.js";
import type { Renaming } from "./use-renaming.js";
import type { Stage } from "../drawing/use-stage.js";

/** What a command of the plan works with. */
export interface PlanHands {
  frame: Frame;
  picking: Picking;
  stage: Stage;
  folds: Folds;
  renaming: Renaming;
  adding: Adding;
  taking: TakingOut;
  make: (planned: Planned | null) => boolean;
  setTool: (tool: Tool | null) => void;
}

/** What is chosen, else the root: what a command is about. */
interface About extends PlanHands {
  opened: OpenFrame;
  at: Chosen;
  name: string;
}

const additions = ({ frame, at, name, adding, setTool, opened }: About): Command[] => [
  {
    id: "add",
    label: "Add anything",
    keys: ["A"],
    says: "screen, tabs, pair, sheet",
    also: "new create insert page modal",
    run: () => setTool("add"),
  },
  {
    id: "add-after",
    label: "Add a screen after",
    keys: ["N"],
    says: name,
    run: () => adding.add(addAfter(frame, at), null),
  },
  {
    id: "add-inside",
    label: "Add a screen inside",
    keys: ["Shift N"],
    says: name,
    run: () => adding.add(addInside(frame, at), at.id),
  },
  {
    id: "list",
    label: "Make screens from a list",
    also: "outline import bulk paste",
    keys: ["L"],
    says: "an indented list of names",
    run: () => beginList(opened),
  },
];

const changing = ({ frame, at, name, picking, taking, make, setTool, renaming, opened }: About): Command[] => {
  const { chosen, others } = picking;
  const all = chosen ? [chosen, ...others] : [];
  return [
    {
      id: "change",
      label: "Restructure",
      also: "refactor convert change turn into move",
      keys: ["W"],
      says: `wrap, unwrap, tab, pair, share: ${name}`,
      run: () => chosen && setTool("change"),
    },
    {
      id: "ways-in",
      label: "Ways in",
      keys: ["I"],
      says: `what leads to ${name}, each with its Back`,
      run: () => goToGroup("in"),
    },
    { id: "ways-out", label: "Ways out", keys: ["O"], says: `where ${name} leads`, run: () => goToGroup("out") },
    { id: "routes", label: "Routes and all ways", keys: ["R"], run: () => opened.selection.showPanel("routes") },
    {
      id: "rename",
      label: "Rename",
      keys: ["Enter", "F2"],
      says: name,
      run: () => renaming.set(chosen !== null),
    },
    { id: "duplicate", label: "Duplicate", keys: ["Ctrl D"], says: name, run: () => make(copyOf(frame, at)) },
    {
      id: "delete",
      label: "Delete",
      also: "remove trash",
      keys: ["Delete", "Backspace"],
      says: all.length > 1 ? `${all.length} chosen` : name,
      run: () => all.length && taking.ask(outermost(frame, all)),
    },
    {
      id: "device",
      label: "Put the device here",
      keys: ["P"],
      says: name,
      run: () => chosen && opened.live.putOn(pointsIn(opened.ways, frame, opened.live.get().device.view), chosen.id),
    },
  ];
};

const choosing = ({ frame, at, name, picking: { chosen, select } }: About): Command[] => {
  const chooseAll = (found: (frame: Frame, chosen: Chosen) => readonly Chosen[]) => () => {
    if (!chosen) return;
    const rest = found(frame, chosen).filter((part) => !isSame(part, chosen));
    select(chosen, true, rest);
  };
  return [
    { id: "alike", label: "Choose all that are like this", keys: ["S"], says: name, run: chooseAll(alike) },
    {
      id: "same-kind",
      label: "Choose all of this kind",
      keys: ["Shift S"],
      says: nodeAt(frame, at.id).kind,
      run: chooseAll(sameKind),
    },
    { id: "siblings", label: "Choose all beside it", keys: ["Ctrl A"], says: name, run: chooseAll(siblings) },
  ];
};

/** The innermost are folded: the plates around them go on showing which there are. */
const innermost = (frame: Frame): Id[] => {
  const isScreen = (id: Id) => nodeAt(frame, id).kind === "screen";
  return [...indexOf(frame).ways.keys()].filter(
    (id) => id !== frame.root && childrenOf(nodeAt(frame, id)).every(isScreen),
  );
};

const folding = ({ frame, at, name, folds, picking: { select } }: About): Command[] => [
  {
    id: "fold",
    label: folds.isFolded(at.id) ? "Unfold" : "Fold",
    keys: ["C"],
    says: name,
    run: () => {
      const isContainer = nodeAt(frame, at.id).kind !== "screen" && at.id !== frame.root;
      if (isContainer) folds.fold([at.id], !folds.isFolded(at.id));
    },
  },
  {
    id: "fold-all",
    label: folds.any ? "Unfold everything" : "Fold all tabs and containers",
    keys: ["Shift C"],
    run: () => {
      if (!folds.any) select({ id: frame.root, parent: null });
      folds.fold(folds.any ? [...indexOf(frame).ways.keys()] : innermost(frame), !folds.any);
    },
  },
];

const zooming = ({ at, name, stage }: About): Command[] => [
  { id: "zoom-in", label: "Larger", keys: ["+", "="], run: () => stage.zoomBy(1.25) },
  { id: "zoom-out", label: "Smaller", keys: ["-"], run: () => stage.zoomBy(0.8) },
  { id: "zoom-one", label: "As it is", keys: ["0"], says: "zoom 100 %", run: () => stage.zoomTo(1) },
  { id: "zoom-all", label: "All of the plan", keys: ["F"], says: "zoom to fit", run: stage.fit },
  {
    id: "zoom-chosen",
    label: "Zoom to what is chosen",
    keys: ["Z"],
    says: name,
    run: () => {
      const { cards = [], plates = [], teeth = [] } = stage.layout ?? {};
      const found = [...cards, ...plates, ...teeth].find((each) => each.id === at.id && each.parent === at.parent);
      if (found) stage.zoomToBox(found);
    },
  },
];

/** What can be done on the plan: the table that the keys, and the find box, go by. */
export const commandsOf = (hands: PlanHands, opened: OpenFrame): Command[] => {
  const at = hands.picking.chosen ?? { id: hands.frame.root, parent: null };
  const about = { ...hands, opened, at, name: plainName(hands.frame, at.id) };
  return [
    ...[additions, changing, choosing, folding, zooming].flatMap((group) => group(about)),
    { id: "none", label: "Choose nothing", keys: ["Escape"], run: () => hands.picking.select(null) },
  ];
};

/** Every setting that is not as its default somewhere: all those places are chosen at once. */
export const whereSet = ({ frame, picking: { select } }: PlanHands): Command[] =>
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
