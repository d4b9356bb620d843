import type { CSSProperties } from "react";
import type { Look, Mark } from "../../core/index.js";
import { AppIcon } from "../parts/app-icon.js";

/** How the cells of a face stand: in a row, in a column of icons, or in a wide column with names. */
export type FaceShape = "row" | "column" | "wide";

export interface FaceTabProps {
  id: string;
  label: string;
  icon: string | undefined;
  badge?: number | "dot" | undefined;
  active: boolean;
  shape: FaceShape;
  mark: Mark;
  labels: Look["labels"];
  onChoose: () => void;
}

function Badge({ badge }: { badge: number | "dot" | undefined }) {
  if (badge === undefined) return null;
  const dot = badge === "dot";
  return (
    <span
      className={`absolute -top-1 left-[58%] rounded-full text-center text-[calc(10px*var(--text,1))] leading-4 font-bold ${dot ? "mt-0.5 size-2.5" : "min-w-4 px-1"}`}
      style={{ background: "var(--badge)", color: "var(--badge-ink)" }}
    >
      {dot ? "" : badge > 99 ? "99+" : badge}
    </span>
  );
}

/** The edge of a tooth and of the face around it. */
export const toothEdge = "1.5px solid var(--bar-ink)";

/** The cell of the chosen tab, by its mark: a tooth takes the page's colour and has its edges at both sides. */
const chosenCell = (mark: Mark, shape: FaceShape): CSSProperties => {
  if (mark === "fill") return { background: "var(--mark)" };
  if (mark !== "tooth") return {};
  const edges = shape === "row" ? { borderInline: toothEdge } : { borderBlock: toothEdge };
  return { background: "var(--page)", ...edges };
};

const cells: Readonly<Record<FaceShape, string>> = {
  row: "flex-col justify-center gap-0.5 text-[calc(11px*var(--text,1))] h-full grow basis-0",
  column: "flex-col justify-center gap-0.5 text-[calc(11px*var(--text,1))] min-h-14 w-full py-1.5",
  wide: "min-h-11 w-full gap-3 px-5 text-[calc(15px*var(--text,1))]",
};

/** One tab of a face, or its More. */
export function FaceTab({ id, label, icon, badge, active, shape, mark, labels, onChoose }: FaceTabProps) {
  const named = shape === "wide" || labels === "always" || (labels === "active" && active) || !icon;
  return (
    <button
      type="button"
      data-tab={id}
      role="tab"
      aria-selected={active}
      aria-label={label}
      onClick={onChoose}
      className={`relative flex shrink-0 items-center ${cells[shape]} ${active ? "font-bold" : ""}`}
      style={{ color: active ? "var(--bar-active)" : "var(--bar-ink)", ...(active && chosenCell(mark, shape)) }}
    >
      <span className={`relative grid place-items-center ${shape === "wide" ? "min-h-8 min-w-8" : "min-h-7 min-w-13"}`}>
        {icon && <AppIcon name={icon} fill={active} size="var(--icon-size, 24px)" />}
        <Badge badge={badge} />
      </span>
      {named && <span className="max-w-full truncate px-1">{label}</span>}
      {active && mark === "line" && (
        <span
          className={`absolute ${shape === "row" ? "inset-x-5 bottom-0 h-[3px]" : "inset-y-2 start-0 w-[3px]"}`}
          style={{ background: "var(--bar-active)" }}
        />
      )}
    </button>
  );
}
