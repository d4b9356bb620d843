import { type CSSProperties, Fragment } from "react";
import {
  type Action,
  actionsThere,
  type Drawn,
  type DrawnLayer,
  type DrawnPart,
  type FixedFrame,
  insetsIn,
  lensOf,
  type NavigationEvent,
  pairAt,
  type Region,
  screenAt,
  type ScreenScene,
  scrimOf,
  drawerOf,
  type SeenHeader,
  type State,
  type Surface,
  type View,
} from "../../core/index.js";
import { FaceBar } from "./faces.js";
import { MovedBox } from "./motion/moved-box.js";
import { ScreenView } from "./screen-view.js";
import { Strip } from "./strip.js";
import type { SheetDrag } from "./use-sheet-drag.js";

/** What every region of a device is drawn with. */
export interface DrawnCommon {
  ghost: boolean;
  drag?: SheetDrag;
  send: (event: NavigationEvent) => void;
  onSettler: (settle: () => void) => () => void;
}

/** What one region is drawn with: of what still leaves all is as it was when that was on screen. */
interface RegionProps extends DrawnCommon {
  frame: FixedFrame;
  state: State;
  view: View;
  surface: Surface;
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

const styleOf = (region: Region, overlay: Region | undefined, drag?: SheetDrag) => ({
  position: "absolute" as const,
  // what moves is drawn in boxes that lie over the whole view and are not touched themselves
  pointerEvents: "auto" as const,
  left: region.x,
  top: region.y,
  width: region.width,
  height: region.height,
  ...cornersIn(region, overlay),
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

function Scrim({ region, style, frame, view, state, send }: RegionProps) {
  const strength = scrimOf(lensOf(frame, view), state.root, region);
  return (
    <div
      data-scrim={region.node}
      inert={region.inert}
      style={{ ...style, background: `rgb(8 14 18 / ${strength})` }}
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

/** The overlays of a shot, by key: what lies in one has its corners. */
const overlaysIn = new WeakMap<DrawnPart["part"]["shot"], ReadonlyMap<number, Region>>();
const overlayOf = ({ region, shot }: DrawnPart["part"]): Region | undefined => {
  if (region.overlay === null) return undefined;
  let found = overlaysIn.get(shot);
  if (!found) {
    const all = shot.parts.flatMap((part): [number, Region][] =>
      overlays.has(part.region.role) ? [[part.region.key, part.region]] : [],
    );
    overlaysIn.set(shot, (found = new Map(all)));
  }
  return found.get(region.overlay);
};

/** What may come and go by itself: it has a box of its own from the beginning, so that it stays the same element. */
const movesAlone = new Set<Region["role"]>(["bar", "top", "rail", "panel", "drawer", "header", "scrim"]);

function DrawnPartBox({ drawn, common }: { drawn: DrawnPart; common: DrawnCommon }) {
  const { part, isGone, mover } = drawn;
  const { region, shot } = part;
  const overlay = overlayOf(part);
  const Shown = drawnBy(region);
  const shown = (
    <Shown
      {...common}
      ghost={common.ghost || isGone}
      frame={shot.frame}
      state={shot.state}
      view={shot.view}
      surface={shot.surface}
      region={region}
      overlay={overlay}
      style={styleOf(region, overlay, common.drag)}
    />
  );
  if (!movesAlone.has(region.role)) return shown;
  return (
    <MovedBox mover={mover} isStage={false} isGone={isGone} name={part.id}>
      {shown}
    </MovedBox>
  );
}

const hasUnder = ({ inside }: Pick<DrawnLayer, "inside">): boolean =>
  inside.some(({ mover }) => mover?.isUnder === true);

/** Draws what is on screen back to front, layer in layer. It decides nothing: where what is, and what moves, is in what it is given. */
export function DrawnTree({ drawn, common }: { drawn: readonly Drawn[]; common: DrawnCommon }) {
  return drawn.map((each) =>
    each.kind === "part" ? (
      <DrawnPartBox key={each.id} drawn={each} common={common} />
    ) : (
      <MovedBox key={each.id} mover={each.mover} isStage={hasUnder(each)} isGone={each.isGone} name={each.id}>
        <DrawnTree drawn={each.inside} common={common} />
      </MovedBox>
    ),
  );
}
