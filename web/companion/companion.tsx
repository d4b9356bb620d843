import { reasonsTold } from "../device/reasons-told.js";
import { useMemo, useState } from "react";
import { backEvent, type Frame, ladderOf, type State, targetsOf, type View } from "../../core/index.js";
import { useEditing, useLive, useOpenFrame } from "../app/open-frame.js";
import type { DeviceStep } from "../data/device.js";
import { Button } from "../parts/button.js";
import { type Size, useSize } from "../parts/use-size.js";
import { CompanionEdge } from "./companion-edge.js";
import { type CompanionWidths, mostInWindow, useCompanionWidth } from "./companion-size.js";
import { type CompanionProps, useShape } from "./companion-room.js";
import { AddressLine } from "./address-line.js";
import { DeviceFigure, type Ghost } from "./device-figure.js";
import { FactSwitches } from "./fact-switches.js";
import { HandsLine } from "./hands-line.js";
import { LostMend } from "./lost-mend.js";
import { LadderLine } from "./ladder-line.js";
import { SizeLine } from "./size-line.js";
import { WaitingLine } from "./waiting-line.js";

/** Between devices, px; and what is written above and below each, px. */
const gap = 12;
const captions = 78;
/** From this width on what goes with an upright device stands beside it, px. */
const wideEnough = 540;

/** How large devices beside each other can be, never larger than they are. */
const scaleIn = (room: Size | null, { width, height }: Size, count: number): number =>
  room
    ? Math.min((room.width - gap * (count - 1)) / count / width, (room.height - (count > 1 ? captions : 0)) / height, 1)
    : 0;

/**
 * Where what goes with the device stands: in a column before it, over and beside it, or over and under it, so that the
 * device has as much of the room as it can fill.
 */
type Layout = "before" | "around" | "under";

const layoutOf = (shape: keyof CompanionWidths, width: number, isFull: boolean): Layout => {
  if (shape === "wide" && !isFull) return "under";
  return isFull || width >= wideEnough ? "before" : "around";
};

const layouts: Readonly<Record<Layout, string>> = {
  before:
    "grid-cols-[240px_minmax(0,1fr)] grid-rows-[auto_auto_minmax(0,1fr)] [grid-template-areas:'head_device'_'ladder_device'_'why_device']",
  around:
    "grid-cols-[minmax(0,1fr)_92px] grid-rows-[auto_minmax(0,1fr)_auto] [grid-template-areas:'head_head'_'device_ladder'_'why_why']",
  under:
    "grid-cols-[minmax(0,1fr)] grid-rows-[auto_auto_auto_minmax(60px,1fr)] [grid-template-areas:'head'_'device'_'ladder'_'why']",
};

/** The ladder from where the device is, which of its rungs is looked at, and going up to one. */
const useLadder = (frame: Frame, view: View, state: State) => {
  const { live } = useOpenFrame();
  const [hovered, setHovered] = useState<number | null>(null);
  const ladder = useMemo(() => (state.outside ? null : ladderOf(frame, view, state)), [frame, view, state]);
  const after = hovered === null ? undefined : ladder?.rungs[hovered]?.state;
  const ghost: Ghost | null = after && hovered !== null ? { steps: hovered + 1, state: after } : null;
  const climb = (steps: number) => {
    setHovered(null);
    for (let i = 0; i < steps; i += 1) {
      const { device } = live.get();
      const event = backEvent(frame, device.view, device.at.state);
      if (event) live.send(event);
    }
  };
  return { ladder, ghost, onHover: setHovered, onClimb: climb };
};

