import { type LayerName, type Motion, shapeOf, type Toward, type Track, trackMs } from "../../../core/index.js";
import { Button } from "../../parts/button.js";
import { Choice } from "../../parts/choice.js";
import { Select } from "../../parts/select.js";
import { type EaseKind, easeKindOf, easeName, namedCurves, trackProperties } from "./motion-words.js";
import { NumberLine } from "./number-line.js";
import { TimeBar } from "./time-bar.js";
import type { StageTime } from "./stage-time.js";
import {
  easeOfKind,
  freeProperties,
  type TrackPlace,
  withAbove,
  withNewTrack,
  withoutTrack,
  withTrack,
} from "./track-edits.js";

export interface TrackTableProps {
  motion: Motion;
  toward: Toward;
  time: StageTime;
  /** How long the whole motion takes, ms. */
  length: number;
  chosen: TrackPlace | null;
  onToward: (toward: Toward) => void;
  onChoose: (place: TrackPlace) => void;
  /** Shows a motion as it would be. */
  onTry: (motion: Motion) => void;
  /** Makes the motion so. */
  onPut: (motion: Motion, label: string) => void;
}

const layers: readonly LayerName[] = ["incoming", "outgoing"];
const columns = "grid grid-cols-[72px_62px_72px_72px_62px_70px_126px_minmax(90px,1fr)_24px] items-center gap-x-2";

/** The tracks of a motion as rows: by number, and by dragging their bar along the time. */
export function TrackTable(props: TrackTableProps) {
  const { motion, toward, onToward, onPut } = props;
  const shape = shapeOf(motion, toward);
  const isMirror = toward === "back" && motion.back === "mirror";
  const free = layers.flatMap((layer) => freeProperties(shape, layer).map((property) => ({ layer, property })));
  return (
    <section aria-label="Tracks" className="flex min-w-0 grow flex-col gap-1 overflow-auto px-3.5 py-2">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="font-semibold">Tracks</h2>
        <Choice
          label="Tracks of which way"
          value={toward}
          options={[
            { value: "forward", label: "forward" },
            { value: "back", label: motion.back === "mirror" ? "back: mirror" : "back: its own" },
          ]}
          onChange={onToward}
        />
        {toward === "back" &&
          (isMirror ? (
            <span className="text-ink-2">the same the other way round; change a row to write it out</span>
          ) : (
            <Button onClick={() => onPut({ ...motion, back: "mirror" }, "goes back by the mirror")}>
              By the mirror
            </Button>
          ))}
        <span className="grow" />
        <Select
          label="Which layer lies above"
          value={shape.above}
          options={[
            { value: "incoming", label: "incoming above" },
            { value: "outgoing", label: "outgoing above" },
          ]}
          onChange={(above) => onPut(withAbove(motion, toward, above), `the ${above} layer lies above`)}
        />
        {free.length > 0 && (
          <Select
            label="Add a track"
            value=""
            options={[
              { value: "", label: "+ track" },
              ...free.map(({ layer, property }) => ({
                value: `${layer} ${property}`,
                label: `${layer} ${trackProperties[property].label}`,
              })),
            ]}
            onChange={(value) => {
              const found = free.find(({ layer, property }) => `${layer} ${property}` === value);
              if (found) onPut(withNewTrack(motion, { toward, ...found }), `adds ${value}`);
            }}
          />
        )}
      </div>
      <div className={`${columns} text-[12px] text-ink-2`} aria-hidden>
        {["layer", "what", "from", "to", "starts", "lasts", "ease", "", ""].map((head, i) => (
          <span key={i}>{head}</span>
        ))}
      </div>
      <ul className="flex flex-col gap-1">
        {layers.flatMap((layer) =>
          shape[layer].map((track) => (
            <TrackRow
              key={`${layer} ${track.property}`}
              {...props}
              track={track}
              place={{ toward, layer, property: track.property }}
            />
          )),
        )}
      </ul>
      {shape.incoming.length + shape.outgoing.length === 0 && (
        <p className="text-ink-2">Nothing moves: add a track, such as incoming across.</p>
      )}
    </section>
  );
}

const isSame = (a: TrackPlace | null, b: TrackPlace): boolean => a?.layer === b.layer && a.property === b.property;

function TrackRow(props: TrackTableProps & { track: Track; place: TrackPlace }) {
  const { motion, track, place, chosen, length, time, onChoose, onTry, onPut } = props;
  const { label, unit, step } = trackProperties[track.property];
  const name = `${place.layer} ${label}`;
  const put = (change: Partial<Track>, what: string) => onPut(withTrack(motion, place, change), `${name} ${what}`);
  const kind = easeKindOf(track.ease);
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
      <NumberLine
        label={`${name} from`}
        value={track.from}
        unit={unit}
        step={step}
        onDone={(from) => put({ from }, `from ${from}`)}
      />
      <NumberLine
        label={`${name} to`}
        value={track.to}
        unit={unit}
        step={step}
        onDone={(to) => put({ to }, `to ${to}`)}
      />
      <NumberLine
        label={`${name} starts after`}
        value={track.delay ?? 0}
        least={0}
        most={10_000}
        step={10}
        onDone={(delay) => put({ delay }, `starts after ${delay} ms`)}
      />
      {kind === "spring" ? (
        <span className="mono pl-1.5 text-[12px] text-ink-2" title="A spring lasts until it has settled">
          {Math.round(lasts)}
        </span>
      ) : (
        <NumberLine
          label={`${name} lasts`}
          value={track.ms ?? 0}
          least={0}
          most={10_000}
          step={10}
          onDone={(ms) => put({ ms }, `lasts ${ms} ms`)}
        />
      )}
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
        const next = named
          ? { bezier: [...named.bezier] as [number, number, number, number] }
          : easeOfKind(id as EaseKind, lasts);
        onEase(next, `goes ${named?.label ?? kinds.find((each) => each.value === id)?.label}`);
      }}
    />
  );
}
