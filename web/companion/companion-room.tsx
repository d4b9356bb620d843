import { targetsOf } from "../../core/index.js";
import { useEditing, useLive } from "../app/open-frame.js";
import { mostInWindow, shapeOf, useCompanionWidth } from "./companion-size.js";

export interface CompanionProps {
  isFull: boolean;
  onFull: (isFull: boolean) => void;
  onFold: () => void;
}

/** Whether a device for each target is shown, and which of its widths the companion has by that. */
export const useShape = () => {
  const frame = useEditing((edited) => edited.frame);
  const view = useLive((live) => live.device.view);
  const all = useLive((live) => live.sideBySide) && targetsOf(frame).length > 1;
  return { all, shape: shapeOf(view, all) };
};

/** As wide as the companion, while that is being loaded: the place beside it stands where it will stand. */
export function CompanionRoom({ isFull }: CompanionProps) {
  const { width } = useCompanionWidth(useShape().shape);
  return (
    <aside
      aria-label="Companion"
      aria-busy
      className={`shrink-0 border-l border-ink bg-page ${isFull ? "grow" : ""}`}
      style={isFull ? undefined : { width, maxWidth: mostInWindow }}
    />
  );
}
