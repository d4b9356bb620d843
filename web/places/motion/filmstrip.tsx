import { memo, useMemo } from "react";
import { StageClock } from "../../device/motion/stage-clock.js";
import { useSize } from "../../parts/use-size.js";
import { StageDevice } from "./stage-device.js";
import type { Staged } from "./staged.js";
import { type StageTime, useStageTime } from "./stage-time.js";

const stills = 7;
/** Between two stills, px; and how high they stand at most. */
const gap = 8;
const highest = 104;

export interface FilmstripProps {
  staged: Staged;
  time: StageTime;
}

/** Stills of a move at even times; the one that the stage is at is marked, and pressing one puts the stage there. */
export function Filmstrip({ staged, time }: FilmstripProps) {
  const [room, size] = useSize();
  const { view } = staged.moving.shot;
  const near = useStageTime(time, ({ time: at }) =>
    staged.length > 0 ? Math.round((at / staged.length) * (stills - 1)) : 0,
  );
  const scale = size ? Math.min((size.width - gap * (stills - 1)) / stills / view.width, highest / view.height) : 0;
  return (
    <ol ref={room} aria-label="Stills" className="flex min-h-32 shrink-0 items-end justify-between">
      {scale > 0 &&
        Array.from({ length: stills }, (_, i) => {
          const at = (i * staged.length) / (stills - 1);
          return (
            <li key={i} className="flex flex-col items-center gap-0.5">
              <div className={`relative rounded-md p-0.5 ${i === near ? "outline-2 outline-petrol" : ""}`}>
                <Still staged={staged} at={at} scale={scale} />
                <button
                  type="button"
                  aria-label={`Still at ${Math.round(at)} ms`}
                  aria-current={i === near ? "step" : undefined}
                  className="absolute inset-0 rounded-md"
                  onClick={() => time.hold(at)}
                />
              </div>
              <span className={`mono text-[11px] ${i === near ? "font-semibold text-petrol" : "text-ink-2"}`}>
                {Math.round(at)}
              </span>
            </li>
          );
        })}
    </ol>
  );
}

const Still = memo(function Still({ staged, at, scale }: { staged: Staged; at: number; scale: number }) {
  const clock = useMemo(() => new StageClock(at), [at]);
  return <StageDevice moving={staged.moving} plays={clock} scale={scale} label={`at ${Math.round(at)} ms`} />;
});
