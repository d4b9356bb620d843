import { type CSSProperties, Fragment } from "react";
import {
  type Action,
  actionsThere,
  type FixedFrame,
  insetsIn,
  lensOf,
  type NavigationEvent,
  pairAt,
  type Region,
  screenAt,
  type ScreenScene,
  drawerOf,
  type SeenHeader,
  type State,
  type Surface,
  type View,
} from "../../core/index.js";
import { FaceBar } from "./faces.js";
import { ScreenView } from "./screen-view.js";
import { Strip } from "./strip.js";
import type { SheetDrag } from "./use-sheet-drag.js";

export interface DrawnRegionsProps {
  frame: FixedFrame;
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

/** What each region is drawn with. */
interface RegionProps extends Omit<DrawnRegionsProps, "regions" | "shift"> {
  region: Region;
  /** The overlay that the region is, or lies in. */
  overlay: Region | undefined;
  style: CSSProperties;
}

/** Room for the handle of a sheet without a strip, px. */
const gripHeight = 22;

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

/** Whether a region lies at the head of a sheet, where its handle is. */
const isHead = (region: Region, overlay: Region | undefined): overlay is Region =>
  overlay?.role === "sheet" && region.y <= overlay.y;

const styleOf = (region: Region, overlay: Region | undefined, moved: number | undefined, drag?: SheetDrag) => ({
  position: "absolute" as const,
  left: region.x,
  top: region.y,
  width: region.width,
  height: region.height,
  ...cornersIn(region, overlay),
  ...(moved !== undefined && {
    transform: `translateX(${moved}px)`,
    background: "var(--page)",
    boxShadow: "0 0 22px rgb(0 0 0 / .22)",
  }),
  ...(overlay && drag?.settling === overlay.key && { transition: "top 160ms ease-out, height 160ms ease-out" }),
});

function ScreenRegion({ region, overlay, style, frame, view, state, surface, ghost, send, onSettler }: RegionProps) {
  const { screen, inert, width, height } = region;
  if (!screen) return null;
  return (
    <div inert={inert} className="contents">
      <ScreenView
        frame={frame}
        view={view}
        facts={state.facts}
        screen={screen}
        named={screen.entry !== surface.top}
        ghost={ghost}
        style={style}
        width={width}
        height={height}
        grip={isHead(region, overlay) ? gripHeight : 0}
        send={send}
        onSettler={onSettler}
      />
    </div>
  );
}

/** What a strip's Back or close asks for: in the pane that it stands over, or of the overlay whose outer strip it is. */
const upBy = (
  header: SeenHeader,
  owners: Surface["screens"],
  overlay: Region | undefined,
  { top, headers }: Surface,
): NavigationEvent => {
  const isOuter = owners.length === 0 && headers.includes(header);
  if (isOuter && header.close && overlay) return { do: "up", in: overlay.node };
  const [owner] = owners;
  return owner && owner.entry !== top && !headers.includes(header) ? { do: "up", in: owner.entry.node } : { do: "up" };
};

/** Room for the device's own strips where they reach into a region. */
const clearOfStrips = (region: Region, view: View, { insets }: Surface): CSSProperties => {
  const { top, right, bottom, left } = insetsIn(region, { ...view, insets });
  return { paddingTop: top, paddingRight: right, paddingBottom: bottom, paddingLeft: left };
};

/** The edge at which the drawer stands that a strip's button opens. */
const drawerEdge = (frame: FixedFrame, view: View, surface: Surface): "start" | "end" => {
  const bar = drawerOf(surface);
  return bar ? lensOf(frame, view).look(bar.hub).faceEdge : "start";
};

function HeaderRegion({ region, overlay, style, frame, view, state, surface, drag, send }: RegionProps) {
  const { header, inert } = region;
  if (!header) return null;
  const { nearest } = surface.strips;
  const owners = surface.screens.filter(({ entry, inert: isInert }) => !isInert && nearest.get(entry.key) === header);
  const placed = (place: Action["place"]) =>
    owners.flatMap(({ entry }) =>
      actionsThere(
        frame,
        screenAt(frame, entry.node).actions,
        view,
        { facts: state.facts, params: entry.params },
        place,
      ).map((action) => ({ action, entry })),
    );
  const [start, end] = [placed("start"), placed("end")];
  const tap = (action: Action) => {
    const owner: ScreenScene["entry"] | undefined = [...start, ...end].find((each) => each.action === action)?.entry;
    if (owner) send({ do: "tap", action: action.id, ...(owner !== surface.top && { in: owner.node }) });
  };
  return (
    <div
      inert={inert}
      style={{
        ...style,
        background: "var(--surface)",
        borderBottom: hairline,
        ...clearOfStrips(region, view, surface),
      }}
      {...(drag && isHead(region, overlay) && drag.handle(overlay, frame, view))}
    >
      <Strip
        header={header}
        menuAtEnd={header.menu && drawerEdge(frame, view, surface) === "end"}
        start={start.map(({ action }) => action)}
        end={end.map(({ action }) => action)}
        onUp={() => send(upBy(header, owners, overlay, surface))}
        onMenu={() => send({ do: "menu" })}
        onTap={tap}
      />
    </div>
  );
}

function BarRegion({ region, style, frame, state, view, surface, send }: RegionProps) {
  const { bar, role, inert } = region;
  if (!bar) return null;
  return (
    <div
      inert={inert}
      style={{ ...style, ...(role === "drawer" && { boxShadow: "0 0 40px rgb(0 0 0 / .28)" }) }}
      data-drawer={role === "drawer" || undefined}
    >
      <FaceBar
        frame={frame}
        state={state}
        view={view}
        bar={bar}
        clear={clearOfStrips(region, view, surface)}
        onTab={(to) => send({ do: "tab", to })}
        onExtra={(action) => send({ do: "tap", action, in: bar.hub })}
      />
    </div>
  );
}

function PaneRegion({ region, style, frame }: RegionProps) {
  const { pane, role, inert } = region;
  return (
    <div
      inert={inert}
      data-pane={role}
      style={{ ...style, ...(role === "list" ? { borderInlineEnd: hairline } : {}) }}
      className="grid place-items-center"
    >
      {pane?.isEmpty && (
        <p className="max-w-56 text-center text-[calc(15px*var(--text,1))]" style={{ opacity: 0.7 }}>
          {pairAt(frame, pane.pair).empty ?? ""}
        </p>
      )}
    </div>
  );
}

function OverlayRegion({ region, style, frame, view, drag }: RegionProps) {
  const { role, inert } = region;
  return (
    <Fragment>
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
          {...drag.handle(region, frame, view)}
        >
          <span className="h-[3px] w-14 rounded-full" style={{ background: "var(--ink)", opacity: 0.4 }} />
        </div>
      )}
    </Fragment>
  );
}

