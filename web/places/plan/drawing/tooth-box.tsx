import { memo } from "react";
import { AppIcon } from "../../../parts/app-icon.js";
import { type DrawnItem, edgeOf } from "./drawing-hands.js";
import { FoldMark } from "./fold-mark.js";
import { NeedMark } from "./need-mark.js";
import { RenameLine } from "./rename-line.js";

export interface ToothBoxProps extends DrawnItem {
  label: string;
  icon: string | undefined;
  /** A number, a dot, or nothing. */
  badge: string;
  hidden: boolean;
  needs: string;
  needsInFull: string;
  /** The foot of what hangs from it, px. */
  foot: number;
  /** No other hangs before it. */
  first: boolean;
  /** The device shows this tab. */
  lit: boolean;
  /** What hangs from it is folded away. */
  folded: boolean;
  inside: number;
}

/** A tooth of a hub's comb: the tab that what is under it hangs from. */
export const ToothBox = memo(function ToothBox(props: ToothBoxProps) {
  const { id, parent, x, y, width, height, title, chosen, entry, faint, lit, foot, first, renaming, hands } = props;
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
        data-parent={parent ?? ""}
        className={`absolute flex items-center justify-center gap-1.5 rounded-b-md border-[1.5px] border-t-0 px-1 ${chosen ? "z-10" : ""} ${edgeOf(props)} ${faint ? "text-ink-2" : ""} ${lit ? "bg-petrol-soft text-petrol" : "bg-plate-2"}`}
        style={{ left: x + 3, top: y, width: width - 6, height: height - 6 }}
      >
        {renaming ? <RenameLine id={id} title={title} hands={hands} /> : <Told {...props} />}
      </div>
    </>
  );
});

function Told({ id, label, icon, badge, hidden, needs, needsInFull, lit, folded, inside, hands }: ToothBoxProps) {
  return (
    <>
      {icon && <AppIcon name={icon} fill={lit} size={17} />}
      <span className="truncate font-semibold">{label}</span>
      <NeedMark needs={needs} needsInFull={needsInFull} />
      <span className="sr-only">tab{lit ? ", shown on the device" : ""}</span>
      {badge !== "" && (
        <span className="mono shrink-0 rounded-full border border-field px-1 text-[10px] leading-3.5">{badge}</span>
      )}
      {folded && <FoldMark id={id} folded inside={inside} hands={hands} />}
      {hidden && <span className="text-[11px] text-ink-2">hidden</span>}
    </>
  );
}
