import { type Motion, type Track, trackMs } from "../../../core/index.js";
import { Select } from "../../parts/select.js";
import { easeKindOf, easeKinds, easeName, namedCurves, trackProperties } from "./motion-words.js";
import { NumberLine } from "./number-line.js";
import { TimeBar } from "./time-bar.js";
import type { StageTime } from "./stage-time.js";
import { easeOfKind, type TrackPlace, withoutTrack, withTrack } from "./track-edits.js";

/** The columns of the tracks, their heads too. */
export const columns =
  "grid grid-cols-[80px_58px_72px_72px_62px_70px_112px_minmax(90px,1fr)_24px] items-center gap-x-2";

const isSame = (a: TrackPlace | null, b: TrackPlace): boolean => a?.layer === b.layer && a.property === b.property;

export interface TrackRowProps {
  motion: Motion;
  track: Track;
  place: TrackPlace;
  chosen: TrackPlace | null;
  /** How long the whole motion takes, ms. */
  length: number;
  time: StageTime;
  onChoose: (place: TrackPlace) => void;
  onTry: (motion: Motion) => void;
  onPut: (motion: Motion, label: string) => void;
}

/** One track: its figures, its ease, and its bar along the time. */
export function TrackRow(props: TrackRowProps) {
  const { motion, track, place, chosen, length, time, onChoose, onTry, onPut } = props;
  const { label } = trackProperties[track.property];
  const name = `${place.layer} ${label}`;
  const put = (change: Partial<Track>, what: string) => onPut(withTrack(motion, place, change), `${name} ${what}`);
  const lasts = trackMs(track);
  return (
    <li
      data-track={`${place.layer} ${track.property}`}
      aria-current={isSame(chosen, place) || undefined}
      className={`${columns} rounded-sm ${isSame(chosen, place) ? "bg-petrol-soft" : ""}`}
      onFocus={() => onChoose(place)}
    >
      <span className="flex items-center gap-1.5 font-semibold">
        <span aria-hidden className={`h-4 w-1 ${place.layer === "incoming" ? "bg-petrol" : "bg-saffron"}`} />
        {place.layer}
      </span>
      <span>{label}</span>
      <Figures track={track} name={name} onPut={put} />
      <EaseSelect name={name} track={track} lasts={lasts} onEase={(ease, what) => put({ ease }, what)} />
      <TimeBar
        {...{ name, track, lasts, time, length }}
        colour={place.layer === "incoming" ? "petrol" : "saffron"}
        onTry={(change) => onTry(withTrack(motion, place, change))}
        onPut={(change) => put(change, "is drawn along the time")}
      />
      <button
        type="button"
        aria-label={`Take out ${name}`}
        className="grid size-6 place-items-center rounded-sm text-ink-2 hover:bg-plate-0"
        onClick={() => onPut(withoutTrack(motion, place), `takes out ${name}`)}
      >
        ×
      </button>
    </li>
  );
}

interface FiguresProps {
  track: Track;
  name: string;
  onPut: (change: Partial<Track>, what: string) => void;
}

/** From where to where a track goes, when it starts and how long it lasts. */
function Figures({ track, name, onPut }: FiguresProps) {
  const { unit, step, least, most } = trackProperties[track.property];
  const ends = { unit, step, least, most };
  const time = { least: 0, most: 10_000, step: 10 };
  return (
    <>
      <NumberLine
        {...ends}
        label={`${name} from`}
        value={track.from}
        onDone={(from) => onPut({ from }, `from ${from}`)}
      />
      <NumberLine {...ends} label={`${name} to`} value={track.to} onDone={(to) => onPut({ to }, `to ${to}`)} />
      <NumberLine
        {...time}
        label={`${name} starts after`}
        value={track.delay ?? 0}
        onDone={(delay) => onPut({ delay }, `starts after ${delay} ms`)}
      />
      {easeKindOf(track.ease) === "spring" ? (
        <span className="mono pl-1.5 text-[12px] text-ink-2" title="A spring lasts until it has settled">
          {Math.round(trackMs(track))}
        </span>
      ) : (
        <NumberLine
          {...time}
          label={`${name} lasts`}
          value={track.ms ?? 0}
          onDone={(ms) => onPut({ ms }, `lasts ${ms} ms`)}
        />
      )}
    </>
  );
}

interface EaseSelectProps {
  name: string;
  track: Track;
  lasts: number;
  onEase: (ease: Track["ease"], what: string) => void;
}

function EaseSelect({ name, track: { ease }, lasts, onEase }: EaseSelectProps) {
  const now = easeName(ease);
  const kinds: readonly { value: string; label: string }[] = [
    { value: "linear", label: "even" },
    ...namedCurves.map(({ id, label }) => ({ value: id, label })),
    { value: "bezier", label: "curve of its own" },
    { value: "spring", label: "spring" },
    { value: "steps", label: "steps" },
  ];
  const value = namedCurves.find(({ label }) => label === now)?.id ?? easeKindOf(ease);
  return (
    <Select
      label={`${name} ease`}
      className="w-full"
      value={value}
      options={kinds}
      onChange={(id) => {
        const named = namedCurves.find((each) => each.id === id);
        const next: Track["ease"] = named
          ? { bezier: [...named.bezier] }
          : easeOfKind(easeKinds.find((kind) => kind === id) ?? "linear", lasts);
        onEase(next, `goes ${named?.label ?? kinds.find((each) => each.value === id)?.label}`);
      }}
    />
  );
}
