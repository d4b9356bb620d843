import { paces, setPace } from "../data/pace.js";
import { usePace } from "../device/motion/use-device-motion.js";
import { Select } from "../parts/select.js";

/** How fast devices move: as tuned, slowed down to be looked at, or at once. */
export function PaceSelect() {
  const pace = usePace();
  return (
    <Select
      label="How fast devices move"
      value={String(pace)}
      options={paces.map(({ pace: value, label }) => ({ value: String(value), label }))}
      onChange={(value) => setPace(paces.find((each) => String(each.pace) === value)?.pace ?? 1)}
    />
  );
}
