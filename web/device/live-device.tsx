import { type CSSProperties, useCallback, useEffect, useLayoutEffect, useMemo, useRef } from "react";
import { arrangeSurface, coloursOf, type Frame, inkOn, type NavigationEvent, type Region, type State, surfaceOf, type View } from "../../core/index.js";
import { DrawnRegions } from "./drawn-regions.js";
import { useEdgeSwipe } from "./use-edge-swipe.js";
import { useSheetDrag } from "./use-sheet-drag.js";

export interface LiveDeviceProps {
  frame: Frame;
  state: State;
  view: View;
  dark: boolean;
  /** Screen px for each px of the view. */
  scale: number;
  /** A look at a state that is not the device's: nothing on it can be touched. */
  ghost?: boolean;
  send: (event: NavigationEvent) => void;
}

const useArrangement = (frame: Frame, state: State | null, view: View, heights?: ReadonlyMap<number, number>) => {
  const surface = useMemo(() => state && surfaceOf(frame, state, view), [frame, state, view]);
  const regions = useMemo(
    () => (surface ? arrangeSurface(frame, surface, view, heights && { heights }) : []),
    [frame, surface, view, heights],
  );
  return { surface, regions };
};

const sameRegion = (a: Region, b: Region): boolean =>
  a.role === b.role && a.key === b.key && a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height;

/** A device that is worked by hand: it draws what the engine says is on screen, and turns touches into events. */
export function LiveDevice({ frame, state, view, dark, scale, ghost = false, send }: LiveDeviceProps) {
  const settlers = useRef(new Set<() => void>());
  const onSettler = useCallback((settle: () => void) => {
    settlers.current.add(settle);
    return () => void settlers.current.delete(settle);
  }, []);
  /** What was scrolled belongs to the screen it was scrolled on: it is told before anything else happens. */
  const act = useCallback(
    (event: NavigationEvent) => {
      if (event.do !== "scroll") for (const settle of settlers.current) settle();
      send(event);
    },
    [send],
  );
  const drag = useSheetDrag(scale, act);
  const { swipe, onPointerDown } = useEdgeSwipe({ frame, view, state, scale, ghost, send: act });
  const { surface, regions } = useArrangement(frame, state, view, drag.heights);
  const beneath = useArrangement(frame, swipe?.after ?? null, view);
  const colours = coloursOf(frame, dark);

  // who works the device by keys goes on where the screen went: what had the focus is gone, or lies under an overlay
  const box = useRef<HTMLDivElement>(null);
  const worked = useRef(false);
  const topKey = surface?.top?.key;
  useEffect(() => {
    const elsewhere = (event: FocusEvent) => {
      if (!box.current?.contains(event.target as Node)) worked.current = false;
    };
    addEventListener("focusin", elsewhere);
    return () => removeEventListener("focusin", elsewhere);
  }, []);
  useLayoutEffect(() => {
    if (!worked.current || !box.current) return;
    const active = document.activeElement;
    if (active !== null && active !== document.body && !active.closest("[inert]")) return;
    box.current.querySelector<HTMLElement>(`[data-key="${topKey}"]`)?.focus({ preventScroll: true });
  }, [topKey]);

  const style = {
    width: view.width,
    height: view.height,
    transform: `scale(${scale})`,
    transformOrigin: "0 0",
    background: colours.page,
    color: colours.ink,
    direction: view.rtl ? "rtl" : "ltr",
    "--page": colours.page,
    "--surface": colours.surface,
    "--ink": colours.ink,
    "--accent": colours.accent,
    "--mark": colours.mark,
    "--bar": colours.bar,
    "--bar-ink": colours.barInk,
    "--bar-active": colours.barActive,
    "--badge": colours.badge,
    "--badge-ink": inkOn(colours.badge),
  } as CSSProperties;
  // what is there before and after does not move with the finger: a bar, the list of a split pair
  const stays = (region: Region): boolean =>
    region.role !== "header" && beneath.regions.some((other) => sameRegion(region, other));
  const shared = { frame, view, send: act, onSettler, ghost };

  return (
    <div
      style={{ width: view.width * scale, height: view.height * scale }}
      ref={box}
      className="relative overflow-hidden"
      inert={ghost}
      onFocus={() => (worked.current = true)}
      onPointerDown={onPointerDown}
      onKeyDown={(event) => {
        if (event.key !== "Escape" || (!surface?.drawer && !surface?.overlay)) return;
        event.stopPropagation();
        act({ do: "dismiss" });
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
      </div>
    </div>
  );
}
