import type { Frame, View } from "../../../../core/index.js";
import type { Chosen } from "../../../data/selection.js";
import type { Planned } from "../acting/edits.js";

/** What a panel of the bench is given. */
export interface PanelProps {
  frame: Frame;
  view: View;
  chosen: Chosen | null;
  make: (planned: Planned | null) => boolean;
  onChoose: (chosen: Chosen, also?: readonly Chosen[]) => void;
  onClose: () => void;
}
