import { type KeyboardEvent, memo, useMemo, useState } from "react";
import {
  bandsOf,
  type Frame,
  type GridCell,
  nameOf,
  nodeIn,
  noInsets,
  type SizeRow,
  sizeRows,
  targetsOf,
  usualSize,
  type View,
  type ViewGrid,
  viewGrid,
  viewOf,
} from "../../../core/index.js";
import { usePlace } from "../../app/places.js";
import { Button } from "../../parts/button.js";
import { Choice } from "../../parts/choice.js";
import { appSlotName, nodeSlotName } from "../../parts/slot-names.js";
import { LookCell } from "./look-cell.js";

/** So many rows are drawn at once. */
const page = 40;

type Lows = "tall" | "low";

/** The cells of a row in the order of the columns: target by target, each from the narrowest band on. */
const cellsOf = (grid: ViewGrid, low: boolean): GridCell[] =>
  grid.targets.flatMap(({ id }) =>
    grid.rows.filter(({ short }) => short === low).flatMap(({ cells }) => cells.filter(({ target }) => target === id)),
  );

/** Goes from cell to cell by arrows. */
const walk = (event: KeyboardEvent<HTMLElement>) => {
  const steps: Record<string, [number, number]> = {
    ArrowRight: [0, 1],
    ArrowLeft: [0, -1],
    ArrowDown: [1, 0],
    ArrowUp: [-1, 0],
  };
  const step = steps[event.key];
  const at = event.target instanceof HTMLElement ? event.target.dataset.cell?.split(" ").map(Number) : undefined;
  if (!step || !at) return;
  const [row = 0, column = 0] = at;
  const next = event.currentTarget.querySelector<HTMLElement>(`[data-cell="${row + step[0]} ${column + step[1]}"]`);
  if (!next) return;
  event.preventDefault();
  next.focus();
};

/** The columns: each target, and in it each band, with a view that is one of its own. */
const useColumns = (frame: Frame, low: boolean) =>
  useMemo(() => {
    const targets = targetsOf(frame);
    return targets.flatMap(({ id: target, label }) =>
      bandsOf(frame).map(({ id: band }) => ({
        target,
        band,
        place: `${low ? "low views of " : ""}${band}${targets.length > 1 ? ` on ${label}` : ""}`,
        view: viewOf(frame, { ...usualSize(frame, band, low), target, insets: noInsets }),
      })),
    );
  }, [frame, low]);

/** Everything that differs by view: a row for each hub, pair and overlay, and whatever else does; a column for each target and band. */
export const LookGrid = memo(function LookGrid({ frame }: { frame: Frame }) {
  const [lows, setLows] = useState<Lows>("tall");
  const { short } = frame;
  return (
    <section aria-label="What differs by view" className="flex min-h-40 grow basis-0 flex-col border-t border-rule">
      <header className="flex flex-wrap items-center gap-3 px-4 pt-2 pb-1">
        <h2 className="text-[15px] font-bold">What differs by view</h2>
        <p className="text-ink-2">
          press a cell to set it there; a dot marks what is set, the rest comes from the cell before
        </p>
        <span className="grow" />
        {short !== undefined && (
          <Choice<Lows>
            label="Which views"
            value={lows}
            options={[
              { value: "tall", label: "ordinary views" },
              { value: "low", label: `lower than ${short}` },
            ]}
            onChange={setLows}
          />
        )}
      </header>
      <Table frame={frame} low={lows === "low" && short !== undefined} />
    </section>
  );
});

function Table({ frame, low }: { frame: Frame; low: boolean }) {
  const rows = useMemo(() => sizeRows(frame), [frame]);
  const [most, setMost] = useState(page);
  const columns = useColumns(frame, low);
  return (
    <div className="min-h-0 grow overflow-auto px-4 pb-3" onKeyDown={walk}>
      <table className="w-full min-w-190 table-fixed border-collapse">
        <Head frame={frame} />
        <tbody>
          {rows.slice(0, most).map((row, i) => (
            <Row key={`${row.id ?? ""} ${row.slot}`} frame={frame} row={row} at={i} low={low} columns={columns} />
          ))}
        </tbody>
      </table>
      {rows.length > most && (
        <Button className="mt-2" onClick={() => setMost(most * 4)}>
          Show more of {rows.length}
        </Button>
      )}
      {rows.length === 0 && (
        <p className="py-3">
          <b>Nothing differs yet.</b>{" "}
          <span className="text-ink-2">Make a hub, a pair or a sheet on the plan: each gets a row here.</span>
        </p>
      )}
    </div>
  );
}

function Head({ frame }: { frame: Frame }) {
  const bands = bandsOf(frame);
  const targets = targetsOf(frame);
  return (
    <thead className="sticky top-0 z-10 bg-page text-left">
      {targets.length > 1 && (
        <tr>
          <td className="w-36" />
          {targets.map(({ id, label }) => (
            <th key={id} scope="colgroup" colSpan={bands.length} className="px-1.5 font-semibold">
              {label}
            </th>
          ))}
        </tr>
      )}
      <tr>
        <td className="w-36 border-b border-rule" />
        {targets.flatMap(({ id: target }) =>
          bands.map(({ id, from }) => (
            <th key={`${target} ${id}`} className="border-b border-rule px-1.5 pb-1 font-normal text-ink-2">
              {id} <span className="mono text-[11px]">{from}+</span>
            </th>
          )),
        )}
      </tr>
    </thead>
  );
}

interface RowProps {
  frame: Frame;
  row: SizeRow;
  at: number;
  low: boolean;
  columns: readonly { target: string; band: string; place: string; view: View }[];
}

function Row({ frame, row, at, low, columns }: RowProps) {
  const { id, slot } = row;
  const [, go] = usePlace();
  const grid = useMemo(() => viewGrid(frame, id === null ? null : [id], slot), [frame, id, slot]);
  if (!grid) return null;
  const name = id === null ? appSlotName(slot) : nameOf(frame, id);
  const what = id === null ? "the app" : nodeSlotName(slot);
  return (
    <tr className="border-b border-rule">
      <th scope="row" className="pr-2 text-left font-normal">
        <button
          type="button"
          className="block max-w-full truncate text-left font-semibold hover:underline"
          title={id === null ? "The app as a whole" : "Show it on the plan"}
          onClick={() => id !== null && go("plan", { at: id })}
        >
          {name}
        </button>
        <span className="block truncate leading-tight text-ink-2">
          {id === null ? what : `${nodeIn(frame, id)?.kind} · ${what}`}
        </span>
      </th>
      {cellsOf(grid, low).map((cell, column) => {
        const place = columns[column];
        return (
          <td key={`${cell.target} ${cell.band}`} className="py-0.5 pr-1 align-middle">
            {place && (
              <LookCell
                frame={frame}
                id={id}
                name={id === null ? name : `${name}: ${what}`}
                slot={grid.slot}
                cell={cell}
                place={place.place}
                view={place.view}
                row={at}
                column={column}
              />
            )}
          </td>
        );
      })}
    </tr>
  );
}
