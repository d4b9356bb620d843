import { useMemo } from "react";
import {
  type CaseRun,
  caseOf,
  factWords,
  type Frame,
  launch,
  type LinkCase,
  plainName,
  runCase,
  type Trial,
  viewOf,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { Button } from "../../parts/button.js";

/** What comes out, by the names of the screens, the way Back goes. */
const outcomeSays = (frame: Frame, { tried }: CaseRun): string => {
  const { top, ladder } = tried.seen;
  const screens = [...(top === null ? [] : [top]), ...(ladder?.rungs.map(({ node }) => node) ?? [])];
  return screens.map((id) => plainName(frame, id)).join(", ") || "as it was";
};

const trialOf = (frame: Frame, { kept }: CaseRun): Trial => ({
  start: kept.start,
  facts: { ...launch(frame, viewOf(frame)).state.facts, ...kept.facts },
});

/** The case with what comes out now. */
const keptAnew = (frame: Frame, run: CaseRun): LinkCase =>
  caseOf(frame, run.kept.id, run.kept.url, trialOf(frame, run));

/** The links that were kept with what came out: each is green as long as it still does. */
export function KeptCases({ frame, onTry }: { frame: Frame; onTry: (link: string, trial: Trial) => void }) {
  const opened = useOpenFrame();
  const cases = frame.linkCases ?? [];
  const runs = useMemo(() => (frame.linkCases ?? []).map((kept) => runCase(frame, kept)), [frame]);
  const red = runs.filter(({ unlike }) => unlike.length > 0).length;
  const change = (value: readonly LinkCase[], label: string) =>
    opened.editing.edit({ kind: "setFrame", key: "linkCases", ...(value.length && { value: [...value] }) }, label);
  return (
    <section aria-label="Kept cases" className="flex flex-col">
      <header className="flex items-baseline gap-2 px-3.5 py-2">
        <h2 className="text-[15px] font-bold">Kept cases</h2>
        <span className="text-ink-2">
          {runs.length === 0 ? "" : red === 0 ? `all ${runs.length} as kept` : `${red} of ${runs.length} changed`}
        </span>
      </header>
      {runs.length === 0 && (
        <p className="px-3.5 pb-2 text-ink-2">
          Try a link and keep how it comes out: it is followed again at every change of the frame.
        </p>
      )}
      <ul>
        {runs.map((run) => (
          <Case
            key={run.kept.id}
            frame={frame}
            run={run}
            onTry={() => onTry(run.kept.url, trialOf(frame, run))}
            onDrop={() =>
              change(
                cases.filter((other) => other !== run.kept),
                `Drop the case ${run.kept.url}`,
              )
            }
            onKeep={() =>
              change(
                cases.map((other) => (other === run.kept ? keptAnew(frame, run) : other)),
                `Keep anew ${run.kept.url}`,
              )
            }
          />
        ))}
      </ul>
    </section>
  );
}

interface CaseProps {
  frame: Frame;
  run: CaseRun;
  onTry: () => void;
  onDrop: () => void;
  /** What comes out now is what has to come out from now on. */
  onKeep: () => void;
}

function Case({ frame, run, onTry, onDrop, onKeep }: CaseProps) {
  const { kept, unlike } = run;
  const isGood = unlike.length === 0;
  const facts = Object.entries(kept.facts ?? {}).map(([id, is]) => factWords(frame, id, is));
  return (
    <li data-case={isGood ? "kept" : "changed"} className="border-t border-rule px-3.5 py-1.5">
      <div className="flex items-start gap-2">
        <span
          className={`mt-0.5 grid size-4.5 shrink-0 place-items-center rounded-full font-semibold ${isGood ? "bg-petrol text-on-petrol" : "border border-clay bg-clay-soft text-clay"}`}
          title={isGood ? "comes out as it was kept" : "comes out otherwise"}
        >
          <span aria-hidden>{isGood ? "✓" : "!"}</span>
        </span>
        <button type="button" className="min-w-0 grow text-left" title="Try it" onClick={onTry}>
          <span className="mono block truncate text-[12px]">{kept.url}</span>
          <span className="block truncate text-[12px] text-ink-2">
            {[kept.start, ...facts].join(" · ")}
            {isGood && `: ${outcomeSays(frame, run)}`}
          </span>
        </button>
        <Button tone="quiet" icon="x" aria-label={`Drop the case ${kept.url}`} className="-my-1" onClick={onDrop} />
      </div>
      {!isGood && <Unlike unlike={unlike} onKeep={onKeep} />}
    </li>
  );
}

/** What comes out otherwise than it was kept. */
function Unlike({ unlike, onKeep }: { unlike: CaseRun["unlike"]; onKeep: () => void }) {
  return (
    <div className="mt-1 ml-6.5 flex flex-col gap-1">
      {unlike.slice(0, 4).map((each) => (
        <p key={each.pointer} className="text-[12px] [overflow-wrap:anywhere]">
          <b>{each.pointer.slice(1)}</b> is <span className="mono">{each.received}</span>, was kept as{" "}
          <span className="mono">{each.expected}</span>
        </p>
      ))}
      <Button className="self-start" title="What comes out now is what has to come out from now on" onClick={onKeep}>
        Keep it as it is now
      </Button>
    </div>
  );
}
