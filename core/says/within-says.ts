import { indexOf, placesOf, subtreeOf } from "../frame/frame-index.js";
import { lensOf } from "../frame/look.js";
import { plainName } from "../frame/names.js";
import { nodeAt } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import type { WithinKey } from "../frame/properties.js";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { list } from "./words.js";

/** For which screens a container says something, and which within it say it themselves. */
export interface WithinReach {
  reached: Id[];
  own: Id[];
}

/** Whom what a container says reaches in a view; of a shared screen the places within count. */
const withinReach = (frame: Frame, view: View, container: Id, key: WithinKey): WithinReach => {
  const lens = lensOf(frame, view);
  const { ways } = indexOf(frame);
  const screens = subtreeOf(frame, container).filter((id) => nodeAt(frame, id).kind === "screen");
  const isReached = (place: Id): boolean =>
    (ways.get(place)?.includes(container) ?? false) && lens.within(place)[key]?.by === container;
  const under = screens.filter((id) => placesOf(frame, id).some(isReached));
  const says = (id: Id): boolean => lens.look(id)[key] !== null;
  return { reached: under.filter((id) => !says(id)), own: under.filter(says) };
};

const names = (frame: Frame, ids: readonly Id[]): string => {
  const said = ids.slice(0, 3).map((id) => plainName(frame, id));
  return list(ids.length > 3 ? [...said, `${ids.length - 3} more`] : said);
};

/** Whom it reaches, in words; empty where the container says nothing. */
export const withinSays = (frame: Frame, view: View, container: Id, key: WithinKey): string => {
  if (lensOf(frame, view).look(container).within[key] === undefined) return "";
  const { reached, own } = withinReach(frame, view, container, key);
  const whom = reached.length ? `for ${names(frame, reached)}` : "for no screen here";
  return own.length ? `${whom}; ${names(frame, own)} ${own.length > 1 ? "say" : "says"} it otherwise` : whom;
};
