import {
  type Contradiction,
  contradictionsOf,
  type Motion,
  type MotionKind,
  type Toward,
  type Verdict,
  verdictsOf,
} from "../../../core/index.js";
import { Button } from "../../parts/button.js";

export interface NumbersProps {
  motion: Motion;
  toward: Toward;
  kind: MotionKind;
  edge: "start" | "end";
  onPut: (motion: Motion, label: string) => void;
}

const sign = (isGood: boolean) => (
  <span
    aria-hidden
    className={`mt-0.5 grid size-4 shrink-0 place-items-center rounded-full text-[11px] font-bold ${isGood ? "bg-petrol-soft text-petrol" : "bg-clay-soft text-clay"}`}
  >
    {isGood ? "✓" : "!"}
  </span>
);

function VerdictRow({
  verdict: { isGood, value, says, mend, of },
  onPut,
}: { verdict: Verdict } & Pick<NumbersProps, "onPut">) {
  return (
    <li data-verdict={of} className="flex items-start gap-2">
      {sign(isGood)}
      <p className="min-w-0 grow leading-tight">
        <span className={`block font-semibold ${isGood ? "" : "text-clay"}`}>{value}</span>
        <span className="block text-[12.5px] text-ink-2">{says}</span>
      </p>
      {mend && <Button onClick={() => onPut(mend.motion, mend.says)}>Mend</Button>}
    </li>
  );
}

function ContradictionRow({
  found: { says, mend, mended },
  onPut,
}: { found: Contradiction } & Pick<NumbersProps, "onPut">) {
  return (
    <li data-contradiction className="flex items-start gap-2">
      {sign(false)}
      <p className="min-w-0 grow leading-tight text-clay">{says}</p>
      <Button onClick={() => onPut(mended, mend)} title={mend}>
        Mend
      </Button>
    </li>
  );
}

/** What a motion measures, each number with what it means, and directions that contradict each other. */
export function Numbers({ motion, toward, kind, edge, onPut }: NumbersProps) {
  return (
    <ul aria-label="What it measures" className="flex flex-col gap-1.5">
      {verdictsOf(motion, toward, kind).map((verdict) => (
        <VerdictRow key={verdict.of} verdict={verdict} onPut={onPut} />
      ))}
      {contradictionsOf(motion, kind, edge).map((found) => (
        <ContradictionRow key={found.says} found={found} onPut={onPut} />
      ))}
    </ul>
  );
}
