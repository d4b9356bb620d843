import { useMemo } from "react";
import {
  type Action,
  type Do,
  type DoOpen,
  type Frame,
  type How,
  isAttached,
  nameOf,
  plainName,
  placesOf,
  type ScreenNode,
  takeWay,
  waysOut,
} from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { Button } from "../../../parts/button.js";
import { Picker, type PickerOption } from "../../../parts/picker.js";
import { TextLine } from "../../../parts/text-line.js";
import { Group, type GroupProps } from "./group.js";
import { addWay, addWayToNew, namesIn, type Planned } from "../edits.js";
import { outMark } from "../pegs.js";

export interface WaysOutGroupProps extends GroupProps<ScreenNode> {
  chosen: Chosen;
  lit: string | null;
  onLit: (mark: string | null) => void;
  make: (planned: Planned | null) => boolean;
  onChoose: (chosen: Chosen) => void;
}

const select = "h-7 rounded-sm border border-field bg-plate-2";

const doSays = (action: Do): string => {
  const says = {
    open: "opens",
    back: "goes back",
    close: "closes",
    root: "to the first",
    set: "sets a fact",
    menu: "opens the drawer",
  };
  return says[action.kind];
};

/** The ways out of a screen: its rows and actions. A new one is made by typing where it leads. */
export function WaysOutGroup({ frame, view, id, node, set, chosen, lit, onLit, make, onChoose }: WaysOutGroupProps) {
  const actions = node.actions ?? [];
  const ways = waysOut(id, node);
  const effects = useMemo(
    () =>
      ways.map((way) => {
        const taken = isAttached(frame, id) ? takeWay(frame, view, way) : null;
        if (!taken) return isAttached(frame, way.to) ? "" : "loose: leads nowhere";
        const { bars, notes } = taken.snapshot;
        if (notes.some((note) => note.code === "switched")) return "changes the tab";
        return bars.length ? "the bar stays" : "covers the bar";
      }),
    [frame, view, id],
  );
  const others = useMemo<PickerOption[]>(
    () => [
      ...Object.entries(frame.nodes)
        .filter(([other]) => other !== id && other !== frame.root)
        .map(([other, each]) => ({
          value: other,
          label: plainName(frame, other),
          says: `${each.kind} in ${
            placesOf(frame, other)
              .map((place) => nameOf(frame, place))
              .join(", ") || "no container"
          }`,
        })),
      { value: "back", label: "Back", says: "an action that goes back" },
    ],
    [frame, id],
  );
  const put = (action: Action, part: Partial<Action> | null, label: string) =>
    set(
      "actions",
      actions.flatMap((each) => (each.id !== action.id ? [each] : part ? [{ ...each, ...part }] : [])),
      label,
    );
  const pick = (to: string) => {
    if (to !== "back") return make(addWay(frame, id, to));
    const taken = new Set(actions.map((action) => action.id));
    const free = ["back", "back2", "back3"].find((name) => !taken.has(name)) ?? `back${actions.length + 1}`;
    return set("actions", [...actions, { id: free, label: "Back", place: "body", do: { kind: "back" } }], "goes back");
  };
  let number = -1;
  const mark = (known: boolean) => {
    if (!known) return <span className="grid size-[19px] shrink-0 place-items-center text-ink-2">·</span>;
    number += 1;
    return (
      <span className="grid size-[19px] shrink-0 place-items-center rounded-full bg-petrol text-[11px] font-bold text-on-petrol">
        {outMark(number)}
      </span>
    );
  };
  const row = "flex flex-wrap items-center gap-x-1.5 gap-y-1 border-b border-rule py-1 last:border-b-0";
  const rows = ways.find((way) => way.via === "row");
  const listed = (content: React.ReactNode, key: string, i: number | null) => (
    <li
      key={key}
      className={`${row} ${i !== null && lit === outMark(i) ? "bg-petrol-soft" : ""}`}
      onPointerEnter={() => i !== null && onLit(outMark(i))}
      onPointerLeave={() => onLit(null)}
    >
      {content}
    </li>
  );
  return (
    <Group title="Ways out" says="actions and rows" wide>
      <ol className="flex flex-col">
        {rows &&
          listed(
            <>
              {mark(true)}
              <button
                type="button"
                className="truncate font-medium hover:underline"
                onClick={() => onChoose({ id: rows.to, parent: placesOf(frame, rows.to)[0] ?? null })}
              >
                {plainName(frame, rows.to)}
              </button>
              <span className="text-ink-2">row</span>
              <span className="ml-auto truncate text-ink-2">{effects[0]}</span>
            </>,
            "row",
            0,
          )}
        {actions.map((action) => {
          const at = ways.findIndex((way) => way.action === action.id);
          const way = ways[at];
          const open = action.do.kind === "open" ? action.do : null;
          return listed(
            <>
              {mark(way !== undefined)}
              <TextLine
                aria-label={`Label of the action ${action.id}`}
                className="w-28! shrink grow"
                value={action.label}
                onDone={(label) => put(action, { label: label.slice(0, 200) }, `action ${label}`)}
              />
              {open ? (
                <button
                  type="button"
                  className="max-w-32 truncate font-medium hover:underline"
                  title="Choose it on the plan"
                  onClick={() => onChoose({ id: open.to, parent: placesOf(frame, open.to)[0] ?? null })}
                >
                  → {plainName(frame, open.to)}
                </button>
              ) : (
                <span className="max-w-32 truncate font-medium">{doSays(action.do)}</span>
              )}
              <Button
                tone="quiet"
                icon="x"
                className="h-6! w-6!"
                aria-label={`Take out the action ${action.label}`}
                onClick={() => put(action, null, `without ${action.label}`)}
              />
              <span className="flex w-full items-center gap-1.5 pl-6">
                <select
                  aria-label={`Where ${action.label} stands`}
                  className={select}
                  value={action.place}
                  onChange={(event) =>
                    put(
                      action,
                      { place: event.target.value as Action["place"] },
                      `${action.label} in the ${event.target.value}`,
                    )
                  }
                >
                  <option value="body">body</option>
                  <option value="start">header, start</option>
                  <option value="end">header</option>
                  <option value="footer">footer</option>
                </select>
                {open && (
                  <select
                    aria-label={`How ${action.label} opens`}
                    className={select}
                    value={open.how ?? "add"}
                    onChange={(event) =>
                      put(
                        action,
                        { do: { ...open, how: event.target.value as How } },
                        `${action.label}: ${event.target.value}`,
                      )
                    }
                  >
                    <option value="add">on top</option>
                    <option value="replace">instead</option>
                    <option value="clear">clears</option>
                  </select>
                )}
                <span className="ml-auto min-w-0 truncate text-ink-2" title={effects[at]}>
                  {effects[at]}
                </span>
              </span>
              {open && (
                <Handed frame={frame} open={open} onChange={(next, label) => put(action, { do: next }, label)} />
              )}
            </>,
            action.id,
            at < 0 ? null : at,
          );
        })}
      </ol>
      <Picker
        label="Add a way out: the name of its target"
        placeholder="Add a way out: type where it leads"
        options={others}
        onPick={pick}
        onNew={{
          label: (text) => `Make a new screen “${text}” and lead there`,
          make: (text) => void make(addWayToNew(frame, chosen, text)),
        }}
      />
    </Group>
  );
}

interface HandedProps {
  frame: Frame;
  open: DoOpen;
  onChange: (open: DoOpen, label: string) => void;
}

/** What an action hands to the screen it opens: a line for each param that the screen's address names. */
function Handed({ frame, open, onChange }: HandedProps) {
  const target = frame.nodes[open.to];
  const names = target?.kind === "screen" ? namesIn(target) : [];
  if (names.length === 0) return null;
  return (
    <span className="flex w-full flex-wrap items-center gap-1.5 pl-6">
      {names.map((name) => (
        <label key={name} className="flex items-center gap-1">
          <span className="mono text-ink-2">{name}</span>
          <TextLine
            className="mono w-20! text-[12px]"
            title="A text, {a param of this screen} or {draft.a field of it}"
            value={open.params?.[name] ?? ""}
            placeholder="nothing"
            onDone={(value) => {
              const { [name]: _, ...rest } = open.params ?? {};
              onChange({ ...open, params: value === "" ? rest : { ...rest, [name]: value } }, `hands ${name} ${value}`);
            }}
          />
        </label>
      ))}
    </span>
  );
}
