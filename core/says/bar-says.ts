import { lensOf } from "../frame/look.js";
import type { Face } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { TakenWay } from "../explore/taken.js";
import { isBarInSight, sightOf } from "../navigate/sight.js";
import { losesBar } from "./words.js";

/** What becomes of the bar as a way is taken. `none`: there is none to see, before or after; `drawer`: it can be opened. */
export type BarBecomes =
  { is: "stays" | "shows" | "stays dimmed" | "hides" | "covers"; face: Face } | { is: "drawer" | "none" };

/** Looks at the bars before and after a way: one that comes was not there to stay, and what was not there is not covered. */
export const barBecomes = (frame: FixedFrame, view: View, { from, state, seen }: TakenWay): BarBecomes => {
  const lens = lensOf(frame, view);
  const [before, after] = [sightOf(lens, from).bars, sightOf(lens, state).bars];
  const inSight = after.filter(isBarInSight);
  const usable = inSight.findLast((bar) => !bar.inert);
  if (usable) {
    const wasThere = before.some((bar) => bar.hub === usable.hub && isBarInSight(bar));
    return { is: wasThere ? "stays" : "shows", face: usable.face };
  }
  const dimmed = inSight.at(-1);
  if (dimmed) return { is: "stays dimmed", face: dimmed.face };
  const gone = before.findLast((bar) => bar.face !== "drawer");
  if (after.some((bar) => !bar.inert) || !gone) return { is: after.length ? "drawer" : "none" };
  return { is: losesBar(seen), face: gone.face };
};
