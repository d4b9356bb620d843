import { memo } from "react";
import { type Frame, nameOf, type PlanLayout, nodeAt } from "../../../../core/index.js";
import { Icon } from "../../../parts/icon.js";
import { FoldMark } from "./fold-mark.js";
import { NeedMark } from "./need-mark.js";
import { RenameLine } from "./rename-line.js";

export interface ToothBoxProps {
  frame: Frame;
  tooth: PlanLayout["teeth"][number];
  /** The foot of what hangs from it, px. */
  foot: number;
  first: boolean;
  chosen: boolean;
  entry: boolean;
  /** Those it is looked at for cannot come here. */
  faint: boolean;
  /** The device shows this tab. */
  lit: boolean;
  /** What hangs from it is folded away. */
  folded: boolean;
  onFold: (id: string, folded: boolean) => void;
  renaming: boolean;
  onRename: (title: string) => void;
  onRenamed: () => void;
}

/** A tooth of a hub's comb: the tab that what is under it hangs from. */
export const ToothBox = memo(function ToothBox({
  frame,
  tooth,
  foot,
  first,
  chosen,
  entry,
  faint,
  lit,
  folded,
  onFold,
  renaming,
  onRename,
  onRenamed,
}: ToothBoxProps) {
  const { id, hub, x, y, width, height } = tooth;
  const node = nodeAt(frame, id);
  const label = node.tab?.label ?? nameOf(frame, id);
  const badge = node.tab?.badge;
  return (
    <>
      {!first && (
        <span
          className="pointer-events-none absolute border-l border-dashed border-rule"
          style={{ left: x - 3, top: y, height: foot - y }}
        />
      )}
      <div
        role="treeitem"
        aria-selected={chosen}
        tabIndex={entry ? 0 : -1}
        data-node={id}
        data-parent={hub}
        className={`absolute flex items-center justify-center gap-1.5 rounded-b-md border-[1.5px] border-t-0 px-1 ${chosen ? "z-10 border-petrol outline-2 outline-petrol" : "border-ink"} ${faint ? "border-dashed text-ink-2" : ""} ${lit ? "bg-petrol-soft text-petrol" : "bg-plate-2"}`}
        style={{ left: x + 3, top: y, width: width - 6, height: height - 6 }}
      >
        {renaming ? (
          <RenameLine title={node.title ?? label} onRename={onRename} onRenamed={onRenamed} />
        ) : (
          <>
            {node.tab?.icon && <Icon name={node.tab.icon} fill={lit} size={17} />}
            <span className="truncate font-semibold">{label}</span>
            <NeedMark frame={frame} id={id} />
            <span className="sr-only">tab{lit ? ", shown on the device" : ""}</span>
            {badge !== undefined && (
              <span className="mono shrink-0 rounded-full border border-field px-1 text-[10px] leading-3.5">
                {badge === "dot" ? "•" : badge}
              </span>
            )}
            {folded && <FoldMark frame={frame} id={id} folded onFold={onFold} />}
            {node.tab?.hidden && <span className="text-[11px] text-ink-2">hidden</span>}
          </>
        )}
      </div>
    </>
  );
});
