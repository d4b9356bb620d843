import { Popover } from "radix-ui";
import { useMemo, useState } from "react";
import {
  type Fate,
  type Frame,
  mendsOf,
  nameOf,
  type State,
  type SurvivalCell,
  type SurvivalMend,
  type SurvivalRow,
  type View,
  whyOf,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { Button } from "../../parts/button.js";
import { Icon } from "../../parts/icon.js";
import { PopBox } from "../../parts/pop-box.js";

export interface SurvivalCellProps {
  frame: Frame;
  view: View;
  state: State;
  rows: readonly SurvivalRow[];
  row: SurvivalRow;
  cell: SurvivalCell;
  /** Where it was lost, or where the person is now. */
  says: string;
}

const looks: Readonly<Record<Fate, { icon: string; word: string; tone: string }>> = {
  kept: { icon: "check", word: "kept", tone: "" },
  lost: { icon: "x", word: "lost", tone: "bg-clay-soft" },
  moved: { icon: "arrow-right", word: "moved", tone: "bg-plate-0" },
  asked: { icon: "question", word: "asked", tone: "bg-petrol-soft" },
  none: { icon: "", word: "none there", tone: "" },
};

/** What becomes of one piece; pressed, why, and the settings that would change it. */
export function SurvivalCellButton(props: SurvivalCellProps) {
  const { row, cell, says } = props;
  const { icon, word, tone } = looks[cell.fate];
  if (cell.fate === "none")
    return (
      <td className="border-b border-l border-rule px-2 text-ink-2" data-fate="none" data-piece={cell.piece}>
        {word}
      </td>
    );
  return (
    <td className={`border-b border-l border-rule p-0 ${tone}`} data-fate={cell.fate} data-piece={cell.piece}>
      <Popover.Root>
        <Popover.Trigger
          aria-label={`${row.says}, ${cell.piece}: ${word} ${says}`}
          className="flex h-9.5 w-full items-center gap-2 px-2 text-left hover:outline-2 hover:-outline-offset-2 hover:outline-petrol data-[state=open]:outline-2 data-[state=open]:-outline-offset-2 data-[state=open]:outline-petrol"
        >
          <Icon name={icon} size={15} className={`shrink-0 ${cell.fate === "lost" ? "text-clay" : ""}`} />
          <span className="min-w-0 leading-tight">
            <span className={cell.fate === "kept" ? "" : "font-semibold"}>{word}</span>{" "}
            {says && (
              <span className={`block truncate text-[12px] ${cell.fate === "lost" ? "" : "text-ink-2"}`}>{says}</span>
            )}
          </span>
        </Popover.Trigger>
        <PopBox label={`${row.says}, ${cell.piece}`} side="bottom" className="flex w-82 flex-col gap-2 p-3">
          <Why {...props} />
        </PopBox>
      </Popover.Root>
    </td>
  );
}

/** The engine's reasons, what was lost, and what would change it. */
function Why(props: SurvivalCellProps) {
  const { frame, state, row, cell } = props;
  const { live } = useOpenFrame();
  const why = useMemo(() => whyOf(frame, row, cell), [frame, row, cell]);
  // where a screen asks, the person answers
  const asks = row.steps.findIndex(({ after }) => after.state.asking !== null);
  const events = asks < 0 ? row.events : row.steps.slice(0, asks + 1).map(({ event }) => event);
  const otherwise = cell.fate === "kept" ? "All of it is as it was." : "The person is elsewhere.";
  return (
    <>
      <div className="flex flex-col gap-1">
        {(why.length > 0 ? why : [otherwise]).map((each, i) => (
          <p key={i} className={i === 0 ? "" : "text-ink-2"}>
            {each}
          </p>
        ))}
      </div>
      {cell.lost.length > 0 && (
        <ul className="max-h-24 overflow-auto rounded-sm bg-plate-1 px-2 py-1 text-[12px]">
          {cell.lost.map(({ key, node, params, says }) => (
            <li key={key} className="truncate">
              <b className="font-semibold">{nameOf(frame, node, params)}</b> {says}
            </li>
          ))}
        </ul>
      )}
      <Mends {...props} />
      <Popover.Close asChild>
        <Button tone="quiet" className="self-start" onClick={() => live.goAlong(state, events)}>
          Do it on the device
        </Button>
      </Popover.Close>
    </>
  );
}

/** The settings that make it better, each with what else it changes. */
function Mends({ frame, view, state, rows, row, cell }: SurvivalCellProps) {
  const { editing } = useOpenFrame();
  const [refused, setRefused] = useState<string | null>(null);
  const mends = useMemo(
    () => mendsOf(frame, view, state, rows, row, cell.piece),
    [frame, view, state, rows, row, cell],
  );
  const make = ({ edit, label }: SurvivalMend) => {
    const faults = editing.edit(edit, label);
    setRefused(faults ? faults.map(({ remedy }) => remedy).join(" ") : null);
  };
  if (mends.length === 0)
    return cell.fate === "kept" ? null : (
      <p className="text-[12px] text-ink-2">No single setting keeps it: it goes with the screen itself.</p>
    );
  return (
    <>
      {mends.map((mend, i) => (
        <div key={mend.label} className="flex items-center gap-2" data-mend>
          <Button tone={i === 0 ? "strong" : "plain"} onClick={() => make(mend)}>
            {mend.label}
          </Button>
          <span className="text-[12px] leading-tight text-ink-2">
            {mend.fate}; {mend.elsewhere} other {mend.elsewhere === 1 ? "cell" : "cells"} too
          </span>
        </div>
      ))}
      {refused && <p className="text-clay">! {refused}</p>}
    </>
  );
}
