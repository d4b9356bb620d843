import { endWords, type Frame, ladderOf, plainName, type State, targetIn, type View } from "../../core/index.js";
import { useOpenFrame, useSizes } from "../app/open-frame.js";
import type { DeviceStep } from "../data/device.js";
import { useDark } from "../app/theme.js";
import { GoesOn } from "../device/goes-on.js";
import { ShownDevice } from "../device/shown-device.js";

/** What the ladder shows on the device while it is looked at: the state after so many times Back. */
export interface Ghost {
  steps: number;
  state: State;
}

export interface DeviceFigureProps {
  frame: Frame;
  view: View;
  state: State;
  /** What led to the state. */
  steps: readonly DeviceStep[];
  ghost: Ghost | null;
  /** Screen px for each px of the device. */
  scale: number;
  /** It stands beside those of other targets, so that it says which it is. */
  named: boolean;
}

/** The ladder of one target in a line. */
const backWords = (frame: Frame, view: View, state: State): string => {
  const { rungs, end } = ladderOf(frame, view, state);
  const names = rungs.slice(0, 4).map(({ node }) => plainName(frame, node));
  return [...names, ...(rungs.length > 4 ? ["…"] : []), endWords.whole[end]].join(", ");
};

/** The live device, as it is or as Back would leave it. */
export function DeviceFigure({ frame, view, state, steps, ghost, scale, named }: DeviceFigureProps) {
  const { live } = useOpenFrame();
  const dark = useDark();
  const hatched = useSizes((shown) => shown.hatched);
  const width = view.width * scale;
  return (
    <figure className="flex flex-col gap-1.5">
      {named && (
        <figcaption className="truncate text-center font-semibold" style={{ width }}>
          {targetIn(frame, view).label}
        </figcaption>
      )}
      {scale > 0 && (
        <div
          data-device={named ? view.target : ""}
          className={`relative overflow-hidden border bg-plate-2 ${ghost ? "border-dashed border-petrol" : "border-ink"}`}
          style={{ borderRadius: 14, width, height: view.height * scale }}
        >
          <ShownDevice
            frame={frame}
            state={ghost?.state ?? state}
            steps={steps}
            view={view}
            dark={dark}
            scale={scale}
            ghost={ghost !== null}
            hatched={hatched}
            send={live.send}
            onRelaunch={() => live.relaunch()}
          />
          {!ghost && (
            <GoesOn frame={frame} view={view} state={state} onWait={(ms) => live.send({ do: "wait", ms }, view)} />
          )}
          {ghost && (
            <span className="absolute inset-x-0 top-1/2 bg-petrol py-1 text-center font-semibold text-on-petrol">
              after {ghost.steps} × Back
            </span>
          )}
        </div>
      )}
      {named && !state.outside && (
        <p className="text-ink-2" style={{ width }}>
          Back: {backWords(frame, view, state)}
        </p>
      )}
    </figure>
  );
}
