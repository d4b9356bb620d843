import { memo } from "react";
import {
  actionsThere,
  arrangeSurface,
  coloursOf,
  type FixedFrame,
  markOf,
  type Palette,
  type Region,
  type SeenHeader,
  screenAt,
  type State,
  surfaceOf,
  type View,
  lensOf,
} from "../../core/index.js";
import { type Box, drawnBodies } from "./picture-body.js";
import { Face, tabsShown } from "./picture-face.js";

export interface PictureProps {
  frame: FixedFrame;
  state: State;
  view: View;
  /** px on the plan. */
  width: number;
  height: number;
  dark: boolean;
}

const overlays = new Set<Region["role"]>(["sheet", "dialog", "side", "fullscreen"]);

const clipped = (text: string, most: number): string =>
  text.length <= most ? text : `${text.slice(0, Math.max(1, Math.floor(most) - 1))}…`;

const lowered = (box: Box, by: number): Box => ({ ...box, y: box.y + by, height: Math.max(0, box.height - by) });

/** Where the regions of a view stand in a picture of it. A tall view is cut short in the middle of its content: what lies at its foot moves up. */
const boxesOf = (regions: readonly Region[], view: View, width: number, height: number, fontSize: number): Box[] => {
  const scale = width / view.width;
  const over = Math.max(0, view.height * scale - height);
  // but not where something lies over it: that has to keep its share of the height
  const lies = regions.some(({ role }) => overlays.has(role) && role !== "fullscreen");
  const plainBox = (region: Region): Box => {
    const [x, wide] = [region.x * scale, region.width * scale];
    if (lies && over > 0 && region.role !== "bar") {
      const down = height / view.height;
      return { x, y: region.y * down, width: wide, height: region.height * down };
    }
    const isBelow = (y: number): boolean => y > view.height / 2;
    const from = region.y * scale - (isBelow(region.y) ? over : 0);
    const end = region.y + region.height;
    return { x, y: from, width: wide, height: end * scale - (isBelow(end) ? over : 0) - from };
  };
  const plain = regions.map(plainBox);
  // a strip too low for its title is drawn as high as that needs, at the cost of the content under it
  const titled = (box: Box): Box => ({ ...box, height: Math.max(box.height, fontSize + 5) });
  const strips = plain.filter((_, i) => regions[i]?.role === "header");
  const isOver = (strip: Box, box: Box): boolean =>
    strip.x <= box.x && box.x < strip.x + strip.width && Math.abs(strip.y + strip.height - box.y) < 1;
  const pushedBy = (box: Box): number =>
    strips
      .filter((strip) => isOver(strip, box))
      .reduce((sum, strip) => Math.max(sum, titled(strip).height - strip.height), 0);
  return plain.map((box, i) => {
    const role = regions[i]?.role;
    if (role === "header") return titled(box);
    return role === "content" ? lowered(box, pushedBy(box)) : box;
  });
};

/** What each region of a picture is drawn with. */
interface DrawnProps {
  region: Region;
  box: Box;
  colours: Palette;
  frame: FixedFrame;
  state: State;
  view: View;
  width: number;
  fontSize: number;
}

function Content({ region, box, colours, frame, state, view, width }: DrawnProps) {
  const { body, actions } = screenAt(frame, region.node);
  const media = body?.kind === "media";
  const there = actionsThere(frame, actions, view, { facts: state.facts }, "footer", "row");
  const footer = there.some(({ place }) => place === "footer");
  const rows = Math.min(4, there.filter(({ place }) => place === "row").length);
  const pad = Math.max(5, width * 0.07);
  const inner = {
    x: box.x + pad,
    y: box.y + pad + rows * 9,
    width: Math.max(0, box.width - 2 * pad),
    height: Math.max(0, box.height - 2 * pad - rows * 9 - (footer ? 14 : 0)),
  };
  return (
    <g>
      {media && <rect {...box} fill="#27312E" />}
      {drawnBodies[body?.kind ?? "blank"](media ? box : inner, colours)}
      {Array.from({ length: rows }, (_, i) => (
        <line
          key={i}
          x1={inner.x}
          x2={inner.x + inner.width}
          y1={box.y + pad + i * 9 + 5}
          y2={box.y + pad + i * 9 + 5}
          stroke={colours.ink}
          strokeOpacity={0.45}
          strokeWidth={2}
        />
      ))}
      {footer && (
        <rect
          x={inner.x}
          y={box.y + box.height - pad - 9}
          width={inner.width}
          height={10}
          rx={3}
          fill={colours.accent}
        />
      )}
    </g>
  );
}

