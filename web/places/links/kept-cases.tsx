import { useMemo } from "react";
import {
  type CaseRun,
  caseOf,
  factWords,
  type Frame,
  launch,
  plainName,
  runCase,
  type Trial,
  viewOf,
  sure,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { Button } from "../../parts/button.js";

/** What comes out, by the names of the screens, the way Back goes. */
const outcomeSays = (frame: Frame, { tried }: CaseRun): string => {
  const { top, ladder } = tried.seen;
  const screens = [...(top === null ? [] : [top]), ...(ladder?.rungs.map(({ node }) => node) ?? [])];
  return screens.map((id) => plainName(frame, id)).join(", ") || "as it was";
};

/** The links that were kept with what came out: each is green as long as it still does. */
export function KeptCases({ frame, onTry }: { frame: Frame; onTry: (link: string, trial: Trial) => void }) {
  const opened = useOpenFrame();
  const runs = useMemo(() => (frame.linkCases ?? []).map((kept) => runCase(frame, kept)), [frame]);
  const red = runs.filter(({ unlike }) => unlike.length > 0).length;
  const trialOf = ({ kept }: CaseRun): Trial => ({
    start: kept.start,
    facts: { ...launch(frame, viewOf(frame)).state.facts, ...kept.facts },
  });
  const change = (id: string, next: Frame["linkCases"], label: string) =>
    opened.editing.edit({ kind: "setFrame", key: "linkCases", ...(next?.length && { value: next }) }, `${label} ${id}`);
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
        {runs.map((run) => {
          const { kept, unlike } = run;
          const isGood = unlike.length === 0;
          return (
            <li key={kept.id} data-case={isGood ? "kept" : "changed"} className="border-t border-rule px-3.5 py-1.5">
              <div className="flex items-start gap-2">
                <span
                  className={`mt-0.5 grid size-4.5 shrink-0 place-items-center rounded-full font-semibold ${isGood ? "bg-petrol text-on-petrol" : "border border-clay bg-clay-soft text-clay"}`}
                  title={isGood ? "comes out as it was kept" : "comes out otherwise"}
                >
                  <span aria-hidden>{isGood ? "✓" : "!"}</span>
                </span>
                <button
                  type="button"
                  className="min-w-0 grow text-left"
                  title="Try it"
                  onClick={() => onTry(kept.url, trialOf(run))}
                >
                  <span className="mono block truncate text-[12px]">{kept.url}</span>
                  <span className="block truncate text-[12px] text-ink-2">
                    {[kept.start, ...Object.entries(kept.facts ?? {}).map(([id, is]) => factWords(frame, id, is))].join(
                      " · ",
                    )}
                    {isGood && `: ${outcomeSays(frame, run)}`}
                  </span>
                </button>
                <Button
                  tone="quiet"
                  icon="x"
                  aria-label={`Drop the case ${kept.url}`}
                  className="-my-1"
                  onClick={() =>
                    change(
                      kept.url,
                      sure(frame.linkCases).filter((other) => other !== kept),
                      "Drop the case",
                    )
                  }
                />
              </div>
              {!isGood && (
                <div className="mt-1 ml-6.5 flex flex-col gap-1">
                  {unlike.slice(0, 4).map((each) => (
                    <p key={each.pointer} className="text-[12px] [overflow-wrap:anywhere]">
                      <b>{each.pointer.slice(1)}</b> is <span className="mono">{each.received}</span>, was kept as{" "}
                      <span className="mono">{each.expected}</span>
                    </p>
                  ))}
                  <Button
                    className="self-start"
                    title="What comes out now is what has to come out from now on"
                    onClick={() =>
                      change(
                        kept.url,
                        sure(frame.linkCases).map((other) =>
                          other === kept ? caseOf(frame, kept.id, kept.url, trialOf(run)) : other,
                        ),
                        "Keep anew",
                      )
                    }
                  >
                    Keep it as it is now
                  </Button>
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
