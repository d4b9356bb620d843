import { memo } from "react";
import { type Frame, nameOf, type Plate, type View, nodeAt } from "../../../../core/index.js";
import { FoldMark } from "./fold-mark.js";
import { NeedMark } from "./need-mark.js";
import { RenameLine } from "./rename-line.js";
import { plateSays } from "./plate-says.js";
import { KindSign } from "./shapes.js";

export interface PlateBoxProps {
  frame: Frame;
  plate: Plate;
  view: View;
  chosen: boolean;
  entry: boolean;
  /** Those it is looked at for cannot come here. */
  faint: boolean;
  renaming: boolean;
  onRename: (title: string) => void;
  onRenamed: () => void;
  onFold: (id: string, folded: boolean) => void;
}

const grounds = ["bg-plate-0", "bg-plate-1", "bg-plate-2"];

/** A container: what lies in it, it contains; what lies on it, covers it. */
export const PlateBox = memo(function PlateBox({
  frame,
  plate,
  view,
  chosen,
  entry,
  faint,
  renaming,
  onRename,
  onRenamed,
  onFold,
}: PlateBoxProps) {
  const { id, parent, kind, x, y, width, height, depth, column, folded } = plate;
  if (column && kind !== "hub") return null;
  const name = nameOf(frame, id);
  const edge = chosen ? "border-petrol outline-2 outline-petrol" : "border-ink";
  return (
    <div
      role="treeitem"
      aria-selected={chosen}
      aria-expanded={!folded}
      tabIndex={entry ? 0 : -1}
      data-node={id}
      data-parent={parent ?? ""}
      className={`absolute rounded-md border-[1.5px] ${faint ? "border-dashed text-ink-2" : ""} ${edge} ${grounds[depth % 3]} ${kind === "hub" ? "shadow-[0_2px_0_var(--rule)]" : ""}`}
      style={{ left: x, top: y, width, height }}
    >
      <div
        className={`flex h-[29px] items-center gap-2 overflow-hidden px-2.5 whitespace-nowrap ${kind === "hub" && !folded ? "border-b border-ink" : ""}`}
      >
        {parent !== null && !column && <FoldMark frame={frame} id={id} folded={folded} onFold={onFold} />}
        <KindSign kind={kind} />
        {renaming ? (
          <RenameLine
            title={nodeAt(frame, id).title ?? id}
            onRename={onRename}
            onRenamed={onRenamed}
            className="max-w-48 font-semibold"
          />
        ) : (
          <span className="text-[14px] font-bold">{name}</span>
        )}
        <NeedMark frame={frame} id={id} className="shrink-0" />
        <span className="truncate text-[12.5px] text-ink-2">{plateSays(frame, id, view)}</span>
      </div>
    </div>
  );
});
