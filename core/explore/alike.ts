import { subtreeOf } from "../frame/frame-index.js";
import type { Id } from "../frame/parts.js";
import { ladderOf, pathOf } from "../observe/ladder.js";
import { surfaceIn } from "../observe/surface.js";
import { consequencesOf, mostScreens } from "./consequences.js";
import type { Standpoints } from "./standpoints.js";

/** What a person sees who stands on a node, and what Back does there, as text. */
const seenOn = (points: Standpoints, id: Id): string => {
  const { state } = points.at(id);
  const { bars, headers, screens } = surfaceIn(points.lens, state);
  return JSON.stringify([
    bars.map(({ hub, face, active, inert }) => [hub, face, active, inert]),
    headers.map(({ title, back, menu, close }) => [title, back, menu, close]),
    screens.map(({ entry, inert }) => [entry.node, inert]),
    pathOf(ladderOf(points.frame, points.view, state)),
  ]);
};

/**
 * Whether every screen at or below a node is the same in another form of its frame: what can be seen with it and what Back
 * does, by every way in and for whom it was opened from outside. Of more screens than are looked at nothing is claimed.
 */
export const isAlike = (was: Standpoints, is: Standpoints, id: Id): boolean => {
  const screens = [...new Set(subtreeOf(was.frame, id))].filter((each) => was.frame.nodes[each]?.kind === "screen");
  if (screens.length > mostScreens) return false;
  const { changed, broken, loose } = consequencesOf(was, is, id);
  return (
    changed.length === 0 &&
    broken.length === 0 &&
    !loose &&
    screens.every((each) => seenOn(was, each) === seenOn(is, each))
  );
};
