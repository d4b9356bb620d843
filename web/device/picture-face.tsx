import type { Mark, Palette, Region } from "../../core/index.js";
import type { Box } from "./picture-body.js";

/** Whether each tab of a face is the chosen one, More among them. */
export const tabsShown = ({ bar }: Region) => {
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

/** A face, small: its edge, the chosen cell, and a dot for each tab. */
export function Face(props: FaceProps) {
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
