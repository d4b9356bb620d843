import { type RefObject, useLayoutEffect, useRef } from "react";
import { useOpenFrame, useSelection } from "../../../app/open-frame.js";
import type { Chosen } from "../../../app/place.js";
import type { Stage } from "./use-stage.js";
import { manyZoom } from "./use-zoom.js";

/** Brings something into sight: all of it, or, where it is larger than the room, its head with its name, if that is not there yet. */
const headIntoSight = (element: HTMLElement, room: HTMLElement): void => {
  const [own, seen] = [element.getBoundingClientRect(), room.getBoundingClientRect()];
  const isLarge = own.width > seen.width || own.height > seen.height;
  const head = { right: Math.min(own.right, own.left + 120), bottom: Math.min(own.bottom, own.top + 30) };
  const isHeadSeen =
    own.left >= seen.left && head.right <= seen.right && own.top >= seen.top && head.bottom <= seen.bottom;
  if (isLarge && isHeadSeen) return;
  element.scrollIntoView({
    block: own.height > seen.height ? "start" : "nearest",
    inline: own.width > seen.width ? "start" : "nearest",
  });
};

const keyOf = (chosen: Chosen | null): string => (chosen ? `${chosen.parent} ${chosen.id}` : "");

/** Whether what is chosen next is to have the focus: it was chosen by keys, or made by an edit. */
export type TakesFocus = RefObject<boolean>;

export interface IntoSight {
  chosen: Chosen | null;
  takesFocus: TakesFocus;
  /** What is chosen was pressed where it stands: nothing is to move under the pointer. */
  isPressed: RefObject<boolean>;
  isRenaming: boolean;
}

/** What is chosen by keys, made by an edit or asked for from elsewhere comes into sight; by keys and edits it takes the focus. */
export const useIntoSight = (stage: Stage, { chosen, takesFocus: takes, isPressed, isRenaming }: IntoSight): void => {
  const { selection } = useOpenFrame();
  const reveal = useSelection((selected) => selected.reveal);
  const { plan, scroller, layout, zoom, zoomTo } = stage;
  const last = useRef<string | null>(null);
  useLayoutEffect(() => {
    if (!plan.current) return;
    const element = plan.current.querySelector<HTMLElement>(
      chosen ? `[data-node="${chosen.id}"][data-parent="${chosen.parent ?? ""}"]` : '[role="treeitem"][tabindex="0"]',
    );
    if ((takes.current || reveal) && !isRenaming) element?.focus({ preventScroll: true });
    const isAt = keyOf(chosen);
    // an edit elsewhere lays the plan out anew: it comes into sight for that no more than it has to
    const comes = takes.current || reveal === "found" || (last.current !== isAt && !isPressed.current);
    takes.current = false;
    isPressed.current = false;
    last.current = isAt;
    if (reveal === "focus" && element) selection.revealed();
    if (!chosen || !element || !scroller.current) return;
    if (reveal === "found") {
      // what was asked for is to be read too: it is looked for again once it is larger
      if (zoom < manyZoom) return zoomTo(1);
      selection.revealed();
      headIntoSight(element, scroller.current);
    } else if (comes) headIntoSight(element, scroller.current);
  }, [chosen?.id, chosen?.parent, layout, isRenaming, reveal, reveal === "found" ? zoom : null]);
};
