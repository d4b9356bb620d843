import { isRaw, isTexts } from "./raw.js";

/** An icon of the app's own: shapes of one colour in a square, filled, or drawn as lines. */
export interface OwnIcon {
  /** The side of the square that the shapes are drawn in. */
  box: number;
  /** SVG path data (SVG 2, 9.3), each a shape that is drawn over the ones before it. */
  paths: string[];
  /** What lies inside a shape; `nonzero` where nothing is said (SVG 2, 13.4.2). */
  rule?: "evenodd";
  /** The shapes are drawn as lines of this width, and not filled. */
  line?: number;
  /** The ends and corners of the lines. */
  ends?: "round";
}

/** The form of an icon's name, of one's own or of the package. */
export const iconName = /^[a-z][a-z0-9-]{0,59}$/;
/** The form of path data: commands and numbers, a move first. */
export const pathData = /^[Mm][MmZzLlHhVvCcSsQqTtAaEe0-9 ,.+\n-]*$/;

/** How many letters a path may have: more is a drawing, not an icon. */
export const mostPath = 8000;
/** How many paths an icon may have. */
export const mostPaths = 40;
/** How large its square, or how wide a line, may be. */
export const mostWide = 100_000;

interface HasIcons {
  icons?: Readonly<Record<string, OwnIcon>> | undefined;
}

/** An icon of a frame's own by its name; undefined where the name is one of the package. */
export const ownIconAt = ({ icons }: HasIcons, name: string): OwnIcon | undefined =>
  icons && Object.hasOwn(icons, name) ? icons[name] : undefined;

/** An icon as an SVG document in black. */
export const iconAsSvg = ({ box, paths, rule, line, ends }: OwnIcon): string => {
  const look = [
    line !== undefined && `fill="none" stroke="#000" stroke-width="${line}"`,
    line !== undefined && ends && `stroke-linecap="${ends}" stroke-linejoin="${ends}"`,
    rule && `fill-rule="${rule}"`,
  ].filter(Boolean);
  const shapes = paths.map((path) => `<path d="${path}"/>`).join("");
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${box} ${box}"${look.map((each) => ` ${each}`).join("")}>${shapes}</svg>`;
};

/** The name for an icon that comes from a file: the file's, without its ending, numbered on while it is taken. */
export const iconNameFrom = (file: string, isTaken: (name: string) => boolean): string => {
  const plain = file
    .replace(/\.[^.]*$/, "")
    .normalize("NFKD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^[^a-z]+|-+$/g, "")
    .slice(0, 50);
  const name = plain === "" ? "icon" : plain;
  for (let n = 1; ; n += 1) {
    const next = n === 1 ? name : `${name}-${n}`;
    if (!isTaken(next)) return next;
  }
};

/** Whether something from elsewhere has the form of an icon of one's own. */
export const isOwnIcon = (value: unknown): value is OwnIcon => {
  if (!isRaw(value)) return false;
  const { box, paths, rule, line, ends, ...rest } = value;
  const isWidth = (width: unknown): boolean => typeof width === "number" && width > 0 && width <= mostWide;
  return (
    isWidth(box) &&
    isTexts(paths) &&
    paths.length > 0 &&
    paths.length <= mostPaths &&
    paths.every((path) => path.length <= mostPath && pathData.test(path)) &&
    (rule === undefined || rule === "evenodd") &&
    (line === undefined || isWidth(line)) &&
    (ends === undefined || ends === "round") &&
    Object.keys(rest).length === 0
  );
};