/** The sign of a strip's one button: a close, the drawer's, or Back. */
const signOf = ({ close, menu, back }: SeenHeader, x: number, y: number): string | null => {
  if (close) return `M${x} ${y - 2.5}l5 5m0 -5l-5 5`;
  if (menu) return `M${x} ${y - 2}h6m-6 2.2h6m-6 2.2h4`;
  return back ? `M${x + 4} ${y - 3}l-3 3l3 3` : null;
};

function Header({ region: { header }, box, colours, fontSize }: DrawnProps) {
  if (!header) return null;
  const { title, back } = header;
  const side = fontSize * 0.55;
  const middle = box.y + box.height / 2;
  const sign = signOf(header, box.x + side, middle);
  const room = sign === null ? 0 : 9;
  return (
    <g>
      <rect {...box} fill={colours.surface} />
      <line
        x1={box.x}
        x2={box.x + box.width}
        y1={box.y + box.height}
        y2={box.y + box.height}
        stroke={colours.ink}
        strokeOpacity={0.18}
      />
      {sign !== null && <path d={sign} fill="none" stroke={colours.accent} strokeWidth={back ? 1.3 : 1.2} />}
      <text
        x={box.x + side + room}
        y={middle + fontSize * 0.36}
        fontSize={fontSize}
        fontWeight={650}
        fill={colours.ink}
      >
        {clipped(title, (box.width - 2 * side - room) / (fontSize * 0.56))}
      </text>
    </g>
  );
}

function Overlay({ region: { role }, box, colours }: DrawnProps) {
  const isFull = role === "fullscreen";
  return (
    <rect {...box} rx={isFull ? 0 : 4} fill={colours.page} stroke={colours.ink} strokeOpacity={isFull ? 0 : 0.3} />
  );
}

function PaneLine({ region, box, colours }: DrawnProps) {
  return (
    <line
      x1={box.x}
      x2={box.x}
      y1={box.y}
      y2={box.y + box.height}
      stroke={colours.ink}
      strokeOpacity={region.x > 0 ? 0.18 : 0}
    />
  );
}

function DrawnRegion(props: DrawnProps) {
  const { region, box, colours, frame } = props;
  switch (region.role) {
    case "scrim":
      return <rect {...box} fill="#0A1216" opacity={0.42} />;
    case "content":
      return <Content {...props} />;
    case "header":
      return <Header {...props} />;
    case "list":
    case "detail":
      return <PaneLine {...props} />;
    default:
      if (overlays.has(region.role)) return <Overlay {...props} />;
      return (
        <Face
          role={region.role}
          box={box}
          tabs={tabsShown(region)}
          colours={colours}
          mark={markOf(lensOf(frame, props.view).app.theme)}
        />
      );
  }
}

/** The top screen of a state as it is arranged in the view, small: bars, strips and what is covered are as the engine has them. */
export const Picture = memo(function Picture({ frame, state, view, width, height, dark }: PictureProps) {
  const colours = coloursOf(lensOf(frame, view).app.theme, dark);
  const regions = arrangeSurface(frame, surfaceOf(frame, state, view), view);
  const fontSize = Math.min(11, Math.max(7.5, width / 11));
  const boxes = boxesOf(regions, view, width, height, fontSize);
  const common = { colours, frame, state, view, width, fontSize };
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden className="block">
      <rect width={width} height={height} fill={colours.page} />
      {regions.map((region, i) => {
        const box = boxes[i];
        return box && <DrawnRegion key={`${i} ${region.role}`} {...common} region={region} box={box} />;
      })}
    </svg>
  );
});
