import { type CustomPlugin, optimize, type XastElement } from "svgo";
import { messageOf } from "./errors.js";
import { firstOf, keysOf, lastOf, type OwnIcon, sure } from "../core/index.js";
import { isOwnIcon, mostPath, mostPaths } from "../core/frame/own-icon.js";

/** How long a drawing may be, letters. */
export const mostLetters = 200_000;

/** An icon made of a drawing, or why none can be made of it. */
export type IconRead = { ok: true; icon: OwnIcon } | { ok: false; why: string };

/** Says why there can be no icon. */
class Refused extends Error {}

const refuse = (why: string): never => {
  throw new Refused(why);
};

/** What a drawing holds that is no shape, and what to do about it. */
const others: Readonly<Record<string, string>> = {
  text: "It holds text: turn it into shapes where it was drawn, and try again.",
  image: "It holds a picture of points: an icon is made of shapes.",
  foreignObject: "It holds a piece of a page: an icon is made of shapes.",
  use: "It repeats a shape by reference: make a shape of its own of it where it was drawn.",
  linearGradient: "It is painted with a gradient: an icon has one colour.",
  radialGradient: "It is painted with a gradient: an icon has one colour.",
  pattern: "It is painted with a pattern: an icon has one colour.",
  mask: "A mask cuts its shapes: cut them where it was drawn, and try again.",
  clipPath: "A clip cuts its shapes: cut them where it was drawn, and try again.",
  filter: "It has a filter, such as a shadow: an icon has shapes of one colour alone.",
  animate: "It moves by itself: an icon stands still.",
};
const holders = new Set(["svg", "g", "path", "title", "desc", "metadata", "defs", "style"]);

/** A rectangle with round corners as a path (SVG 2, 10.2): the library makes paths of all other shapes. */
const roundRects: CustomPlugin = {
  name: "roundRects",
  fn: () => ({
    element: {
      enter: (node) => {
        const { rx, ry, x = "0", y = "0", width, height, ...rest } = node.attributes;
        if (node.name !== "rect" || (rx ?? ry) === undefined) return;
        const [left, top, w, h] = [Number(x), Number(y), Number(width), Number(height)];
        const a = Math.min(Number(rx ?? ry), w / 2);
        const b = Math.min(Number(ry ?? rx), h / 2);
        if (![left, top, w, h, a, b].every(Number.isFinite)) return;
        const corner = (dx: number, dy: number): string => `a${a} ${b} 0 0 1 ${dx} ${dy}`;
        const d = `M${left + a} ${top}h${w - 2 * a}${corner(a, b)}v${h - 2 * b}${corner(-a, b)}h${2 * a - w}${corner(-a, -b)}v${2 * b - h}${corner(a, -b)}z`;
        node.name = "path";
        node.attributes = { ...rest, d };
      },
    },
  }),
};

/** How a shape is painted: what it says itself, else what lies around it says. */
interface Paint {
  fill: string;
  stroke: string;
  "stroke-width": string;
  "stroke-linecap": string;
  "stroke-linejoin": string;
  "fill-rule": string;
}
const unpainted: Paint = {
  fill: "black",
  stroke: "none",
  "stroke-width": "1",
  "stroke-linecap": "butt",
  "stroke-linejoin": "miter",
  "fill-rule": "nonzero",
};

interface Shape extends Paint {
  d: string;
}

/** The place of the square a drawing stands in, and its side. */
const squareOf = ({ viewBox, width, height }: XastElement["attributes"]): [x: number, y: number, side: number] => {
  const given = viewBox?.trim().split(/[\s,]+/) ?? [
    "0",
    "0",
    ...[width, height].map((each) => (each ?? "").replace(/px$/, "")),
  ];
  const [x = NaN, y = NaN, w = NaN, h = NaN] = given.map((each) => (each === "" ? NaN : Number(each)));
  if (given.length !== 4 || ![x, y, w, h].every(Number.isFinite) || w <= 0 || h <= 0)
    return refuse("It does not say how large it is: give it a viewBox, such as 0 0 24 24.");
  if (Math.abs(w - h) > 1e-3) return refuse(`It is ${w} by ${h}: an icon is square. Give it a square viewBox.`);
  return [x, y, w];
};

/** Moves the square, and every shape with it, so that the square begins at 0 0; the library works it into the paths after that. */
const toOrigin: CustomPlugin = {
  name: "toOrigin",
  fn: (root) => {
    const svg = root.children.find((child): child is XastElement => child.type === "element");
    if (svg?.name !== "svg") return refuse("It is no SVG drawing.");
    const [x, y, side] = squareOf(svg.attributes);
    if (x === 0 && y === 0) return null;
    svg.attributes.viewBox = `0 0 ${side} ${side}`;
    const moved: XastElement = {
      type: "element",
      name: "g",
      attributes: { transform: `translate(${-x} ${-y})` },
      children: svg.children,
    };
    svg.children = [moved];
    return null;
  },
};

