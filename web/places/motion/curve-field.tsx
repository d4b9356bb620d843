import { type KeyboardEvent, type PointerEvent, useState } from "react";
import { followPointer } from "../../parts/follow-pointer.js";
import { NumberLine } from "./number-line.js";

type Points = [number, number, number, number];

/** The four numbers with another one in one place. */
const withNumber = (points: Points, at: number, value: number): Points => {
  const next: Points = [...points];
  next[at] = value;
  return next;
};

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

type Which = 0 | 1;

/** Dragging the handles of a curve, and moving them by arrows. */
const useHandles = ({ bezier, onTry, onPut }: CurveFieldProps) => {
  const [dragged, setDragged] = useState<Points | null>(null);
  const moved = (handle: Which, dx: number, dy: number): Points => {
    const next: Points = [...bezier];
    next[handle * 2] = (bezier[handle * 2] ?? 0) + dx;
    next[handle * 2 + 1] = (bezier[handle * 2 + 1] ?? 0) + dy;
    return within(next);
  };
  const hold = (handle: Which) => (event: PointerEvent<SVGElement>) => {
    event.preventDefault();
    event.currentTarget.focus();
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
  const keys = (handle: Which) => (event: KeyboardEvent) => {
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
  return { shown: dragged ?? bezier, hold, keys };
};

const px = (x: number, y: number): readonly [number, number] => [x * side, beyond + (1 - y) * side];

/** A curve by its two handles, dragged or moved by arrows, and by its four numbers. */
export function CurveField(props: CurveFieldProps) {
  const { name, bezier, onPut } = props;
  const { shown, hold, keys } = useHandles(props);
  const [x1, y1, x2, y2] = shown;
  const ends = [px(x1, y1), px(x2, y2)] as const;
  return (
    <div className="flex gap-3">
      <svg
        width={side + 14}
        height={side + 2 * beyond}
        viewBox={`-7 0 ${side + 14} ${side + 2 * beyond}`}
        className="shrink-0 touch-none overflow-visible"
      >
        <Lines first={ends[0]} second={ends[1]} />
        {([0, 1] as const).map((which) => (
          <circle
            key={which}
            role="slider"
            tabIndex={0}
            aria-label={`${name}: ${which === 0 ? "first" : "second"} handle`}
            aria-valuenow={shown[which * 2 + 1]}
            aria-valuetext={`${shown[which * 2]} across, ${shown[which * 2 + 1]} up`}
            cx={ends[which][0]}
            cy={ends[which][1]}
            r={6.5}
            fill="var(--plate-2)"
            stroke="var(--petrol)"
            strokeWidth={2.5}
            className="cursor-grab"
            onPointerDown={hold(which)}
            onKeyDown={keys(which)}
          />
        ))}
      </svg>
      <div className="grid min-w-0 grow content-center gap-1">
        {numbers.map((label, i) => (
          <NumberLine
            key={label}
            label={`${name}: ${label} handle`}
            value={shown[i] ?? 0}
            step={0.01}
            least={i % 2 === 0 ? 0 : -5}
            most={i % 2 === 0 ? 1 : 5}
            onDone={(value) => onPut(withNumber(bezier, i, value))}
          />
        ))}
      </div>
    </div>
  );
}

const numbers = ["x of the first", "y of the first", "x of the second", "y of the second"] as const;

type Place = readonly [number, number];
const at = ([x, y]: Place): string => `${x} ${y}`;

/** The curve in its square, and its handles' arms. */
function Lines({ first, second }: { first: Place; second: Place }) {
  const [from, to] = [px(0, 0), px(1, 1)];
  return (
    <>
      <rect x={0} y={beyond} width={side} height={side} fill="var(--plate-2)" stroke="var(--rule)" />
      <path d={`M${at(from)}L${at(first)}M${at(to)}L${at(second)}`} stroke="var(--ink-2)" strokeWidth={1} />
      <path d={`M${at(from)}C${at(first)} ${at(second)} ${at(to)}`} fill="none" stroke="var(--ink)" strokeWidth={2} />
    </>
  );
}
