import {
  type Ease,
  type Motion,
  shapeOf,
  type Spring,
  springFor,
  type Track,
  trackMs,
  measure,
} from "../../../core/index.js";
import { Choice } from "../../parts/choice.js";
import { useState } from "react";
import { CurveField } from "./curve-field.js";
import { trackProperties } from "./motion-words.js";
import { NumberLine } from "./number-line.js";
import { roundedSpring, type TrackPlace, withTrack } from "./track-edits.js";

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

interface SpringFieldsProps {
  spring: Spring;
  track: Track;
  onPut: (spring: Spring, what: string) => void;
}

/** A spring by what is meant: when it has settled and how far it goes beyond; or by its physics. */
function SpringFields({ spring, track, onPut }: SpringFieldsProps) {
  const [by, setBy] = useState<"meant" | "physics">("meant");
  const settle = trackMs(track);
  const { overshoot } = measure({
    name: "",
    forward: { incoming: [track], outgoing: [], above: "incoming" },
    back: "mirror",
  });
  const wish = (wanted: { settle: number; overshoot: number }, what: string) =>
    onPut(roundedSpring(springFor(wanted, spring.mass)), what);
  const set = (change: Partial<Spring>, what: string) => {
    const next = { ...spring, ...change };
    const { velocity, ...still } = next;
    onPut(velocity ? next : still, what);
  };
  return (
    <>
      <div className="flex items-center justify-between gap-2">
        <h2 className="font-semibold">Spring</h2>
        <Choice
          label="A spring by"
          value={by}
          options={[
            { value: "meant", label: "meant", says: "by when it settles and how far it goes" },
            { value: "physics", label: "physics", says: "by mass, stiffness and damping" },
          ]}
          onChange={setBy}
        />
      </div>
      {by === "meant" ? (
        <>
          <Row label="settles in">
            <NumberLine
              label="Settles in"
              value={Math.round(settle * 10) / 10}
              unit="ms"
              least={40}
              most={10_000}
              step={10}
              onDone={(ms) => wish({ settle: ms, overshoot }, `settles in ${ms} ms`)}
            />
          </Row>
          <Row label="goes beyond by">
            <NumberLine
              label="Goes beyond by"
              value={Math.round(overshoot * 1000) / 10}
              unit="%"
              least={0}
              most={80}
              step={0.5}
              onDone={(share) => wish({ settle, overshoot: share / 100 }, `goes ${share} % beyond`)}
            />
          </Row>
          <p className="mono text-[11px] text-ink-2">
            mass {spring.mass} · stiffness {Math.round(spring.stiffness)} · damping{" "}
            {Math.round(spring.damping * 10) / 10}
          </p>
        </>
      ) : (
        <>
          <Row label="mass">
            <NumberLine
              label="Mass"
              value={spring.mass}
              least={0.01}
              most={100}
              step={0.1}
              onDone={(mass) => set({ mass }, `has the mass ${mass}`)}
            />
          </Row>
          <Row label="stiffness">
            <NumberLine
              label="Stiffness"
              value={spring.stiffness}
              least={0.1}
              most={100_000}
              step={10}
              onDone={(stiffness) => set({ stiffness }, `has the stiffness ${stiffness}`)}
            />
          </Row>
          <Row label="damping">
            <NumberLine
              label="Damping"
              value={spring.damping}
              least={0.1}
              most={10_000}
              onDone={(damping) => set({ damping }, `has the damping ${damping}`)}
            />
          </Row>
          <Row label="begins at, travels/s">
            <NumberLine
              label="Begins with a speed of"
              value={spring.velocity ?? 0}
              least={-100}
              most={100}
              onDone={(velocity) => set({ velocity }, `begins at ${velocity} travels a second`)}
            />
          </Row>
        </>
      )}
    </>
  );
}

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_104px] items-center gap-2">
      <span className="text-ink-2">{label}</span>
      {children}
    </div>
  );
}
