import type { ReactNode } from "react";
import { useStageTime, type StageTime } from "./stage-time.js";

/** Room for the figures beside the curves, px: the line of the time stands right of it. */
const beside = 32;

/** What goes over the time of a move, with the moment that the stage is at drawn through all of it. */
export function Scrubbed({ time, length, children }: { time: StageTime; length: number; children: ReactNode }) {
  const at = useStageTime(time, (shown) => shown.time);
  const share = length > 0 ? Math.min(1, at / length) : 0;
  return (
    <div className="relative flex min-h-0 grow flex-col gap-1">
      {children}
      <div className="pointer-events-none absolute inset-y-5 right-0" style={{ left: beside }}>
        <div className="absolute inset-y-0 w-px bg-ink" style={{ left: `${share * 100}%` }} />
      </div>
    </div>
  );
}

/** Where a key goes from a moment, ms. Also one that changes no moment holds it: at 0 the line's own Home would say nothing. */
const keyed: { [key: string]: (at: number, step: number, length: number) => number } = {
  ArrowRight: (at, step) => at + step,
  ArrowLeft: (at, step) => at - step,
  Home: () => 0,
  End: (_at, _step, length) => length,
};

/** The line that is dragged along the time of a move, also by arrows: a frame of the screen, with Shift ten. */
export function Scrubber({ time, length }: { time: StageTime; length: number }) {
  const at = useStageTime(time, (shown) => shown.time);
  return (
    <div className="flex flex-col" style={{ paddingLeft: beside }}>
      <input
        type="range"
        aria-label="Moment of the move"
        aria-valuetext={`${Math.round(at)} of ${Math.round(length)} ms`}
        min={0}
        max={Math.max(1, length)}
        step="any"
        value={at}
        className="w-full accent-(--petrol)"
        onPointerDown={() => time.hold(time.get().time)}
        onChange={({ target }) => time.hold(Number(target.value))}
        onKeyDown={(event) => {
          const to = keyed[event.key]?.(time.get().time, ((event.shiftKey ? 10 : 1) * 1000) / 60, length);
          if (to === undefined) return;
          event.preventDefault();
          time.hold(to);
        }}
      />
      <div className="mono flex justify-between text-[11px] text-ink-2">
        <span className="font-semibold text-ink">{Math.round(at)} ms</span>
        {[0.25, 0.5, 0.75].map((share) => (
          <span key={share}>{Math.round(share * length)}</span>
        ))}
        <span>{Math.round(length)}</span>
      </div>
    </div>
  );
}
