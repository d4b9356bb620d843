import { useMemo, useState } from "react";
import { backEvent, ladderOf, targetsOf } from "../../core/index.js";
import { useEditing, useLive, useOpenFrame } from "../app/open-frame.js";
import { Button } from "../parts/button.js";
import { type Size, useSize } from "../parts/use-size.js";
import { AddressLine } from "./address-line.js";
import { DeviceFigure, type Ghost } from "./device-figure.js";
import { FactSwitches } from "./fact-switches.js";
import { HandsLine } from "./hands-line.js";
import { LadderLine } from "./ladder-line.js";
import { SizeLine } from "./size-line.js";
import { WaitingLine } from "./waiting-line.js";

/** Between devices, px; and what is written above and below each, px. */
const gap = 12;
const captions = 78;

/** How large devices beside each other can be, never larger than they are. */
const scaleIn = (room: Size | null, { width, height }: Size, count: number): number =>
  room
    ? Math.min((room.width - gap * (count - 1)) / count / width, (room.height - (count > 1 ? captions : 0)) / height, 1)
    : 0;

/** The live device, what Back will do from where it is, and why the last thing happened. */
export function Companion({ onFold }: { onFold: () => void }) {
  const { live } = useOpenFrame();
  const frame = useEditing((edited) => edited.frame);
  const { view, at, reasons } = useLive((now) => now.device);
  const { state } = at;
  const all = useLive((now) => now.sideBySide) && targetsOf(frame).length > 1;
  const [room, size] = useSize();
  const [hovered, setHovered] = useState<number | null>(null);

  const ladder = useMemo(() => (state.outside ? null : ladderOf(frame, view, state)), [frame, view, state]);
  const after = hovered === null ? undefined : ladder?.rungs[hovered]?.state;
  const ghost: Ghost | null = after && hovered !== null ? { steps: hovered + 1, state: after } : null;
  const views = useMemo(
    () => (all ? targetsOf(frame).map(({ id }) => ({ ...view, target: id })) : [view]),
    [all, frame, view],
  );
  const climb = (steps: number) => {
    setHovered(null);
    for (let i = 0; i < steps; i += 1) {
      const { device } = live.get();
      const event = backEvent(frame, device.view, device.at.state);
      if (event) live.send(event);
    }
  };

  return (
    <aside
      aria-label="Companion"
      className={`flex shrink-0 flex-col gap-2.5 border-l border-ink bg-page p-3.5 pt-2.5 ${all ? "w-[min(590px,50vw)]" : "w-[322px]"}`}
    >
      <div className="flex items-start gap-1">
        <AddressLine />
        <Button tone="quiet" icon="arrow-line-right" aria-label="Fold the companion away" onClick={onFold} />
      </div>
      <SizeLine frame={frame} view={view} all={all} />
      <FactSwitches />
      <div ref={room} className="flex min-h-60 grow items-start justify-center gap-3 overflow-hidden">
        {views.map((each) => (
          <DeviceFigure
            key={each.target}
            {...{ frame, view: each, state, ghost, named: all, scale: scaleIn(size, view, views.length) }}
          />
        ))}
      </div>
      <WaitingLine frame={frame} state={state} />
      {ladder ? (
        <LadderLine {...{ frame, view, state, ladder, onHover: setHovered, onClimb: climb }} />
      ) : (
        <div className="h-14.5" />
      )}
      <div className="flex flex-col gap-1.5 border-t border-rule pt-2">
        <HandsLine frame={frame} view={view} isOutside={state.outside} />
        <Why reasons={reasons} />
      </div>
    </aside>
  );
}

/** Why the last thing happened; its first sentence is the news. */
function Why({ reasons }: { reasons: readonly string[] }) {
  return (
    <ul aria-label="Why" aria-live="polite" className="h-15 min-w-0 overflow-auto">
      {reasons.map((reason, i) => (
        <li key={i} className={i === 0 ? "" : "mt-1 text-ink-2"}>
          {reason}
        </li>
      ))}
    </ul>
  );
}