/** Reads the shapes of a drawing that was cleaned; throws where it holds anything else. */
const shapesIn = (svg: string): { shapes: Shape[]; side: number } => {
  const shapes: Shape[] = [];
  let side = 0;
  const around: Paint[] = [unpainted];
  const reader: CustomPlugin = {
    name: "reader",
    fn: () => ({
      element: {
        enter: ({ name, attributes }) => {
          if (name === "svg" && around.length > 1)
            refuse("It holds a drawing in the drawing: take it apart where it was drawn.");
          if (name === "svg") [, , side] = squareOf(attributes);
          if (!holders.has(name)) refuse(others[name] ?? `It holds <${name}>: an icon is made of shapes alone.`);
          if (name === "style") refuse("A style sheet says how it looks: write the colours at the shapes.");
          if (attributes.transform !== undefined)
            refuse("A shape is turned or moved in a way that could not be worked into it.");
          for (const key of ["opacity", "fill-opacity", "stroke-opacity"])
            if (attributes[key] !== undefined && Number(attributes[key]) !== 1)
              refuse("A shape of it is half seen through: an icon has one colour, as strong everywhere.");
          for (const key of ["mask", "clip-path", "filter"])
            if (attributes[key] !== undefined) refuse(sure(others[key === "clip-path" ? "clipPath" : key]));
          const paint = { ...lastOf(around) };
          for (const key of keysOf(unpainted)) paint[key] = attributes[key] ?? paint[key];
          around.push(paint);
          if (name === "path" && attributes.d && (paint.fill !== "none" || paint.stroke !== "none"))
            shapes.push({ ...paint, d: attributes.d });
        },
        exit: () => {
          around.pop();
        },
      },
    }),
  };
  optimize(svg, { plugins: [reader] });
  return { shapes, side };
};

const different = <T>(values: readonly T[]): T[] => [...new Set(values)];

/** What an icon keeps of its shapes; throws where they are not alike. */
const iconOf = (shapes: readonly Shape[], side: number): OwnIcon => {
  if (shapes.length === 0) refuse("There is no shape in it that can be seen.");
  const filled = shapes.filter(({ fill }) => fill !== "none");
  const lines = shapes.filter(({ stroke }) => stroke !== "none");
  if (filled.length > 0 && lines.length > 0)
    refuse("Some of it is filled and some drawn as lines: turn the lines into shapes where it was drawn.");
  const colours = different([...filled.map(({ fill }) => fill), ...lines.map(({ stroke }) => stroke)]);
  if (colours.length > 1)
    refuse(`It has ${colours.length} colours, ${colours.slice(0, 4).join(", ")}: an icon has one.`);
  if (firstOf(colours).startsWith("url("))
    refuse("It is painted with a gradient or a pattern: an icon has one colour.");
  const icon: OwnIcon = { box: side, paths: shapes.map(({ d }) => d) };
  const rules = different(filled.map((shape) => shape["fill-rule"]));
  if (rules.length > 1)
    refuse("Its shapes are filled by two rules, nonzero and evenodd: unite them where it was drawn.");
  if (rules[0] === "evenodd") icon.rule = "evenodd";
  const widths = different(lines.map((shape) => Number(shape["stroke-width"].replace(/px$/, ""))));
  if (widths.length > 1)
    refuse(`Its lines have ${widths.length} widths, ${widths.join(", ")}: an icon has lines of one.`);
  if (widths[0] !== undefined) icon.line = widths[0];
  if (lines.some((shape) => shape["stroke-linecap"] === "round" || shape["stroke-linejoin"] === "round"))
    icon.ends = "round";
  if (icon.paths.length > mostPaths || icon.paths.some((path) => path.length > mostPath))
    refuse(`It is a drawing, not an icon: ${mostPaths} shapes at most, of ${mostPath} letters each.`);
  if (!isOwnIcon(icon)) refuse("Its shapes cannot be read as SVG path data.");
  return icon;
};

/**
 * Makes an icon of an SVG drawing (SVG 2): its shapes alone, in one colour, in a square that begins at 0 0. Nothing else of
 * it is kept, so that nothing in it can run or load; what cannot be an icon is refused with the reason.
 */
export const iconFromSvg = (svg: string): IconRead => {
  try {
    if (!/<svg[\s>]/.test(svg)) refuse("It is no SVG drawing.");
    const { data } = optimize(svg, {
      multipass: true,
      floatPrecision: 3,
      plugins: [
        roundRects,
        toOrigin,
        {
          name: "preset-default",
          params: {
            overrides: {
              mergePaths: false,
              inlineStyles: { onlyMatchedOnce: false },
              removeUnknownsAndDefaults: false,
            },
          },
        },
        "convertStyleToAttrs",
        { name: "convertShapeToPath", params: { convertArcs: true } },
      ],
    });
    const { shapes, side } = shapesIn(data);
    return { ok: true, icon: iconOf(shapes, side) };
  } catch (error) {
    if (error instanceof Refused) return { ok: false, why: error.message };
    const [said = ""] = messageOf(error).split("\n");
    const where = said.replace(/^<input>:(\d+):(\d+): /, "line $1, column $2: ").replace(/\.$/, "");
    return { ok: false, why: `It cannot be read as SVG: ${where}.` };
  }
};
