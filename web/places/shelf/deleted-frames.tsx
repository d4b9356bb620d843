import { type ShelfRow, takeBack } from "../../data/shelf.js";
import { Button } from "../../parts/button.js";
import type { Attempt } from "./use-attempt.js";

const day = new Intl.DateTimeFormat("en-GB", { dateStyle: "medium" });

/** Frames that were deleted; each can be brought back. */
export function DeletedFrames({ rows, attempt }: { rows: readonly ShelfRow[]; attempt: Attempt }) {
  return (
    <section aria-label="Deleted">
      <h2 className="mb-2.5 text-[15px] font-bold">
        Deleted <span className="font-normal text-ink-2">kept with all their changes</span>
      </h2>
      <ul className="flex flex-col gap-1">
        {rows.map((row) => (
          <li key={row.id} className="flex items-center gap-3 rounded-md border border-rule px-3 py-1.5">
            <span className="grow truncate">
              {row.name}{" "}
              <span className="text-ink-2">
                · change {row.revision} ·{" "}
                {row.emptied === null ? "kept for good" : `emptied on ${day.format(new Date(row.emptied))}`}
              </span>
            </span>
            <Button onClick={() => void attempt(`${row.name} was not brought back`, () => takeBack(row.id))}>
              Bring back
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
