import { bandsOf } from "../frame/defaults.js";
import { plainName } from "../frame/names.js";
import type { Face, Id } from "../frame/parts.js";
import { opensChoices } from "../frame/properties.js";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { classOf } from "../frame/views.js";
import type { PairScene, Scene, Sight } from "../navigate/sight.js";
import type { State } from "../navigate/state.js";
import { ladderOf, pathOf, samePath } from "../observe/ladder.js";
import { surfaceOf } from "../observe/surface.js";
import { sidesOf } from "../arrange/box.js";
import { ladderNames } from "../says/ladder-says.js";

// How one state looks otherwise in one view than in another, in few words: what a person would point at.

interface SeenSize {
  /** The face of each hub that can be seen, by its id: a drawer counts, open or not. */
  faces: Map<Id, Face>;
  /** How many panes of each pair show. */
  panes: Map<Id, number>;
  overlay: Sight["overlay"];
  strips: number;
}

const pairsIn = (scene: Scene, found: PairScene[] = []): PairScene[] => {
  switch (scene.kind) {
    case "screen":
      return found;
    case "stack":
      if (scene.base) pairsIn(scene.base, found);
      for (const { child } of scene.over) pairsIn(child, found);
      return found;
    case "hub":
      return pairsIn(scene.child, found);
    case "pair":
      found.push(scene);
      for (const { child } of scene.panes) pairsIn(child, found);
      return found;
  }
};

const seenIn = (frame: Frame, state: State, view: View): SeenSize => {
  const surface = surfaceOf(frame, state, view);
  const scenes = [...(surface.base ? [surface.base] : []), ...surface.over.map(({ child }) => child)];
  const pairs = scenes.flatMap((scene) => pairsIn(scene));
  return {
    faces: new Map(surface.bars.map(({ hub, face }) => [hub, face])),
    panes: new Map(pairs.map(({ entry, split }) => [entry.node, split ? 2 : 1])),
    overlay: surface.overlay,
    strips: surface.headers.length,
  };
};

const facesSay = (frame: Frame, was: SeenSize, is: SeenSize): string[] => {
  const several = new Set([...was.faces.keys(), ...is.faces.keys()]).size > 1;
  const of = (hub: Id): string => (several ? ` of ${plainName(frame, hub)}` : "");
  const said: string[] = [];
  for (const [hub, face] of is.faces) {
    const before = was.faces.get(hub);
    if (before === undefined) said.push(`a ${face}${of(hub)}`);
    else if (before !== face) said.push(`the ${before}${of(hub)} is a ${face}`);
  }
  for (const [hub, face] of was.faces) if (!is.faces.has(hub)) said.push(`no ${face}${of(hub)}`);
  return said;
};

const panesSay = (was: SeenSize, is: SeenSize): string[] => {
  const count = ({ panes }: SeenSize): number => Math.max(0, ...panes.values());
  if (count(was) === count(is)) return [];
  return count(is) === 0 ? [] : [count(is) === 2 ? "two panes" : "one pane at a time"];
};

const overlaySays = (was: SeenSize, is: SeenSize): string[] => {
  const word = ({ overlay }: SeenSize): string => (overlay ? opensChoices[overlay.opens].label : "push");
  if (!was.overlay && !is.overlay) return [];
  if (was.overlay && is.overlay && was.overlay.opens === is.overlay.opens) return [];
  if (!was.overlay) return [`opened as ${opensChoices[is.overlay?.opens ?? "push"].named}`];
  return is.overlay ? [`the ${word(was)} is ${opensChoices[is.overlay.opens].named}`] : [`the ${word(was)} is pushed`];
};

/** What a device has that its neighbour has not, whatever the state. */
const deviceSays = (frame: Frame, was: View, is: View, panes: SeenSize): string[] => {
  const said: string[] = [];
  const whole = { x: 0, y: 0, width: is.width, height: is.height };
  if (sidesOf(whole, is) && [...panes.panes.values()].includes(2)) said.push("parted at the hinge");
  if (classOf(frame, is).short && !classOf(frame, was).short) said.push(`lower than ${frame.short}`);
  return said;
};

/** How a state is other in one view than in another. */
export interface Apart {
  /** How it looks otherwise, in a few words each, the most telling first. */
  looks: string[];
  /** What Back does there; null where that is the same. */
  back: string | null;
}

/** How a state is other in one view than in another, in words. */
export const apartSays = (frame: Frame, state: State, was: View, is: View): Apart => {
  if (state.outside || state.root.entries.length === 0) return { looks: [], back: null };
  const [before, after] = [seenIn(frame, state, was), seenIn(frame, state, is)];
  const backOn = (view: View) => pathOf(ladderOf(frame, view, state));
  const back = backOn(is);
  const strips = after.strips > before.strips && after.strips > 1 ? [`${after.strips} strips stack up`] : [];
  const looks = [
    ...facesSay(frame, before, after),
    ...panesSay(before, after),
    ...overlaySays(before, after),
    ...strips,
    ...deviceSays(frame, was, is, after),
  ];
  return { looks, back: samePath(backOn(was), back) ? null : ladderNames(frame, back).join(", ") };
};

/** A width at which a band begins, and what is other there in a state. */
export interface SizeChange {
  band: Id;
  from: number;
  says: string[];
}

/** What changes in a state where each band begins, the first left aside. */
export const changesBySize = (frame: Frame, state: State, view: View): SizeChange[] =>
  bandsOf(frame)
    .slice(1)
    .map(({ id, from }) => {
      const { hinge: _, cuts: __, ...plain } = view;
      const [narrower, wider] = [
        { ...plain, width: from - 1 },
        { ...plain, width: from },
      ];
      const { looks, back } = apartSays(frame, state, narrower, wider);
      return { band: id, from, says: [...looks, ...(back === null ? [] : [`Back: ${back}`])] };
    });
