import { appLookOf } from "./app-look.js";
import { bandsOf, targetsOf } from "./defaults.js";
import { equal } from "./equal.js";
import { markOf } from "./sizes.js";
import { type ColourPair, colourPairs, coloursOf } from "./theme.js";
import type { Frame } from "./types.js";
import { classIn } from "./views.js";
import { viewsSay } from "./view-words.js";

/** Views of one sort in which colours that meet are too faint. */
export interface FaintViews {
  /** Which views, in words. */
  where: string;
  /** The pairs, of the light colours and of the dark ones. */
  faint: ColourPair[];
}

/** Where colours that meet are too faint in views whose theme is not the one of all views; that one is judged by itself. */
export const faintInSomeViews = (frame: Frame): FaintViews[] =>
  targetsOf(frame).flatMap(({ id: target }) =>
    bandsOf(frame).flatMap(({ id }) =>
      (frame.short === undefined ? [false] : [false, true]).flatMap((short) => {
        const { theme } = appLookOf(frame, classIn(frame, id, target, short));
        if (equal(theme, frame.theme ?? {})) return [];
        const pairs = [false, true].flatMap((dark) => colourPairs(coloursOf(theme, dark), markOf(theme)));
        const faint = pairs.filter(({ enough }) => !enough);
        const views = { on: [target], from: id, to: id, ...(short && { short: true as const }) };
        return faint.length > 0 ? [{ where: viewsSay(frame, views), faint }] : [];
      }),
    ),
  );
