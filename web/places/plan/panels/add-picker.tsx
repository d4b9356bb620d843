import { type Frame, type Id, nodeAt, sure } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { Picker } from "../../../parts/picker.js";
import { addKinds } from "../acting/add-kinds.js";
import type { Planned } from "../acting/edits.js";

export interface AddPickerProps {
  frame: Frame;
  chosen: Chosen | null;
  /** `from` is the screen that is to lead to what is added. */
  onAdd: (planned: Planned, from: Id | null) => void;
  onLeave: (how: "escape" | "elsewhere") => void;
}

/** Adds anything by typing what it is. */
export default function AddPicker({ frame, chosen, onAdd, onLeave }: AddPickerProps) {
  return (
    <span className="w-64 shrink-0">
      <Picker
        label="Add"
        placeholder="Add a screen, tabs, a pair, a sheet …"
        autoFocus
        options={addKinds.map(({ id, label, says }) => ({ value: id, label, says }))}
        onPick={(id) => {
          onLeave("elsewhere");
          const { plan, isSibling } = sure(addKinds.find((kind) => kind.id === id));
          const at = chosen ?? { id: frame.root, parent: null };
          onAdd(plan(frame, at), !isSibling && nodeAt(frame, at.id).kind === "screen" ? at.id : null);
        }}
        onLeave={onLeave}
      />
    </span>
  );
}
