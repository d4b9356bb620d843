import { memo } from "react";
import { arrangeSurface, coloursOf, type Frame, type Mark, markOf, type Palette, type Region, type ScreenNode, type State, surfaceOf, type View } from "../../core/index.js";

export interface PictureProps {
  frame: Frame;
  state: State;
  view: View;
  /** px on the plan. */
  width: number;
  height: number;
  dark: boolean;
}

/** A rectangle of the picture, px. */
interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

const lines = (box: Box, colours: Palette, count: number, first = 0.5) =>
  Array.from({ length: count }, (_, i) => (
    <rect
      key={i}
      x={box.x}
      y={box.y + i * 8}
      width={box.width * (i === count - 1 ? first : 0.95 - (i % 3) * 0.12)}
      height={2.5}
      rx={1}
      fill={colours.ink}
      opacity={0.28}
    />
  ));

const drawn: Record<NonNullable<ScreenNode["body"]>["kind"], (box: Box, colours: Palette) => React.ReactNode> = {
  blank: () => null,
  text: (box, colours) => lines(box, colours, Math.max(1, Math.min(5, Math.floor(box.height / 9)))),
  list: (box, colours) =>
    Array.from({ length: Math.floor(box.height / 14) }, (_, i) => (
      <g key={i}>
        <rect x={box.x} y={box.y + i * 14} width={9} height={9} rx={2} fill={colours.mark} />
        <rect
          x={box.x + 13}
          y={box.y + i * 14 + 1}
          width={(box.width - 13) * (0.75 - (i % 3) * 0.13)}
          height={3}
          rx={1}
          fill={colours.ink}
          opacity={0.4}
        />
        <rect
          x={box.x + 13}
          y={box.y + i * 14 + 6}
          width={(box.width - 13) * 0.4}
          height={2}
          rx={1}
          fill={colours.ink}
          opacity={0.2}
        />
      </g>
    )),
  grid: (box, colours) => {
    const side = (box.width - 5) / 2;
    return Array.from({ length: 2 * Math.floor((box.height + 5) / (side * 0.75 + 5)) }, (_, i) => (
      <rect
        key={i}
        x={box.x + (i % 2) * (side + 5)}
        y={box.y + Math.floor(i / 2) * (side * 0.75 + 5)}
        width={side}
        height={side * 0.75}
        rx={2}
        fill={colours.mark}
      />
    ));
  },
  form: (box, colours) =>
    Array.from({ length: Math.min(4, Math.floor(box.height / 19)) }, (_, i) => (
      <g key={i}>
        <rect
          x={box.x}
          y={box.y + i * 19}
          width={box.width * 0.35}
          height={2.5}
          rx={1}
          fill={colours.ink}
          opacity={0.35}
        />
        <rect
          x={box.x + 0.5}
          y={box.y + i * 19 + 5}
          width={box.width - 1}
          height={9}
          rx={2}
          fill="none"
          stroke={colours.ink}
          strokeOpacity={0.35}
        />
      </g>
    )),
  thread: (box, colours) => (
    <>
      {Array.from({ length: Math.max(0, Math.floor((box.height - 14) / 14)) }, (_, i) => (
        <rect
          key={i}
          x={box.x + (i % 2) * box.width * 0.35}
          y={box.y + i * 14}
          width={box.width * 0.65}
          height={9}
          rx={3}
          fill={i % 2 ? colours.mark : colours.ink}
          opacity={i % 2 ? 1 : 0.12}
        />
      ))}
      <rect
        x={box.x + 0.5}
        y={box.y + box.height - 11}
        width={box.width - 1}
        height={10}
        rx={4}
        fill="none"
        stroke={colours.ink}
        strokeOpacity={0.35}
      />
    </>
  ),
  media: (box) => (
    <>
      <circle cx={box.x + box.width * 0.7} cy={box.y + box.height * 0.3} r={box.width * 0.09} fill="#E8D9A8" />
      <path
        d={`M${box.x} ${box.y + box.height}L${box.x + box.width * 0.35} ${box.y + box.height * 0.45}L${box.x + box.width * 0.6} ${box.y + box.height * 0.75}L${box.x + box.width * 0.75} ${box.y + box.height * 0.6}L${box.x + box.width} ${box.y + box.height}Z`}
        fill="#5C6B66"
      />
    </>
  ),
};

