import { type PointerEvent as ReactPointerEvent, useMemo, useRef, useState } from "react";
import {
  firstOf,
  type FixedFrame,
  lastOf,
  lensOf,
  type NavigationEvent,
  type Region,
  type View,
} from "../../core/index.js";
import { followPointer } from "../parts/follow-pointer.js";

/** Sheets that are dragged between their resting heights, and away. */
export interface SheetDrag {
  /** The heights of sheets that were dragged, by key: fractions of what they cover. */
  heights: ReadonlyMap<number, number>;
  /** The sheet that is on its way to a resting height by itself. */
  settling: number | null;
  handle: (sheet: Region, frame: FixedFrame, view: View) => { onPointerDown: (event: ReactPointerEvent) => void };
}

/** Below this share of its lowest resting height a sheet is swiped away. */
const away = 0.6;
/** A flick as fast as this, in heights a second, goes on to the next height. */
const flick = 1.1;

const nearest = (rests: readonly number[], at: number): number =>
  rests.reduce((best, rest) => (Math.abs(rest - at) < Math.abs(best - at) ? rest : best));

/** `scale`: screen px for each px of the view. */
export const useSheetDrag = (scale: number, send: (event: NavigationEvent) => void): SheetDrag => {
  const [heights, setHeights] = useState<ReadonlyMap<number, number>>(new Map());
  const [settling, setSettling] = useState<number | null>(null);
  const latest = useRef({ scale, send });
  latest.current = { scale, send };

  return useMemo(() => {
    const set = (key: number, height: number) => setHeights((now) => new Map(now).set(key, height));
    const handle: SheetDrag["handle"] = (sheet, frame, view) => ({
      onPointerDown: (event) => {
        if (event.button !== 0 || (event.target instanceof Element && event.target.closest("button"))) return;
        event.preventDefault();
        const { rest: rests } = lensOf(frame, view).look(sheet.node);
        const [lowest, highest] = [firstOf(rests), lastOf(rests)];
        // a sheet stands at the foot of what it covers, at a known share of that
        const whole = sheet.height / (heights.get(sheet.key) ?? lowest);
        const from = event.clientY;
        let last = { y: from, at: event.timeStamp };
        let speed = 0;
        let height = sheet.height / whole;
        setSettling(null);
        const move = (moved: PointerEvent) => {
          const passed = Math.max(1, moved.timeStamp - last.at);
          speed = (last.y - moved.clientY) / latest.current.scale / whole / (passed / 1000);
          last = { y: moved.clientY, at: moved.timeStamp };
          const by = (from - moved.clientY) / latest.current.scale / whole;
          height = Math.min(Math.max(0.06, sheet.height / whole + by), Math.max(0.96, highest));
          set(sheet.key, height);
        };
        followPointer(move, (isLetGo) => {
          const aimed = Math.abs(speed) > flick ? height + Math.sign(speed) * 0.2 : height;
          if (isLetGo && aimed < lowest * away) {
            set(sheet.key, lowest);
            return latest.current.send({ do: "dismiss" });
          }
          setSettling(sheet.key);
          set(sheet.key, nearest(rests, aimed));
        });
      },
    });
    return { heights, settling, handle };
  }, [heights, settling]);
};
