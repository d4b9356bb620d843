import { useMemo, useState } from "react";
import {
  bandAt,
  bandsOf,
  backEvent,
  endWords,
  hasEdgeSwipe,
  hasSystemBack,
  isStuck,
  type Frame,
  ladderOf,
  plainName,
  type State,
  targetIn,
  targetsOf,
  type View,
  sure,
} from "../../core/index.js";
import { useEditing, useLive, useOpenFrame } from "../app/open-frame.js";
import { useDark } from "../app/theme.js";
import { LiveDevice } from "../device/live-device.js";
import { Button } from "../parts/button.js";
import { Choice } from "../parts/choice.js";
import { Part } from "../parts/part.js";
import { useSize } from "../parts/use-size.js";
import { AddressLine } from "./address-line.js";
import { FactSwitches } from "./fact-switches.js";
import { GoesOn } from "./goes-on.js";
import { LadderLine } from "./ladder-line.js";
import { Outside } from "./outside.js";
import { Stuck } from "./stuck.js";
import { WaitingLine } from "./waiting-line.js";

const bandWidths = [390, 700, 1100];

/** The ladder of one target in a line. */
const backWords = (frame: Frame, view: View, state: State): string => {
  const { rungs, end } = ladderOf(frame, view, state);
  const names = rungs.slice(0, 4).map(({ node }) => plainName(frame, node));
  return [...names, ...(rungs.length > 4 ? ["…"] : []), endWords.whole[end]].join(", ");
};

