import { type KeyboardEvent, memo, type PointerEvent, useMemo, useRef, useState } from "react";
import {
  applyEdit,
  type Band,
  bandsOf,
  changesBySize,
  type Frame,
  type State,
  sure,
  type View,
} from "../../../core/index.js";
import { useOpenFrame, useSizes } from "../../app/open-frame.js";
import { followPointer } from "../../parts/follow-pointer.js";
import { useSize } from "../../parts/use-size.js";

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
  const ticks = ticksOf(devices.map(({ key, name, width }) => ({ key, name, left: px(width) })));
  const hasLow = ticks.some(({ low }) => low);
  return (
    <section aria-label="Widths" className="shrink-0 px-4 pt-1 pb-1">
      <div ref={ref} className="relative h-7.5">
        {size &&
          bands.map((band, i) => {
            const end = bands[i + 1]?.from ?? most;
            return (
              <div
                key={band.id}
                className={`absolute inset-y-0 flex items-center overflow-hidden border-y border-l border-rule px-2 font-semibold last:border-r ${i % 2 ? "bg-plate-1" : "bg-plate-2"}`}
                style={{ left: px(band.from), width: px(end - band.from) }}
              >
                {band.id}
              </div>
            );
          })}
        {size &&
          bands
            .slice(1)
            .map((band, i) => (
              <Mark
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
      <div className={`relative text-[12px] ${hasLow ? "h-13" : "h-9"}`}>
        {size &&
          ticks.map(({ key, name, left, low }) => (
            <span
              key={key}
              className={`absolute -translate-x-1/2 border-ink whitespace-nowrap text-ink-2 ${low ? "top-4" : "top-0"}`}
              style={{ left }}
            >
              <span className="absolute bottom-full left-1/2 h-1.5 border-l border-ink" />
              {name}
            </span>
          ))}
        {size &&
          changes.map(({ band, from, says }) => (
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
    </section>
  );
});

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

interface MarkProps {
  frame: Frame;
  band: Band;
  least: number;
  most: number;
  left: number;
  /** px of a device for each px of the ruler. */
  perPx: number;
  says: readonly string[];
}

/** Where a band begins; dragged or moved by arrows it begins elsewhere, and the devices show it on the way. */
function Mark({ frame, band, least, most, left, perPx, says }: MarkProps) {
  const { editing, sizes } = useOpenFrame();
  const [at, setAt] = useState<number | null>(null);
  const due = useRef<number | null>(null);
  const editTo = (from: number) => ({
    kind: "setFrame" as const,
    key: "bands" as const,
    value: bandsOf(frame).map((each) => (each.id === band.id ? { ...each, from } : each)),
  });
  const within = (from: number): number => Math.round(Math.min(most, Math.max(least, from)));
  const put = (from: number) => void editing.edit(editTo(from), `${band.id} from ${from} px`);
  const look = (from: number) => {
    const result = applyEdit(frame, editTo(from));
    if (result.ok) sizes.tryOut({ frame: result.frame, cell: null });
  };
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    event.preventDefault();
    event.currentTarget.focus();
    const start = event.clientX;
    let to = band.from;
    followPointer(
      (moved) => {
        to = within(band.from + (moved.clientX - start) * perPx);
        due.current ??= requestAnimationFrame(() => {
          due.current = null;
          setAt(to);
          look(to);
        });
      },
      (isLetGo) => {
        if (due.current !== null) cancelAnimationFrame(due.current);
        due.current = null;
        setAt(null);
        sizes.tryOut(null);
        if (isLetGo && to !== band.from) put(to);
      },
    );
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    event.stopPropagation();
    put(within(band.from + by * (event.shiftKey ? 1 : 20)));
  };
  return (
    <div
      role="slider"
      aria-label={`Where ${band.id} begins`}
      aria-valuenow={at ?? band.from}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuetext={`${at ?? band.from} px${says.length ? `: ${says.join(", ")}` : ""}`}
      tabIndex={0}
      title={`${band.id} begins here: drag it, or move it by arrows`}
      data-band-mark={band.id}
      className="absolute -inset-y-1.5 z-10 flex w-16 -translate-x-full cursor-ew-resize touch-none items-center justify-end gap-1.5 pr-px"
      style={{ left: left + 8 }}
      onPointerDown={onPointerDown}
      onKeyDown={onKeyDown}
    >
      <span className="mono text-[12px] text-petrol">{at ?? band.from}</span>
      <span className="relative grid h-full w-3.5 place-items-center">
        <span className="absolute inset-y-0 w-[2.5px] bg-petrol" />
        <span className="absolute -top-1 size-3 rotate-45 bg-petrol" />
      </span>
    </div>
  );
}
