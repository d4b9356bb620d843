import { Popover } from "radix-ui";
import { type KeyboardEvent, useState } from "react";
import {
  applyEdit,
  classIn,
  lookOf,
  type Cell,
  type Frame,
  type GridCell,
  type Id,
  optionsOfForm,
  type SlotForm,
  valueWords,
  variedEdit,
  type View,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { usePoints } from "../../app/use-points.js";
import { pictureStates } from "../../device/picture-states.js";
import { CellField } from "../../parts/cell-field.js";
import { PopBox } from "../../parts/pop-box.js";
import { TinyArrangement } from "./tiny-arrangement.js";

export interface LookCellProps {
  frame: Frame;
  id: Id | null;
  /** What the row is about, in words. */
  name: string;
  slot: SlotForm;
  cell: GridCell;
  /** Where it is, in words. */
  place: string;
  view: View;
  column: number;
  row: number;
}

const splitWords: Readonly<Record<string, string>> = { true: "side by side", false: "one at a time" };

/** A value in words; of a pair whether its panes stand side by side, said or not. */
const wordsOf = (slot: SlotForm, value: unknown): string =>
  slot.slot === "split" ? (splitWords[String(value)] ?? "") : valueWords(slot, value);

/** What holds in a cell; of a pair whether its panes stand side by side there, said or not. */
const valueIn = (
  frame: Frame,
  id: Id | null,
  { slot, fallback }: SlotForm,
  { band, target, short, value }: GridCell,
) =>
  slot === "split" && id !== null
    ? lookOf(frame, id, classIn(frame, band, target, short ?? false)).split
    : (value ?? fallback);

/** The same in words. */
const wordOf = (frame: Frame, id: Id | null, slot: SlotForm, cell: GridCell): string => {
  const value = valueIn(frame, id, slot, cell);
  return value === null || value === undefined ? "as usual" : wordsOf(slot, value);
};

const cellOf = ({ target, band, short }: GridCell): Cell => ({ target, band, ...(short && { short }) });

/** One cell of what differs by view: as it is arranged there, with its word; pressed, it is set in place. */
export function LookCell(props: LookCellProps) {
  const { frame, id, name, slot, cell, place, view, column, row } = props;
  const { sizes } = useOpenFrame();
  const [open, setOpen] = useState(false);
  const word = wordOf(frame, id, slot, cell);
  const close = (next: boolean) => {
    setOpen(next);
    if (!next) sizes.tryOut(null);
  };
  return (
    <Popover.Root open={open} onOpenChange={close}>
      <Popover.Trigger
        data-cell={`${row} ${column}`}
        data-here={cell.here || undefined}
        aria-label={`${name} at ${place}: ${word}, ${cell.here ? "set here" : cell.from}`}
        title={cell.here ? "set here" : cell.from}
        className={`flex h-11 w-full min-w-0 items-center gap-2 rounded-sm border px-1.5 text-left ${open ? "border-petrol bg-petrol-soft" : "border-transparent hover:border-field hover:bg-plate-1"}`}
      >
        {id !== null && <Arranged frame={frame} id={id} view={view} />}
        <span className={`min-w-0 grow truncate ${cell.here ? "font-semibold" : "text-ink-2"}`}>{word}</span>
        {cell.here && <span aria-hidden className="size-1.5 shrink-0 rounded-full bg-petrol" />}
      </Popover.Trigger>
      <PopBox label={`${name} at ${place}`} side="right" className="flex w-72 flex-col gap-1 p-2">
        <p className="px-1 pb-1">
          <b className="font-semibold">{name}</b> <span className="text-ink-2">{place}</span>
        </p>
        <Options {...props} onDone={() => close(false)} />
      </PopBox>
    </Popover.Root>
  );
}

/** What a value would make of the frame; looking at it on the devices of its views, and making it so. */
const useSetting = ({ frame, id, name, slot, cell, place, onDone }: OptionsProps) => {
  const { editing, sizes } = useOpenFrame();
  const cells = [cellOf(cell)];
  const tried = (value: unknown): Frame => {
    const result = applyEdit(frame, variedEdit(id, slot.slot, cells, value));
    return result.ok ? result.frame : frame;
  };
  const look = (value: unknown) => sizes.tryOut({ frame: tried(value), cell: cellOf(cell) });
  const lookAway = () => sizes.tryOut(null);
  const set = (value: unknown, says: string) => {
    lookAway();
    void editing.edit(variedEdit(id, slot.slot, cells, value), `${name}: ${says} at ${place}`);
    onDone();
  };
  return { tried, look, lookAway, set };
};

interface OptionsProps extends LookCellProps {
  onDone: () => void;
}

/** Goes among the options of a list by arrows, which stand two in a line. */
const stepAmong = (event: KeyboardEvent<HTMLElement>) => {
  const by = { ArrowDown: 2, ArrowUp: -2, ArrowRight: 1, ArrowLeft: -1 }[event.key];
  if (by === undefined) return;
  event.preventDefault();
  event.stopPropagation();
  const buttons = [...event.currentTarget.querySelectorAll("button")];
  const at = buttons.findIndex((button) => button === document.activeElement);
  buttons[(at + by + buttons.length) % buttons.length]?.focus();
};

/** The values it may have there: what points at one sees it on the devices of these views, what presses it sets it. */
function Options(props: OptionsProps) {
  const { frame, id, name, slot, cell, place, view } = props;
  const { tried, look, lookAway, set } = useSetting(props);
  const options = optionsOfForm(slot.form);
  if (options.length === 0)
    return (
      <CellField
        frame={frame}
        slot={slot}
        label={`${name} at ${place}`}
        value={cell.value}
        mixed={cell.mixed}
        here={cell.here}
        onSet={set}
      />
    );
  const now = valueIn(frame, id, slot, cell);
  return (
    <ul className="grid grid-cols-2" onKeyDown={stepAmong} onPointerLeave={lookAway}>
      {options.map(({ value, is }) => (
        <li key={value}>
          <button
            type="button"
            data-option={value}
            aria-pressed={is === now}
            className="flex h-10 w-full items-center gap-2.5 rounded-sm px-1.5 text-left hover:bg-petrol-soft focus-visible:bg-petrol-soft aria-pressed:font-semibold"
            onPointerEnter={() => look(is)}
            onFocus={() => look(is)}
            onClick={() => set(is, wordsOf(slot, is))}
          >
            {id !== null && <Trial frame={tried(is)} id={id} view={view} />}
            {wordsOf(slot, is)}
          </button>
        </li>
      ))}
    </ul>
  );
}

function Trial({ frame, id, view }: { frame: Frame; id: Id; view: View }) {
  return (
    <span className="grid w-13 place-items-center">
      <Arranged frame={frame} id={id} view={view} />
    </span>
  );
}

/** A node as it is arranged where one comes to it. */
function Arranged({ frame, id, view }: { frame: Frame; id: Id; view: View }) {
  const points = usePoints(frame, view);
  return <TinyArrangement frame={frame} state={pictureStates(points)({ id })} view={view} of={id} />;
}
