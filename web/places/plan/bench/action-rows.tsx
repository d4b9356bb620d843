import { useState } from "react";
import {
  type Action,
  actionSays,
  compact,
  type Frame,
  type Id,
  onlySays,
  placesOf,
  plainName,
} from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { Button } from "../../../parts/button.js";
import { IconPicker } from "../../../parts/icon-picker.js";
import { Select } from "../../../parts/select.js";
import { TextLine } from "../../../parts/text-line.js";
import { DoLines } from "./do-lines.js";
import { Block, Fields, Line } from "./group.js";
import { OnlyLines } from "./only-lines.js";
import { WayRow } from "./way-row.js";

export interface ActionRowsProps {
  frame: Frame;
  from: Id;
  actions: readonly Action[];
  /** Where an action can stand; one place needs no choice. */
  places: readonly { value: Action["place"]; label: string }[];
  /** Its peg, and what it does to what can be seen. */
  peg: (action: Action) => { mark: string | null; effect: string };
  onChange: (actions: Action[], label: string) => void;
  onChoose: (chosen: Chosen) => void;
}

/** What an action changes to; undefined takes a key out. */
type Changes = { [K in keyof Action]?: Action[K] | undefined };

/** Actions in a list: what each is called, what it does, what that comes to; more on asking. */
export function ActionRows(props: ActionRowsProps) {
  const { actions, onChange } = props;
  const [more, setMore] = useState<Id | null>(null);
  const put = (action: Action, changes: Changes | null, label: string) =>
    onChange(
      actions.flatMap((each) => {
        if (each.id !== action.id) return [each];
        return changes ? (compact<Action>({ ...each, ...changes }) ?? []) : [];
      }),
      label,
    );
  return actions.map((action) => (
    <ActionRow
      key={action.id}
      {...props}
      action={action}
      isOpen={more === action.id}
      onOpen={(is) => setMore(is ? action.id : null)}
      onPut={(changes, label) => put(action, changes, label)}
    />
  ));
}

interface ActionRowProps extends ActionRowsProps {
  action: Action;
  isOpen: boolean;
  onOpen: (is: boolean) => void;
  /** Null takes it out. */
  onPut: (changes: Changes | null, label: string) => void;
}

function ActionRow(props: ActionRowProps) {
  const { frame, action, places, peg, isOpen, onOpen, onPut } = props;
  const { mark, effect } = peg(action);
  const only = onlySays(frame, action.only);
  return (
    <WayRow
      mark={mark}
      pressed={
        <TextLine
          aria-label={`Label of the action ${action.id}`}
          value={action.label}
          onDone={(label) => onPut({ label: label.slice(0, 200) }, `action ${label}`)}
        />
      }
      where={
        places.length > 1 && (
          <Select
            label={`Where ${action.label} stands`}
            className="w-full text-ink"
            value={action.place}
            options={places}
            onChange={(place) => onPut({ place }, `${action.label} in the ${place}`)}
          />
        )
      }
      to={<LeadsTo {...props} />}
      says={[effect, only && `there ${only}`].filter(Boolean).join(" · ")}
      more={
        <Button
          tone="quiet"
          icon={isOpen ? "caret-up" : "caret-down"}
          className="h-6.5! w-6.5!"
          aria-expanded={isOpen}
          aria-label={`More about the action ${action.label}`}
          title="How it opens, what it hands over, where it is there"
          onClick={() => onOpen(!isOpen)}
        />
      }
      away={
        <Button
          tone="quiet"
          icon="x"
          className="h-6.5! w-6.5!"
          aria-label={`Take out the action ${action.label}`}
          onClick={() => onPut(null, `without ${action.label}`)}
        />
      }
    >
      {isOpen && <More {...props} />}
    </WayRow>
  );
}

/** What it does in a word; what it opens can be chosen. */
function LeadsTo({ frame, action, onChoose }: ActionRowProps) {
  const open = action.do.kind === "open" ? action.do : null;
  if (!open) return <span className="font-medium">{actionSays(frame, action)}</span>;
  return (
    <button
      type="button"
      className="text-left font-medium hover:underline"
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
    <div className="mt-1 mb-1 rounded-sm bg-plate-0 p-2 pb-0">
      <Fields>
        <Line label="Icon">
          <IconPicker
            label={`Icon of ${action.label}`}
            value={action.icon}
            onPick={(icon) => onPut({ icon }, icon ? `icon ${icon}` : "no icon")}
          />
        </Line>
        <DoLines
          frame={frame}
          from={from}
          action={action}
          onChange={(next, label) => onPut({ do: next }, `${action.label} ${label}`)}
        />
        <Block>
          <OnlyLines frame={frame} only={action.only} onChange={(only) => onPut({ only }, "where it is there")} />
        </Block>
      </Fields>
    </div>
  );
}
