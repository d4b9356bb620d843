import { memo } from "react";
import { type DrawnItem, edgeOf } from "./drawing-hands.js";
import { RenameLine } from "./rename-line.js";

export interface PaneBoxProps extends DrawnItem {
  pane: "list" | "detail";
  /** A screen has its title on its card. */
  isScreen: boolean;
  /** Where the plate of the pair ends, px. */
  foot: number;
}

/** The name of a pair's pane, and the gutter that parts it from the other. */
export const PaneBox = memo(function PaneBox(props: PaneBoxProps) {
  const { id, parent, x, y, width, height, title, chosen, entry, pane, isScreen, foot, renaming, hands } = props;
  return (
    <>
      {pane === "detail" && (
        <span
          aria-hidden
          className="pointer-events-none absolute border-x-[1.5px] border-ink bg-page"
          style={{ left: x - 13, top: y, width: 8, height: foot - y }}
        />
      )}
      <div
        {...(isScreen
          ? { "aria-hidden": true }
          : {
              role: "treeitem",
              "aria-selected": chosen,
              tabIndex: entry ? 0 : -1,
              "data-node": id,
              "data-parent": parent ?? "",
            })}
        className={`absolute flex items-center gap-1.5 overflow-hidden rounded-sm px-1.5 text-[12px] whitespace-nowrap ${chosen ? `z-10 bg-plate-2 ${edgeOf(props)}` : ""}`}
        style={{ left: x, top: y + 2, width, height: height - 2 }}
      >
        {renaming ? (
          <RenameLine id={id} title={title} hands={hands} />
        ) : (
          <>
            <span className="text-ink-2">{pane}</span>
            <span className="truncate font-semibold">{isScreen ? "" : title}</span>
          </>
        )}
      </div>
    </>
  );
});
