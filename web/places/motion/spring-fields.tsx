import { type ReactNode, useState } from "react";
import { measure, type Spring, springFor, type Track, trackMs } from "../../../core/index.js";
import { Choice } from "../../parts/choice.js";
import { NumberLine, type NumberLineProps } from "./number-line.js";
import { roundedSpring } from "./track-edits.js";

export interface SpringFieldsProps {
  spring: Spring;
  track: Track;
  onPut: (spring: Spring, what: string) => void;
}

/** A spring by what is meant: when it has settled and how far it goes beyond; or by its physics. */
export function SpringFields(props: SpringFieldsProps) {
  const [by, setBy] = useState<"meant" | "physics">("meant");
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
      {by === "meant" ? <Meant {...props} /> : <Physics {...props} />}
    </>
  );
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_104px] items-center gap-2">
      <span className="text-ink-2">{label}</span>
      {children}
    </div>
  );
}

function Meant({ spring, track, onPut }: SpringFieldsProps) {
  const settle = trackMs(track);
  const alone = { incoming: [track], outgoing: [], above: "incoming" as const };
  const { overshoot } = measure({ name: "", forward: alone, back: "mirror" });
  const wish = (wanted: { settle: number; overshoot: number }, what: string) =>
    onPut(roundedSpring(springFor(wanted, spring.mass)), what);
  return (
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
        mass {spring.mass} · stiffness {Math.round(spring.stiffness)} · damping {Math.round(spring.damping * 10) / 10}
      </p>
    </>
  );
}

/** What a spring is made of: each with its bounds, and how it is said that it was set. */
const physics: readonly ({ key: keyof Spring; row: string; says: string } & Pick<
  NumberLineProps,
  "label" | "least" | "most" | "step"
>)[] = [
  { key: "mass", label: "Mass", row: "mass", says: "has the mass", least: 0.01, most: 100, step: 0.1 },
  {
    key: "stiffness",
    label: "Stiffness",
    row: "stiffness",
    says: "has the stiffness",
    least: 0.1,
    most: 100_000,
    step: 10,
  },
  { key: "damping", label: "Damping", row: "damping", says: "has the damping", least: 0.1, most: 10_000, step: 1 },
  {
    key: "velocity",
    label: "Begins with a speed of",
    row: "begins at, travels/s",
    says: "begins at a speed of",
    least: -100,
    most: 100,
    step: 1,
  },
];

function Physics({ spring, onPut }: SpringFieldsProps) {
  const set = (key: keyof Spring, value: number, what: string) => {
    const { velocity, ...still } = { ...spring, [key]: value };
    onPut(velocity ? { ...still, velocity } : still, what);
  };
  return physics.map(({ key, row, says, ...field }) => (
    <Row key={key} label={row}>
      <NumberLine {...field} value={spring[key] ?? 0} onDone={(value) => set(key, value, `${says} ${value}`)} />
    </Row>
  ));
}
