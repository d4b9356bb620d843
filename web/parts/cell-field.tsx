import { type Frame, nameOf, optionsOfForm, type SlotForm, motionAt, motionIds } from "../../core/index.js";
import { IconPicker } from "./icon-picker.js";
import { Select } from "./select.js";
import { TextLine } from "./text-line.js";
import { readHex, readRests, type Wrong, wrongHex, wrongRests, wrongWhole } from "./wrong.js";

export interface CellFieldProps {
  frame: Frame;
  slot: SlotForm;
  label: string;
  /** Undefined where nothing is said, or several nodes differ. */
  value: unknown;
  mixed: boolean;
  /** What is said for these views themselves stands out from what they take over. */
  here: boolean;
  onSet: (value: unknown, says: string) => void;
}

/** How a value that is written as a text is read. */
interface Written {
  text: (value: unknown) => string;
  read: (text: string) => unknown;
  wrong?: Wrong;
}

const plain: Written = { text: (value) => String(value ?? ""), read: (text) => text.slice(0, 200) || undefined };
const percent: Written = {
  text: (value) => String(Math.round(Number(value) * 100)),
  read: (text) => Number(text) / 100,
  wrong: wrongWhole(10, 90),
};
const rests: Written = {
  text: (value) => (Array.isArray(value) ? value.map((rest) => Math.round(Number(rest) * 100)).join(", ") : ""),
  read: readRests,
  wrong: wrongRests,
};
const heading: Written = {
  text: (value) => (typeof value === "object" && value && "title" in value ? String(value.title) : ""),
  read: (text) => (text ? { title: text.slice(0, 200) } : undefined),
};

const colour: Written = {
  text: (value) => String(value ?? ""),
  read: readHex,
  wrong: wrongHex,
};

const writtenAs = ({ slot, form }: SlotForm): Written => {
  if (slot === "rest") return rests;
  if (slot === "heading") return heading;
  if (form.sort === "number") return percent;
  if (form.sort === "colour") return colour;
  if (form.sort === "whole") return { text: plain.text, read: Number, wrong: wrongWhole(form.least, form.most) };
  return plain;
};

/** What of the frame a value names; undefined where it names nothing. */
const optionsIn = (frame: Frame, sort: SlotForm["form"]["sort"]) => {
  const named = (id: string, label: string) => ({ value: id, label, is: id });
  if (sort === "motion") return motionIds(frame).map((id) => named(id, motionAt(frame, id)?.name ?? id));
  if (sort !== "screen") return undefined;
  const screens = Object.keys(frame.nodes).filter((id) => frame.nodes[id]?.kind === "screen");
  return screens.map((id) => named(id, nameOf(frame, id)));
};

/** One cell of what differs by view: a control for its value, by its form. */
export function CellField({ frame, slot, label, value, mixed, here, onSet }: CellFieldProps) {
  const { form, fallback } = slot;
  const shown = value ?? fallback;
  const tone = here ? "font-semibold" : "border-transparent! bg-transparent! text-ink-2";
  if (form.sort === "icon")
    return (
      <IconPicker
        label={label}
        value={typeof value === "string" ? value : undefined}
        placeholder={mixed ? "different" : "none"}
        onPick={(icon) => onSet(icon, icon ?? "none")}
      />
    );
  const options = optionsIn(frame, form.sort) ?? optionsOfForm(form);
  if (options.length > 0) {
    const unset = fallback === null ? [{ value: "", label: "as usual", is: undefined }] : [];
    const all = [...(mixed ? [{ value: "\u0000", label: "different", is: undefined }] : []), ...unset, ...options];
    return (
      <Select
        label={label}
        className={`w-full ${tone}`}
        value={mixed ? "\u0000" : String(shown ?? "")}
        options={all}
        onChange={(next) => onSet(all.find((option) => option.value === next)?.is, next || "as usual")}
      />
    );
  }
  const { text, read, wrong } = writtenAs(slot);
  return (
    <TextLine
      aria-label={label}
      title={label}
      className={tone}
      value={mixed || shown === null ? "" : text(shown)}
      placeholder={mixed ? "different" : "as usual"}
      wrong={wrong}
      onDone={(typed) => onSet(read(typed), typed || "nothing")}
    />
  );
}
