import { type DragEvent, useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { type Fault, type Frame, startingShapes, firstOf } from "../../../core/index.js";
import { setDark, useDark } from "../../app/theme.js";
import { ProblemError } from "../../data/problem.js";
import { bringBack, createFrame, createFromFile, type ShelfRow, useShelf } from "../../data/shelf.js";
import { Button } from "../../parts/button.js";
import { FrameTile } from "./frame-tile.js";
import { readPasted } from "./pasted.js";
import { SmallPlan } from "../../parts/small-plan.js";

interface Trouble {
  what: string;
  detail: string;
  faults: readonly Fault[];
}

const mostBytes = 4 * 1024 * 1024;

/** All frames, new ones, and those that were deleted. */
export function Shelf() {
  const { data: rows, error, isLoading } = useShelf();
  const navigate = useNavigate();
  const dark = useDark();
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [over, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);

  const attempt = async (what: string, work: () => Promise<unknown>) => {
    try {
      await work();
      setTrouble(null);
    } catch (problem) {
      if (!(problem instanceof ProblemError)) throw problem;
      setTrouble({ what, detail: `${problem.title}. ${problem.detail}`, faults: problem.faults });
    }
  };
  const start = (frame: Frame, how = "") =>
    attempt("The new frame was not made", async () => navigate(`/f/${(await createFrame(frame)).id}/plan${how}`));
  const take = async (file: File) => {
    const what = `${file.name} was not put on the shelf; nothing was changed`;
    if (file.size > mostBytes)
      return setTrouble({
        what,
        detail: `It has ${(file.size / 1024 / 1024).toFixed(1)} MB; a frame file has 4 MB at most.`,
        faults: [],
      });
    await attempt(what, async () => navigate(`/f/${(await createFromFile(file)).id}/plan`));
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const file = event.dataTransfer.files[0];
    if (file) void take(file);
  };

  const pasted = useRef<(text: string) => void>(() => {});
  pasted.current = (text) => {
    const read = readPasted(text);
    if (read.is === "file")
      return void attempt("What was pasted is no frame file; nothing was changed", async () =>
        navigate(`/f/${(await createFromFile(text)).id}/plan`),
      );
    if (read.is === "frame") return void start(read.frame);
    if (read.is === "wrong") setTrouble({ what: "The pasted list made nothing", detail: "", faults: read.faults });
  };
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      if (event.target instanceof Element && event.target.closest("input, textarea")) return;
      event.preventDefault();
      pasted.current(event.clipboardData?.getData("text/plain") ?? "");
    };
    document.addEventListener("paste", paste);
    return () => document.removeEventListener("paste", paste);
  }, []);

  const [wanted, setWanted] = useState("");
  const isWanted = ({ name }: ShelfRow): boolean => name.toLowerCase().includes(wanted.trim().toLowerCase());
  const all = rows?.filter((row) => row.deleted === null) ?? [];
  const there = all.filter(isWanted);
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
      <div className="mx-auto flex w-full max-w-[1180px] flex-col gap-7 p-6">
        {trouble && (
          <section role="alert" className="rounded-md border border-clay bg-clay-soft p-4">
            <div className="flex items-start gap-3">
              <div className="grow">
                <h2 className="font-bold">{trouble.what}</h2>
                <p>{trouble.detail}</p>
              </div>
              <Button tone="quiet" icon="x" aria-label="Close the message" onClick={() => setTrouble(null)} />
            </div>
            {trouble.faults.length > 0 && (
              <ul className="mt-2 flex max-h-60 flex-col gap-2 overflow-auto">
                {trouble.faults.map((fault, i) => (
                  <li key={i}>
                    <span className="mono rounded-sm bg-plate-2 px-1 py-0.5">{fault.pointer || "/"}</span> received{" "}
                    {fault.received}; expected {fault.expected}. {fault.remedy}
                  </li>
                ))}
              </ul>
            )}
          </section>
        )}
        <section aria-label="Frames">
          <h2 className="mb-2.5 flex items-baseline gap-1.5 text-[15px] font-bold">
            Frames{" "}
            <span className="font-normal text-ink-2">
              {rows ? (all.length === 1 ? "one on the shelf" : `${all.length} on the shelf`) : ""}
            </span>
            <input
              type="search"
              aria-label="Search the shelf"
              placeholder="Search by name"
              value={wanted}
              onChange={(event) => setWanted(event.target.value)}
              className="ml-auto h-8 w-56 rounded-sm border border-field bg-plate-2 px-2 font-normal placeholder:text-ink-2"
            />
          </h2>
          {error && !rows && (
            <p role="alert" className="rounded-md border border-clay bg-clay-soft p-4">
              The server does not answer. It is asked again as soon as this window is looked at.
            </p>
          )}
          {isLoading && <p className="text-ink-2">Reading the shelf …</p>}
          {wanted !== "" && all.length > 0 && there.length === 0 && (
            <p className="rounded-md border border-dashed border-field p-6 text-ink-2">
              No frame is called so{deleted.length ? "; one that was deleted is, see below" : ""}.
            </p>
          )}
          {rows && all.length === 0 && (
            <p className="rounded-md border border-dashed border-field p-6 text-ink-2">
              The shelf is empty. Start from a shape below, or drop a frame file anywhere on this page.
            </p>
          )}
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(270px,1fr))] gap-4">
            {there.map((row) => (
              <FrameTile key={row.id} row={row} attempt={attempt} />
            ))}
          </ul>
        </section>
        <section aria-label="New">
          <h2 className="mb-2.5 text-[15px] font-bold">
            Start from <span className="font-normal text-ink-2">everything can be changed later</span>
          </h2>
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(210px,1fr))] gap-4">
            {startingShapes.map((shape) => (
              <li key={shape.id}>
                <button
                  type="button"
                  onClick={() => void start(shape.frame)}
                  className="flex size-full items-center gap-3 rounded-md border border-field bg-plate-1 p-3 text-left hover:border-petrol hover:bg-petrol-soft"
                >
                  <SmallPlan frame={shape.frame} width={64} height={48} />
                  <span>
                    <b className="block">{shape.label}</b>
                    <span className="text-ink-2">{shape.says}</span>
                  </span>
                </button>
              </li>
            ))}
            <li>
              <button
                type="button"
                onClick={() => void start(firstOf(startingShapes).frame, "?panel=list")}
                className="flex size-full min-h-18 flex-col justify-center rounded-md border border-dashed border-field p-3 text-left hover:border-petrol"
              >
                <b>From a list</b>
                <span className="text-ink-2">write the names of screens, or paste such a list anywhere here</span>
              </button>
            </li>
            <li>
              <button
                type="button"
                onClick={() => input.current?.click()}
                className={`flex size-full min-h-18 flex-col justify-center rounded-md border border-dashed p-3 text-left ${over ? "border-petrol bg-petrol-soft" : "border-field hover:border-petrol"}`}
              >
                <b>Open a file</b>
                <span className="text-ink-2">drop a *.frame.json here, choose one, or paste its text</span>
              </button>
              <input
                ref={input}
                type="file"
                accept=".json,application/json"
                className="sr-only"
                tabIndex={-1}
                aria-label="A frame file"
                onChange={(event) => {
                  const file = event.target.files?.[0];
                  event.target.value = "";
                  if (file) void take(file);
                }}
              />
            </li>
          </ul>
        </section>
        {deleted.length > 0 && <Deleted rows={deleted} attempt={attempt} />}
      </div>
    </main>
  );
}

function Deleted({
  rows,
  attempt,
}: {
  rows: readonly ShelfRow[];
  attempt: (what: string, work: () => Promise<unknown>) => Promise<void>;
}) {
  return (
    <section aria-label="Deleted">
      <h2 className="mb-2.5 text-[15px] font-bold">
        Deleted <span className="font-normal text-ink-2">kept with all their changes</span>
      </h2>
      <ul className="flex flex-col gap-1">
        {rows.map((row) => (
          <li key={row.id} className="flex items-center gap-3 rounded-md border border-rule px-3 py-1.5">
            <span className="grow truncate">
              {row.name} <span className="text-ink-2">· change {row.revision}</span>
            </span>
            <Button onClick={() => void attempt(`${row.name} was not brought back`, () => bringBack(row.id))}>
              Bring back
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
