import { memo } from "react";
import {
  type Card,
  type Frame,
  lensOf,
  nameOf,
  plainName,
  type State,
  type View,
  nodeAt,
} from "../../../../core/index.js";
import { Picture } from "../../../device/picture.js";
import { NeedMark } from "./need-mark.js";
import { RenameLine } from "./rename-line.js";

export interface ScreenCardProps {
  frame: Frame;
  /** The frame its picture is of: it may be one change behind. */
  pictured: Frame;
  card: Card;
  /** What its picture shows; null for a row. */
  state: State | null;
  view: View;
  dark: boolean;
  chosen: boolean;
  /** The key that goes into the plan lands here. */
  entry: boolean;
  here: boolean;
  dragged: boolean;
  /** Those it is looked at for cannot come here. */
  faint: boolean;
  renaming: boolean;
  onRename: (title: string) => void;
  onRenamed: () => void;
}

/** A screen on the plan: its picture as it is arranged, or its title where there is no room. */
export const ScreenCard = memo(function ScreenCard(props: ScreenCardProps) {
  const { frame, view, card, chosen, entry, here, dragged, faint, renaming, onRename, onRenamed } = props;
  const { id, parent, x, y, width, height, covers } = card;
  const edge = chosen ? "border-petrol outline-2 outline-petrol" : covers ? "border-saffron" : "border-ink";
  return (
    <div
      role="treeitem"
      aria-selected={chosen}
      tabIndex={entry ? 0 : -1}
      data-node={id}
      data-parent={parent ?? ""}
      className={`absolute overflow-visible rounded-md border-[1.5px] bg-plate-2 ${edge} ${faint ? "border-dashed" : ""} ${dragged ? "opacity-40" : ""} ${chosen ? "z-10" : ""} focus-visible:outline-2`}
      style={{ left: x, top: y, width, height }}
    >
      <Face {...props} />
      {card.picture && <Marks frame={frame} view={view} card={card} />}
      {renaming && (
        <div className="absolute inset-x-0 top-0 z-20 min-w-32">
          <RenameLine
            title={nodeAt(frame, id).title ?? id}
            onRename={onRename}
            onRenamed={onRenamed}
            className="font-semibold"
          />
        </div>
      )}
      {here && (
        <span
          className={`pointer-events-none absolute right-0 z-10 truncate bg-ink px-1.5 text-center text-[11px] leading-4.5 font-semibold text-plate-2 ${card.picture ? "bottom-[22%] left-0" : "top-[3px] right-[3px] rounded-sm"}`}
        >
          device is here
        </span>
      )}
    </div>
  );
});

function Face({ frame, pictured, card, state, view, dark, faint }: ScreenCardProps) {
  const title = nameOf(frame, card.id);
  const size = { width: card.width - 3, height: card.height - 3 };
  return (
    <div className={`pointer-events-none size-full overflow-hidden rounded-[4px] ${faint ? "opacity-25" : ""}`}>
      {card.picture && state ? (
        <>
          <span className="sr-only">{title}, screen</span>
          <Picture frame={pictured} state={state} view={view} {...size} dark={dark} />
        </>
      ) : (
        <span className="flex size-full items-center truncate px-2 font-medium">{title}</span>
      )}
    </div>
  );
}

/** What a picture does not tell: its name where it shows none, and whom it is for. */
function Marks({ frame, view, card: { id, covers } }: Pick<ScreenCardProps, "frame" | "view" | "card">) {
  const name = plainName(frame, id);
  return (
    <>
      {covers && (
        <span className="pointer-events-none absolute inset-x-0 top-full truncate pt-0.5 text-center text-[11.5px] leading-4 font-semibold">
          {name}
        </span>
      )}
      <NeedMark frame={frame} id={id} className="pointer-events-none absolute -top-2 -right-1 max-w-[calc(100%+8px)]" />
      {!covers && lensOf(frame, view).look(id).header === "off" && (
        <span className="pointer-events-none absolute inset-x-1 bottom-1 truncate rounded-sm bg-plate-2/90 text-center text-[11.5px] leading-4 font-semibold">
          {name}
        </span>
      )}
    </>
  );
}
