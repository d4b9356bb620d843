import { memo } from "react";
import { type Frame, type PaneHead, plainName, type Plate, nodeAt } from "../../../../core/index.js";
import { RenameLine } from "./rename-line.js";

export interface PaneBoxProps {
  frame: Frame;
  pane: PaneHead;
  /** The plate of the pair. */
  foot: Plate;
  chosen: boolean;
  entry: boolean;
  renaming: boolean;
  onRename: (title: string) => void;
  onRenamed: () => void;
}

/** The name of a pair's pane, and the gutter that parts it from the other. */
export const PaneBox = memo(function PaneBox({
  frame,
  pane,
  foot,
  chosen,
  entry,
  renaming,
  onRename,
  onRenamed,
}: PaneBoxProps) {
  const { id, pair, x, y, width, height } = pane;
  const node = nodeAt(frame, id);
  const isScreen = node.kind === "screen";
  return (
    <>
      {pane.pane === "detail" && (
        <span
          aria-hidden
          className="pointer-events-none absolute border-x-[1.5px] border-ink bg-page"
          style={{ left: x - 13, top: y, width: 8, height: foot.y + foot.height - y }}
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
              "data-parent": pair,
            })}
        className={`absolute flex items-center gap-1.5 overflow-hidden rounded-sm px-1.5 text-[12px] whitespace-nowrap ${chosen ? "z-10 bg-plate-2 outline-2 outline-petrol" : ""}`}
        style={{ left: x, top: y + 2, width, height: height - 2 }}
      >
        {renaming ? (
          <RenameLine title={node.title ?? id} onRename={onRename} onRenamed={onRenamed} />
        ) : (
          <>
            <span className="text-ink-2">{pane.pane}</span>
            <span className="truncate font-semibold">{isScreen ? "" : plainName(frame, id)}</span>
          </>
        )}
      </div>
    </>
  );
});
