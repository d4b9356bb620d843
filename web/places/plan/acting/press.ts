import type { PointerEvent as ReactPointerEvent, RefObject } from "react";
import { sure } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { isSame } from "./selection.js";
import { smallestUnder } from "../drawing/under.js";
import type { Picking } from "./use-picking.js";
import type { Renaming } from "./use-renaming.js";
import type { Sight } from "../drawing/use-sight.js";
import type { Stage } from "../drawing/use-stage.js";
import { panFrom } from "../drawing/use-zoom.js";

interface Hands {
  stage: Stage;
  sight: Sight;
  picking: Picking;
  renaming: Renaming;
  /** Set by a press: what it chooses stays where it is. */
  isPressed: RefObject<boolean>;
  /** What was pressed may be dragged from now on. */
  onDrag: (event: ReactPointerEvent, chosen: Chosen) => void;
}

/** Pressing the plan: what is there is chosen, with Shift up to it, with Ctrl it too; the empty ground moves the plan. */
export const pressOn =
  ({ stage, sight, picking, renaming, isPressed, onDrag }: Hands) =>
  (event: ReactPointerEvent<HTMLElement>): void => {
    if (event.target instanceof HTMLInputElement) return;
    const element = event.target instanceof Element ? event.target.closest<HTMLElement>("[data-node]") : null;
    /** Where shapes alone are drawn, what lies under the pointer is no element. */
    const underPointer = (): Chosen | null => {
      const at = stage.pointOf(event);
      const found = at && stage.layout && smallestUnder(stage.layout, at);
      return found && { id: found.id, parent: found.parent };
    };
    const next = element
      ? { id: sure(element.dataset.node), parent: element.dataset.parent || null }
      : sight.isFar
        ? underPointer()
        : null;
    if (!next) return panFrom(event, event.currentTarget);
    element?.focus({ preventScroll: true });
    isPressed.current = true;
    if (event.shiftKey) {
      event.preventDefault();
      return picking.extend(next);
    }
    if (event.ctrlKey || event.metaKey) return picking.toggle(next);
    if (!isSame(picking.chosen, next) || picking.others.length) {
      renaming.set(false);
      picking.select(next, false);
    }
    onDrag(event, next);
  };
