import { sure } from "../../../../core/index.js";
import type { Frame } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { Picker } from "../../../parts/picker.js";
import { addKinds } from "../acting/add-kinds.js";
import type { Planned } from "../acting/edits.js";

export interface AddPickerProps {
  frame: Frame;
  chosen: Chosen | null;
  onAdd: (planned: Planned) => void;
  onLeave: (how: "escape" | "elsewhere") => void;
}

/** Adds anything by typing what it is. */
export function AddPicker({ frame, chosen, onAdd, onLeave }: AddPickerProps) {
  return (
    <span className="w-64 shrink-0">
      <Picker
        label="Add"
        placeholder="Add a screen, tabs, a pair, a sheet …"
        autoFocus
        options={addKinds.map(({ id, label, says }) => ({ value: id, label, says }))}
        onPick={(id) => {
          onLeave("elsewhere");
          onAdd(sure(addKinds.find((kind) => kind.id === id)).plan(frame, chosen ?? { id: frame.root, parent: null }));
        }}
        onLeave={onLeave}
      />
    </span>
  );
}
