import { equal } from "../frame/equal.js";
import type { Id } from "../frame/parts.js";
import type { Edit } from "./edit.js";
import type { Given, GivenKey } from "./kinds/kind.js";
import { givenBy, stripped } from "./table.js";

const placeOf = ({ node, key }: GivenKey): string => `${node ?? ""} ${key}`;

/** Two edits made at once that give one key two values. */
export interface Clash {
  node: Id | null;
  key: string;
  mine: unknown;
  theirs: unknown;
}

/** Where one's own edit and those made elsewhere meanwhile cannot both hold; the last of theirs counts. */
export const clashesOf = (mine: Edit, theirs: readonly Edit[]): Clash[] => {
  const last = new Map<string, Given>();
  for (const given of theirs.flatMap(givenBy)) last.set(placeOf(given), given);
  const own = new Map<string, Given>();
  for (const given of givenBy(mine)) own.set(placeOf(given), given);
  return [...own].flatMap(([place, { node, key, value }]) => {
    const other = last.get(place);
    return other && !equal(other.value, value) ? [{ node, key, mine: value, theirs: other.value }] : [];
  });
};

/** The edit without the values it gives these keys; null when nothing of it is left. */
export const withoutClashes = (edit: Edit, clashes: readonly Clash[]): Edit | null => {
  const gone = new Set(clashes.map(placeOf));
  return stripped(edit, (given) => !gone.has(placeOf(given)));
};
