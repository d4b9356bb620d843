import { type Frame, type Id, needWords, nodeAt, shortNeeds } from "../../../../core/index.js";

/** What a node needs, in words; empty where it needs nothing. Texts, so that what shows them is drawn anew only for others. */
export const needsOf = (frame: Frame, id: Id): { needs: string; needsInFull: string } => {
  const { needs = [] } = nodeAt(frame, id);
  return {
    needs: shortNeeds(frame, id),
    needsInFull: needs.map((need) => needWords(frame, need)).join(", "),
  };
};

export interface NeedMarkProps {
  needs: string;
  needsInFull: string;
  className?: string;
}

/** What a node needs: a latch with the words. */
export function NeedMark({ needs, needsInFull, className = "" }: NeedMarkProps) {
  if (needs === "") return null;
  return (
    <span
      title={`needs ${needsInFull}`}
      className={`inline-flex min-w-0 items-start gap-1 text-[11px] leading-[17px] font-normal ${className}`}
    >
      <svg aria-hidden width={9} height={9} viewBox="0 0 9 9" className="mt-1 shrink-0">
        <path d="M1.5 1v7M1.5 4.5h5.5M7 2.5v4" fill="none" stroke="currentColor" strokeWidth={1.4} />
      </svg>
      <span className="sr-only">needs </span>
      <span>{needs}</span>
    </span>
  );
}
