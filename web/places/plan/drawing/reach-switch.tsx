import { factCombinations, factsOf, factWords, type Frame, sameFacts, type State } from "../../../../core/index.js";
import type { Reach } from "./use-reach.js";

export interface ReachSwitchProps {
  frame: Frame;
  facts: State["facts"] | null;
  reach: Reach | null;
  onChange: (facts: State["facts"] | null) => void;
}

const wordsOf = (frame: Frame, facts: State["facts"]): string =>
  Object.entries(facts)
    .map(([id, is]) => factWords(frame, id, is))
    .join(", ");

/** Whose plan it is: everybody's, or what those can come to for whom the facts are so. */
export function ReachSwitch({ frame, facts, reach, onChange }: ReachSwitchProps) {
  if (factsOf(frame).length === 0) return null;
  const all = factCombinations(frame);
  const at = facts ? all.findIndex((each) => sameFacts(each, facts)) : -1;
  return (
    <div className="mr-auto flex items-center gap-2">
      <select
        aria-label="Who can come where"
        title="Shows what a person can come to while the facts stay so"
        className="h-7 max-w-56 rounded-sm border border-field bg-plate-2 px-1"
        value={at}
        onChange={(event) => onChange(all[Number(event.target.value)] ?? null)}
      >
        <option value={-1}>for everybody</option>
        {all.map((each, i) => (
          <option key={i} value={i}>
            {wordsOf(frame, each)}
          </option>
        ))}
      </select>
      {reach && (
        <span role="status" className="whitespace-nowrap">
          <b>{reach.screens}</b> of {reach.all} screens within reach
        </span>
      )}
      {facts && !reach && <span className="text-ink-2">walking …</span>}
    </div>
  );
}
