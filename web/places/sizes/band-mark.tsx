import { useState } from "react";
import { applyEdit, type Band, bandsOf, type Edit, type Frame } from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { useDragValue } from "../../parts/drag-value.js";

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

/** Moves where a band begins: the devices show it on the way, and it is made so where it is let go. */
const useBandDrag = ({ frame, band, least, most, perPx }: BandMarkProps) => {
  const { editing, sizes } = useOpenFrame();
  const [at, setAt] = useState<number | null>(null);
  const editTo = (from: number): Edit => ({
    kind: "setFrame",
    key: "bands",
    value: bandsOf(frame).map((each) => (each.id === band.id ? { ...each, from } : each)),
  });
  const handlers = useDragValue({
    value: band.from,
    perPx,
    axis: "x",
    least,
    most,
    steps: [20, 1],
    onChange: (from) => {
      setAt(from);
      const result = applyEdit(frame, editTo(from));
      if (result.ok) sizes.tryOut({ frame: result.frame, cell: null });
    },
    onPut: (from) => void editing.edit(editTo(from), `${band.id} from ${from} px`),
    onHold: () => {
      setAt(null);
      sizes.tryOut(null);
    },
  });
  return { at: at ?? band.from, handlers };
};

/** Where a band begins; dragged or moved by arrows it begins elsewhere. */
export function BandMark(props: BandMarkProps) {
  const { band, least, most, left, says } = props;
  const { at, handlers } = useBandDrag(props);
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
      {...handlers}
    >
      <span className="mono text-[12px] text-petrol">{at}</span>
      <span className="relative grid h-full w-3.5 place-items-center">
        <span className="absolute inset-y-0 w-[2.5px] bg-petrol" />
        <span className="absolute -top-1 size-3 rotate-45 bg-petrol" />
      </span>
    </div>
  );
}
