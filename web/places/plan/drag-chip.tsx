export interface DragChipProps {
  x: number;
  y: number;
  title: string;
  says: readonly string[];
  refused: boolean;
}

/** What is dragged, and what a drop here would do. */
export function DragChip({ x, y, title, says, refused }: DragChipProps) {
  return (
    <div
      role="status"
      className={`pointer-events-none absolute z-30 w-max max-w-72 rounded-md border bg-plate-2 px-2.5 py-1.5 shadow-lift ${refused ? "border-clay" : "border-ink"}`}
      style={{ left: x + 14, top: y + 14 }}
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
