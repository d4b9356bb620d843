import { useMemo, useState } from "react";
import { type Frame, type Id, plainName, type View, type WayRow } from "../../../../core/index.js";
import { useAnswer } from "../../../app/use-answer.js";
import { Button } from "../../../parts/button.js";

type Column = "from" | "label" | "to" | "how" | "covers";
const columns: { id: Column; label: string }[] = [
  { id: "from", label: "From" },
  { id: "label", label: "Action" },
  { id: "to", label: "To" },
  { id: "how", label: "How" },
  { id: "covers", label: "Covers" },
];
const collator = new Intl.Collator("en", { numeric: true });
/** Rows drawn at once; more are asked for. */
const page = 200;

interface WayTableProps {
  frame: Frame;
  view: View;
  onChoose: (id: Id) => void;
}

/** A cell as it is read and sorted by. */
const cell = (frame: Frame, { way, how, covers }: WayRow, column: Column): string =>
  ({ from: plainName(frame, way.from), label: way.label, to: plainName(frame, way.to), how, covers })[column];

interface Order {
  column: Column;
  down: boolean;
}

/** The rows with a text in one of their cells, in an order; without one as they are. */
const shownRows = (frame: Frame, rows: readonly WayRow[], filter: string, order: Order | null): readonly WayRow[] => {
  const wanted = filter.trim().toLowerCase();
  const kept = wanted
    ? rows.filter((row) => columns.some(({ id }) => cell(frame, row, id).toLowerCase().includes(wanted)))
    : rows;
  if (!order) return kept;
  const sign = order.down ? -1 : 1;
  const of = (row: WayRow) => cell(frame, row, order.column);
  return [...kept].sort((a, b) => sign * collator.compare(of(a), of(b)));
};

const none: readonly WayRow[] = [];

/** Every way of the frame, to be sorted and filtered. */
export function WayTable({ frame, view, onChoose }: WayTableProps) {
  const question = useMemo(() => ({ want: "table" as const, view }), [view]);
  const answered = useAnswer(question);
  const rows = answered?.answer ?? none;
  // what was there before the last edit stays until it is known what is there now
  const later = answered?.frame ?? frame;
  const [by, setBy] = useState<Order | null>(null);
  const [filter, setFilter] = useState("");
  const [most, setMost] = useState(page);
  const shown = useMemo(() => shownRows(later, rows, filter, by), [later, rows, filter, by]);
  return (
    <div className="min-h-0 grow overflow-auto">
      <table className="w-full">
        <thead className="sticky top-0 z-10 bg-plate-1">
          <tr className="text-left">
            {columns.map(({ id, label }) => (
              <ColumnHead
                key={id}
                label={label}
                by={by?.column === id ? by : null}
                onSort={(down) => setBy({ column: id, down })}
              />
            ))}
            <th className="border-b border-ink px-3 py-1 text-right">
              <input
                aria-label="Only ways with"
                placeholder={answered ? `among ${rows.length} ways` : "looking …"}
                value={filter}
                onChange={(event) => setFilter(event.target.value)}
                onKeyDown={(event) => event.stopPropagation()}
                className="h-7 w-36 rounded-sm border border-field bg-plate-2 px-1.5 font-normal"
              />
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.slice(0, most).map((row) => (
            <Row key={`${row.way.from} ${row.way.via} ${row.way.action}`} frame={later} row={row} onChoose={onChoose} />
          ))}
        </tbody>
      </table>
      {shown.length > most && (
        <Button className="m-3" onClick={() => setMost(most * 4)}>
          Show more of {shown.length}
        </Button>
      )}
    </div>
  );
}

interface ColumnHeadProps {
  label: string;
  /** The order, where it is by this column. */
  by: Order | null;
  onSort: (down: boolean) => void;
}

function ColumnHead({ label, by, onSort }: ColumnHeadProps) {
  return (
    <th aria-sort={by ? (by.down ? "descending" : "ascending") : "none"} className="border-b border-ink px-3 py-1">
      <button type="button" className="font-semibold hover:underline" onClick={() => onSort(by !== null && !by.down)}>
        {label} <span aria-hidden>{by ? (by.down ? "▾" : "▴") : ""}</span>
      </button>
    </th>
  );
}

function Row({ frame, row, onChoose }: { frame: Frame; row: WayRow; onChoose: (id: Id) => void }) {
  return (
    <tr className="border-b border-rule">
      <td className="px-3 py-1">
        <button type="button" className="hover:underline" onClick={() => onChoose(row.way.from)}>
          {cell(frame, row, "from")}
        </button>
      </td>
      <td className="px-3">{row.way.label}</td>
      <td className="px-3">
        <button type="button" className="font-medium hover:underline" onClick={() => onChoose(row.way.to)}>
          {cell(frame, row, "to")}
        </button>
      </td>
      <td className="px-3">{row.how}</td>
      <td className="px-3" colSpan={2}>
        {row.covers}
      </td>
    </tr>
  );
}
