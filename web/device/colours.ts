import type { ColourName, Colours, Frame } from "../../core/index.js";

const light: Record<ColourName, string> = {
  page: "#F4F4F1",
  surface: "#FFFFFF",
  ink: "#22272B",
  accent: "#3D5A80",
  mark: "#DDE5F0",
  bar: "#FFFFFF",
  barInk: "#5F676D",
  barActive: "#2B4568",
  badge: "#9E2F3C",
};

const dark: Record<ColourName, string> = {
  page: "#16191C",
  surface: "#1F2428",
  ink: "#E9EBEC",
  accent: "#9DB9DE",
  mark: "#2D3B50",
  bar: "#1B2024",
  barInk: "#A7AFB5",
  barActive: "#BCD2F0",
  badge: "#E58A93",
};

/** The colours of an app's devices: the frame's own, and where it says nothing plain ones. */
export const coloursOf = (frame: Frame, isDark: boolean): Record<ColourName, string> => {
  const own: Colours = (isDark ? frame.theme?.dark : frame.theme?.light) ?? {};
  return { ...(isDark ? dark : light), ...own };
};
