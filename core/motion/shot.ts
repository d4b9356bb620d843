import { type ArrangeOptions, arranged, type Region } from "../arrange/arrange.js";
import type { Box } from "../arrange/box.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { State } from "../navigate/state.js";
import { type Surface, surfaceOf } from "../observe/surface.js";
import { ancestryOf, layersOf, type MoverId, partId } from "./layers.js";

/** One region of a shot, with the layers that it is drawn in. */
export interface Part {
  id: MoverId;
  region: Region;
  layers: readonly number[];
  /** What it is a part of: what draws it asks that, not what is on screen now. */
  shot: Shot;
}

/** What is on screen at rest: a state in a view, as it is arranged. */
export interface Shot {
  frame: FixedFrame;
  view: View;
  state: State;
  surface: Surface;
  /** Back to front. */
  parts: readonly Part[];
  /** Where each entry that shows has its room, by key. */
  areas: ReadonlyMap<number, Box>;
}

/** A state as it is drawn in a view; nothing is of an app that was left. */
export const shotOf = (frame: FixedFrame, state: State, view: View, options: ArrangeOptions = {}): Shot => {
  const surface = surfaceOf(frame, state, view);
  const { regions, areas, overAll } = arranged(frame, surface, view, options);
  const ancestry = ancestryOf(state.root);
  const parts: Part[] = [];
  const shot: Shot = { frame, view, state, surface, parts, areas };
  if (!state.outside)
    for (const region of regions)
      parts.push({ id: partId(region), region, layers: layersOf(region, ancestry, overAll), shot });
  return shot;
};