/** The top screen of a state as it is arranged in the view, small: bars, strips and what is covered are as the engine has them. */
export const Picture = memo(function Picture({ frame, state, view, width, height, dark }: PictureProps) {
  const surface = surfaceOf(frame, state, view);
  const colours = coloursOf(frame, dark);
  const regions = arrangeSurface(frame, surface, view);
  const scale = width / view.width;
  const fontSize = Math.min(11, Math.max(7.5, width / 11));
  // a tall view is cut short in the middle of its content: what lies at its foot moves up
  const over = Math.max(0, view.height * scale - height);
  // but not where something lies over it: that has to keep its share of the height
  const lies = regions.some((region) => lifted.has(region.role) && region.role !== "fullscreen");
  const boxOf = (region: Region): Box => {
    if (lies && over > 0 && region.role !== "bar") {
      const down = height / view.height;
      return { x: region.x * scale, y: region.y * down, width: region.width * scale, height: region.height * down };
    }
    const top = region.y * scale;
    const bottom = (region.y + region.height) * scale;
    const from = region.y > view.height / 2 ? top - over : top;
    return {
      x: region.x * scale,
      y: from,
      width: region.width * scale,
      height: (region.y + region.height > view.height / 2 ? bottom - over : bottom) - from,
    };
  };
  // a strip too low for its title is drawn as high as that needs, at the cost of the content under it
  const titled = (box: Box): Box => ({ ...box, height: Math.max(box.height, fontSize + 5) });
  const strips = regions.filter((region) => region.role === "header").map(boxOf);
  const isOver = (strip: Box, box: Box): boolean =>
    strip.x <= box.x && box.x < strip.x + strip.width && Math.abs(strip.y + strip.height - box.y) < 1;
  const pushedBy = (box: Box): number =>
    strips
      .filter((strip) => isOver(strip, box))
      .reduce((sum, strip) => Math.max(sum, titled(strip).height - strip.height), 0);
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden className="block">
      <rect width={width} height={height} fill={colours.page} />
      {regions.map((region, i) => {
        const drawnBox = boxOf(region);
        const box =
          region.role === "header"
            ? titled(drawnBox)
            : region.role === "content"
              ? lowered(drawnBox, pushedBy(drawnBox))
              : drawnBox;
        const key = `${i} ${region.role}`;
        if (region.role === "scrim") return <rect key={key} {...box} fill="#0A1216" opacity={0.42} />;
        if (lifted.has(region.role))
          return (
            <rect
              key={key}
              {...box}
              rx={region.role === "fullscreen" ? 0 : 4}
              fill={colours.page}
              stroke={colours.ink}
              strokeOpacity={region.role === "fullscreen" ? 0 : 0.3}
            />
          );
        if (region.role === "list" || region.role === "detail")
          return (
            <line
              key={key}
              x1={box.x}
              x2={box.x}
              y1={box.y}
              y2={box.y + box.height}
              stroke={colours.ink}
              strokeOpacity={region.x > 0 ? 0.18 : 0}
            />
          );
        if (region.role === "content") {
          const node = frame.nodes[region.node] as ScreenNode;
          const actions = node.actions ?? [];
          const media = node.body?.kind === "media";
          const footer = actions.some((action) => action.place === "footer");
          const pad = Math.max(5, width * 0.07);
          const inner = {
            x: box.x + pad,
            y: box.y + pad,
            width: Math.max(0, box.width - 2 * pad),
            height: Math.max(0, box.height - 2 * pad - (footer ? 14 : 0)),
          };
          return (
            <g key={key}>
              {media && <rect {...box} fill="#27312E" />}
              {drawn[node.body?.kind ?? "blank"](media ? box : inner, colours)}
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
        if (region.role === "header") {
          const strip = region.header;
          const side = fontSize * 0.55;
          return (
            <g key={key}>
              <rect {...box} fill={colours.surface} />
              <line
                x1={box.x}
                x2={box.x + box.width}
                y1={box.y + box.height}
                y2={box.y + box.height}
                stroke={colours.ink}
                strokeOpacity={0.18}
              />
              {(strip?.close || strip?.menu) && (
                <path
                  d={
                    strip.close
                      ? `M${box.x + side} ${box.y + box.height / 2 - 2.5}l5 5m0 -5l-5 5`
                      : `M${box.x + side} ${box.y + box.height / 2 - 2}h6m-6 2.2h6m-6 2.2h4`
                  }
                  fill="none"
                  stroke={colours.accent}
                  strokeWidth={1.2}
                />
              )}
              {strip?.back && (
                <path
                  d={`M${box.x + side + 4} ${box.y + box.height / 2 - 3}l-3 3l3 3`}
                  fill="none"
                  stroke={colours.accent}
                  strokeWidth={1.3}
                />
              )}
              <text
                x={box.x + side + (strip?.back || strip?.close || strip?.menu ? 9 : 0)}
                y={box.y + box.height / 2 + fontSize * 0.36}
                fontSize={fontSize}
                fontWeight={650}
                fill={colours.ink}
              >
                {clipped(
                  strip?.title ?? "",
                  (box.width - 2 * side - (strip?.back || strip?.close || strip?.menu ? 9 : 0)) / (fontSize * 0.56),
                )}
              </text>
            </g>
          );
        }
        return (
          <Face
            key={key}
            role={region.role}
            box={box}
            tabs={tabsShown(region)}
            colours={colours}
            mark={markOf(frame)}
          />
        );
      })}
    </svg>
  );
});

const clipped = (text: string, most: number): string =>
  text.length <= most ? text : `${text.slice(0, Math.max(1, Math.floor(most) - 1))}…`;

const lowered = (box: Box, by: number): Box => ({ ...box, y: box.y + by, height: Math.max(0, box.height - by) });

const lifted = new Set<Region["role"]>(["sheet", "dialog", "side", "fullscreen"]);

const tabsShown = ({ bar }: Region) => {
  const ids = bar ? [...bar.tabs, ...(bar.more.length ? ["more"] : [])] : [];
  return ids.map((id) => id === bar?.active || (id === "more" && bar !== undefined && bar.more.includes(bar.active)));
};

interface FaceProps {
  role: Region["role"];
  box: Box;
  tabs: boolean[];
  colours: Palette;
  mark: Mark;
}

/** The cell of each tab in a face, px. */
const cellOf = ({ role, box, tabs }: FaceProps, i: number): Box => {
  const step = box.width / tabs.length;
  return role === "bar" || role === "top"
    ? { x: box.x + i * step, y: box.y, width: step, height: box.height }
    : { x: box.x, y: box.y + 4 + i * 11, width: box.width, height: 11 };
};

/** The edge where a face meets what it stands beside, as a path; around a tooth it runs along its cell, and is open at it. */
const edgePath = (role: Region["role"], { x, y, width, height }: Box, tooth: Box | null): string => {
  const [right, foot] = [x + width, y + height];
  if (role === "bar" || role === "top") {
    const [edge, far] = role === "bar" ? [y, foot] : [foot, y];
    if (!tooth) return `M${x} ${edge}H${right}`;
    return `M${x} ${edge}H${tooth.x}V${far}M${tooth.x + tooth.width} ${far}V${edge}H${right}`;
  }
  // what stands at the right, as from right to left, has its inner edge at the left
  const [edge, far] = x > 0 ? [x, right] : [right, x];
  if (!tooth) return `M${edge} ${y}V${foot}`;
  return `M${edge} ${y}V${tooth.y}H${far}M${far} ${tooth.y + tooth.height}H${edge}V${foot}`;
};

function Face(props: FaceProps) {
  const { role, box, tabs, colours, mark } = props;
  const upright = role === "rail" || role === "panel" || role === "drawer";
  const at = tabs.indexOf(true);
  const chosen = at < 0 ? null : cellOf(props, at);
  const tooth = mark === "tooth" ? chosen : null;
  return (
    <g>
      <rect {...box} fill={colours.bar} />
      {chosen && (mark === "tooth" || mark === "fill") && (
        <rect {...chosen} fill={mark === "tooth" ? colours.page : colours.mark} />
      )}
      {chosen && mark === "line" && (
        <rect
          {...(upright
            ? { ...chosen, width: 1.5 }
            : {
                x: chosen.x + chosen.width * 0.2,
                y: box.y + box.height - 1.5,
                width: chosen.width * 0.6,
                height: 1.5,
              })}
          fill={colours.barActive}
        />
      )}
      <path
        d={edgePath(role, box, tooth)}
        fill="none"
        stroke={tooth ? colours.barInk : colours.ink}
        strokeOpacity={tooth ? 0.8 : 0.18}
        strokeWidth={tooth ? 0.8 : 1}
      />
      {tabs.map((active, i) => {
        const cell = cellOf(props, i);
        const [x, y] = [upright ? cell.x + 6 : cell.x + cell.width / 2, cell.y + cell.height / 2];
        return (
          <g key={i}>
            <circle
              cx={x}
              cy={y}
              r={active ? 2.6 : 2.2}
              fill={active ? colours.barActive : "none"}
              stroke={active ? "none" : colours.barInk}
            />
            {(role === "panel" || role === "drawer") && (
              <rect
                x={x + 6}
                y={y - 1.25}
                width={Math.max(0, box.width - 18)}
                height={2.5}
                fill={active ? colours.barActive : colours.barInk}
                opacity={0.6}
              />
            )}
          </g>
        );
      })}
    </g>
  );
}
