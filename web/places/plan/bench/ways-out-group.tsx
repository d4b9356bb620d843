import { useMemo } from "react";
import { type Action, factWords, type Frame, nameOf, plainName, placesOf, type ScreenNode, settingDeed, waysOut, waySays } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { Picker, type PickerOption } from "../../../parts/picker.js";
import { addWay, addWayToNew, freeActionId, type Planned } from "../edits.js";
import { outMark } from "../pegs.js";
import { ActionRows, WayRow } from "./action-rows.js";
import { Group, type GroupProps } from "./group.js";

export interface WaysOutGroupProps extends GroupProps<ScreenNode> {
  chosen: Chosen;
  lit: string | null;
  onLit: (mark: string | null) => void;
  make: (planned: Planned | null) => boolean;
  onChoose: (chosen: Chosen) => void;
}

const places: { value: Action["place"]; label: string }[] = [
  { value: "body", label: "body" },
  { value: "start", label: "header, start" },
  { value: "end", label: "header, end" },
  { value: "footer", label: "footer" },
];

/** Actions that lead nowhere new, by the word they are asked for with. */
const plainActions: Record<string, { label: string; says: string; do: Action["do"] }> = {
  back: { label: "Back", says: "an action that goes back", do: { kind: "back" } },
  close: { label: "Close", says: "an action that closes the overlay it stands in", do: { kind: "close" } },
  root: { label: "To the first", says: "an action that goes to the first of its stack", do: { kind: "root" } },
  menu: { label: "Menu", says: "an action that opens the drawer", do: { kind: "menu" } },
};

/** What a way can lead to, by name. */
export const targetsFor = (frame: Frame, id: string): PickerOption[] =>
  Object.entries(frame.nodes)
    .filter(([other]) => other !== id && other !== frame.root)
    .map(([other, each]) => ({
      value: other,
      label: plainName(frame, other),
      says: `${each.kind} in ${
        placesOf(frame, other)
          .map((place) => nameOf(frame, place))
          .join(", ") || "no container"
      }`,
    }));

/** The ways out of a screen: its rows and actions. A new one is made by typing where it leads. */
export function WaysOutGroup({ frame, view, id, node, set, chosen, lit, onLit, make, onChoose }: WaysOutGroupProps) {
  const actions = node.actions ?? [];
  const ways = waysOut(id, node);
  const effects = useMemo(() => waysOut(id, node).map((way) => waySays(frame, view, way)), [frame, view, id, node]);
  const deeds = useMemo(() => {
    const setting = settingDeed(frame, id);
    const fact = setting && factWords(frame, setting.fact, setting.is);
    return {
      ...plainActions,
      ...(setting && { set: { label: `Set ${fact}`, says: "an action that sets a fact", do: setting } }),
    };
  }, [frame, id]);
  const others = useMemo<PickerOption[]>(
    () => [
      ...targetsFor(frame, id),
      ...Object.entries(deeds).map(([value, { label, says }]) => ({ value: `do ${value}`, label, says })),
    ],
    [frame, id, deeds],
  );
  const pick = (to: string) => {
    if (!to.startsWith("do ")) return void make(addWay(frame, id, to));
    const { label, do: act } = (deeds as typeof plainActions)[to.slice(3)]!;
    const made: Action = { id: freeActionId(frame, label, actions), label, place: "body", do: act };
    set("actions", [...actions, made], label);
  };
  const rows = ways.findIndex((way) => way.via === "row");
  const after = ways.findIndex((way) => way.via === "after");
  const plainRow = (i: number, says: string) => {
    const way = ways[i]!;
    return (
      <WayRow mark={outMark(i)} lit={lit} onLit={onLit}>
        <button
          type="button"
          className="truncate font-medium hover:underline"
          onClick={() => onChoose({ id: way.to, parent: placesOf(frame, way.to)[0] ?? null })}
        >
          {plainName(frame, way.to)}
        </button>
        <span className="text-ink-2">{says}</span>
        <span className="ml-auto truncate text-ink-2">{effects[i]}</span>
      </WayRow>
    );
  };
  return (
    <Group title="Ways out" says="actions and rows" wide>
      <ol className="flex flex-col">
        {rows >= 0 && plainRow(rows, "row")}
        <ActionRows
          frame={frame}
          from={id}
          actions={actions}
          places={places}
          peg={(action) => {
            const i = ways.findIndex((way) => way.action === action.id);
            return { mark: i < 0 ? null : outMark(i), effect: effects[i] ?? "" };
          }}
          lit={lit}
          onLit={onLit}
          onChange={(next, label) => set("actions", next.length ? next : undefined, label)}
          onChoose={onChoose}
        />
        {after >= 0 && plainRow(after, ways[after]!.label)}
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
