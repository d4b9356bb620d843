import { type CSSProperties, Fragment } from "react";
import { placesOf } from "../../core/index.js";
import type { Action, Frame, NavigationEvent, Region, ScreenNode, ScreenScene, State, Surface, View } from "../../core/index.js";
import { FaceBar } from "./faces.js";
import { actionsAt, ScreenView } from "./screen-view.js";
import { Strip } from "./strip.js";
import type { SheetDrag } from "./use-sheet-drag.js";

export interface DrawnRegionsProps {
  frame: Frame;
  state: State;
  view: View;
  surface: Surface;
  regions: readonly Region[];
  ghost: boolean;
  /** How far a region is moved aside by a finger, px; undefined for one that stays. */
  shift?: (region: Region) => number | undefined;
  drag?: SheetDrag;
  send: (event: NavigationEvent) => void;
  onSettler: (settle: () => void) => () => void;
}

/** Room for the handle of a sheet without a strip, px. */
const gripHeight = 22;

const contains = (outer: Region, inner: Region): boolean =>
  inner.x >= outer.x &&
  inner.y >= outer.y &&
  inner.x + inner.width <= outer.x + outer.width &&
  inner.y + inner.height <= outer.y + outer.height;

const overlays = new Set<Region["role"]>(["sheet", "dialog", "side", "fullscreen"]);
const hairline = "1px solid color-mix(in srgb, var(--ink) 14%, transparent)";
const radius = 16;

/** The corners of what lies at the edge of a rounded overlay. */
const cornersIn = (region: Region, overlay: Region | undefined): CSSProperties => {
  if (!overlay || overlay.role === "fullscreen" || overlay.role === "side") return {};
  const isAtTop = region.y <= overlay.y;
  const isAtFoot = overlay.role === "dialog" && region.y + region.height >= overlay.y + overlay.height;
  const [top, foot] = [isAtTop ? radius : 0, isAtFoot ? radius : 0];
  return top || foot ? { borderRadius: `${top}px ${top}px ${foot}px ${foot}px`, overflow: "hidden" } : {};
};

/** Draws the regions of an arrangement back to front. It decides nothing: where what is, is in the regions. */
export function DrawnRegions(props: DrawnRegionsProps) {
  const { frame, state, view, surface, regions, ghost, shift, drag, send, onSettler } = props;
  const seen = new Map<string, number>();
  const keyOf = (region: Region): string => {
    const key = `${region.role} ${region.key}`;
    const n = seen.get(key) ?? 0;
    seen.set(key, n + 1);
    return `${key} ${n}`;
  };
  const screens = (region: Region): ScreenScene[] =>
    surface.screens.filter((screen) => screen.strip === region.header && !screen.inert);
  const isTop = (screen: ScreenScene) => screen.entry === surface.top;

  return regions.map((region, i) => {
    const { role, x, y, width, height } = region;
    const moved = shift?.(region);
    const overlay = overlays.has(role)
      ? region
      : regions.slice(0, i).findLast((other) => overlays.has(other.role) && contains(other, region));
    // what lies wholly under a scrim is inert: the scrim covers just that
    const inert = regions.slice(i + 1).some((other) => other.role === "scrim" && contains(other, region));
    const style: CSSProperties = {
      position: "absolute",
      left: x,
      top: y,
      width,
      height,
      ...cornersIn(region, overlay),
      ...(moved !== undefined && {
        transform: `translateX(${moved}px)`,
        background: "var(--page)",
        boxShadow: "0 0 22px rgb(0 0 0 / .22)",
      }),
      ...(drag?.settling === overlay?.key && overlay && { transition: "top 160ms ease-out, height 160ms ease-out" }),
    };
    const key = keyOf(region);
    if (region.screen)
      return (
        <div key={key} inert={inert} className="contents">
          <ScreenView
            frame={frame}
            view={view}
            facts={state.facts}
            scene={region.screen}
            named={!isTop(region.screen)}
            ghost={ghost}
            style={style}
            width={width}
            height={height}
            grip={overlay?.role === "sheet" && y <= overlay.y ? gripHeight : 0}
            send={send}
            onSettler={onSettler}
          />
        </div>
      );
    if (region.header) {
      const tapIn = (screen: ScreenScene) => (action: Action) =>
        send({ do: "tap", action: action.id, ...(!isTop(screen) && { in: screen.entry.node }) });
      const owner = screens(region);
      const placed = (place: "start" | "end") =>
        owner.flatMap((screen) =>
          actionsAt(frame, view, state.facts, frame.nodes[screen.entry.node] as ScreenNode, place),
        );
      return (
        <div
          key={key}
          inert={inert}
          style={{
            ...style,
            background: "var(--surface)",
            borderBottom: hairline,
            paddingTop: y <= 0 ? view.insets.top : 0,
          }}
          {...(overlay?.role === "sheet" && y <= overlay.y && drag ? drag.handle(overlay, frame) : {})}
        >
          <Strip
            header={region.header}
            start={placed("start")}
            end={placed("end")}
            onUp={() => send({ do: "up" })}
            onMenu={() => send({ do: "menu" })}
            onTap={(action) => {
              const screen = owner.find(({ entry }) =>
                (frame.nodes[entry.node] as ScreenNode).actions?.includes(action),
              );
              if (screen) tapIn(screen)(action);
            }}
          />
        </div>
      );
    }
    if (region.bar) {
      const { bar } = region;
      return (
        <div
          key={key}
          inert={inert}
          style={{ ...style, ...(role === "drawer" && { boxShadow: "0 0 40px rgb(0 0 0 / .28)" }) }}
          data-drawer={role === "drawer" || undefined}
        >
          <FaceBar
            frame={frame}
            state={state}
            view={view}
            bar={bar}
            onTab={(to) => send({ do: "tab", to })}
            onExtra={(action) => send({ do: "tap", action, in: bar.hub })}
          />
        </div>
      );
    }
    if (role === "scrim")
      return (
        <div
          key={key}
          data-scrim={region.node}
          inert={inert}
          style={{ ...style, background: "rgb(8 14 18 / .42)" }}
          onClick={() => send({ do: "dismiss" })}
        />
      );
    if (role === "list" || role === "detail") {
      const node = frame.nodes[regions[i]!.node];
      const isEmpty =
        role === "detail" && !regions.slice(i + 1).some((other) => other.screen && contains(region, other));
      const pair = frame.nodes[placesOf(frame, region.node)[0] ?? ""];
      return (
        <div
          key={key}
          inert={inert}
          data-pane={role}
          style={{ ...style, ...(role === "list" ? { borderInlineEnd: hairline } : {}) }}
          className="grid place-items-center"
        >
          {isEmpty && node && (
            <p className="max-w-56 text-center text-[15px]" style={{ opacity: 0.7 }}>
              {(pair?.kind === "pair" && pair.empty) || ""}
            </p>
          )}
        </div>
      );
    }
    return (
      <Fragment key={key}>
        <div
          style={{
            ...style,
            background: "var(--page)",
            ...(role !== "fullscreen" && { boxShadow: "0 4px 34px rgb(0 0 0 / .3)" }),
          }}
          data-overlay={role}
          inert={inert}
        />
        {role === "sheet" && drag && (
          <div
            style={{ ...style, height: gripHeight, zIndex: 1 }}
            inert={inert}
            data-grip
            className="grid cursor-grab touch-none place-items-center"
            {...drag.handle(region, frame)}
          >
            <span className="h-[3px] w-14 rounded-full" style={{ background: "var(--ink)", opacity: 0.4 }} />
          </div>
        )}
      </Fragment>
    );
  });
}
