import { type RefObject, useCallback, useMemo, useRef } from "react";
import {
  cornerOf,
  coveredIn,
  type FixedFrame,
  goesOn,
  type NavigationEvent,
  type Shot,
  type State,
  stepThrough,
  type View,
  lensOf,
} from "../../core/index.js";
import type { DeviceStep } from "../data/device.js";
import { deviceColours } from "./device-colours.js";
import { DrawnTree } from "./drawn-regions.js";
import type { DeviceMotion } from "./motion/device-motion.js";
import { PlaysProvider } from "./motion/motion-context.js";
import { useDeviceMotion } from "./motion/use-device-motion.js";
import { CoveredParts, OwnParts } from "./own-parts.js";
import { Question } from "./question.js";
import { TargetMarks } from "./target-marks.js";
import { TextScaleProvider } from "./text-scale.js";
import { useEdgeSwipe } from "./use-edge-swipe.js";
import { useFocusOnTop } from "./use-focus-on-top.js";
import { type SheetAway, useSheetDrag } from "./use-sheet-drag.js";

export interface LiveDeviceProps {
  frame: FixedFrame;
  state: State;
  view: View;
  dark: boolean;
  /** Screen px for each px of the view. */
  scale: number;
  /** A look at a state that is not the device's: nothing on it can be touched. */
  ghost?: boolean;
  /** What of its content is hidden is hatched. */
  hatched?: boolean;
  /** How large its text is set, 1 to 2 times. */
  text?: number;
  /** What led to its state: it moves by that; where nothing did, it is there at once. */
  steps?: readonly DeviceStep[];
  /** Told what a person did, and in which view. */
  send: (event: NavigationEvent, view: View) => void;
}

const noSteps: readonly DeviceStep[] = [];

/** Sends what happens on a device. What was scrolled belongs to the screen it was scrolled on: it is told before anything else. */
const useSettled = (send: LiveDeviceProps["send"], view: View) => {
  const settlers = useRef(new Set<() => void>());
  const onSettler = useCallback((settle: () => void) => {
    settlers.current.add(settle);
    return () => void settlers.current.delete(settle);
  }, []);
  const act = useCallback(
    (event: NavigationEvent) => {
      if (event.do !== "scroll") for (const settle of settlers.current) settle();
      send(event, view);
    },
    [send, view],
  );
  return { act, onSettler };
};

/** A sheet that is dragged down goes with the finger, and is dismissed where it is let go far or fast enough. */
const useSheetAway = ({ frame, view, state }: LiveDeviceProps, act: (event: NavigationEvent) => void) => {
  const moved = useRef<DeviceMotion>(null);
  const away: SheetAway = {
    begin: () => moved.current?.lead(stepThrough(frame, view, state, { do: "dismiss" }).state, "y") ?? false,
    to: (px, speed) => moved.current?.leadTo(px / moved.current.length, speed / moved.current.length),
    end: (px, speed, isLetGo) => {
      const length = moved.current?.length ?? 1;
      const goes = isLetGo && goesOn(px / length, speed / length);
      moved.current?.release(goes);
      if (goes) act({ do: "dismiss" });
    },
  };
  return { away, moved };
};

/** A device's screen in its own px, drawn as large as `scale` has it. */
const screenStyle = ({ width, height, rtl }: View, scale: number, text: number) => ({
  width,
  height,
  transform: `scale(${scale})`,
  transformOrigin: "0 0",
  direction: rtl ? ("rtl" as const) : ("ltr" as const),
  ...(text !== 1 && { "--text": text }),
});

/** A device that is worked by hand: it draws what the engine says is on screen, and turns touches into events. */
export function LiveDevice(props: LiveDeviceProps) {
  const { frame, state, view, dark, scale, ghost = false, hatched = false, text = 1, steps = noSteps, send } = props;
  const { act, onSettler } = useSettled(send, view);
  const { away, moved } = useSheetAway(props, act);
  const drag = useSheetDrag(scale, away);
  const { motion, shot, drawn, isMoving } = useDeviceMotion({ frame, state, view, heights: drag.heights, steps });
  moved.current = motion;
  const { onPointerDown } = useEdgeSwipe({ frame, view, state, scale, ghost, motion, send: act });
  const { surface } = shot;
  const { theme } = lensOf(frame, view).app;
  const onTop = state.asking ? "[data-question]" : `[data-key="${surface.top?.key}"]`;
  const { box, onFocus } = useFocusOnTop(onTop);
  const common = useMemo(() => ({ send: act, onSettler, ghost, drag }), [act, onSettler, ghost, drag]);
  const style = { ...screenStyle(view, scale, text), ...deviceColours(theme, dark) };
  return (
    <TextScaleProvider value={text}>
      <div
        style={{ width: view.width * scale, height: view.height * scale }}
        ref={box}
        className="relative overflow-hidden [contain:strict]"
        inert={ghost}
        onFocus={onFocus}
        onPointerDown={onPointerDown}
        onKeyDown={(event) => {
          if (event.key !== "Escape" || (!surface.drawer && !surface.overlay && !state.asking)) return;
          event.stopPropagation();
          act(state.asking ? { do: "answer", leave: false } : { do: "dismiss" });
        }}
      >
        <div style={style} className="relative overflow-hidden text-left">
          <PlaysProvider value={motion}>
            <div className="contents" inert={motion.isBehind} data-moving={isMoving || undefined}>
              <DrawnTree drawn={drawn} common={common} />
            </div>
          </PlaysProvider>
          <Question
            frame={frame}
            state={state}
            view={view}
            corner={cornerOf(theme)}
            onAnswer={(leave) => act({ do: "answer", leave })}
          />
          <OwnParts view={view} insets={surface.insets} />
          <Hidden {...{ frame, view, state, shot, ghost, hatched, scale }} device={box} />
        </div>
      </div>
    </TextScaleProvider>
  );
}

interface HiddenProps extends Required<
  Pick<LiveDeviceProps, "frame" | "view" | "state" | "ghost" | "hatched" | "scale">
> {
  shot: Shot;
  device: RefObject<HTMLDivElement | null>;
}

/** What cannot be seen or touched: hatched where that is asked for, and what should be touched is marked. */
function Hidden({ frame, view, state, shot, ghost, hatched, scale, device }: HiddenProps) {
  const covered = useMemo(
    () =>
      coveredIn(
        frame,
        view,
        shot.parts.map(({ region }) => region),
      ),
    [frame, view, shot],
  );
  return (
    <>
      {hatched && <CoveredParts covered={covered} />}
      {!ghost && <TargetMarks device={device} view={view} scale={scale} covered={covered} of={state} />}
    </>
  );
}
