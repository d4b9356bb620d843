import {
  canGoUp,
  endWords,
  type Frame,
  type Ladder,
  type Lens,
  lensOf,
  nameOf,
  type State,
  topOf,
  type View,
} from "../../core/index.js";

export interface LadderLineProps {
  frame: Frame;
  view: View;
  state: State;
  ladder: Ladder;
  /** The step that is pointed at, from 0; null when none is. */
  onHover: (step: number | null) => void;
  onClimb: (steps: number) => void;
  /** One under the other, beside the device. */
  isColumn: boolean;
}

const most = 9;

/** Nothing goes back, though something lies beneath: the person is caught. At the bottom nothing has to. */
const isTrap = (lens: Lens, state: State, ladder: Ladder): boolean =>
  ladder.end === "round" || (ladder.end === "stays" && canGoUp(lens, ladder.rungs.at(-1)?.state ?? state));

const topName = (frame: Frame, lens: Lens, state: State): string => {
  const top = topOf(lens, state.root);
  return nameOf(frame, top.node, top.params);
};

/** The ladder: where the device is, then each next Back by number, down to the end. */
export function LadderLine({ frame, view, state, ladder, onHover, onClimb, isColumn }: LadderLineProps) {
  const lens = lensOf(frame, view);
  const cut = ladder.rungs.length > most;
  const rungs = cut ? ladder.rungs.slice(0, most - 1) : ladder.rungs;
  const step = `flex h-6.5 items-center gap-1.5 truncate border px-1.5 ${isColumn ? "w-full" : "max-w-40"}`;
  return (
    <section aria-label="What Back will do">
      <ol
        className={
          isColumn
            ? "flex flex-col items-stretch gap-1"
            : "flex max-h-14.5 flex-wrap content-start items-center gap-x-1 gap-y-1 overflow-y-auto"
        }
      >
        <li className="pr-1 font-semibold">Back</li>
        <li className={`${step} rounded-sm border-petrol bg-petrol-soft font-semibold`} aria-current="step">
          <span className="truncate" title={topName(frame, lens, state)}>
            {topName(frame, lens, state)}
          </span>
        </li>
        {rungs.map((rung, i) => (
          <li key={i} className="min-w-0">
            <button
              type="button"
              className={`${step} rounded-sm border-ink bg-plate-2 hover:bg-petrol-soft`}
              onPointerMove={() => onHover(i)}
              onPointerLeave={() => onHover(null)}
              onFocus={() => onHover(i)}
              onBlur={() => onHover(null)}
              onClick={() => onClimb(i + 1)}
              title={`Go back ${i + 1} ×`}
            >
              <span className="mono text-ink-2">{i + 1}</span>
              <span className="truncate">{topName(frame, lens, rung.state)}</span>
            </button>
          </li>
        ))}
        {cut && <li className="px-1 text-ink-2">and {ladder.rungs.length - rungs.length} more</li>}
        <li
          className={`${step} rounded-sm border-dashed ${isTrap(lens, state, ladder) ? "border-clay text-clay" : "border-field text-ink-2"}`}
        >
          <span className="mono">{ladder.rungs.length + 1}</span>
          {endWords.step[ladder.end]}
        </li>
      </ol>
    </section>
  );
}
