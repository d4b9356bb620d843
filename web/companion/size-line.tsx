import { bandAt, bandsOf, type Frame, sure, targetIn, targetsOf, type View } from "../../core/index.js";
import { useOpenFrame } from "../app/open-frame.js";
import { Choice } from "../parts/choice.js";

export interface SizeLineProps {
  frame: Frame;
  view: View;
  /** Every target has a device of its own. */
  all: boolean;
}

/** A usual width of each band from the narrowest on, px. */
const usual = [390, 700, 1100];
/** How high such a device is, px for each px of its width. */
const aspects = [844 / 390, 1.2, 0.72];

/** A usual size within a band, px. */
const sizeIn = (frame: Frame, band: string): Pick<View, "width" | "height"> => {
  const bands = bandsOf(frame);
  const i = bands.findIndex(({ id }) => id === band);
  const { from } = sure(bands[i]);
  const next = bands[i + 1]?.from ?? Infinity;
  const nth = Math.min(i, 2);
  const width = Math.max(from, Math.min(sure(usual[nth]), next - 1)) || sure(usual[0]);
  return { width, height: i === 0 ? 844 : Math.round(width * sure(aspects[nth])) };
};

/** How large the device is, and how Back works there. */
export function SizeLine({ frame, view, all }: SizeLineProps) {
  const { live } = useOpenFrame();
  const targets = targetsOf(frame);
  return (
    <div className="flex items-center justify-between gap-2">
      <Choice
        label="Size of the device"
        value={bandAt(frame, view.width).id}
        options={bandsOf(frame).map(({ id }) => ({ value: id, label: id }))}
        onChange={(band) => live.setView(sizeIn(frame, band))}
      />
      {targets.length > 1 && (
        <select
          aria-label="Target: how Back works on the device"
          className="h-7 min-w-0 rounded-sm border border-field bg-plate-2 px-1"
          value={all ? "*" : targetIn(frame, view).id}
          onChange={({ target: { value } }) => {
            live.showAllTargets(value === "*");
            if (value !== "*") live.setView({ target: value });
          }}
        >
          {targets.map(({ id, label }) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
          <option value="*">All, side by side</option>
        </select>
      )}
    </div>
  );
}
