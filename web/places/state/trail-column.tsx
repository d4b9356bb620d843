import { reasonsTold } from "../../device/reasons-told.js";
import { useState } from "react";
import { eventSays, type Frame, isLaunch, journeyOf, freeJourneyId, plainName } from "../../../core/index.js";
import { useLive, useOpenFrame } from "../../app/open-frame.js";
import { otherBeginnings, type ShownPoint, shownWay, type TrailPoint, wayTo } from "../../data/trail.js";
import { Button } from "../../parts/button.js";
import { returnTo } from "../../parts/focus-back.js";
import { TextLine } from "../../parts/text-line.js";
import { wrongEmpty } from "../../parts/wrong.js";
import { Journeys } from "./journeys.js";
import { type Pace, usePlaying } from "./use-playing.js";
import { Select } from "../../parts/select.js";

const paces: { value: Pace; label: string }[] = [
  { value: "as", label: "1×" },
  { value: "quarter", label: "¼×" },
  { value: "once", label: "at once" },
];

/** A point in words: what happened. */
const pointSays = (frame: Frame, { event, on, from }: TrailPoint): string => {
  if (event) return eventSays(frame, event, on);
  return `${from === null ? "began" : "put"} on ${on === "" ? "nothing" : plainName(frame, on)}`;
};

/** Everything that happened to the device, each with the reason; pressed, the device is as it was then, and may go on otherwise. */
export function TrailColumn({ frame }: { frame: Frame }) {
  const trail = useLive((now) => now.trail);
  const playing = usePlaying();
  const [pace, setPace] = useState<Pace>("as");
  const [naming, setNaming] = useState(false);
  const way = shownWay(trail);
  const beginnings = otherBeginnings(trail);
  return (
    <aside aria-label="Trail" className="flex w-56 shrink-0 flex-col border-l border-rule bg-plate-0">
      <header className="flex items-baseline gap-2 px-3 pt-2.5 pb-1.5">
        <h2 className="text-[15px] font-bold">Trail</h2>
        <span className="truncate text-ink-2">press to go back</span>
      </header>
      <ol className="min-h-24 grow overflow-y-auto px-3 pb-2">
        {beginnings.length > 0 && (
          <li className="pb-1 pl-5">
            <OtherWays
              points={beginnings}
              says={(point) => `also at ${point.view.width} × ${point.view.height}: ${pointSays(frame, point)}`}
            />
          </li>
        )}
        {way.map((shown, i) => (
          <Point key={shown.point.id} frame={frame} shown={shown} isLast={i === way.length - 1} />
        ))}
      </ol>
      <div className="flex flex-col gap-2 border-t border-rule px-3 py-2">
        <div className="flex items-center gap-1">
          {playing.playing?.what === "trail" ? (
            <Button className="grow justify-center" onClick={playing.stop}>
              Stop at {playing.playing.at} of {playing.playing.of}
            </Button>
          ) : (
            <Button className="grow justify-center" disabled={way.length < 2} onClick={() => playing.playTrail(pace)}>
              Play again
            </Button>
          )}
          <Select label="How fast it is played" value={pace} options={paces} onChange={setPace} />
        </div>
        {naming ? (
          <KeepLine frame={frame} onDone={() => (setNaming(false), returnTo("keep-journey"))} />
        ) : (
          <Button data-return="keep-journey" disabled={way.length < 2} onClick={() => setNaming(true)}>
            Keep as journey
          </Button>
        )}
      </div>
      <Journeys frame={frame} playing={playing} pace={pace} />
    </aside>
  );
}

function Point({ frame, shown, isLast }: { frame: Frame; shown: ShownPoint; isLast: boolean }) {
  const { live } = useOpenFrame();
  const { point, isAt, isAhead, others } = shown;
  const [reason] = reasonsTold(point.reasons);
  return (
    <li className="relative pb-1.5 pl-5">
      {!isLast && <span aria-hidden className="absolute top-3 bottom-[-8px] left-[5px] w-0.5 bg-rule" />}
      <span
        aria-hidden
        className={`absolute top-1.5 left-0 size-3 rounded-full border-2 ${isAt ? "border-petrol bg-petrol" : "border-ink-2 bg-plate-2"}`}
      />
      <button
        type="button"
        data-point={point.id}
        aria-current={isAt ? "step" : undefined}
        className={`block w-full rounded-sm text-left leading-tight hover:underline ${isAt ? "font-semibold text-petrol" : isAhead ? "text-ink-2" : ""}`}
        onClick={() => live.goTo(point.id)}
      >
        {pointSays(frame, point)}
        {reason && <span className="line-clamp-2 text-[12px] font-normal text-ink-2">{reason}</span>}
      </button>
      <OtherWays points={others} says={(point) => `another way: ${pointSays(frame, point)}`} />
    </li>
  );
}

function OtherWays({ points, says }: { points: readonly TrailPoint[]; says: (point: TrailPoint) => string }) {
  const { live } = useOpenFrame();
  return points.map((point) => (
    <button
      key={point.id}
      type="button"
      data-other-way={point.id}
      className="block min-h-6 w-full truncate rounded-sm text-left text-[12px] text-petrol hover:underline"
      title={says(point)}
      onClick={() => live.goTo(point.id)}
    >
      + {says(point)}
    </button>
  ));
}

/** Keeps the way from a launch to where the device is as a journey of the frame; what is refused stays in the line with the reason. */
function KeepLine({ frame, onDone }: { frame: Frame; onDone: () => void }) {
  const { editing, live } = useOpenFrame();
  const wayHere = () => {
    const { trail } = live.get();
    return wayTo(trail, trail.at);
  };
  const wrong = (name: string): string | null => {
    const [first] = wayHere();
    if (first && !isLaunch(first.frame, first.view, first.state))
      return "this way does not begin at a launch: start the device over, and go it again";
    return wrongEmpty(name);
  };
  const keep = (name: string) => {
    const [first, ...rest] = wayHere();
    if (!first) return;
    const steps = rest.flatMap(({ event, seenIn, view, state }) => (event ? [{ event, seenIn, view, state }] : []));
    const journey = journeyOf(frame, freeJourneyId(frame, name), name.slice(0, 120), first, steps);
    void editing.edit(
      { kind: "setFrame", key: "journeys", value: [...(frame.journeys ?? []), journey] },
      `Keep the journey ${name}`,
    );
  };
  return (
    <TextLine
      autoFocus
      aria-label="Name of the journey"
      placeholder="what it shows"
      value=""
      wrong={wrong}
      onDone={keep}
      onLeave={onDone}
    />
  );
}
