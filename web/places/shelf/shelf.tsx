import { type DragEvent, useState } from "react";
import { setDark, useDark } from "../../app/theme.js";
import { ProblemError } from "../../data/problem.js";
import { type ShelfRow, useShelf } from "../../data/shelf.js";
import { Button } from "../../parts/button.js";
import { DeletedFrames } from "./deleted-frames.js";
import { NewFrames } from "./new-frames.js";
import { ShelfFrames } from "./shelf-frames.js";
import { TroubleBox } from "./trouble-box.js";
import { useAttempt } from "./use-attempt.js";
import { usePaste } from "./use-paste.js";
import { useStarts } from "./use-starts.js";

/** Why the shelf cannot be read; null where it can. */
const shelfTrouble = (error: unknown): string | null => {
  if (error === undefined) return null;
  if (error instanceof ProblemError && error.status === 403)
    return "This browser may look at one frame, not at the shelf. Open the address that was sent to you, or give the server's key by an address with it.";
  return "The server does not answer. It is asked again as soon as this window is looked at.";
};

/** All frames, new ones, and those that were deleted. */
export function Shelf() {
  const { data: rows, error, isLoading } = useShelf();
  const { trouble, tell, attempt } = useAttempt();
  const starts = useStarts(attempt, tell);
  usePaste(starts.takeText);
  const [isOver, setOver] = useState(false);
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const file = event.dataTransfer.files[0];
    if (file) starts.takeFile(file);
  };

  const [wanted, setWanted] = useState("");
  const isWanted = ({ name }: ShelfRow): boolean => name.toLowerCase().includes(wanted.trim().toLowerCase());
  const all = rows?.filter((row) => row.deleted === null);
  const deleted = rows?.filter((row) => row.deleted !== null && isWanted(row)) ?? [];
  return (
    <main
      className="flex min-h-dvh flex-col bg-page"
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => !event.relatedTarget && setOver(false)}
      onDrop={drop}
    >
      <ShelfHead />
      <div className="mx-auto flex w-full max-w-[1180px] flex-col gap-7 p-6">
        {trouble && <TroubleBox trouble={trouble} onClose={() => tell(null)} />}
        <ShelfFrames
          all={all}
          found={all?.filter(isWanted) ?? []}
          isDeleted={deleted.length > 0}
          wanted={wanted}
          onWant={setWanted}
          isLoading={isLoading}
          trouble={rows ? null : shelfTrouble(error)}
          attempt={attempt}
        />
        {/* what can be pressed does not move away as the frames above it come */}
        {!isLoading && <NewFrames starts={starts} isOver={isOver} />}
        {deleted.length > 0 && <DeletedFrames rows={deleted} attempt={attempt} />}
      </div>
    </main>
  );
}

function ShelfHead() {
  const dark = useDark();
  return (
    <header className="flex h-[46px] items-center gap-3 border-b border-ink bg-plate-0 px-4">
      <img src="/mark.svg" alt="" className="size-6" />
      <h1 className="text-[16px] font-bold">Handy Frame</h1>
      <p className="truncate text-ink-2 max-sm:hidden">
        Lay out how an app hangs together, run it at once, see what Back will do.
      </p>
      <span className="grow" />
      <Button
        tone="quiet"
        icon={dark ? "sun" : "moon"}
        aria-label={dark ? "Light theme" : "Dark theme"}
        onClick={() => setDark(!dark)}
      />
    </header>
  );
}
