import { lastOf } from "../frame/sure.js";
import { bulletIn, type OutlineFault, type OutlineLine, readLine, type Spot } from "./line.js";

/** The lines of a list, or what is wrong with it. */
export type OutlineResult = { ok: true; lines: OutlineLine[] } | { ok: false; faults: OutlineFault[] };

/** A tab is as wide as this many spaces. */
const tabWidth = 4;
const mostLines = 5000;
/** Lines stand this deep at most: deeper than any app, and no list can exhaust a walk over it. */
const deepest = 40;

const widthOf = (space: string): number => {
  let width = 0;
  for (const letter of space) width = letter === "\t" ? (Math.floor(width / tabWidth) + 1) * tabWidth : width + 1;
  return width;
};

interface Open {
  width: number;
  lines: OutlineLine[];
}

/** What is wrong with where a line begins; null when it stands level with another, or beneath the one before it. */
const indentFault = (open: readonly Open[], width: number, spot: Spot): OutlineFault | null => {
  if (open.length > deepest)
    return {
      ...spot,
      received: `a line ${open.length} levels deep`,
      expected: `${deepest} at most`,
      remedy: "Lay it out flatter.",
    };
  if (lastOf(open).width === width) return null;
  return {
    ...spot,
    received: `a line that begins ${width} in`,
    expected: `it to begin as far in as one before it: ${open.map((level) => level.width).join(", ")}`,
    remedy: "Put it level with its siblings, or further in than the line it belongs to.",
  };
};

/**
 * Reads an indented list of names: lines further in belong to the one before them; bullets and numbers before a name are
 * passed over, and so are empty lines. All that is wrong is said at once, with line and column.
 */
export const readOutline = (text: string): OutlineResult => {
  const rows = text.split(/\r\n|\n|\r/);
  const top: OutlineLine[] = [];
  const faults: OutlineFault[] = [];
  let open: Open[] = [];
  let last: OutlineLine | null = null;
  let count = 0;
  for (const [i, row] of rows.entries()) {
    const trimmed = row.trim();
    if (trimmed === "") continue;
    count += 1;
    const begin = row.length - row.trimStart().length;
    const width = widthOf(row.slice(0, begin));
    const bullet = bulletIn(trimmed);
    const said = trimmed.slice(bullet);
    const spot: Spot = { line: i + 1, column: begin + bullet + 1, length: said.length };
    if (count > mostLines) {
      faults.push({
        ...spot,
        received: `more than ${mostLines} lines`,
        expected: `${mostLines} at most`,
        remedy: "Take the list in parts.",
      });
      break;
    }
    if (open.length === 0) open = [{ width, lines: top }];
    else if (last && width > lastOf(open).width) open.push({ width, lines: last.lines });
    else while (open.length > 1 && width < lastOf(open).width) open.pop();
    const wrong = indentFault(open, width, spot);
    if (wrong) {
      faults.push(wrong);
      if (open.length > deepest) break;
    }
    const read = readLine(said, i + 1, begin + bullet);
    faults.push(...read.faults);
    last = { name: read.name, ...read.marks, lines: [], at: spot };
    lastOf(open).lines.push(last);
  }
  if (count === 0)
    faults.push({
      line: 1,
      column: 1,
      length: 1,
      received: "no name",
      expected: "at least one line with a name",
      remedy: "Write the names of screens, one to a line.",
    });
  return faults.length ? { ok: false, faults } : { ok: true, lines: top };
};
