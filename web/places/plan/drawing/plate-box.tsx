import { memo } from "react";
import type { Plate } from "../../../../core/index.js";
import { type DrawnItem, edgeOf } from "./drawing-hands.js";
import { FindingMark } from "./finding-mark.js";
import { FoldMark } from "./fold-mark.js";
import { NeedMark } from "./need-mark.js";
import { RenameLine } from "./rename-line.js";
import { KindSign } from "./shapes.js";

export interface PlateBoxProps extends DrawnItem, Pick<Plate, "kind" | "depth" | "column" | "folded"> {
  needs: string;
  needsInFull: string;
  /** What it does, in one line. */
  says: string;
  inside: number;
}

const grounds = ["bg-plate-0", "bg-plate-1", "bg-plate-2"];

/** A container: what lies in it, it contains; what lies on it, covers it. */
export const PlateBox = memo(function PlateBox(props: PlateBoxProps) {
  const { id, parent, x, y, width, height, title, chosen, entry, faint, kind, depth, column, folded } = props;
  return (
    <div
      role="treeitem"
      aria-selected={chosen}
      aria-expanded={!folded}
      tabIndex={entry ? 0 : -1}
      data-node={id}
      data-parent={parent ?? ""}
      className={`absolute rounded-md border-[1.5px] ${faint ? "text-ink-2" : ""} ${edgeOf(props)} ${grounds[depth % 3]} ${kind === "hub" ? "shadow-[0_2px_0_var(--rule)]" : ""}`}
      style={{ left: x, top: y, width, height }}
    >
      {/* what has no room beside the name goes out of sight as a whole */}
      <div
        className={`flex h-[29px] flex-wrap content-start gap-x-2 overflow-hidden px-2.5 *:h-[29px] *:items-center ${kind === "hub" && !folded ? "border-b border-ink" : ""}`}
      >
        <span className="flex gap-2 whitespace-nowrap">
          {parent !== null && !column && <FoldMark id={id} folded={folded} inside={props.inside} hands={props.hands} />}
          <KindSign kind={kind} />
          {props.renaming ? (
            <RenameLine id={id} title={title} hands={props.hands} className="max-w-48 font-semibold" />
          ) : (
            <span className="text-[14px] font-bold">{title}</span>
          )}
          <FindingMark id={id} />
        </span>
        <NeedMark needs={props.needs} needsInFull={props.needsInFull} />
        <span className="flex text-[12.5px] whitespace-nowrap text-ink-2">{props.says}</span>
      </div>
    </div>
  );
});
