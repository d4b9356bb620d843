import {
  factsOf,
  type Frame,
  type Grid,
  ladderNames,
  pathOf,
  plainName,
  sameFacts,
  type Trial,
  type Tried,
  valueWord,
  sure,
} from "../../../core/index.js";

export interface TrialGridProps {
  frame: Frame;
  grid: Grid;
  trial: Trial;
  onTrial: (trial: Trial) => void;
}

const isSame = (a: Trial, b: Trial): boolean => a.start === b.start && sameFacts(a.facts, b.facts);

/** The same link against all there is: cold and running, with every combination of the facts. The same number is the same outcome. */
export function TrialGrid({ frame, grid, trial, onTrial }: TrialGridProps) {
  const name = (id: string): string => plainName(frame, id);
  const cell = (tried: Tried) => {
    const { top, ladder, pending } = tried.seen;
    const isOn = isSame(trial, tried.trial);
    return (
      <td key={tried.trial.start} className="border-t border-rule p-0.5">
        <button
          type="button"
          aria-pressed={isOn}
          title="Look at this one"
          className="flex w-full items-start gap-1.5 rounded-sm border border-transparent px-1.5 py-1 text-left hover:bg-plate-0 aria-pressed:border-petrol aria-pressed:bg-petrol-soft"
          onClick={() => onTrial(tried.trial)}
        >
          <span className="mono mt-px grid size-4.5 shrink-0 place-items-center rounded-full border border-ink text-[11px]">
            {grid.numbers.get(tried)}
          </span>
          <span className="min-w-0">
            <b className="block truncate font-semibold">{top === null ? "nothing" : name(top)}</b>
            <span className="block truncate text-[12px] text-ink-2">
              {pending ? `${name(pending.to)} waits` : ladder && ladderNames(frame, pathOf(ladder), "kept").join(", ")}
            </span>
          </span>
        </button>
      </td>
    );
  };
  return (
    <div className="max-h-72 grow basis-90 overflow-auto border-l border-rule px-3 py-2">
      <table aria-label="The link in every way" className="w-full table-fixed">
        <thead>
          <tr className="text-left text-ink-2">
            {factsOf(frame).length > 0 && <th className="w-[30%] px-1.5 pb-1 font-normal">with</th>}
            <th className="px-2 pb-1 font-normal">cold</th>
            <th className="px-2 pb-1 font-normal">running</th>
          </tr>
        </thead>
        <tbody>
          {grid.rows.map((row, i) => (
            <tr key={i} className="align-top">
              {factsOf(frame).length > 0 && (
                <th className="border-t border-rule px-1.5 py-1.5 text-left font-normal">
                  {Object.entries(sure(grid.facts[i])).map(([id, is]) => (
                    <span key={id} className="block truncate">
                      {sure(factsOf(frame).find((fact) => fact.id === id)).label}:{" "}
                      <b className="font-semibold">{valueWord(is)}</b>
                    </span>
                  ))}
                </th>
              )}
              {cell(row.cold)}
              {cell(row.running)}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
