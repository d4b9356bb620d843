import { type LayerName, type Motion, shapeOf, type Toward } from "../../../core/index.js";
import { Button } from "../../parts/button.js";
import { Choice } from "../../parts/choice.js";
import { Select } from "../../parts/select.js";
import { trackProperties } from "./motion-words.js";
import type { StageTime } from "./stage-time.js";
import { freeProperties, type TrackPlace, withAbove, withNewTrack } from "./track-edits.js";
import { columns, TrackRow } from "./track-row.js";

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
/** The tracks of a motion as rows: by number, and by dragging their bar along the time. */
export function TrackTable(props: TrackTableProps) {
  const { motion, toward } = props;
  const shape = shapeOf(motion, toward);
  return (
    <section aria-label="Tracks" className="flex min-w-0 grow flex-col gap-1 overflow-auto px-3.5 py-2">
      <TrackHead {...props} />
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

/** Which way the tracks are of, which layer lies above, and one track more. */
function TrackHead({ motion, toward, onToward, onPut }: TrackTableProps) {
  const shape = shapeOf(motion, toward);
  const isMirror = toward === "back" && motion.back === "mirror";
  const free = layers.flatMap((layer) => freeProperties(shape, layer).map((property) => ({ layer, property })));
  return (
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
          <Button onClick={() => onPut({ ...motion, back: "mirror" }, "goes back by the mirror")}>By the mirror</Button>
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
  );
}
