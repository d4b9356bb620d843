export interface ZoomButtonsProps {
  zoom: number;
  onZoom: (zoom: number) => void;
  onFit: () => void;
}

const look = "h-7 min-w-7 px-1.5 hover:bg-plate-0";

/** How large the plan is drawn: smaller, larger, as it is, all of it. */
export function ZoomButtons({ zoom, onZoom, onFit }: ZoomButtonsProps) {
  return (
    <div role="group" aria-label="Zoom of the plan" className="flex rounded-sm border border-field bg-plate-2">
      <button
        type="button"
        className={look}
        aria-label="Smaller"
        title="Smaller (-)"
        onClick={() => onZoom(zoom * 0.8)}
      >
        −
      </button>
      <button
        type="button"
        className={`mono w-13 text-[11px] ${look}`}
        aria-label={`Zoom ${Math.round(zoom * 100)} percent; back to 100`}
        title="As it is (0)"
        onClick={() => onZoom(1)}
      >
        {Math.round(zoom * 100)} %
      </button>
      <button type="button" className={look} aria-label="Larger" title="Larger (+)" onClick={() => onZoom(zoom * 1.25)}>
        +
      </button>
      <button type="button" className={`border-l border-rule ${look}`} title="All of it (F)" onClick={onFit}>
        all
      </button>
    </div>
  );
}
