import { type ReactNode, useState } from "react";
import { type Action, actionSays, type Frame, type Id, plainName, placesOf, compact } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { Button } from "../../../parts/button.js";
import { IconPicker } from "../../../parts/icon-picker.js";
import { Select } from "../../../parts/select.js";
import { TextLine } from "../../../parts/text-line.js";
import { DoLines } from "./do-lines.js";
import { OnlyLines } from "./only-lines.js";

export interface ActionRowsProps {
  frame: Frame;
  from: Id;
  actions: readonly Action[];
  /** Where an action can stand; one place needs no choice. */
  places: readonly { value: Action["place"]; label: string }[];
  /** Its peg, and what it does to what can be seen. */
  peg: (action: Action) => { mark: string | null; effect: string };
  lit: string | null;
  onLit: (mark: string | null) => void;
  onChange: (actions: Action[], label: string) => void;
  onChoose: (chosen: Chosen) => void;
}

/** The mark of a way in a list: the same as its peg on the plan. */
function WayMark({ mark }: { mark: string | null }) {
  return mark === null ? (
    <span className="grid size-[19px] shrink-0 place-items-center text-ink-2">·</span>
  ) : (
    <span className="grid size-[19px] shrink-0 place-items-center rounded-full bg-petrol text-[11px] font-bold text-on-petrol">
      {mark}
    </span>
  );
}

/** One row of a list of ways, which lights its pegs. */
export function WayRow({
  mark,
  lit,
  onLit,
  children,
}: {
  mark: string | null;
  lit: string | null;
  onLit: (mark: string | null) => void;
  children: ReactNode;
}) {
  return (
    <li
      className={`flex flex-wrap items-center gap-x-1.5 gap-y-1 border-b border-rule py-1 last:border-b-0 ${mark !== null && lit === mark ? "bg-petrol-soft" : ""}`}
      onPointerEnter={() => mark !== null && onLit(mark)}
      onPointerLeave={() => onLit(null)}
    >
      <WayMark mark={mark} />
      {children}
    </li>
  );
}

/** What an action changes to; undefined takes a key out. */
type Changes = { [K in keyof Action]?: Action[K] | undefined };

/** Actions in a list: what each is called, what it does, what that comes to; more on asking. */
export function ActionRows(props: ActionRowsProps) {
  const { actions, peg, lit, onLit, onChange } = props;
  const [more, setMore] = useState<Id | null>(null);
  const put = (action: Action, changes: Changes | null, label: string) =>
    onChange(
      actions.flatMap((each) => {
        if (each.id !== action.id) return [each];
        return changes ? (compact<Action>({ ...each, ...changes }) ?? []) : [];
      }),
      label,
    );
  return actions.map((action) => {
    const { mark, effect } = peg(action);
    return (
      <WayRow key={action.id} mark={mark} lit={lit} onLit={onLit}>
        <ActionRow
          {...props}
          action={action}
          effect={effect}
          isOpen={more === action.id}
          onOpen={(is) => setMore(is ? action.id : null)}
          onPut={(changes, label) => put(action, changes, label)}
        />
      </WayRow>
    );
  });
}

interface ActionRowProps extends ActionRowsProps {
  action: Action;
  effect: string;
  isOpen: boolean;
  onOpen: (is: boolean) => void;
  /** Null takes it out. */
  onPut: (changes: Changes | null, label: string) => void;
}

function ActionRow(props: ActionRowProps) {
  const { action, places, effect, isOpen, onOpen, onPut } = props;
  return (
    <>
      <TextLine
        aria-label={`Label of the action ${action.id}`}
        className="w-24! shrink grow"
        value={action.label}
        onDone={(label) => onPut({ label: label.slice(0, 200) }, `action ${label}`)}
      />
      <LeadsTo {...props} />
      <Button
        tone="quiet"
        icon={isOpen ? "caret-up" : "caret-down"}
        className="h-6! w-6!"
        aria-expanded={isOpen}
        aria-label={`More about the action ${action.label}`}
        onClick={() => onOpen(!isOpen)}
      />
      <Button
        tone="quiet"
        icon="x"
        className="h-6! w-6!"
        aria-label={`Take out the action ${action.label}`}
        onClick={() => onPut(null, `without ${action.label}`)}
      />
      <span className="flex w-full items-center gap-1.5 pl-6">
        {places.length > 1 && (
          <Select
            label={`Where ${action.label} stands`}
            value={action.place}
            options={places}
            onChange={(place) => onPut({ place }, `${action.label} in the ${place}`)}
          />
        )}
        <span className="ml-auto min-w-0 truncate text-ink-2" title={effect}>
          {effect}
        </span>
      </span>
      {isOpen && <More {...props} />}
    </>
  );
}

/** What it does in a word; what it opens can be chosen. */
function LeadsTo({ frame, action, onChoose }: ActionRowProps) {
  const open = action.do.kind === "open" ? action.do : null;
  if (!open) return <span className="max-w-44 truncate font-medium">{actionSays(frame, action)}</span>;
  return (
    <button
      type="button"
      className="max-w-32 truncate font-medium hover:underline"
      title="Choose it on the plan"
      onClick={() => onChoose({ id: open.to, parent: placesOf(frame, open.to)[0] ?? null })}
    >
      → {plainName(frame, open.to)}
    </button>
  );
}

/** Everything else about it. */
function More({ frame, from, action, onPut }: ActionRowProps) {
  return (
    <span className="flex w-full flex-col gap-1.5 rounded-sm bg-plate-0 p-1.5">
      <span className="flex items-center gap-1.5">
        <span className="text-ink-2">icon</span>
        <IconPicker
          label={`Icon of ${action.label}`}
          value={action.icon}
          onPick={(icon) => onPut({ icon }, icon ? `icon ${icon}` : "no icon")}
        />
      </span>
      <DoLines
        frame={frame}
        from={from}
        action={action}
        onChange={(next, label) => onPut({ do: next }, `${action.label} ${label}`)}
      />
      <OnlyLines frame={frame} only={action.only} onChange={(only) => onPut({ only }, "where it is there")} />
    </span>
  );
}
