import { isAttached } from "../frame/frame-index.js";
import type { Standpoints } from "../explore/standpoints.js";
import { takeWay } from "../explore/taken.js";
import type { Way } from "../explore/ways.js";
import { barBecomes, type BarBecomes } from "./bar-says.js";
import { opensWords } from "./words.js";

const barSays = (bar: BarBecomes): string => {
  switch (bar.is) {
    case "stays":
    case "shows":
    case "stays dimmed":
      return `the ${bar.face} ${bar.is}`;
    case "hides":
    case "covers":
      return `${bar.is} the ${bar.face}`;
    case "drawer":
    case "none":
      return "no bar in sight";
  }
};

/** What taking a way does to what can be seen, in a few words: worked out by taking it. */
export const waySays = (points: Standpoints, way: Way): string => {
  const { frame, view } = points;
  if (!isAttached(frame, way.to)) return "loose: leads nowhere";
  const taken = isAttached(frame, way.from) ? takeWay(points, way) : null;
  if (!taken) return "cannot be taken in this view";
  const { notes, overlay, top, shown } = taken.seen;
  const changed = notes.some((note) => note.code === "switched") ? "changes the tab, " : "";
  if (overlay) return `${changed}${opensWords(overlay.opens)}`;
  if (shown.length > 1 && top !== null) return `${changed}beside its list`;
  return `${changed}${barSays(barBecomes(frame, view, taken))}`;
};
