import { Fragment, useState } from "react";
import {
  bandsOf,
  type Cell,
  equal,
  type Frame,
  type GridCell,
  type Id,
  type Slot,
  valueWords,
  type ViewGrid as Grid,
  viewGrid,
} from "../../core/index.js";
import { bandRange } from "./band-words.js";
import { CellField } from "./cell-field.js";

export interface ViewGridProps {
  frame: Frame;
  /** The nodes it is about; all of them have what it shows. Null for the app as a whole. */
  ids: readonly Id[] | null;
  slot: Slot;
  /** What it is called in words. */
  name: string;
  /** The views that are looked at now: what holds there can be made the same in every view. */
  at: Cell;
  /** Sets it in some cells; in every view where none is given. */
  onSet: (cells: Cell[] | undefined, value: unknown, label: string) => void;
}

const same = (a: Cell, b: Cell): boolean => a.band === b.band && a.target === b.target && !a.short === !b.short;

/** What differs by view: a row for each width, a column for each target; what is set for a cell itself stands out from what it takes over. */
export function ViewGrid({ frame, ids, slot, name, at, onSet }: ViewGridProps) {
  const grid = viewGrid(frame, ids, slot);
  const [low, setLow] = useState(false);
  if (!grid) return null;
  const withLow = low || grid.lowDiffers;
  const rows = grid.rows.filter(({ short }) => !short || withLow);
  const cells = grid.rows.flatMap((row) => row.cells);
  const seen = cells.find((cell) => same(cell, at));
  const isSame = cells.every((cell) => !cell.mixed && equal(cell.value, seen?.value));
  const hasLow = grid.rows.some(({ short }) => short);
  return (
    <div className="flex flex-col items-start gap-1" data-view-grid={slot}>
      <table className="w-full border-separate border-spacing-x-1 border-spacing-y-0.5">
        {grid.targets.length > 1 && <Head targets={grid.targets} />}
        <tbody>
          {rows.map((row, i) => (
            <Fragment key={`${row.band} ${row.short}`}>
              {row.short && !rows[i - 1]?.short && (
                <tr>
                  <td colSpan={grid.targets.length + 1} className="pt-1 text-ink-2">
                    lower than {frame.short} px
                  </td>
                </tr>
              )}
              <Row row={row} grid={grid} frame={frame} name={name} at={at} onSet={onSet} />
            </Fragment>
          ))}
        </tbody>
      </table>
      {hasLow && !withLow && (
        <button type="button" className="text-petrol underline" onClick={() => setLow(true)}>
          Otherwise in low views
        </button>
      )}
      {!isSame && seen && !seen.mixed && (
        <button
          type="button"
          className="max-w-full truncate text-petrol underline"
          onClick={() => onSet(undefined, seen.value, `${name}: the same in every view`)}
        >
          The same in every view: {valueWords(grid.slot, seen.value)}
        </button>
      )}
    </div>
  );
}

function Head({ targets }: Pick<Grid, "targets">) {
  return (
    <thead>
      <tr className="text-left text-ink-2">
        <td />
        {targets.map(({ id, label }) => (
          <th key={id} className="px-1 font-normal">
            {label}
          </th>
        ))}
      </tr>
    </thead>
  );
}

interface RowProps extends Pick<ViewGridProps, "frame" | "name" | "at" | "onSet"> {
  row: Grid["rows"][number];
  grid: Grid;
}

/** One width, in views that are low or not: a cell for each target. */
function Row({ row, grid, frame, name, at, onSet }: RowProps) {
  const place = ({ band, target, short }: Cell) => {
    const on = grid.targets.find(({ id }) => id === target)?.label ?? target;
    return `${short ? "low views of " : ""}${band}${grid.targets.length > 1 ? ` on ${on}` : ""}`;
  };
  const put = (cell: GridCell, value: unknown, says: string) => {
    const { band, target, short } = cell;
    onSet([{ target, band, ...(short && { short }) }], value, `${name}: ${says} at ${place(cell)}`);
  };
  return (
    <tr>
      <th scope="row" className="pr-1 text-left font-normal whitespace-nowrap text-ink-2">
        {row.band} <span className="text-[11.5px]">{bandRange(bandsOf(frame), row.band)}</span>
      </th>
      {row.cells.map((cell) => (
        <td
          key={cell.target}
          data-here={cell.here || undefined}
          title={cell.from}
          className={`min-w-16 rounded-sm ${same(cell, at) ? "bg-petrol-soft" : ""}`}
        >
          <CellField
            frame={frame}
            slot={grid.slot}
            label={`${name} at ${place(cell)}, ${cell.here ? "set here" : cell.from}`}
            value={cell.value}
            mixed={cell.mixed}
            here={cell.here}
            onSet={(value, says) => put(cell, value, says)}
          />
        </td>
      ))}
    </tr>
  );
}
