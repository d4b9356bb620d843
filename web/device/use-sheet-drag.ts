import { type PointerEvent as ReactPointerEvent, useMemo, useRef, useState } from "react";
import { firstOf, type FixedFrame, lastOf, lensOf, type Region, type View } from "../../core/index.js";
import { followPointer } from "../parts/follow-pointer.js";
import { Finger } from "./finger.js";

/** Sheets that are dragged between their resting heights, and away. */
export interface SheetDrag {
  /** The heights of sheets that were dragged, by key: fractions of what they cover. */
  heights: ReadonlyMap<number, number>;
  /** The sheet that is on its way to a resting height by itself. */
  settling: number | null;
  handle: (sheet: Region, frame: FixedFrame, view: View) => { onPointerDown: (event: ReactPointerEvent) => void };
}

/** A flick as fast as this, in heights a second, goes on to the next height. */
const flick = 1.1;

const nearest = (rests: readonly number[], at: number): number =>
  rests.reduce((best, rest) => (Math.abs(rest - at) < Math.abs(best - at) ? rest : best));

/** How a sheet that is dragged below its lowest height goes away with the finger. */
export interface SheetAway {
  /** The finger begins to lead it; false where that cannot be. */
  begin: () => boolean;
  /** So many px of the view below its lowest height, and so many more a second. */
  to: (px: number, speed: number) => void;
  /** Let go so far below, at that speed; whether it goes. */
  end: (px: number, speed: number, isLetGo: boolean) => void;
}

/** `scale`: screen px for each px of the view. */
export const useSheetDrag = (scale: number, away: SheetAway): SheetDrag => {
  const [heights, setHeights] = useState<ReadonlyMap<number, number>>(new Map());
  const [settling, setSettling] = useState<number | null>(null);
  const latest = useRef({ scale, away });
  latest.current = { scale, away };

  return useMemo(() => {
    const set = (key: number, height: number) =>
      setHeights((now) => (now.get(key) === height ? now : new Map(now).set(key, height)));
    const handle: SheetDrag["handle"] = (sheet, frame, view) => ({
      onPointerDown: (event) => {
        if (event.button !== 0 || (event.target instanceof Element && event.target.closest("button"))) return;
        event.preventDefault();
        const { rest: rests } = lensOf(frame, view).look(sheet.node);
        const [lowest, highest] = [firstOf(rests), lastOf(rests)];
        // a sheet stands at the foot of what it covers, at a known share of that
        const whole = sheet.height / (heights.get(sheet.key) ?? lowest);
        const from = event.clientY;
        const finger = new Finger(event.timeStamp);
        const begun = sheet.height / whole;
        /** px of the view that a height is below the lowest one. */
        const below = (height: number) => Math.max(0, (lowest - height) * whole);
        let height = begun;
        let isGoing = false;
        setSettling(null);
        const move = (moved: PointerEvent) => {
          finger.to((moved.clientY - from) / latest.current.scale, moved.timeStamp);
          height = begun - finger.at / whole;
          if (below(height) > 0 && !isGoing) isGoing = latest.current.away.begin();
          if (isGoing) latest.current.away.to(below(height), finger.speed);
          set(sheet.key, Math.min(Math.max(isGoing ? lowest : 0.06, height), Math.max(0.96, highest)));
        };
        followPointer(move, (isLetGo) => {
          const speed = finger.speedAt(performance.now());
          if (isGoing) latest.current.away.end(below(height), height < lowest ? speed : 0, isLetGo);
          if (isGoing && height < lowest) return set(sheet.key, lowest);
          const raised = -speed / whole;
          const aimed = Math.abs(raised) > flick ? height + Math.sign(raised) * 0.2 : height;
          setSettling(sheet.key);
          set(sheet.key, nearest(rests, aimed));
        });
      },
    });
    return { heights, settling, handle };
  }, [heights, settling]);
};
