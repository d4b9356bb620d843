export interface DragChipProps {
  x: number;
  y: number;
  title: string;
  says: readonly string[];
  refused: boolean;
  /** Left of the pointer: there is no room on its right. */
  left: boolean;
}

/** What is dragged, and what a drop here would do. */
export function DragChip({ x, y, title, says, refused, left }: DragChipProps) {
  return (
    <div
      role="status"
      className={`pointer-events-none absolute z-30 w-max max-w-72 rounded-md border bg-plate-2 px-2.5 py-1.5 shadow-lift ${refused ? "border-clay" : "border-ink"}`}
      style={{ left: left ? x - 14 : x + 14, top: y + 14, transform: left ? "translateX(-100%)" : undefined }}
    >
      <p className="font-bold">{title}</p>
      {says.map((line) => (
        <p key={line} className={refused ? "text-clay" : ""}>
          {line}
        </p>
      ))}
    </div>
  );
}
