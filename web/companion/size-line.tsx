import {
  bandAt,
  bandsOf,
  devicePreset,
  devicePresets,
  equal,
  type Frame,
  noInsets,
  targetIn,
  targetsOf,
  usualSize,
  type View,
} from "../../core/index.js";
import { useOpenFrame } from "../app/open-frame.js";
import { Choice } from "../parts/choice.js";
import { Select } from "../parts/select.js";

export interface SizeLineProps {
  frame: Frame;
  view: View;
  /** Every target has a device of its own. */
  all: boolean;
}

/** A device with nothing of its own. */
const plain = { insets: noInsets, hinge: null, cuts: [] };

/** Devices by their sizes, each with what such a device has of its own. */
function PresetSelect({ view }: { view: View }) {
  const { live } = useOpenFrame();
  const now = devicePresets.find(({ width, height, insets }) => equal({ width, height, insets }, sizeOf(view)));
  return (
    <Select
      label="A device with its own strips, holes and folds"
      className="w-28 min-w-0"
      value={now?.id ?? ""}
      options={[
        { value: "", label: now ? "plain" : `${view.width} × ${view.height}` },
        ...devicePresets.map(({ id, label }) => ({ value: id, label })),
      ]}
      onChange={(id) => {
        const preset = devicePreset(id);
        const { width, height } = view;
        const { insets, hinge = null, cuts = [] } = preset ?? plain;
        live.setView({ width: preset?.width ?? width, height: preset?.height ?? height, insets, hinge, cuts });
      }}
    />
  );
}

const sizeOf = ({ width, height, insets }: View) => ({ width, height, insets });

/** How large the device is, and how Back works there. */
export function SizeLine({ frame, view, all }: SizeLineProps) {
  const { live } = useOpenFrame();
  const targets = targetsOf(frame);
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Choice
        label="Size of the device"
        value={bandAt(frame, view.width).id}
        options={bandsOf(frame).map(({ id }) => ({ value: id, label: id }))}
        onChange={(band) => live.setView({ ...usualSize(frame, band), ...plain })}
      />
      {!all && <PresetSelect view={view} />}
      {targets.length > 1 && (
        <select
          aria-label="Target: how Back works on the device"
          className="ml-auto h-7 min-w-28 grow basis-0 rounded-sm border border-field bg-plate-2 px-1"
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