/** The live device, what Back will do from where it is, and why the last thing happened. */
export function Companion({ onFold }: { onFold: () => void }) {
  const opened = useOpenFrame();
  const frame = useEditing((edited) => edited.frame);
  const device = useLive((live) => live.device);
  const dark = useDark();
  const [room, size] = useSize();
  const both = useLive((live) => live.sideBySide) && targetsOf(frame).length > 1;
  const [ghost, setGhost] = useState<number | null>(null);

  const { view } = device;
  const { state } = device.at;
  const ladder = useMemo(() => (state.outside ? null : ladderOf(frame, view, state)), [frame, view, state]);
  const target = targetIn(frame, view);
  const shown = ghost !== null ? ladder?.rungs[ghost]?.state : undefined;
  const views = useMemo(
    () => (both ? targetsOf(frame).map(({ id }) => ({ ...view, target: id })) : [view]),
    [both, frame, view],
  );
  const captions = both ? 78 : 0;
  const scale = size
    ? Math.min(
        (size.width - 12 * (views.length - 1)) / views.length / view.width,
        (size.height - captions) / view.height,
        1,
      )
    : 0;

  const climb = (steps: number) => {
    for (let i = 0; i < steps; i += 1) {
      const { device: now } = opened.live.get();
      const event = backEvent(frame, now.view, now.at.state);
      if (event) opened.live.send(event);
    }
  };
  const toBand = (id: string) => {
    const i = bandsOf(frame).findIndex((band) => band.id === id);
    const from = sure(bandsOf(frame)[i]).from;
    const next = bandsOf(frame)[i + 1]?.from;
    const width =
      Math.max(from, Math.min(sure(bandWidths[Math.min(i, 2)]), next === undefined ? Infinity : next - 1)) || 390;
    opened.live.setView({ width, height: i === 0 ? 844 : Math.round(width * (i === 1 ? 1.2 : 0.72)) });
  };

  return (
    <aside
      aria-label="Companion"
      className={`flex shrink-0 flex-col gap-2.5 border-l border-ink bg-page p-3.5 pt-2.5 ${both ? "w-[min(590px,50vw)]" : "w-[322px]"}`}
    >
      <div className="flex items-start gap-1">
        <AddressLine />
        <Button tone="quiet" icon="arrow-line-right" aria-label="Fold the companion away" onClick={onFold} />
      </div>
      <div className="flex items-center justify-between gap-2">
        <Choice
          label="Size of the device"
          value={bandAt(frame, view.width).id}
          options={bandsOf(frame).map(({ id }) => ({ value: id, label: id }))}
          onChange={toBand}
        />
        {targetsOf(frame).length > 1 && (
          <select
            aria-label="Target: how Back works on the device"
            className="h-7 min-w-0 rounded-sm border border-field bg-plate-2 px-1"
            value={both ? "*" : target.id}
            onChange={(event) => {
              opened.live.showAllTargets(event.target.value === "*");
              if (event.target.value !== "*") opened.live.setView({ target: event.target.value });
            }}
          >
            {targetsOf(frame).map(({ id, label }) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
            <option value="*">All, side by side</option>
          </select>
        )}
      </div>
      <FactSwitches />
      <div ref={room} className="flex min-h-60 grow items-start justify-center gap-3 overflow-hidden">
        {views.map((each) => (
          <figure key={each.target} className="flex flex-col gap-1.5">
            {both && (
              <figcaption className="truncate text-center font-semibold" style={{ width: each.width * scale }}>
                {targetIn(frame, each).label}
              </figcaption>
            )}
            {scale > 0 && (
              <div
                data-device={both ? each.target : ""}
                className={`relative overflow-hidden border bg-plate-2 ${shown ? "border-dashed border-petrol" : "border-ink"}`}
                style={{ borderRadius: 14, width: each.width * scale, height: each.height * scale }}
              >
                {state.outside ? (
                  <Outside
                    onReturn={() => opened.live.send({ do: "return" })}
                    onRelaunch={() => opened.live.relaunch()}
                  />
                ) : isStuck(state) ? (
                  <Stuck />
                ) : (
                  <Part name="The device" of={frame} className="size-full">
                    <LiveDevice
                      frame={frame}
                      state={shown ?? state}
                      view={each}
                      dark={dark}
                      scale={scale}
                      ghost={shown !== undefined}
                      send={opened.live.send}
                    />
                  </Part>
                )}
                {!shown && <GoesOn />}
                {shown && (
                  <span className="absolute inset-x-0 top-1/2 bg-petrol py-1 text-center font-semibold text-on-petrol">
                    after {sure(ghost) + 1} × Back
                  </span>
                )}
              </div>
            )}
            {both && !state.outside && (
              <p className="text-ink-2" style={{ width: each.width * scale }}>
                Back: {backWords(frame, each, state)}
              </p>
            )}
          </figure>
        ))}
      </div>
      <WaitingLine frame={frame} state={state} />
      {ladder ? (
        <LadderLine
          frame={frame}
          view={view}
          state={state}
          ladder={ladder}
          onHover={setGhost}
          onClimb={(steps) => {
            setGhost(null);
            climb(steps);
          }}
        />
      ) : (
        <div className="h-14.5" />
      )}
      <div className="flex flex-col gap-1.5 border-t border-rule pt-2">
        <div className="flex items-center gap-1">
          {hasSystemBack(target) ? (
            <Button
              icon="arrow-u-up-left"
              disabled={state.outside}
              onClick={() => opened.live.send({ do: "back" })}
              title="The Back that this target's system has"
            >
              Back
            </Button>
          ) : hasEdgeSwipe(target) ? (
            <Button
              icon="hand-swipe-right"
              disabled={state.outside}
              onClick={() => opened.live.send({ do: "up" })}
              title="A swipe from the edge of the device"
            >
              Edge
            </Button>
          ) : null}
          <span className="grow" />
          <Button
            tone="quiet"
            onClick={() => opened.live.send({ do: "kill" })}
            title="The system ends the app in the background, and the person opens it again"
          >
            end it
          </Button>
          <Button tone="quiet" onClick={() => opened.live.relaunch()} title="Launch the app anew; facts that last stay">
            start over
          </Button>
        </div>
        <ul aria-label="Why" aria-live="polite" className="h-15 min-w-0 overflow-auto">
          {device.reasons.map((reason, i) => (
            <li key={i} className={i === 0 ? "" : "mt-1 text-ink-2"}>
              {reason}
            </li>
          ))}
        </ul>
      </div>
    </aside>
  );
}
