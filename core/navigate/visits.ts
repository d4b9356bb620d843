import type { Id } from "../frame/parts.js";

/** What may stand for the tabs of a hub that were left before: who gave it keeps what is done to them, and tells what it knows. */
export interface VisitsKept {
  /** The tabs once some are taken out and one is added; undefined where they are known after all. */
  visitsAfter?: (gone: readonly Id[], added: Id | null) => readonly Id[];
  /** Whether none of these tabs is among them. */
  holdsNone?: (ids: readonly Id[]) => boolean;
}

const keptBy = (visits: readonly Id[]): VisitsKept => visits as VisitsKept;

/** The tabs left before once some are taken out, and one is added as the last; the same ones where nothing changes. */
export const visitsAfter = (visits: readonly Id[], gone: readonly Id[], added: Id | null = null): readonly Id[] => {
  const kept = keptBy(visits).visitsAfter?.(gone, added);
  if (kept) return kept;
  const left = visits.filter((id) => !gone.includes(id));
  if (added !== null) return [...left, added];
  return left.length === visits.length ? visits : left;
};

/** Whether none of these tabs was left before. */
export const holdsNone = (visits: readonly Id[], ids: readonly Id[]): boolean => {
  const { holdsNone: tell } = keptBy(visits);
  return tell ? tell(ids) : !visits.some((id) => ids.includes(id));
};
