import type { Track } from "../../../core/index.js";
import { DragEdge } from "../../parts/drag-edge.js";
import { useSize } from "../../parts/use-size.js";
import { easeKindOf } from "./motion-words.js";
import { type StageTime, useStageTime } from "./stage-time.js";

export interface TimeBarProps {
  name: string;
  track: Track;
  /** How long it takes, its delay left aside, ms. */
  lasts: number;
  time: StageTime;
  length: number;
  colour: "petrol" | "saffron";
  onTry: (change: Partial<Track>) => void;
  onPut: (change: Partial<Track>) => void;
}

/** A track along the time of its motion: its bar is dragged to start later, its end to last longer. */
export function TimeBar({ name, track, lasts, time, length, colour, onTry, onPut }: TimeBarProps) {
  const [room, size] = useSize();
  const at = useStageTime(time, (shown) => shown.time);
  const { delay = 0 } = track;
  const whole = Math.max(1, length) * 1.06;
  const perPx = size && size.width > 0 ? whole / size.width : 1;
  const share = (ms: number): string => `${(ms / whole) * 100}%`;
  const common = { axis: "x" as const, least: 0, most: 10_000, steps: [10, 50] as const };
  return (
    <div ref={room} className="relative h-5 min-w-0 rounded-sm border border-rule bg-plate-2">
      <DragEdge
        {...common}
        label={`${name} starts at, on the time line`}
        value={Math.round(delay)}
        perPx={perPx}
        className="absolute inset-y-0 cursor-grab opacity-80"
        style={{ left: share(delay), width: share(lasts), background: `var(--${colour})` }}
        onChange={(next) => onTry({ delay: next })}
        onPut={(next) => onPut({ delay: next })}
      >
        <span />
      </DragEdge>
      {easeKindOf(track.ease) !== "spring" && (
        <DragEdge
          {...common}
          label={`${name} lasts, on the time line`}
          value={Math.round(lasts)}
          perPx={perPx}
          className="absolute inset-y-[-2px] -ml-1 w-2 cursor-ew-resize bg-ink"
          style={{ left: share(delay + lasts) }}
          onChange={(next) => onTry({ ms: next })}
          onPut={(next) => onPut({ ms: next })}
        >
          <span />
        </DragEdge>
      )}
      <span
        aria-hidden
        className="pointer-events-none absolute inset-y-0 w-px bg-ink"
        style={{ left: share(Math.min(at, whole)) }}
      />
    </div>
  );
}
