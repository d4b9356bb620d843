import { plainName } from "../frame/names.js";
import type { Frame } from "../frame/types.js";
import type { LadderEnd, LadderPath } from "../observe/ladder.js";

/** How a ladder's end is said: `brief` as one more name in a row of screens, `place` as where one goes, `whole` at the end of a sentence. */
export const endWords: Readonly<Record<LadderEnd, { brief: string; place: string; whole: string }>> = {
  left: { brief: "out", place: "out", whole: "out" },
  stays: { brief: "nothing", place: "nowhere", whole: "nothing goes back" },
  round: { brief: "round", place: "loop", whole: "round for ever" },
};

/** What Back does, as a row of names with its end. */
export const ladderNames = (frame: Frame, { nodes, end }: LadderPath): string[] => [
  ...nodes.map((id) => plainName(frame, id)),
  endWords[end].brief,
];
