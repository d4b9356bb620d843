import type { Frame, PlanShows } from "../../../../core/index.js";
import { Select } from "../../../parts/select.js";
import { ReachSwitch, type ReachSwitchProps } from "./reach-switch.js";
import { showsOptions } from "./use-shows.js";
import { ZoomButtons, type ZoomButtonsProps } from "./zoom-buttons.js";

export interface PlanLineProps extends ZoomButtonsProps {
  frame: Frame;
  reached: Omit<ReachSwitchProps, "frame">;
  shows: PlanShows;
  onShows: (shows: PlanShows) => void;
}

/** The line over the plan: whose plan it is, what its cards show, how large it is drawn. It has a place of its own, so that it covers nothing. */
export function PlanLine({ frame, reached, shows, onShows, ...zoom }: PlanLineProps) {
  return (
    <div className="flex shrink-0 flex-wrap items-center justify-end gap-x-2 gap-y-1 border-b border-rule px-2 py-1">
      <ReachSwitch frame={frame} {...reached} />
      <Select label="What cards show" value={shows} options={showsOptions} onChange={onShows} />
      <ZoomButtons {...zoom} />
    </div>
  );
}
