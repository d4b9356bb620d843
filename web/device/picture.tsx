import { memo, useMemo } from "react";
import type { Palette, SeenHeader } from "../../core/index.js";
import { type DrawnPicture, type DrawnRegion, drawPicture, type PictureSubject } from "./drawn-picture.js";
import { type Box, drawnBodies } from "./picture-body.js";
import { Face } from "./picture-face.js";

const clipped = (text: string, most: number): string =>
  text.length <= most ? text : `${text.slice(0, Math.max(1, Math.floor(most) - 1))}…`;

interface DrawnProps {
  region: DrawnRegion;
  picture: DrawnPicture;
}

function Content({ region: { box, content }, picture: { colours, width } }: DrawnProps) {
  if (!content) return null;
  const { kind, footer, rows } = content;
  const media = kind === "media";
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
      {drawnBodies[kind](media ? box : inner, colours)}
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

function Header({ region: { header, box }, picture: { colours, fontSize } }: DrawnProps) {
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

function Overlay({ role, box, colours }: Pick<DrawnRegion, "role" | "box"> & { colours: Palette }) {
  const isFull = role === "fullscreen";
  return (
    <rect {...box} rx={isFull ? 0 : 4} fill={colours.page} stroke={colours.ink} strokeOpacity={isFull ? 0 : 0.3} />
  );
}

function PaneLine({ box, atStart, colours }: { box: Box; atStart: boolean; colours: Palette }) {
  return (
    <line
      x1={box.x}
      x2={box.x}
      y1={box.y}
      y2={box.y + box.height}
      stroke={colours.ink}
      strokeOpacity={atStart ? 0 : 0.18}
    />
  );
}

function Drawn(props: DrawnProps) {
  const { region, picture } = props;
  const { role, box, atStart, tabs } = region;
  const { colours, mark } = picture;
  if (tabs) return <Face role={role} box={box} tabs={tabs} colours={colours} mark={mark} />;
  switch (role) {
    case "scrim":
      return <rect {...box} fill="#0A1216" opacity={0.42} />;
    case "content":
      return <Content {...props} />;
    case "header":
      return <Header {...props} />;
    case "list":
    case "detail":
      return <PaneLine box={box} atStart={atStart} colours={colours} />;
    default:
      return <Overlay role={role} box={box} colours={colours} />;
  }
}

/** A picture as it was worked out: drawn anew only for another one. */
export const PictureOf = memo(function PictureOf({ picture }: { picture: DrawnPicture }) {
  const { width, height, colours, regions } = picture;
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden className="block">
      <rect width={width} height={height} fill={colours.page} />
      {regions.map((region, i) => (
        <Drawn key={`${i} ${region.role}`} region={region} picture={picture} />
      ))}
    </svg>
  );
});

/** The top screen of a state as it is arranged in the view, small. */
export function Picture({ frame, state, view, width, height, dark }: PictureSubject) {
  const picture = useMemo(
    () => drawPicture({ frame, state, view, width, height, dark }),
    [frame, state, view, width, height, dark],
  );
  return <PictureOf picture={picture} />;
}
