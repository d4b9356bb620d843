import { useMemo } from "react";
import { type Frame, type Journey, playJourney } from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { Button } from "../../parts/button.js";
import { type Pace, type usePlaying } from "./use-playing.js";

export interface JourneysProps {
  frame: Frame;
  playing: ReturnType<typeof usePlaying>;
  pace: Pace;
}

/** The journeys of the frame, each run anew at every change: what is seen otherwise than it was kept is told. */
export function Journeys({ frame, playing, pace }: JourneysProps) {
  const journeys = frame.journeys ?? [];
  if (journeys.length === 0) return null;
  return (
    <section aria-label="Journeys" className="flex max-h-56 flex-col overflow-y-auto border-t border-rule px-3 py-2">
      <h3 className="pb-1 font-bold">Journeys</h3>
      <ul>
        {journeys.map((journey) => (
          <Kept key={journey.id} frame={frame} journey={journey} playing={playing} pace={pace} />
        ))}
      </ul>
    </section>
  );
}

function Kept({ frame, journey, playing, pace }: JourneysProps & { journey: Journey }) {
  const { editing } = useOpenFrame();
  const played = useMemo(() => playJourney(frame, journey), [frame, journey]);
  const wrong = played.steps.findIndex(({ unlike }) => unlike.length > 0);
  const [unlike] = played.steps[wrong]?.unlike ?? [];
  const broken = played.broken
    ? `${played.broken.at < 0 ? "its view" : `step ${played.broken.at + 1}`}: ${played.broken.says}`
    : null;
  const says =
    broken ?? (unlike ? `step ${wrong + 1}: ${unlike.pointer} is ${unlike.received}, was ${unlike.expected}` : null);
  const isOn = playing.playing?.what === journey.id;
  const drop = () => {
    const rest = (frame.journeys ?? []).filter((each) => each !== journey);
    void editing.edit(
      { kind: "setFrame", key: "journeys", ...(rest.length && { value: rest }) },
      `Drop the journey ${journey.name}`,
    );
  };
  return (
    <li className="border-t border-rule py-1 first:border-t-0" data-journey={journey.id}>
      <div className="flex items-center gap-1">
        <button
          type="button"
          className="min-w-0 grow truncate text-left hover:underline"
          title={isOn ? "Stop it" : "Play it on the device"}
          onClick={() => (isOn ? playing.stop() : playing.playKept(frame, journey, pace))}
        >
          <b className="font-semibold">{journey.name}</b>{" "}
          <span className="text-[12px] text-ink-2">
            {isOn ? `${playing.playing?.at} of ${playing.playing?.of}` : `${journey.steps.length} steps`}
          </span>
        </button>
        <Button
          tone="quiet"
          icon="x"
          className="size-6!"
          aria-label={`Drop the journey ${journey.name}`}
          onClick={drop}
        />
      </div>
      <p className={`line-clamp-2 text-[12px] ${says ? "text-clay" : "text-ink-2"}`} title={says ?? ""}>
        {says ? `! ${says}` : "as it was kept"}
      </p>
    </li>
  );
}
