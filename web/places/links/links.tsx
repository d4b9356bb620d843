import { useDeferredValue, useMemo, useState } from "react";
import { addressRows, linkTo, shadowsOf, tryEverywhere, tryLink } from "../../../core/index.js";
import { useEditing, useLive } from "../../app/open-frame.js";
import { Awaited } from "../../parts/awaited.js";
import { later } from "../../parts/later.js";
import { AddressTable } from "./address-table.js";
import { KeptCases } from "./kept-cases.js";
import { Outcome } from "./outcome.js";
import { ShadowList } from "./shadow-list.js";
import { TrialGrid } from "./trial-grid.js";
import { TryLine } from "./try-line.js";
import { useAsked } from "./use-asked.js";

const ImportDialog = later(() => import("./import-dialog.js"));

/** Every address of the app, any link tried in every way, and the links that have to go on leading where they do. */
export default function Links() {
  const frame = useEditing((edited) => edited.frame);
  const { width, height, target, rtl, insets, calm } = useLive((live) => live.device.view);
  const view = useMemo(
    () => ({ width, height, target, rtl, insets, calm }),
    [width, height, target, rtl, insets, calm],
  );
  const settled = useDeferredValue(frame);
  const rows = useMemo(() => addressRows(settled, view), [settled, view]);
  const shadows = useMemo(() => shadowsOf(rows), [rows]);
  const usual = useMemo(() => {
    // something to look at: the address with the most beneath it
    const deepest = rows.length ? rows.reduce((a, b) => (b.laidOn.length > a.laidOn.length ? b : a)) : null;
    return deepest ? linkTo(settled.address, deepest.sample) : "/";
  }, [rows, settled]);
  const [{ link, trial }, ask] = useAsked(frame, usual);
  const asked = useDeferredValue(link);
  const tried = useMemo(() => tryLink(settled, view, asked, trial), [settled, view, asked, trial]);
  const grid = useMemo(() => tryEverywhere(settled, view, asked), [settled, view, asked]);
  const [importing, setImporting] = useState(false);

  const tryIt = (next: string) => ask({ link: next });
  return (
    <main aria-label="Links" className="flex min-w-0 grow flex-col overflow-auto bg-page">
      <section aria-label="Try a link" className="shrink-0 border-b border-ink bg-plate-1">
        <TryLine
          frame={frame}
          link={link}
          trial={trial}
          tried={tried}
          onType={tryIt}
          onTrial={(trial) => ask({ trial })}
        />
        <div className="flex min-h-58 flex-wrap border-t border-rule">
          <Outcome frame={settled} view={view} tried={tried} />
          <TrialGrid frame={settled} grid={grid} trial={trial} onTrial={(trial) => ask({ trial })} />
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
          <KeptCases frame={settled} onTry={(link, trial) => ask({ link, trial })} />
          <ShadowList frame={settled} shadows={shadows} onTry={tryIt} />
        </div>
      </div>
      {importing && (
        <Awaited onLeave={() => setImporting(false)}>
          <ImportDialog frame={frame} onClose={() => setImporting(false)} />
        </Awaited>
      )}
    </main>
  );
}
