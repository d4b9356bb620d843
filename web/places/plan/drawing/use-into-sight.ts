import { type RefObject, useLayoutEffect } from "react";
import { useOpenFrame, useSelection } from "../../../app/open-frame.js";
import type { Chosen } from "../../../app/place.js";
import type { Stage } from "./use-stage.js";
import { manyZoom } from "./use-zoom.js";

/** A plate that is larger than what can be seen of it, and in sight: there is nothing to bring into sight. */
const isLargerThan = (element: HTMLElement, room: HTMLElement): boolean => {
  const [own, seen] = [element.getBoundingClientRect(), room.getBoundingClientRect()];
  const isLarge = own.width > seen.width || own.height > seen.height;
  return isLarge && own.left < seen.right && own.right > seen.left && own.top < seen.bottom && own.bottom > seen.top;
};

/** Brings something into sight: all of it, or, where it is larger than the room, its head with its name. */
const headIntoSight = (element: HTMLElement, room: HTMLElement): void => {
  const [own, seen] = [element.getBoundingClientRect(), room.getBoundingClientRect()];
  element.scrollIntoView({
    block: own.height > seen.height ? "start" : "nearest",
    inline: own.width > seen.width ? "start" : "nearest",
  });
};

/** Whether what is chosen next is to have the focus: it was chosen by keys, or made by an edit. */
export type TakesFocus = RefObject<boolean>;

/** What is chosen by keys, made by an edit or asked for from elsewhere comes into sight and takes the focus. */
export const useIntoSight = (stage: Stage, chosen: Chosen | null, takes: TakesFocus, isRenaming: boolean): void => {
  const { selection } = useOpenFrame();
  const reveal = useSelection((selected) => selected.reveal);
  const { plan, scroller, layout, zoom, zoomTo } = stage;
  useLayoutEffect(() => {
    if (!plan.current) return;
    const element = plan.current.querySelector<HTMLElement>(
      chosen ? `[data-node="${chosen.id}"][data-parent="${chosen.parent ?? ""}"]` : '[role="treeitem"][tabindex="0"]',
    );
    if ((takes.current || reveal) && !isRenaming) element?.focus({ preventScroll: true });
    takes.current = false;
    if (reveal === "focus" && element) selection.revealed();
    if (!chosen || !element || !scroller.current) return;
    if (reveal === "found") {
      // what was asked for is to be read too: it is looked for again once it is larger
      if (zoom < manyZoom) return zoomTo(1);
      selection.revealed();
      headIntoSight(element, scroller.current);
    } else if (!isLargerThan(element, scroller.current))
      element.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, [chosen?.id, chosen?.parent, layout, isRenaming, reveal, reveal === "found" ? zoom : null]);
};
