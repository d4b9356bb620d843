import type { ColourName } from "../../core/index.js";

/** What each colour of a theme is called. */
export const colourWords: Record<ColourName, string> = {
  page: "page",
  surface: "strips, sheets",
  ink: "text",
  accent: "actions",
  mark: "mark",
  bar: "bars",
  barInk: "tabs at rest",
  barActive: "chosen tab",
  badge: "badge",
};
