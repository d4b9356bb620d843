import type { Mark, SizeName, Theme } from "./parts.js";

/** What bars, strips, overlays and the icons of tabs measure where a frame says nothing, CSS px. */
export const defaultSizes: Readonly<Record<SizeName, number>> = {
  header: 50,
  bar: 60,
  top: 46,
  rail: 76,
  panel: 240,
  drawer: 300,
  sheet: 560,
  dialog: 420,
  side: 360,
  icon: 24,
};
/** The corner radius where a frame says nothing, px. */
export const defaultCorner = 8;

/** What something measures in an app, CSS px. */
export const sizeOf = (theme: Theme, name: SizeName): number => theme.sizes?.[name] ?? defaultSizes[name];
/** The corner radius of actions and rows, px. */
export const cornerOf = (theme: Theme): number => theme.corner ?? defaultCorner;
/** How the chosen tab is marked. */
export const markOf = (theme: Theme): Mark => theme.mark ?? "tooth";
