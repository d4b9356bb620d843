import { type Ease, type Motion, shapeOf, type Track } from "../../../core/index.js";
import { CurveField } from "./curve-field.js";
import { trackProperties } from "./motion-words.js";
import { NumberLine } from "./number-line.js";
import { SpringFields } from "./spring-fields.js";
import { type TrackPlace, withTrack } from "./track-edits.js";

export interface EasePanelProps {
  motion: Motion;
  chosen: TrackPlace | null;
  onTry: (motion: Motion) => void;
  onPut: (motion: Motion, label: string) => void;
}

const trackAt = (motion: Motion, place: TrackPlace | null): Track | undefined =>
  place ? shapeOf(motion, place.toward)[place.layer].find(({ property }) => property === place.property) : undefined;

/** The ease of the track that is chosen: its own curve, its spring, its steps. */
export function EasePanel({ motion, chosen, onTry, onPut }: EasePanelProps) {
  const track = trackAt(motion, chosen);
  if (!track || !chosen) return <p className="w-56 shrink-0 p-3 text-ink-2">Choose a track to shape its ease.</p>;
  const { ease } = track;
  const name = `${chosen.layer} ${trackProperties[chosen.property].label}`;
  const put = (next: Ease, what: string) => onPut(withTrack(motion, chosen, { ease: next }), `${name} ${what}`);
  const tryOut = (next: Ease) => onTry(withTrack(motion, chosen, { ease: next }));
  return (
    <section
      aria-label={`Ease of ${name}`}
      className="flex w-64 shrink-0 flex-col gap-1.5 overflow-auto border-l border-rule p-2.5"
    >
      {ease === "linear" ? (
        <p className="text-ink-2">{name} goes evenly. Take another ease in its row to shape it.</p>
      ) : "spring" in ease ? (
        <SpringFields spring={ease.spring} track={track} onPut={(spring, what) => put({ spring }, what)} />
      ) : "bezier" in ease ? (
        <CurveField
          name={name}
          bezier={ease.bezier}
          onTry={(bezier) => tryOut({ bezier })}
          onPut={(bezier) => put({ bezier }, "goes by a curve of its own")}
        />
      ) : (
        <label className="flex items-center gap-2">
          <span className="grow">steps</span>
          <NumberLine
            label="How many steps"
            className="w-20"
            value={ease.steps}
            least={1}
            most={1000}
            onDone={(steps) => put({ steps: Math.round(steps) }, `goes in ${Math.round(steps)} steps`)}
          />
        </label>
      )}
    </section>
  );
}
