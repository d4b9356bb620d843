import { type Clash, clashesOf, type Edit, withoutClashes } from "../../core/index.js";
import type { Queued } from "./waiting.js";

/** An edit that clashes with what others did, and what is left of it without that; null is nothing. */
export interface Clashing<Q extends Queued> {
  queued: Q;
  clashes: readonly Clash[];
  left: Edit | null;
}

/** What of a queue goes on beside what others did meanwhile, and what of it clashes with that: theirs holds until one of both is chosen. */
export const partClashing = <Q extends Queued>(
  queue: readonly Q[],
  theirs: readonly Edit[],
): { goesOn: Q[]; clashing: Clashing<Q>[] } => {
  const clashing: Clashing<Q>[] = [];
  const goesOn = queue.flatMap((queued) => {
    // an edit of an older format says nothing yet of keys of the present one
    const clashes = queued.format === undefined ? clashesOf(queued.edit, theirs) : [];
    if (clashes.length === 0) return [queued];
    const left = withoutClashes(queued.edit, clashes);
    clashing.push({ queued, clashes, left });
    return left ? [{ ...queued, edit: left }] : [];
  });
  return { goesOn, clashing };
};