/** The live device, what Back will do from where it is, and why the last thing happened. */
export default function Companion({ isFull, onFull, onFold }: CompanionProps) {
  const { live } = useOpenFrame();
  const frame = useEditing((edited) => edited.frame);
  const { view, at, reasons, steps } = useLive((now) => now.device);
  const { state } = at;
  const { all, shape } = useShape();
  const [whole, size] = useSize();
  const edge = useCompanionWidth(shape);
  const layout = layoutOf(shape, edge.width, isFull);
  const { ladder, ghost, ...climbing } = useLadder(frame, view, state);
  const isColumn = layout !== "under";
  return (
    <aside
      ref={whole}
      aria-label="Companion"
      data-layout={layout}
      onKeyDown={(event) => {
        if (event.key === "Escape" && state.asking) live.send({ do: "answer", leave: false });
      }}
      className={`relative grid min-h-0 shrink-0 gap-x-3 gap-y-2.5 border-l border-ink bg-page p-3.5 pt-2.5 ${layouts[layout]} ${isFull ? "grow" : ""}`}
      style={isFull ? undefined : { width: edge.width, maxWidth: mostInWindow }}
    >
      {!isFull && <CompanionEdge {...edge} />}
      <div className="flex min-w-0 flex-col gap-2.5 [grid-area:head]">
        <Head isFull={isFull} onFull={onFull} onFold={onFold} isNarrow={layout === "before"} />
        <SizeLine frame={frame} view={view} all={all} />
        <FactSwitches />
      </div>
      <Devices {...{ frame, view, state, steps, ghost, all }} under={layout === "under" ? size : null} />
      <div className={`flex min-h-0 min-w-0 flex-col gap-2 [grid-area:ladder] ${isColumn ? "overflow-y-auto" : ""}`}>
        {ladder && <LadderLine {...{ frame, view, state, ladder, isColumn, ...climbing }} />}
        <HandsLine frame={frame} view={view} isOutside={state.outside} isColumn={layout === "around"} />
      </div>
      <div className="flex min-h-0 flex-col gap-1.5 border-t border-rule pt-2 [grid-area:why]">
        <WaitingLine frame={frame} state={state} />
        <LostMend frame={frame} />
        <Why reasons={reasonsTold(reasons)} isShort={layout === "around"} />
      </div>
    </aside>
  );
}

/** The address line, and how much of the window the device has; in a narrow column the line stands under the buttons. */
function Head({ isFull, onFull, onFold, isNarrow }: CompanionProps & { isNarrow: boolean }) {
  return (
    <div className={`flex items-start gap-1 ${isNarrow ? "flex-wrap justify-end" : ""}`}>
      <div className={`flex min-w-0 ${isNarrow ? "order-1 basis-full" : "grow"}`}>
        <AddressLine />
      </div>
      <Button
        tone="quiet"
        icon={isFull ? "arrows-in" : "arrows-out"}
        aria-label={isFull ? "The device beside the place" : "The device as large as the window allows"}
        title={isFull ? "Beside the place again (Alt Enter)" : "As large as the window allows (Alt Enter)"}
        onClick={() => onFull(!isFull)}
      />
      {!isFull && <Button tone="quiet" icon="arrow-line-right" aria-label="Fold the companion away" onClick={onFold} />}
    </div>
  );
}

interface DevicesProps {
  frame: Frame;
  view: View;
  state: State;
  steps: readonly DeviceStep[];
  ghost: Ghost | null;
  /** One for each target. */
  all: boolean;
  /** The companion where what goes with a wide device stands under it: then the device is as high as it is drawn, and no empty column is left. */
  under: Size | null;
}

/** The device, or one for each target, as large as the room it has. */
function Devices({ frame, view, state, steps, ghost, all, under }: DevicesProps) {
  const [room, size] = useSize();
  const views = useMemo(
    () => (all ? targetsOf(frame).map(({ id }) => ({ ...view, target: id })) : [view]),
    [all, frame, view],
  );
  const within = size && under ? { width: size.width, height: under.height - underneath } : size;
  const scale = scaleIn(within, view, views.length);
  return (
    <div
      ref={room}
      className="flex min-h-0 min-w-0 items-start justify-center gap-3 overflow-hidden [grid-area:device]"
      style={under ? { height: view.height * scale + (all ? captions : 0) } : undefined}
    >
      {views.map((each) => (
        <DeviceFigure key={each.target} {...{ frame, view: each, state, steps, ghost, named: all, scale }} />
      ))}
    </div>
  );
}

/** What stands over and under a wide device, px. */
const underneath = 300;

/** Why the last thing happened; its first sentence is the news. */
function Why({ reasons, isShort }: { reasons: readonly string[]; isShort: boolean }) {
  return (
    <ul
      aria-label="Why"
      aria-live="polite"
      // where it is scrolled, keys have to get there
      tabIndex={isShort ? 0 : undefined}
      className={`min-w-0 overflow-auto ${isShort ? "h-11" : "min-h-15 grow"}`}
    >
      {reasons.map((reason, i) => (
        <li key={i} className={i === 0 ? "" : "mt-1 text-ink-2"}>
          {reason}
        </li>
      ))}
    </ul>
  );
}
