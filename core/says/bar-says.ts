import type { Face, Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { isBarInSight, surfaceOf } from "../observe/surface.js";
import type { TakenWay } from "../explore/ways.js";
import { losesBar } from "./words.js";

/** What becomes of the bar as a way is taken. `none`: there is none to see, before or after; `drawer`: it can be opened. */
export type BarBecomes =
  | { is: "stays" | "shows" | "stays dimmed" | "hides" | "covers"; face: Exclude<Face, "none"> }
  | { is: "drawer" | "none" };

/** Looks at the bars before and after a way: one that comes was not there to stay, and what was not there is not covered. */
export const barBecomes = (frame: Frame, view: View, { from, state, snapshot }: TakenWay): BarBecomes => {
  const barsIn = (at: typeof from) => surfaceOf(frame, at, view).bars;
  const [before, after] = [barsIn(from), barsIn(state)];
  const seen = after.filter(isBarInSight);
  const usable = seen.findLast((bar) => !bar.inert);
  if (usable) {
    const wasThere = before.some((bar) => bar.hub === usable.hub && isBarInSight(bar));
    return { is: wasThere ? "stays" : "shows", face: usable.face };
  }
  const dimmed = seen.at(-1);
  if (dimmed) return { is: "stays dimmed", face: dimmed.face };
  const gone = before.findLast((bar) => bar.face !== "drawer");
  if (after.some((bar) => !bar.inert) || !gone) return { is: after.length ? "drawer" : "none" };
  return { is: losesBar(snapshot), face: gone.face };
};