function Scrim({ region, style, send }: RegionProps) {
  return (
    <div
      data-scrim={region.node}
      inert={region.inert}
      style={{ ...style, background: "rgb(8 14 18 / .42)" }}
      onClick={() => send({ do: "dismiss" })}
    />
  );
}

const drawnBy = ({ role }: Region) => {
  switch (role) {
    case "content":
      return ScreenRegion;
    case "header":
      return HeaderRegion;
    case "scrim":
      return Scrim;
    case "list":
    case "detail":
      return PaneRegion;
    case "bar":
    case "top":
    case "rail":
    case "panel":
    case "drawer":
      return BarRegion;
    default:
      return OverlayRegion;
  }
};

/** Draws the regions of an arrangement back to front. It decides nothing: where what is, is in the regions. */
export function DrawnRegions({ regions, shift, ...common }: DrawnRegionsProps) {
  const seen = new Map<string, number>();
  const keyOf = (region: Region): string => {
    const key = `${region.role} ${region.key}`;
    const n = seen.get(key) ?? 0;
    seen.set(key, n + 1);
    return `${key} ${n}`;
  };
  const overlayAt = new Map(regions.flatMap((region) => (overlays.has(region.role) ? [[region.key, region]] : [])));
  return regions.map((region) => {
    const overlay = region.overlay === null ? undefined : overlayAt.get(region.overlay);
    const Drawn = drawnBy(region);
    const style = styleOf(region, overlay, shift?.(region), common.drag);
    return <Drawn key={keyOf(region)} {...common} region={region} overlay={overlay} style={style} />;
  });
}
