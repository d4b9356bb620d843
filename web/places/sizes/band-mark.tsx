import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import { applyEdit, type Band, bandsOf, type Edit, type Frame } from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { followPointer } from "../../parts/follow-pointer.js";

export interface BandMarkProps {
  frame: Frame;
  band: Band;
  least: number;
  most: number;
  /** px on the page. */
  left: number;
  /** px of a device for each px of the ruler. */
  perPx: number;
  says: readonly string[];
}

/** Where a band begins while its mark is dragged, null while it is not; the devices show it on the way. */
const useBandDrag = ({ frame, band, least, most, perPx }: BandMarkProps) => {
  const { editing, sizes } = useOpenFrame();
  const [at, setAt] = useState<number | null>(null);
  const due = useRef<number | null>(null);
  const editTo = (from: number): Edit => ({
    kind: "setFrame",
    key: "bands",
    value: bandsOf(frame).map((each) => (each.id === band.id ? { ...each, from } : each)),
  });
  const within = (from: number): number => Math.round(Math.min(most, Math.max(least, from)));
  const put = (from: number) => void editing.edit(editTo(within(from)), `${band.id} from ${within(from)} px`);
  const look = (from: number) => {
    due.current = null;
    setAt(from);
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
        due.current ??= requestAnimationFrame(() => look(to));
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
  return { at: at ?? band.from, put, onPointerDown };
};

/** Where a band begins; dragged or moved by arrows it begins elsewhere. */
export function BandMark(props: BandMarkProps) {
  const { band, least, most, left, says } = props;
  const { at, put, onPointerDown } = useBandDrag(props);
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    put(band.from + by * (event.shiftKey ? 1 : 20));
  };
  return (
    <div
      role="slider"
      aria-label={`Where ${band.id} begins`}
      aria-valuenow={at}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuetext={`${at} px${says.length ? `: ${says.join(", ")}` : ""}`}
      tabIndex={0}
      title={`${band.id} begins here: drag it, or move it by arrows`}
      data-band-mark={band.id}
      className="absolute -inset-y-1.5 z-10 flex w-16 -translate-x-full cursor-ew-resize touch-none items-center justify-end gap-1.5 pr-px"
      style={{ left: left + 8 }}
      onPointerDown={onPointerDown}
      onKeyDown={onKeyDown}
    >
      <span className="mono text-[12px] text-petrol">{at}</span>
      <span className="relative grid h-full w-3.5 place-items-center">
        <span className="absolute inset-y-0 w-[2.5px] bg-petrol" />
        <span className="absolute -top-1 size-3 rotate-45 bg-petrol" />
      </span>
    </div>
  );
}
