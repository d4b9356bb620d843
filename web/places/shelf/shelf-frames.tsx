import type { ShelfRow } from "../../data/shelf.js";
import { FrameTile } from "./frame-tile.js";
import type { Attempt } from "./use-attempt.js";

export interface ShelfFramesProps {
  /** All there are; undefined until they were read. */
  all: readonly ShelfRow[] | undefined;
  /** Those that are called as was asked for. */
  found: readonly ShelfRow[];
  /** One that was deleted is called so. */
  isDeleted: boolean;
  wanted: string;
  onWant: (text: string) => void;
  isLoading: boolean;
  /** Why they cannot be read; null where they can. */
  trouble: string | null;
  attempt: Attempt;
}

const boxed = "rounded-md border border-dashed border-field p-6 text-ink-2";

/** The frames on the shelf, and what there is to say where there is none. */
export function ShelfFrames(props: ShelfFramesProps) {
  const { all, found, isDeleted, wanted, onWant, isLoading, trouble, attempt } = props;
  const count = all?.length === 1 ? "one on the shelf" : all ? `${all.length} on the shelf` : "";
  const named = new Map<string, number>();
  for (const { name } of all ?? []) named.set(name, (named.get(name) ?? 0) + 1);
  return (
    <section aria-label="Frames">
      <h2 className="mb-2.5 flex items-baseline gap-1.5 text-[15px] font-bold">
        Frames <span className="font-normal text-ink-2">{count}</span>
        <input
          type="search"
          aria-label="Search the shelf"
          placeholder="Search by name"
          value={wanted}
          onChange={(event) => onWant(event.target.value)}
          className="ml-auto h-8 w-56 rounded-sm border border-field bg-plate-2 px-2 font-normal"
        />
      </h2>
      {trouble && (
        <p role="alert" className="rounded-md border border-clay bg-clay-soft p-4">
          {trouble}
        </p>
      )}
      {isLoading && <p className="text-ink-2">Reading the shelf …</p>}
      {wanted !== "" && all && all.length > 0 && found.length === 0 && (
        <p className={boxed}>No frame is called so{isDeleted ? "; one that was deleted is, see below" : ""}.</p>
      )}
      {all?.length === 0 && (
        <p className={boxed}>
          The shelf is empty. Start from a shape below, or drop a frame file anywhere on this page.
        </p>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(270px,1fr))] gap-4">
        {found.map((row) => (
          <FrameTile key={row.id} row={row} hasTwin={(named.get(row.name) ?? 0) > 1} attempt={attempt} />
        ))}
      </ul>
    </section>
  );
}
