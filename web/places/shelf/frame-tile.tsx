import { useState } from "react";
import { Link } from "react-router";
import { renameFrame, type ShelfRow, useFrameAt } from "../../data/shelf.js";
import { returnTo } from "../../parts/focus-back.js";
import { TextLine } from "../../parts/text-line.js";
import { wrongEmpty } from "../../parts/wrong.js";
import { SmallPlan } from "../../parts/small-plan.js";
import { FrameMenu } from "./frame-menu.js";
import type { Attempt } from "./use-attempt.js";

export interface FrameTileProps {
  row: ShelfRow;
  /** Another frame is called so too: what tells them apart is shown. */
  hasTwin: boolean;
  attempt: Attempt;
}

const when = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short" });

/** A frame on the shelf: its plan, its name, how often it was changed. */
export function FrameTile({ row, hasTwin, attempt }: FrameTileProps) {
  const { data: frame } = useFrameAt(row);
  const [renaming, setRenaming] = useState(false);
  const screens = frame ? Object.values(frame.nodes).filter((node) => node.kind === "screen").length : null;
  return (
    <li className="group relative flex flex-col rounded-md border border-ink bg-plate-1 hover:border-petrol">
      <Link
        to={`/f/${row.id}/plan`}
        aria-label={`Open ${row.name}`}
        className="grid h-44 place-items-center rounded-t-md border-b border-rule bg-plate-2 p-3"
      >
        {frame ? <SmallPlan frame={frame} width={240} height={150} /> : <span className="text-ink-2">…</span>}
      </Link>
      <div className="flex items-center gap-2 py-2 pr-1.5 pl-3">
        <div className="min-w-0 grow">
          {renaming ? (
            <TextLine
              autoFocus
              aria-label="Name of the frame"
              value={row.name}
              onFocus={(event) => event.target.select()}
              wrong={wrongEmpty}
              onDone={(name) =>
                void attempt(`${row.name} was not renamed`, () => renameFrame(row, name.trim().slice(0, 120)))
              }
              onLeave={() => (setRenaming(false), returnTo(`more ${row.id}`))}
            />
          ) : (
            <Link to={`/f/${row.id}/plan`} className="block truncate text-[15px] font-bold" tabIndex={-1}>
              {row.name}
            </Link>
          )}
          {hasTwin && <p className="mono text-[12px] wrap-anywhere text-ink-2">{row.id}</p>}
          <p className="truncate text-ink-2">
            {screens === null ? "" : `${screens} ${screens === 1 ? "screen" : "screens"} · `}change {row.revision} ·{" "}
            <time dateTime={row.changed}>{when.format(new Date(row.changed))}</time>
          </p>
        </div>
        <FrameMenu row={row} frame={frame} attempt={attempt} onRename={() => setRenaming(true)} />
      </div>
    </li>
  );
}
