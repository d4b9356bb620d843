import { nodeAt } from "../frame/nodes.js";
import { isAttached } from "../frame/frame-index.js";
import type { FixedFrame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import type { View } from "../frame/view.js";
import type { Standpoints } from "../explore/standpoints.js";
import { type TakenWay, takeWay } from "../explore/taken.js";
import { type Way, waysOut } from "../explore/ways.js";
import { barBecomes } from "../says/bar-says.js";
import { opensWords } from "../says/words.js";
import { type LadderPath, pathOf } from "../observe/ladder.js";

/** One way of a frame, with how it goes and what it covers, in words. */
export interface WayRow {
  way: Way;
  how: string;
  covers: string;
  /** What Back does after it; null when it cannot be taken. */
  back: LadderPath | null;
}

const howSays = (frame: FixedFrame, way: Way, { seen }: TakenWay): string => {
  const { overlay, notes, moves } = seen;
  const node = frame.nodes[way.from];
  const tab = notes.some((note) => note.code === "switched") ? "changes the tab, " : "";
  if (overlay && moves.some((move) => move.kind === "open")) return `${tab}${opensWords(overlay.opens)}`;
  const last = moves.at(-1)?.kind;
  const action = node?.kind === "screen" ? node.actions?.find(({ id }) => id === way.action)?.do : undefined;
  if (action?.kind === "open" && action.how)
    return `${tab}${action.how === "clear" ? "clears the way" : "in place of it"}`;
  if (last === "replace") return `${tab}in the other pane`;
  if (last === "pop" || last === "close") return `${tab}back to what lies beneath`;
  if (last === "switch" || tab) return "changes the tab";
  return last === "push" ? "pushed" : "changes nothing";
};

const coversSays = (frame: FixedFrame, view: View, taken: TakenWay): string => {
  const { overlay, bars, shown } = taken.seen;
  if (overlay) return bars.some((bar) => !bar.inert) ? "what lies beneath it" : "everything";
  if (shown.length > 1) return "nothing: beside its list";
  const bar = barBecomes(frame, view, taken);
  switch (bar.is) {
    case "stays":
    case "shows":
    case "stays dimmed":
      return `nothing: the ${bar.face} ${bar.is}`;
    case "hides":
      return `hides the ${bar.face}`;
    case "covers":
      return `the ${bar.face}`;
    case "drawer":
      return "nothing: its drawer can be opened";
    case "none":
      return "nothing: no bar in sight";
  }
};

const rowOf = (points: Standpoints, way: Way): WayRow => {
  const { frame, view } = points;
  if (!isAttached(frame, way.to)) return { way, how: "leads nowhere: loose", covers: "", back: null };
  const taken = isAttached(frame, way.from) ? takeWay(points, way) : null;
  if (!taken) return { way, how: "cannot be taken here", covers: "", back: null };
  return {
    way,
    how: howSays(frame, way, taken),
    covers: coversSays(frame, view, taken),
    back: taken.seen.ladder && pathOf(taken.seen.ladder),
  };
};

/** All ways out of these nodes, else of the whole frame, in the order of its nodes; each is taken to see what it does. */
export const wayRows = (points: Standpoints, ids: readonly Id[] = Object.keys(points.frame.nodes)): WayRow[] =>
  ids.flatMap((id) => waysOut(id, nodeAt(points.frame, id)).map((way) => rowOf(points, way)));
