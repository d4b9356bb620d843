import { lastOf } from "../../core/index.js";
import { Suspense, useState } from "react";
import { ProblemError } from "../data/problem.js";
import { request } from "../data/request.js";
import { type RevisionRow, useRevisions } from "../data/revisions.js";
import { framePath, type HeadAnswer } from "../data/frame-path.js";
import { Button } from "../parts/button.js";
import { PanelDialog } from "../parts/panel-dialog.js";
import { returnTo } from "../parts/focus-back.js";
import { TextLine } from "../parts/text-line.js";
import { wrongEmpty } from "../parts/wrong.js";
import { useEditing, useOpenFrame } from "./open-frame.js";
import { later } from "../parts/later.js";

const RevisionDifferences = later(() => import("./revision-differences.js"));

const when = new Intl.DateTimeFormat("en-GB", { dateStyle: "medium", timeStyle: "short" });

/** Every change that was kept, the newest first; any of them can be named, and made the newest again. */
export default function HistoryPanel({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <PanelDialog
      title="Changes"
      says="A restore is a change of its own: nothing is lost by it."
      open={open}
      onClose={onClose}
    >
      {open && <Revisions onClose={onClose} />}
    </PanelDialog>
  );
}

/** Does something with a change; where it fails, that is told. */
const useTold = (): ((work: Promise<unknown>) => Promise<void>) => {
  const { editing } = useOpenFrame();
  return async (work) => {
    try {
      await work;
    } catch (problem) {
      if (!(problem instanceof ProblemError)) throw problem;
      editing.say("fault", `${problem.title}. ${problem.detail}`);
    }
  };
};

function Revisions({ onClose }: { onClose: () => void }) {
  const opened = useOpenFrame();
  const id = useEditing((edited) => edited.id);
  const revision = useEditing((edited) => edited.revision);
  const waiting = useEditing((edited) => edited.waiting);
  const [most, setMost] = useState(100);
  const { data, error, mutate } = useRevisions(id, revision, most);
  const [naming, setNaming] = useState<number | null>(null);
  const [compared, setCompared] = useState<number | null>(null);

  const attempt = useTold();
  const restore = (number: number) =>
    attempt(
      request<HeadAnswer>(`${framePath(id)}/revisions/${number}`).then(({ frame }) => {
        opened.editing.restore(frame, number);
        onClose();
      }),
    );
  const name = (number: number, label: string) =>
    attempt(
      request(`${framePath(id)}/revisions/${number}/label`, { method: "PUT", body: { label } }).then(() => mutate()),
    );

  if (error && !data)
    return (
      <p className="text-clay">
        The changes cannot be read now: {error instanceof Error ? error.message : String(error)}
      </p>
    );
  if (!data) return <p className="text-ink-2">Reading the changes …</p>;
  const older = data.length >= most && lastOf(data).number > 1;
  return (
    <>
      <ol className="flex flex-col">
        {data.map((row) => (
          <Revision
            key={row.number}
            row={row}
            isNewest={row.number === revision && waiting === 0}
            isNaming={naming === row.number}
            isCompared={compared === row.number}
            onNaming={(is) => setNaming(is ? row.number : null)}
            onName={(label) => void name(row.number, label)}
            onCompare={(is) => setCompared(is ? row.number : null)}
            onRestore={() => void restore(row.number)}
            onGo={onClose}
          />
        ))}
      </ol>
      {older && (
        <Button className="mt-3" onClick={() => setMost(most * 4)}>
          Show older changes
        </Button>
      )}
    </>
  );
}

interface RevisionProps {
  row: RevisionRow;
  isNewest: boolean;
  isNaming: boolean;
  isCompared: boolean;
  onNaming: (is: boolean) => void;
  onName: (label: string) => void;
  onCompare: (is: boolean) => void;
  onRestore: () => void;
  /** Something that changed is gone to. */
  onGo: () => void;
}

/** A change that was kept: its name, when it was made, what it changed. */
function Revision({ row, isNewest, isNaming, isCompared, onNaming, onName, ...deeds }: RevisionProps) {
  return (
    <li className="border-b border-rule last:border-b-0">
      <div className="flex h-10 items-center gap-3">
        <span className="mono w-8 text-right text-ink-2">{row.number}</span>
        {isNaming ? (
          <TextLine
            autoFocus
            aria-label="Name of the change"
            value={row.label}
            wrong={wrongEmpty}
            onDone={(label) => onName(label.trim().slice(0, 200))}
            onLeave={() => (onNaming(false), returnTo(`change ${row.number}`))}
          />
        ) : (
          <button
            type="button"
            className="min-w-0 grow truncate text-left hover:underline"
            title="Give this change a name"
            data-return={`change ${row.number}`}
            onClick={() => onNaming(true)}
          >
            {row.label}
          </button>
        )}
        <time className="shrink-0 text-ink-2" dateTime={row.made}>
          {when.format(new Date(row.made))}
        </time>
        <Button tone="quiet" aria-expanded={isCompared} onClick={() => deeds.onCompare(!isCompared)}>
          Compare
        </Button>
        <Button disabled={isNewest} onClick={deeds.onRestore}>
          {isNewest ? "Newest" : "Restore"}
        </Button>
      </div>
      {isCompared && (
        <Suspense fallback={null}>
          <RevisionDifferences number={row.number} onGo={deeds.onGo} />
        </Suspense>
      )}
    </li>
  );
}
