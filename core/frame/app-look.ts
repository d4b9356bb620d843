import { bandsOf } from "./defaults.js";
import type { Id, MotionKind, Theme, Variation } from "./parts.js";
import { isRaw } from "./raw.js";
import type { FixedFrame, Frame } from "./types.js";
import { isIn, type ViewClass } from "./views.js";

/** What is said of the app as a whole, as it is in one view. */
export interface AppLook {
  readonly theme: Theme;
  /** The motion of each kind of move, where the frame says one. */
  readonly motion: Readonly<Partial<Record<MotionKind, Id>>>;
  /** The reduced motion; null where the frame says none. */
  readonly calm: Id | null;
  /** The screen for links that lead nowhere; null where there is none. */
  readonly lost: Id | null;
}

/** One value laid over another: maps key by key, null as if nothing were said. */
const over = (said: unknown, set: unknown): unknown => {
  if (!isRaw(set)) return set;
  const next: Record<string, unknown> = isRaw(said) ? { ...said } : {};
  for (const [key, value] of Object.entries(set))
    if (value === null) delete next[key];
    else next[key] = over(next[key], value);
  return next;
};

/** A frame with all that it says: the engine is given no other, though its type shows it less. */
export const inFull = (frame: FixedFrame): Frame => frame as Frame;

/** What a frame says of the app as a whole in a class of views: **the only reader of what of that may differ by view**. */
export const appLookOf = (frame: FixedFrame, at: ViewClass): AppLook => {
  const { theme = {}, motion = {}, calm = null, address, vary = [] } = inFull(frame);
  const own: AppLook = { theme, motion, calm, lost: address?.lost ?? null };
  const bands = bandsOf(frame);
  const holds = (entry: Variation): boolean => isIn(bands, entry, at);
  const said = vary.filter(holds).reduce<unknown>((look, { set }) => over(look, set), own);
  return { ...own, ...(isRaw(said) && said) };
};
