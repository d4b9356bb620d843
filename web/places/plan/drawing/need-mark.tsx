import { type Frame, type Id, needWords, shortNeed, nodeAt } from "../../../../core/index.js";

/** What a node needs, on its edge: a latch with the words. */
export function NeedMark({ frame, id, className = "" }: { frame: Frame; id: Id; className?: string }) {
  const { needs } = nodeAt(frame, id);
  if (!needs?.length) return null;
  const words = needs.map((need) => needWords(frame, need)).join(", ");
  return (
    <span
      title={`needs ${words}`}
      className={`flex min-w-0 items-center gap-1 rounded-sm border border-ink bg-plate-2 px-1 text-[10.5px] leading-4 font-normal ${className}`}
    >
      <svg aria-hidden width={9} height={9} viewBox="0 0 9 9" className="shrink-0">
        <path d="M1.5 1v7M1.5 4.5h5.5M7 2.5v4" fill="none" stroke="currentColor" strokeWidth={1.4} />
      </svg>
      <span className="sr-only">needs </span>
      <span className="truncate">{needs.map((need) => shortNeed(frame, need)).join(", ")}</span>
    </span>
  );
}
