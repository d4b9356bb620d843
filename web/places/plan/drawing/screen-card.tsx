import { memo } from "react";
import type { DrawnPicture } from "../../../device/drawn-picture.js";
import { PictureOf } from "../../../device/picture.js";
import { Icon } from "../../../parts/icon.js";
import { type DrawnItem, edgeOf } from "./drawing-hands.js";
import { FindingMark } from "./finding-mark.js";
import { NeedMark } from "./need-mark.js";
import { RenameLine } from "./rename-line.js";

export interface ScreenCardProps extends DrawnItem {
  /** px of the strip that bears its title. */
  head: number;
  /** It lies over the rest of its stack. */
  covers: boolean;
  /** Null for a row with the title alone. */
  picture: DrawnPicture | null;
  needs: string;
  needsInFull: string;
  /** The device shows it. */
  here: boolean;
  dragged: boolean;
}

/** A screen on the plan: its title, and under it the picture of how it is arranged, where there is room. */
export const ScreenCard = memo(function ScreenCard(props: ScreenCardProps) {
  const { id, parent, x, y, width, height, title, chosen, entry, dragged, covers, renaming, hands, head } = props;
  return (
    <div
      role="treeitem"
      aria-selected={chosen}
      tabIndex={entry ? 0 : -1}
      data-node={id}
      data-parent={parent ?? ""}
      className={`absolute overflow-visible rounded-md border-[1.5px] bg-plate-2 ${edgeOf(props, covers ? "border-saffron" : "border-ink")} ${dragged ? "opacity-40" : ""} ${chosen ? "z-10" : ""} focus-visible:outline-2`}
      style={{ left: x, top: y, width, height }}
    >
      {head > 0 ? <Pictured {...props} /> : <TitleRow {...props} />}
      <FindingMark id={id} className="absolute -top-2 -right-1.5 z-10" />
      {renaming && (
        <div className="absolute inset-x-0 top-0 z-20 min-w-32">
          <RenameLine id={id} title={title} hands={hands} className="font-semibold" />
        </div>
      )}
    </div>
  );
});

function Pictured({ title, head, picture, needs, needsInFull, here, faint }: ScreenCardProps) {
  return (
    <div className={`pointer-events-none size-full overflow-hidden rounded-[4px] ${faint ? "text-ink-2" : ""}`}>
      <div className="border-b border-rule px-2 pt-[3px]" style={{ height: head - 1.5 }}>
        <p className="line-clamp-3 text-[12.5px] leading-[15px] font-semibold wrap-anywhere">{title}</p>
        <NeedMark needs={needs} needsInFull={needsInFull} className="max-w-full text-ink-2" />
      </div>
      {picture && (
        <div className={faint ? "opacity-25" : ""}>
          <PictureOf picture={picture} />
        </div>
      )}
      {here && (
        <span className="absolute inset-x-0 bottom-0 rounded-b-[3px] bg-ink text-center text-[11px] leading-4.5 font-semibold text-plate-2">
          device is here
        </span>
      )}
      <span className="sr-only">, screen</span>
    </div>
  );
}

function TitleRow({ title, here, faint }: ScreenCardProps) {
  return (
    <div
      className={`pointer-events-none flex size-full items-center gap-1 px-2.5 ${faint && !here ? "text-ink-2" : ""} ${here ? "rounded-[3px] bg-ink text-plate-2" : ""}`}
      title={here ? "device is here" : undefined}
    >
      <span className="line-clamp-3 grow text-[12.5px] leading-[15px] font-medium wrap-anywhere">{title}</span>
      {here && (
        <>
          <Icon name="device-mobile" size={14} />
          <span className="sr-only">device is here</span>
        </>
      )}
    </div>
  );
}
