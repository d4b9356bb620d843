import type { Body, Palette } from "../../core/index.js";

/** A rectangle of a picture, px. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A line of writing: its place and size, px, and how dark it is. */
const line = (colours: Palette, place: Box, opacity: number, key?: number) => (
  <rect key={key} {...place} rx={1} fill={colours.ink} opacity={opacity} />
);
/** What is written into: a box with an outline. */
const field = (colours: Palette, { x, y, width, height }: Box, corner: number) => (
  <rect
    x={x + 0.5}
    y={y}
    width={width - 1}
    height={height}
    rx={corner}
    fill="none"
    stroke={colours.ink}
    strokeOpacity={0.35}
  />
);

const lines = ({ x, y, width }: Box, colours: Palette, count: number) =>
  Array.from({ length: count }, (_, i) => {
    const share = i === count - 1 ? 0.5 : 0.95 - (i % 3) * 0.12;
    return line(colours, { x, y: y + i * 8, width: width * share, height: 2.5 }, 0.28, i);
  });

/** What a screen shows, small, by what its body is. */
export const drawnBodies: Record<Body["kind"], (box: Box, colours: Palette) => React.ReactNode> = {
  blank: () => null,
  text: (box, colours) => lines(box, colours, Math.max(1, Math.min(5, Math.floor(box.height / 9)))),
  list: ({ x, y, width, height }, colours) =>
    Array.from({ length: Math.floor(height / 14) }, (_, i) => {
      const [from, room] = [x + 13, width - 13];
      return (
        <g key={i}>
          <rect x={x} y={y + i * 14} width={9} height={9} rx={2} fill={colours.mark} />
          {line(colours, { x: from, y: y + i * 14 + 1, width: room * (0.75 - (i % 3) * 0.13), height: 3 }, 0.4)}
          {line(colours, { x: from, y: y + i * 14 + 6, width: room * 0.4, height: 2 }, 0.2)}
        </g>
      );
    }),
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
  form: ({ x, y, width, height }, colours) =>
    Array.from({ length: Math.min(4, Math.floor(height / 19)) }, (_, i) => (
      <g key={i}>
        {line(colours, { x, y: y + i * 19, width: width * 0.35, height: 2.5 }, 0.35)}
        {field(colours, { x, y: y + i * 19 + 5, width, height: 9 }, 2)}
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
      {field(colours, { ...box, y: box.y + box.height - 11, height: 10 }, 4)}
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
