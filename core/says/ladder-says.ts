import { plainName } from "../frame/names.js";
import type { Frame } from "../frame/types.js";
import type { LadderEnd, LadderPath } from "../observe/ladder.js";

type Ends = Readonly<Record<LadderEnd, string>>;

/** How a ladder's end is said: the one place that has words for it. */
export const endWords = {
  /** As one more name in a row of screens. */
  brief: { left: "out", stays: "nothing", round: "round" },
  /** The same where what stays is a place too. */
  kept: { left: "out", stays: "stays", round: "round" },
  /** As where one goes. */
  place: { left: "out", stays: "nowhere", round: "loop" },
  /** At the end of a sentence. */
  whole: { left: "out", stays: "nothing goes back", round: "round for ever" },
  /** At the foot of a stair. */
  foot: { left: "out of the app", stays: "nothing goes back", round: "round for ever" },
  /** As the last of a list of places. */
  listed: { left: "out of the app", stays: "stays", round: "goes round" },
  /** As what the next Back does, in one word. */
  step: { left: "leaves", stays: "stays", round: "round" },
} satisfies Record<string, Ends>;

/** What Back does, as a row of names with its end. */
export const ladderNames = (
  frame: Frame,
  { nodes, end }: LadderPath,
  voice: keyof typeof endWords = "brief",
): string[] => [...nodes.map((id) => plainName(frame, id)), endWords[voice][end]];
