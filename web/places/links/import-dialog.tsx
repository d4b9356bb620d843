import { useDeferredValue, useMemo, useState } from "react";
import { type Frame, plainName, type Proposal, proposeAddresses } from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { usePlace } from "../../app/places.js";
import { Button } from "../../parts/button.js";
import { ChooseFile } from "../../parts/choose-file.js";
import { PanelDialog } from "../../parts/panel-dialog.js";
import { SmallPlan } from "../../parts/small-plan.js";
import { readAddresses } from "./read-addresses.js";

const mostBytes = 8 * 1024 * 1024;
const mostShown = 60;

/** Brings in addresses from elsewhere: what they come to is shown before anything changes. */
export default function ImportDialog({ frame, onClose }: { frame: Frame; onClose: () => void }) {
  const opened = useOpenFrame();
  const [, go] = usePlace();
  const [text, setText] = useState("");
  const [trouble, setTrouble] = useState<string | null>(null);
  const later = useDeferredValue(text);
  const read = useMemo(() => readAddresses(later), [later]);
  const proposal = useMemo(
    () => (read.ok && read.given.length ? proposeAddresses(frame, read.given) : null),
    [frame, read],
  );

  const take = async (given: File) => {
    setTrouble(null);
    if (given.size > mostBytes) return setTrouble(`${given.name} is larger than 8 MB.`);
    setText(await given.text());
  };
  const make = () => {
    const planned = proposal?.planned;
    if (!planned || opened.editing.edit(planned.edit, planned.label)) return;
    onClose();
    if (planned.choose)
      go("plan", { at: planned.choose.id, ...(planned.choose.parent && { in: planned.choose.parent }) });
  };
  const why = trouble ?? (read.ok ? null : read.why);
  return (
    <PanelDialog title="Bring in addresses" says="a list, a table (CSV) or a sitemap (XML)" open onClose={onClose}>
      <div className="flex flex-col gap-3">
        <div className="flex items-start gap-3">
          <textarea
            autoFocus
            aria-label="Addresses"
            spellCheck={false}
            placeholder={"/plots\n/plots/3\n/plots/3/beds/2  Bed"}
            value={text}
            onChange={(event) => setText(event.target.value)}
            className="mono h-40 min-w-0 grow resize-none rounded-sm border border-field bg-plate-2 p-2 text-[12px]"
          />
          <div className="flex w-68 shrink-0 flex-col gap-2">
            <ChooseFile
              label="A file with addresses"
              accept=".txt,.csv,.tsv,.xml,text/plain,text/csv,application/xml,text/xml"
              onFile={(given) => void take(given)}
            />
            {proposal && <SmallPlan frame={proposal.frame} width={270} height={112} fresh={frame} />}
          </div>
        </div>
        {why && (
          <p role="alert" className="rounded-sm bg-clay-soft px-2.5 py-1.5">
            ! {why}
          </p>
        )}
        {proposal && <Proposed frame={frame} proposal={proposal} kind={read.ok ? read.kind : ""} />}
        <Foot proposal={proposal} onClose={onClose} onMake={make} />
      </div>
    </PanelDialog>
  );
}

interface FootProps {
  proposal: Proposal | null;
  onClose: () => void;
  onMake: () => void;
}

function Foot({ proposal, onClose, onMake }: FootProps) {
  const isThere = proposal !== null && proposal.found.length > 0;
  return (
    <div className="sticky -bottom-4 -mx-4 -mb-4 flex items-center justify-end gap-2 border-t border-rule bg-plate-1 px-4 py-2.5">
      <span className="grow text-ink-2">
        {proposal?.planned ? "One step: one undo takes it back." : isThere ? "All of these are there already." : ""}
      </span>
      <Button onClick={onClose}>Close</Button>
      <Button tone="strong" disabled={!proposal?.planned} onClick={onMake}>
        Make them
      </Button>
    </div>
  );
}

interface ProposedProps {
  frame: Frame;
  proposal: Proposal;
  /** What the addresses were read as. */
  kind: string;
}

/** The patterns that were found in the addresses, the screens they would become, and what could not be read. */
function Proposed({ frame, proposal: { found, unread }, kind }: ProposedProps) {
  const fresh = found.filter(({ there }) => there === null).length;
  return (
    <>
      <p role="status">
        {kind}: {found.length} {found.length === 1 ? "pattern" : "patterns"}, {fresh} new
        {unread.length > 0 && `, ${unread.length} not read`}
      </p>
      <table className="w-full">
        <thead className="text-left">
          <tr className="border-b border-ink">
            <th className="py-1 pr-2">Pattern</th>
            <th className="px-2">Stands for</th>
            <th className="px-2">Screen</th>
          </tr>
        </thead>
        <tbody>
          {found.slice(0, mostShown).map(({ pattern, count, example, title, there }) => (
            <tr key={pattern.text} className="border-b border-rule align-baseline">
              <td className="mono py-1 pr-2 text-[12px]">{pattern.text}</td>
              <td className="max-w-60 truncate px-2 text-ink-2">
                {count === 1 ? example : `${count}, such as ${example}`}
              </td>
              <td className="px-2">
                {there === null ? (
                  <span className="rounded-sm bg-petrol-soft px-1">new: {title}</span>
                ) : (
                  <span className="text-ink-2">{plainName(frame, there)} is there</span>
                )}
              </td>
            </tr>
          ))}
          {unread.slice(0, 8).map(({ line, received, expected }) => (
            <tr key={line} className="border-b border-rule align-baseline text-clay">
              <td className="py-1 pr-2">! line {line}</td>
              <td colSpan={2} className="px-2">
                {received}; expected {expected}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {found.length > mostShown && <p className="text-ink-2">and {found.length - mostShown} more</p>}
    </>
  );
}
