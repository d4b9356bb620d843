import { type Frame, hasEdgeSwipe, hasSystemBack, targetIn, type View } from "../../core/index.js";
import { useOpenFrame } from "../app/open-frame.js";
import { Button } from "../parts/button.js";
import { PaceSelect } from "./pace-select.js";

export interface HandsLineProps {
  frame: Frame;
  view: View;
  /** The person has left the app. */
  isOutside: boolean;
  /** One under the other, beside the device. */
  isColumn: boolean;
}

/** What a hand does with the whole device: the target's own way back, the end of the app, its launch. */
export function HandsLine({ frame, view, isOutside, isColumn }: HandsLineProps) {
  const { live } = useOpenFrame();
  const target = targetIn(frame, view);
  return (
    <div className={isColumn ? "mt-auto flex flex-col items-stretch gap-1" : "flex flex-wrap items-center gap-1"}>
      {hasSystemBack(target) ? (
        <Button
          icon="arrow-u-up-left"
          disabled={isOutside}
          onClick={() => live.send({ do: "back" })}
          title="The Back that this target's system has"
        >
          Back
        </Button>
      ) : hasEdgeSwipe(target) ? (
        <Button
          disabled={isOutside}
          onClick={() => live.send({ do: "up" })}
          title="A swipe from the edge of the device"
        >
          Edge swipe
        </Button>
      ) : null}
      <PaceSelect />
      <span className="grow" />
      <Button
        tone="quiet"
        onClick={() => live.send({ do: "kill" })}
        title="The system ends the app in the background, and the person opens it again"
      >
        end the app
      </Button>
      <Button tone="quiet" onClick={() => live.relaunch()} title="Launch the app anew; facts that last stay">
        start over
      </Button>
    </div>
  );
}
