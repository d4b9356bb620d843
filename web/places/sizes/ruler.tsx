import { memo, useMemo } from "react";
import {
  type Band,
  bandsOf,
  changesBySize,
  type Frame,
  type SizeChange,
  type State,
  sure,
  type View,
} from "../../../core/index.js";
import { useSizes } from "../../app/open-frame.js";
import type { SizedDevice } from "../../data/sizes.js";
import { useSize } from "../../parts/use-size.js";
import { BandMark } from "./band-mark.js";

export interface RulerProps {
  frame: Frame;
  state: State;
  view: View;
}

/** Beyond the widest device and the last band, a share of the width. */
const beyond = 1.06;

/** The bands as a ruler: their marks are dragged, and under it stand the devices and what changes where. */
export const Ruler = memo(function Ruler({ frame, state, view }: RulerProps) {
  const devices = useSizes((shown) => shown.devices);
  const tried = useSizes((shown) => shown.tried);
  const bands = bandsOf(tried?.cell === null ? tried.frame : frame);
  const changes = useMemo(() => changesBySize(frame, state, view), [frame, state, view]);
  const [ref, size] = useSize();
  const most = Math.max(1280, ...devices.map(({ width }) => width), ...bands.map(({ from }) => from)) * beyond;
  const px = (width: number): number => (width / most) * (size?.width ?? 0);
  return (
    <section aria-label="Widths" className="shrink-0 px-4 pt-1 pb-1">
      <div ref={ref} className="relative h-7.5">
        {size &&
          bands.map((band, i) => <Range key={band.id} band={band} end={bands[i + 1]?.from ?? most} px={px} nth={i} />)}
        {size &&
          bands
            .slice(1)
            .map((band, i) => (
              <BandMark
                key={band.id}
                frame={frame}
                band={band}
                least={sure(bands[i]).from + 1}
                most={(bands[i + 2]?.from ?? 10_000) - 1}
                left={px(band.from)}
                perPx={most / size.width}
                says={changes.find((change) => change.band === band.id)?.says ?? []}
              />
            ))}
      </div>
      <Under devices={size ? devices : []} changes={size ? changes : []} px={px} />
    </section>
  );
});

/** One band, from where it begins to where the next one does. */
function Range({ band, end, px, nth }: { band: Band; end: number; px: (width: number) => number; nth: number }) {
  return (
    <div
      className={`absolute inset-y-0 flex items-center overflow-hidden border-y border-l border-rule px-2 font-semibold last:border-r ${nth % 2 ? "bg-plate-1" : "bg-plate-2"}`}
      style={{ left: px(band.from), width: px(end - band.from) }}
    >
      {band.id}
    </div>
  );
}

interface UnderProps {
  devices: readonly SizedDevice[];
  changes: readonly SizeChange[];
  px: (width: number) => number;
}

/** Under the ruler: how wide each device is, and what is other where a band begins. */
function Under({ devices, changes, px }: UnderProps) {
  const ticks = ticksOf(devices.map(({ key, name, width }) => ({ key, name, left: px(width) })));
  const hasLow = ticks.some(({ low }) => low);
  return (
    <div className={`relative text-[12px] ${hasLow ? "h-13" : "h-9"}`}>
      {ticks.map(({ key, name, left, low }) => (
        <span
          key={key}
          className={`absolute -translate-x-1/2 border-ink whitespace-nowrap text-ink-2 ${low ? "top-4" : "top-0"}`}
          style={{ left }}
        >
          <span className="absolute bottom-full left-1/2 h-1.5 border-l border-ink" />
          {name}
        </span>
      ))}
      {changes.map(({ band, from, says }) => (
        <span
          key={band}
          data-change={band}
          className={`absolute max-w-64 -translate-x-1/2 truncate font-medium text-petrol ${hasLow ? "top-8" : "top-4"}`}
          style={{ left: px(from) }}
          title={says.join(" · ")}
        >
          {says[0] ?? "nothing changes here"}
        </span>
      ))}
    </div>
  );
}

/** Names that would lie on one another stand a line lower by turns. */
const ticksOf = (ticks: readonly { key: string; name: string; left: number }[]) => {
  let last = -Infinity;
  return ticks
    .toSorted((a, b) => a.left - b.left)
    .map((tick) => {
      const low = tick.left - last < 84;
      last = low ? -Infinity : tick.left;
      return { ...tick, low };
    });
};
