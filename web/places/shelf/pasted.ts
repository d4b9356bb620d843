import { type Fault, type Frame, frameOfLines, type OutlineFault, readOutline } from "../../../core/index.js";

/** What a text pasted on the shelf is: a frame file, a list that makes a frame, or something wrong. */
export type Pasted =
  { is: "file" } | { is: "frame"; frame: Frame } | { is: "wrong"; faults: Fault[] } | { is: "nothing" };

const asFault = ({ line, column, received, expected, remedy }: OutlineFault): Fault => ({
  pointer: `line ${line}, column ${column}`,
  received,
  expected,
  remedy,
});

export const readPasted = (text: string): Pasted => {
  if (text.trim() === "") return { is: "nothing" };
  if (text.trimStart().startsWith("{")) return { is: "file" };
  const read = readOutline(text);
  if (!read.ok) return { is: "wrong", faults: read.faults.map(asFault) };
  const made = frameOfLines(read.lines);
  return "frame" in made ? { is: "frame", frame: made.frame } : { is: "wrong", faults: made.map(asFault) };
};
