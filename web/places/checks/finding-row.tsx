import { useState } from "react";
import {
  type Frame,
  type Mend,
  type MendVerdict,
  parentsOf,
  type ToldFinding,
  whereSays,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { usePlace } from "../../app/places.js";
import { Button } from "../../parts/button.js";
import { SilenceLine } from "./silence-line.js";
import type { Playing } from "./use-playing.js";
import { useTried } from "./use-tried.js";

const edges = { fault: "border-l-clay", doubt: "border-l-ink", hint: "border-l-ink-2" } as const;

interface FindingRowProps {
  /** What it and those after it are about; null where the one before it says so. */
  heading: string | null;
  frame: Frame;
  finding: ToldFinding;
  isChosen: boolean;
  /** It was mended: whether it is gone is known once the app was walked again. */
  isMended: boolean;
  onChoose: (finding: ToldFinding) => void;
  /** What is played of it; null where it is not chosen. */
  playing: Playing | null;
}

/** One finding: what is wrong, where, and what mends it; chosen, also why it matters and how it is seen. */
export function FindingRow({ heading, frame, finding, isChosen, isMended, onChoose, playing }: FindingRowProps) {
  const { editing, checks } = useOpenFrame();
  const { says, detail, severity, where, mends, quiet, facts } = finding;
  const places = whereSays(frame, where);
  const under = [places && `on ${places}`, detail, facts && `with ${facts}`].filter(Boolean).join(" · ");
  const isOffered = quiet === null && !isMended;
  const mend = ({ label, edit }: Mend) => {
    if (editing.edit(edit, label) === null) checks.noteMended(finding);
  };
  return (
    <li data-finding={finding.code}>
      {heading !== null && <h3 className="mt-0.5 mb-1 text-[12.5px] font-semibold text-ink-2">{heading}</h3>}
      <div
        className={`rounded-sm border border-l-4 bg-plate-1 ${edges[severity]} ${isChosen ? "border-y-petrol border-r-petrol bg-plate-2" : "border-y-rule border-r-rule"}`}
      >
        <div className="flex items-center gap-2.5 pr-2.5">
          <button
            type="button"
            aria-expanded={isChosen}
            onClick={() => onChoose(finding)}
            className="min-w-0 grow px-2.5 py-2 text-left"
          >
            <span className="block font-semibold">{says}</span>
            <span className="block text-[12.5px] text-ink-2">
              {quiet !== null
                ? `silenced: ${quiet}`
                : isMended
                  ? "mended · gone if the next walk finds it no more"
                  : under}
            </span>
          </button>
          <span className={`shrink-0 text-[12px] ${severity === "fault" ? "font-semibold text-clay" : "text-ink-2"}`}>
            {severity}
          </span>
          {isOffered &&
            mends.slice(0, 2).map((each) => (
              <Button key={each.label} title={each.says} onClick={() => mend(each)}>
                {each.label}
              </Button>
            ))}
        </div>
        {isChosen && <FindingMore frame={frame} finding={finding} isOffered={isOffered} playing={playing} />}
      </div>
    </li>
  );
}

interface FindingMoreProps extends Pick<FindingRowProps, "frame" | "finding" | "playing"> {
  isOffered: boolean;
}

/** Why it matters, what its mends come to, and how it is seen. */
function FindingMore({ frame, finding, isOffered, playing }: FindingMoreProps) {
  const opened = useOpenFrame();
  const [, go] = usePlace();
  const [silencing, setSilencing] = useState(false);
  const { node, why, mends, show, quiet, code } = finding;
  const tried = useTried(frame, finding);
  const onPlan = () => {
    if (node === null) return;
    opened.selection.choose({ id: node, parent: parentsOf(frame, node)[0] ?? null }, { found: true });
    go("plan");
  };
  const hear = () => {
    const left = (frame.quiet ?? []).filter((each) => each.rule !== code || (each.node ?? null) !== node);
    const value = left.length ? { value: left } : {};
    opened.editing.edit({ kind: "setFrame", key: "quiet", ...value }, `Hear ${code} again`);
  };
  return (
    <div className="flex flex-col gap-1.5 border-t border-rule px-2.5 py-2">
      <p className="max-w-170">{why}</p>
      {mends.map(({ label, says }, i) => (
        <div key={label}>
          <p className="text-ink-2">
            <span className="font-semibold text-ink">{label}</span>: {says}
          </p>
          {isOffered && <TriedLine verdict={tried[i]} />}
        </div>
      ))}
      {show && playing && playing.steps.length > 0 && <PlayedSteps playing={playing} />}
      <div className="flex flex-wrap gap-2">
        {show && playing && (
          <>
            <Button disabled={playing.at === 0} onClick={() => playing.goTo(playing.at - 1)}>
              ‹ Step back
            </Button>
            <Button disabled={playing.at >= playing.steps.length - 1} onClick={() => playing.goTo(playing.at + 1)}>
              Step ›
            </Button>
          </>
        )}
        {node !== null && <Button onClick={onPlan}>On the plan</Button>}
        {quiet === null ? (
          <Button aria-expanded={silencing} onClick={() => setSilencing(!silencing)}>
            Silence …
          </Button>
        ) : (
          <Button onClick={hear}>Hear it again</Button>
        )}
      </div>
      {silencing && quiet === null && <SilenceLine finding={finding} onDone={() => setSilencing(false)} />}
    </div>
  );
}

/** The steps that show it. Each can be opened on the device. */
function PlayedSteps({ playing }: { playing: Playing }) {
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      <span className="font-semibold">Played</span>
      <ol aria-label="Played on the device" className="contents">
        {playing.steps.map(({ says }, i) => (
          <li key={i}>
            <button
              type="button"
              aria-current={i === playing.at ? "step" : undefined}
              onClick={() => playing.goTo(i)}
              className="h-7 rounded-sm border border-field bg-plate-2 px-2 hover:bg-plate-0 aria-[current=step]:border-clay aria-[current=step]:bg-clay-soft aria-[current=step]:font-semibold"
            >
              {says}
            </button>
          </li>
        ))}
      </ol>
    </div>
  );
}

/** What a mend was found to come to; undefined while it is tried, null where the frame has become such that it cannot be made. */
function TriedLine({ verdict }: { verdict: MendVerdict | null | undefined }) {
  if (!verdict)
    return (
      <p className="text-[12.5px] text-ink-2">
        {verdict === null ? "It cannot be made any more: the frame has changed." : "It is being tried …"}
      </p>
    );
  const { isClean, says } = verdict;
  return (
    <p data-tried={isClean ? "clean" : "not"} className="text-[12.5px] text-ink-2">
      <span aria-hidden="true" className={isClean ? "text-petrol" : "font-semibold text-clay"}>
        {isClean ? "✓" : "!"}
      </span>{" "}
      {says}
    </p>
  );
}
