import type { CSSProperties } from "react";
import { coloursOf, inkOn, sizeOf, type Theme } from "../../core/index.js";

/** The colours of an app's devices and the size of its icons, as custom properties that everything in a device draws with. */
export const deviceColours = (theme: Theme, dark: boolean): CSSProperties => {
  const colours = coloursOf(theme, dark);
  const named: Record<`--${string}`, string> = {
    "--page": colours.page,
    "--surface": colours.surface,
    "--ink": colours.ink,
    "--accent": colours.accent,
    "--mark": colours.mark,
    "--bar": colours.bar,
    "--bar-ink": colours.barInk,
    "--bar-active": colours.barActive,
    "--badge": colours.badge,
    "--badge-ink": inkOn(colours.badge),
    "--icon-size": `${sizeOf(theme, "icon")}px`,
  };
  return { background: colours.page, color: colours.ink, ...named };
};
