import { type Band, bandsOf, type Frame, lastOf } from "../../../../core/index.js";
import { Button } from "../../../parts/button.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { Fields, Line } from "../bench/group.js";
import { changedIn, idAmong, useSetFrame } from "./use-set-frame.js";

/** The ranges of width that the app knows, and when it is low. */
export function WidthGroup({ frame }: { frame: Frame }) {
  const set = useSetFrame();
  const bands = bandsOf(frame);
  return (
    <>
      <p className="pb-1.5 text-ink-2">
        Ranges of width, each by where it begins: every property can differ from one to another.
      </p>
      <Fields>
        {bands.map((band) => (
          <BandRow
            key={band.id}
            band={band}
            onFrom={(from) => set("bands", changedIn(bands, band.id, { from }), `${band.id} from ${from} px`)}
            onTakeOut={() =>
              set(
                "bands",
                bands.filter(({ id }) => id !== band.id),
                `Without ${band.id}`,
              )
            }
          />
        ))}
        <Button
          icon="plus"
          className="mb-2"
          onClick={() => {
            const from = lastOf(bands).from + 320;
            set("bands", [...bands, { id: idAmong(frame, "wide", bands), from }], `Add a band from ${from} px`);
          }}
        >
          Add a band
        </Button>
        <Line label="A view is low from">
          <TextLine
            inputMode="numeric"
            className="w-20!"
            aria-label="A view lower than this is low, px"
            placeholder="never"
            wrong={wrongWhole(1, 10_000, true)}
            value={frame.short === undefined ? "" : String(frame.short)}
            onDone={(text) => set("short", text.trim() === "" ? undefined : Number(text), `low under ${text} px`)}
          />
          <span className="text-ink-2">px of height down</span>
        </Line>
      </Fields>
    </>
  );
}

interface BandRowProps {
  band: Band;
  onFrom: (from: number) => void;
  onTakeOut: () => void;
}

/** One range of width, by where it begins; the first begins at 0 and is always there. */
function BandRow({ band, onFrom, onTakeOut }: BandRowProps) {
  return (
    <div className="flex break-inside-avoid items-center gap-1.5 pb-1.5">
      <span className="mono min-w-14 shrink-0 text-[12px] text-ink-2">{band.id}</span>
      <span>from</span>
      <TextLine
        inputMode="numeric"
        className="w-20!"
        aria-label={`Where ${band.id} begins, px`}
        disabled={band.from === 0}
        value={String(band.from)}
        wrong={wrongWhole(1, 10_000)}
        onDone={(text) => onFrom(Number(text))}
      />
      <span className="text-ink-2">px</span>
      <Button
        tone="quiet"
        icon="x"
        aria-label={`Take out the band ${band.id}`}
        disabled={band.from === 0}
        onClick={onTakeOut}
      />
    </div>
  );
}
