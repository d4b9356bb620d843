import { type KeyboardEvent, type PointerEvent, useState } from "react";
import { followPointer } from "../../parts/follow-pointer.js";
import { NumberLine } from "./number-line.js";

type Points = [number, number, number, number];

export interface CurveFieldProps {
  name: string;
  bezier: Points;
  onTry: (bezier: Points) => void;
  onPut: (bezier: Points) => void;
}

/** The curve's own square, px; and room above and below it for what goes beyond. */
const side = 92;
const beyond = 26;

const tidy = (value: number): number => Math.round(value * 100) / 100;
const within = ([x1, y1, x2, y2]: Points): Points => {
  const x = (value: number) => tidy(Math.min(1, Math.max(0, value)));
  const y = (value: number) => tidy(Math.min(1.28, Math.max(-0.28, value)));
  return [x(x1), y(y1), x(x2), y(y2)];
};

/** A curve by its two handles, dragged or moved by arrows, and by its four numbers. */
export function CurveField({ name, bezier, onTry, onPut }: CurveFieldProps) {
  const [dragged, setDragged] = useState<Points | null>(null);
  const shown = dragged ?? bezier;
  const px = (x: number, y: number): readonly [number, number] => [x * side, beyond + (1 - y) * side];
  const [x1, y1, x2, y2] = shown;
  const [a, b] = [px(x1, y1), px(x2, y2)];
  const [from, to] = [px(0, 0), px(1, 1)];
  const moved = (handle: 0 | 1, dx: number, dy: number): Points => {
    const next: Points = [...bezier];
    next[handle * 2] = (bezier[handle * 2] ?? 0) + dx;
    next[handle * 2 + 1] = (bezier[handle * 2 + 1] ?? 0) + dy;
    return within(next);
  };
  const hold = (handle: 0 | 1) => (event: PointerEvent) => {
    event.preventDefault();
    (event.currentTarget as SVGElement).focus();
    const [startX, startY] = [event.clientX, event.clientY];
    let next: Points = bezier;
    followPointer(
      (now) => {
        next = moved(handle, (now.clientX - startX) / side, (startY - now.clientY) / side);
        setDragged(next);
        onTry(next);
      },
      (isLetGo) => {
        setDragged(null);
        if (isLetGo && next !== bezier) onPut(next);
        else onTry(bezier);
      },
    );
  };
  const keys = (handle: 0 | 1) => (event: KeyboardEvent) => {
    const by = event.shiftKey ? 0.1 : 0.02;
    const steps: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, by],
      ArrowDown: [0, -by],
    };
    const step = steps[event.key];
    if (!step) return;
    event.preventDefault();
    onPut(moved(handle, ...step));
  };
  const handle = (which: 0 | 1, [x, y]: readonly [number, number]) => (
    <circle
      role="slider"
      tabIndex={0}
      aria-label={`${name}: ${which === 0 ? "first" : "second"} handle`}
      aria-valuenow={shown[which * 2 + 1]}
      aria-valuetext={`${shown[which * 2]} across, ${shown[which * 2 + 1]} up`}
      cx={x}
      cy={y}
      r={6.5}
      fill="var(--plate-2)"
      stroke="var(--petrol)"
      strokeWidth={2.5}
      className="cursor-grab"
      onPointerDown={hold(which)}
      onKeyDown={keys(which)}
    />
  );
  const number = (i: 0 | 1 | 2 | 3) => (
    <NumberLine
      key={i}
      label={`${name}: ${["x of the first", "y of the first", "x of the second", "y of the second"][i]} handle`}
      value={shown[i]}
      step={0.01}
      least={i % 2 === 0 ? 0 : -5}
      most={i % 2 === 0 ? 1 : 5}
      onDone={(value) => onPut(bezier.map((each, n) => (n === i ? value : each)) as Points)}
    />
  );
  return (
    <div className="flex gap-3">
      <svg
        width={side + 14}
        height={side + 2 * beyond}
        viewBox={`-7 0 ${side + 14} ${side + 2 * beyond}`}
        className="shrink-0 touch-none overflow-visible"
      >
        <rect x={0} y={beyond} width={side} height={side} fill="var(--plate-2)" stroke="var(--rule)" />
        <path
          d={`M${from[0]} ${from[1]}L${a[0]} ${a[1]}M${to[0]} ${to[1]}L${b[0]} ${b[1]}`}
          stroke="var(--ink-2)"
          strokeWidth={1}
        />
        <path
          d={`M${from[0]} ${from[1]}C${a[0]} ${a[1]} ${b[0]} ${b[1]} ${to[0]} ${to[1]}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2}
        />
        {handle(0, a)}
        {handle(1, b)}
      </svg>
      <div className="grid min-w-0 grow content-center gap-1">{([0, 1, 2, 3] as const).map(number)}</div>
    </div>
  );
}
