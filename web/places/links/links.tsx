import { useDeferredValue, useMemo, useState } from "react";
import { addressRows, linkTo, shadowsOf, tryEverywhere, tryLink } from "../../../core/index.js";
import { useSession } from "../../app/open-frame.js";
import { AddressTable } from "./address-table.js";
import { ImportDialog } from "./import-dialog.js";
import { KeptCases } from "./kept-cases.js";
import { Outcome } from "./outcome.js";
import { ShadowList } from "./shadow-list.js";
import { TrialGrid } from "./trial-grid.js";
import { TryLine } from "./try-line.js";
import { useAsked } from "./use-asked.js";

/** Every address of the app, any link tried in every way, and the links that have to go on leading where they do. */
export default function Links() {
  const frame = useSession((session) => session.frame);
  const { width, height, target, rtl, insets, calm } = useSession((session) => session.device.view);
  const view = useMemo(
    () => ({ width, height, target, rtl, insets, calm }),
    [width, height, target, rtl, insets, calm],
  );
  const settled = useDeferredValue(frame);
  const rows = useMemo(() => addressRows(settled, view), [settled, view]);
  const shadows = useMemo(() => shadowsOf(rows), [rows]);
  const usual = useMemo(() => {
    // something to look at: the address with the most beneath it
    const deepest = rows.reduce((a, b) => (b.laidOn.length > a.laidOn.length ? b : a), rows[0]!);
    return deepest ? linkTo(settled.address, deepest.sample) : "/";
  }, [rows, settled]);
  const [kept, ask] = useAsked(frame, usual);
  // what is typed is tried at once; the page's address follows
  const [typed, setTyped] = useState<string | null>(null);
  const link = typed ?? kept.link;
  const later = useDeferredValue(link);
  const tried = useMemo(() => tryLink(settled, view, later, kept.trial), [settled, view, later, kept.trial]);
  const grid = useMemo(() => tryEverywhere(settled, view, later), [settled, view, later]);
  const [importing, setImporting] = useState(false);

  const tryIt = (next: string) => {
    setTyped(null);
    ask({ link: next });
  };
  return (
    <main aria-label="Links" className="flex min-w-0 grow flex-col overflow-auto bg-page">
      <section aria-label="Try a link" className="shrink-0 border-b border-ink bg-plate-1">
        <TryLine
          frame={frame}
          link={link}
          trial={kept.trial}
          tried={tried}
          onType={setTyped}
          onDone={() => typed !== null && tryIt(typed)}
          onTrial={(trial) => ask({ trial })}
        />
        <div className="flex min-h-58 flex-wrap border-t border-rule">
          <Outcome frame={settled} view={view} tried={tried} />
          <TrialGrid frame={settled} grid={grid} trial={kept.trial} onTrial={(trial) => ask({ trial })} />
        </div>
      </section>
      <div className="flex min-h-72 grow flex-wrap">
        <AddressTable
          frame={settled}
          rows={rows}
          shadows={shadows}
          lit={tried.target.kind === "screen" ? tried.target.by.pattern.text : null}
          onTry={tryIt}
          onImport={() => setImporting(true)}
        />
        <div className="flex min-w-64 grow basis-64 flex-col overflow-auto bg-plate-0">
          <KeptCases
            frame={settled}
            onTry={(link, trial) => {
              setTyped(null);
              ask({ link, trial });
            }}
          />
          <ShadowList frame={settled} shadows={shadows} onTry={tryIt} />
        </div>
      </div>
      {importing && <ImportDialog frame={frame} onClose={() => setImporting(false)} />}
    </main>
  );
}
