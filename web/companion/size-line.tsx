import { bandAt, bandsOf, type Frame, targetIn, targetsOf, usualSize, type View } from "../../core/index.js";
import { useOpenFrame } from "../app/open-frame.js";
import { Choice } from "../parts/choice.js";

export interface SizeLineProps {
  frame: Frame;
  view: View;
  /** Every target has a device of its own. */
  all: boolean;
}

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
        onChange={(band) => live.setView(usualSize(frame, band))}
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
