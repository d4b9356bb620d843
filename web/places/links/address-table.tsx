import { useState } from "react";
import {
  type AddressRow,
  type Frame,
  type Id,
  linkTo,
  placesOf,
  plainName,
  shortNeed,
  type Shadow,
} from "../../../core/index.js";
import { usePlace } from "../../app/places.js";
import { AppAddress } from "./app-address.js";
import { Button } from "../../parts/button.js";

export interface AddressTableProps {
  frame: Frame;
  rows: readonly AddressRow[];
  shadows: readonly Shadow[];
  /** The pattern that the tried link matches. */
  lit: string | null;
  onTry: (link: string) => void;
  onImport: () => void;
}

/** Rows drawn at once; more are asked for. */
const page = 150;

/** Every screen with an address: its pattern, an example to try, what a cold link lays it on, and what it needs. */
export function AddressTable({ frame, rows, shadows, lit, onTry, onImport }: AddressTableProps) {
  const [, go] = usePlace();
  const [filter, setFilter] = useState("");
  const [most, setMost] = useState(page);
  const wanted = filter.trim().toLowerCase();
  const kept = wanted
    ? rows.filter((row) => `${row.pattern.text} ${plainName(frame, row.screen)}`.toLowerCase().includes(wanted))
    : rows;
  const choose = (id: string) => {
    const place = placesOf(frame, id)[0];
    go("plan", { at: id, ...(place && { in: place }) });
  };
  return (
    <section aria-label="Addresses" className="flex min-w-0 grow-[3] basis-150 flex-col border-r border-rule">
      <header className="flex items-center gap-2.5 px-4 py-2">
        <h2 className="text-[15px] font-bold">Addresses</h2>
        <input
          aria-label="Only addresses with"
          placeholder={`among ${rows.length}`}
          value={filter}
          onChange={(event) => setFilter(event.target.value)}
          onKeyDown={(event) => event.stopPropagation()}
          className="h-7 w-40 rounded-sm border border-field bg-plate-2 px-1.5"
        />
        <span className="grow" />
        <Button icon="upload-simple" onClick={onImport}>
          Bring in addresses
        </Button>
      </header>
      <AppAddress frame={frame} />
      <div className="min-h-0 grow overflow-auto">
        <table className="w-full">
          <Head />
          <tbody>
            {kept.slice(0, most).map((row) => (
              <Row
                key={`${row.screen} ${row.pattern.text}`}
                frame={frame}
                row={row}
                isShared={shadows.some(({ winner, loser }) => winner === row || loser === row)}
                isLit={row.pattern.text === lit}
                onTry={onTry}
                onChoose={choose}
              />
            ))}
          </tbody>
        </table>
        {kept.length > most && (
          <Button className="m-3" onClick={() => setMost(most * 4)}>
            Show more of {kept.length}
          </Button>
        )}
        {rows.length === 0 && <NoAddress />}
        <Without frame={frame} onChoose={choose} />
      </div>
    </section>
  );
}

function Head() {
  return (
    <thead className="sticky top-0 z-10 bg-page text-left">
      <tr>
        {["Pattern", "Screen", "Example", "Cold, laid on", "Needs"].map((label) => (
          <th key={label} className="border-b border-ink px-2 py-1 font-semibold first:pl-4">
            {label}
          </th>
        ))}
      </tr>
    </thead>
  );
}

interface RowProps extends Pick<AddressTableProps, "frame" | "onTry"> {
  row: AddressRow;
  /** Another pattern answers to one of its addresses. */
  isShared: boolean;
  isLit: boolean;
  onChoose: (screen: Id) => void;
}

function Row({ frame, row, isShared, isLit, onTry, onChoose }: RowProps) {
  return (
    <tr className={`border-b border-rule align-baseline ${isLit ? "bg-petrol-soft" : ""}`}>
      <td className="mono py-1 pr-2 pl-4 text-[12px] whitespace-nowrap">
        {row.pattern.text}
        {row.old && <span className="ml-1.5 font-sans text-ink-2">older</span>}
        {isShared && (
          <span
            className="ml-1.5 rounded-sm bg-clay-soft px-1 font-sans"
            title="It shares an address with another: see beside"
          >
            ! shared
          </span>
        )}
      </td>
      <td className="px-2">
        <button
          type="button"
          className="max-w-44 truncate text-left hover:underline"
          title="Show it on the plan"
          onClick={() => onChoose(row.screen)}
        >
          {plainName(frame, row.screen)}
        </button>
      </td>
      <td className="px-2">
        <button
          type="button"
          className="mono rounded-sm text-[12px] whitespace-nowrap text-petrol underline"
          title="Try it"
          onClick={() => onTry(linkTo(frame.address, row.sample))}
        >
          {row.sample}
        </button>
      </td>
      <td className="px-2">
        {row.laidOn.length ? (
          row.laidOn.map((id) => plainName(frame, id)).join(", ")
        ) : (
          <span className="text-ink-2">nothing</span>
        )}
      </td>
      <td className="min-w-28 px-2 pr-4 text-ink-2">
        {[...new Set(row.needs.map(({ need }) => shortNeed(frame, need)))].join(", ")}
      </td>
    </tr>
  );
}

function NoAddress() {
  return (
    <p className="px-4 py-3">
      <b>No screen has an address yet.</b>{" "}
      <span className="text-ink-2">Give one its pattern on the plan (What it is), or bring in a list of them.</span>
    </p>
  );
}

/** As many are named of the screens that no link can reach. */
const named = 12;

function Without({ frame, onChoose }: { frame: Frame; onChoose: (screen: Id) => void }) {
  const without = Object.entries(frame.nodes).filter(([, node]) => node.kind === "screen" && node.path === undefined);
  if (without.length === 0) return null;
  return (
    <p className="px-4 py-2 text-ink-2">
      Without an address:{" "}
      {without.slice(0, named).map(([id], i) => (
        <span key={id}>
          {i > 0 && ", "}
          <button type="button" className="underline" onClick={() => onChoose(id)}>
            {plainName(frame, id)}
          </button>
        </span>
      ))}
      {without.length > named && ` and ${without.length - named} more`}
    </p>
  );
}
