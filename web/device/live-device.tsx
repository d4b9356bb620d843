import { type RefObject, useCallback, useMemo, useRef } from "react";
import {
  arrangeSurface,
  cornerOf,
  coveredIn,
  type FixedFrame,
  type NavigationEvent,
  type Region,
  type State,
  surfaceOf,
  type View,
  lensOf,
} from "../../core/index.js";
import { deviceColours } from "./device-colours.js";
import { DrawnRegions } from "./drawn-regions.js";
import { CoveredParts, OwnParts } from "./own-parts.js";
import { Question } from "./question.js";
import { TargetMarks } from "./target-marks.js";
import { TextScaleProvider } from "./text-scale.js";
import { useEdgeSwipe } from "./use-edge-swipe.js";
import { useFocusOnTop } from "./use-focus-on-top.js";
import { useSheetDrag } from "./use-sheet-drag.js";

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
  /** Told what a person did, and in which view. */
  send: (event: NavigationEvent, view: View) => void;
}

const useArrangement = (frame: FixedFrame, state: State | null, view: View, heights?: ReadonlyMap<number, number>) => {
  const surface = useMemo(() => state && surfaceOf(frame, state, view), [frame, state, view]);
  const regions = useMemo(
    () => (surface ? arrangeSurface(frame, surface, view, heights && { heights }) : []),
    [frame, surface, view, heights],
  );
  return { surface, regions };
};

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

/** Whether a region is there before and after, and so does not move with the finger: a bar, the list of a split pair. */
const staysIn =
  (others: readonly Region[]) =>
  ({ role, layer }: Region): boolean =>
    role !== "header" && others.some((other) => other.role === role && other.layer === layer);

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
  const { frame, state, view, dark, scale, ghost = false, hatched = false, text = 1, send } = props;
  const { act, onSettler } = useSettled(send, view);
  const drag = useSheetDrag(scale, act);
  const { swipe, onPointerDown } = useEdgeSwipe({ frame, view, state, scale, ghost, send: act });
  const { surface, regions } = useArrangement(frame, state, view, drag.heights);
  const beneath = useArrangement(frame, swipe?.after ?? null, view);
  const { theme } = lensOf(frame, view).app;
  const onTop = state.asking ? "[data-question]" : `[data-key="${surface?.top?.key}"]`;
  const { box, onFocus } = useFocusOnTop(onTop);
  const stays = staysIn(beneath.regions);
  const shared = { frame, view, send: act, onSettler, ghost };
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
          if (event.key !== "Escape" || (!surface?.drawer && !surface?.overlay && !state.asking)) return;
          event.stopPropagation();
          act(state.asking ? { do: "answer", leave: false } : { do: "dismiss" });
        }}
      >
        <div style={style} className="relative overflow-hidden text-left">
          {swipe && beneath.surface && (
            <div inert className="absolute inset-0">
              <DrawnRegions {...shared} state={swipe.after} surface={beneath.surface} regions={beneath.regions} ghost />
            </div>
          )}
          <div className={swipe ? "absolute inset-0" : "contents"}>
            {surface && (
              <DrawnRegions
                {...shared}
                state={state}
                surface={surface}
                regions={swipe ? regions.filter((region) => !stays(region)) : regions}
                drag={drag}
                {...(swipe && { shift: () => (view.rtl ? -swipe.by : swipe.by) })}
              />
            )}
          </div>
          <Question
            frame={frame}
            state={state}
            view={view}
            corner={cornerOf(theme)}
            onAnswer={(leave) => act({ do: "answer", leave })}
          />
          <OwnParts view={view} insets={surface?.insets ?? view.insets} />
          <Hidden {...{ frame, view, state, regions, ghost, hatched, scale }} device={box} />
        </div>
      </div>
    </TextScaleProvider>
  );
}

interface HiddenProps extends Required<
  Pick<LiveDeviceProps, "frame" | "view" | "state" | "ghost" | "hatched" | "scale">
> {
  regions: readonly Region[];
  device: RefObject<HTMLDivElement | null>;
}

/** What cannot be seen or touched: hatched where that is asked for, and what should be touched is marked. */
function Hidden({ frame, view, state, regions, ghost, hatched, scale, device }: HiddenProps) {
  const covered = useMemo(
    () => (state.outside ? [] : coveredIn(frame, view, regions)),
    [frame, view, regions, state.outside],
  );
  return (
    <>
      {hatched && <CoveredParts covered={covered} />}
      {!ghost && <TargetMarks device={device} view={view} scale={scale} covered={covered} of={state} />}
    </>
  );
}
