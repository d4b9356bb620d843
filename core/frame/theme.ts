import type { ColourName, Colours, Hex, Mark, Theme } from "./parts.js";

/** A colour for each that devices are drawn in. */
export type Palette = Record<ColourName, Hex>;

/** Colours of an app that says nothing of them. */
export const defaultColours: Readonly<Record<"light" | "dark", Palette>> = {
  light: {
    page: "#F4F4F1",
    surface: "#FFFFFF",
    ink: "#22272B",
    accent: "#3D5A80",
    mark: "#DDE5F0",
    bar: "#FFFFFF",
    barInk: "#5F676D",
    barActive: "#2B4568",
    badge: "#9E2F3C",
  },
  dark: {
    page: "#16191C",
    surface: "#1F2428",
    ink: "#E9EBEC",
    accent: "#9DB9DE",
    mark: "#2D3B50",
    bar: "#1B2024",
    barInk: "#A7AFB5",
    barActive: "#BCD2F0",
    badge: "#E58A93",
  },
};

/** The colours of an app's devices: the theme's own, and where it says nothing plain ones. */
export const coloursOf = (theme: Theme, isDark: boolean): Palette => {
  const own: Colours = (isDark ? theme.dark : theme.light) ?? {};
  return { ...defaultColours[isDark ? "dark" : "light"], ...own };
};

/** The red, green and blue of `#rgb` or `#rrggbb` (an alpha after them is left out), 0..1. */
const channels = (hex: Hex): [number, number, number] => {
  const digits = hex.slice(1);
  const each = digits.length < 6 ? [...digits].map((digit) => digit + digit) : (digits.match(/../g) ?? []);
  const [red = 0, green = 0, blue = 0] = each.slice(0, 3).map((pair) => parseInt(pair, 16) / 255);
  return [red, green, blue];
};

/** Relative luminance, 0..1 (WCAG 2.2, “relative luminance”). */
export const luminanceOf = (hex: Hex): number => {
  const [red, green, blue] = channels(hex);
  const linear = (c: number): number => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
  return 0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue);
};

/** The contrast of two colours, 1..21, whichever is the lighter (WCAG 2.2, “contrast ratio”). */
export const contrastOf = (a: Hex, b: Hex): number => {
  const [one, other] = [luminanceOf(a), luminanceOf(b)];
  return (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);
};

/** White or near-black, whichever is read better on a colour. */
export const inkOn = (hex: Hex): Hex =>
  contrastOf(hex, "#FFFFFF") >= contrastOf(hex, "#101416") ? "#FFFFFF" : "#101416";

/** Two colours that lie on one another in the devices, and how much they have to differ. */
export interface ColourPair {
  id: string;
  says: string;
  ink: Hex;
  on: Hex;
  /** Text that is read wants 4.5 (WCAG 2.2, 1.4.3), a mark or an icon 3 (1.4.11). */
  wants: 4.5 | 3;
  ratio: number;
  enough: boolean;
}

type PairOf = [id: string, says: string, ink: Hex, on: Hex, wants: 4.5 | 3];

/** What the chosen tab stands on, by how it is marked. */
const chosenPairs: Readonly<Record<Mark, (colours: Palette) => PairOf[]>> = {
  tooth: ({ page, barInk, barActive }) => [
    ["barActive-page", "the chosen tab on the page it joins", barActive, page, 4.5],
    ["barInk-page", "the edge around the chosen tab", barInk, page, 3],
  ],
  line: ({ bar, barActive }) => [["barActive-bar", "the chosen tab", barActive, bar, 4.5]],
  fill: ({ mark, barActive }) => [["barActive-mark", "the chosen tab on its tint", barActive, mark, 4.5]],
  none: ({ bar, barActive }) => [["barActive-bar", "the chosen tab", barActive, bar, 4.5]],
};

/** Every pair of colours that meet in the devices, with their contrast. */
export const colourPairs = (colours: Palette, mark: Mark): ColourPair[] => {
  const pair = (id: string, says: string, ink: Hex, on: Hex, wants: 4.5 | 3): ColourPair => {
    // judged by what is shown: two decimals, cut off, so that 4.499 is not called enough
    const ratio = Math.floor(contrastOf(ink, on) * 100) / 100;
    return { id, says, ink, on, wants, ratio, enough: ratio >= wants };
  };
  const { page, surface, ink, accent, bar, barInk, badge } = colours;
  return [
    pair("ink-page", "text on the page", ink, page, 4.5),
    pair("ink-surface", "text on strips and sheets", ink, surface, 4.5),
    pair("accent-page", "actions on the page", accent, page, 4.5),
    pair("accent-surface", "actions on strips", accent, surface, 4.5),
    pair("page-accent", "text on a filled action", page, accent, 4.5),
    pair("barInk-bar", "tabs at rest", barInk, bar, 4.5),
    ...chosenPairs[mark](colours).map(([id, says, ink, on, wants]) => pair(id, says, ink, on, wants)),
    pair("ink-mark", "text on a marked row", ink, colours.mark, 4.5),
    pair("badge-bar", "a badge on the bar", badge, bar, 3),
    pair("on-badge", "the number in a badge", inkOn(badge), badge, 4.5),
  ];
};
