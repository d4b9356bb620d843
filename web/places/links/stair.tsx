import { useMemo } from "react";
import {
  endWords,
  type Frame,
  isStuck,
  ladderOf,
  lensOf,
  nameOf,
  type State,
  topOf,
  type View,
} from "../../../core/index.js";
import { useDark } from "../../app/theme.js";
import { Picture } from "../../device/picture.js";

/** px: a step's picture, and how far it stands higher than the one before. */
const tall = 96;
const rise = 9;
const most = 6;

/** The ladder of a state as a stair that leads up to its screen: each Back is a step down. */
export function Stair({ frame, view, state }: { frame: Frame; view: View; state: State }) {
  const dark = useDark();
  const { rungs, end } = useMemo(() => ladderOf(frame, view, state), [frame, view, state]);
  if (state.outside || isStuck(state))
    return <p className="py-6 font-semibold">{state.outside ? "The app was left." : "Nothing may be shown."}</p>;
  const shown = [state, ...rungs.map((rung) => rung.state)].slice(0, most).reverse();
  const left = rungs.length + 1 - shown.length;
  const width = Math.min(118, Math.round((tall * view.width) / view.height));
  return (
    <ol
      aria-label="The ladder, its end first"
      className="flex items-end gap-0 overflow-x-auto pb-1"
      style={{ minHeight: tall + 30 + rise * shown.length }}
    >
      <li className="w-18 shrink-0 border-b-[1.5px] border-dashed border-field pr-1 pb-0.5 text-[12px] leading-4 text-ink-2">
        {endWords.foot[end]}
        {left > 0 && ` · ${left} more below`}
      </li>
      {shown.map((at, i) => {
        const top = topOf(lensOf(frame, view), at.root);
        const backs = shown.length - 1 - i;
        return (
          <li
            key={i}
            className="relative flex shrink-0 flex-col items-center border-b-[1.5px] border-ink px-2"
            style={{ marginBottom: rise * (i + 1) }}
          >
            {/* the riser from the step before */}
            <span
              aria-hidden
              className="absolute left-0 w-0 border-l-[1.5px] border-ink"
              style={{ height: rise + 1.5, bottom: -rise - 1.5 }}
            />
            <span
              className={`block overflow-hidden rounded-sm border-[1.5px] ${backs === 0 ? "border-petrol" : "border-ink"}`}
            >
              <Picture frame={frame} view={view} state={at} width={width} height={tall} dark={dark} />
            </span>
            <span className="flex max-w-28 items-baseline gap-1 text-[12px]">
              {backs > 0 && <span className="mono text-ink-2">{backs}</span>}
              <span className={`truncate ${backs === 0 ? "font-semibold text-petrol" : ""}`}>
                {nameOf(frame, top.node, top.params)}
              </span>
            </span>
          </li>
        );
      })}
    </ol>
  );
}
