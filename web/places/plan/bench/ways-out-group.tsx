import { useMemo } from "react";
import {
  type Action,
  factWords,
  type Frame,
  nameOf,
  plainName,
  placesOf,
  settingDeed,
  type Way,
  waysOut,
  waySays,
} from "../../../../core/index.js";
import { Picker, type PickerOption } from "../../../parts/picker.js";
import { addWay, addWayToNew, freeActionId } from "../acting/edits.js";
import { outMark } from "../drawing/pegs.js";
import { ActionRows } from "./action-rows.js";
import { AfterLines } from "./after-lines.js";
import { useBench, useNodeOf } from "./bench-context.js";
import { WayHead, WayRow } from "./way-row.js";

const places: { value: Action["place"]; label: string }[] = [
  { value: "body", label: "body" },
  { value: "row", label: "a row above" },
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

/** What an action may do beside opening something, by the word it is asked for with. */
const useDeeds = (): typeof plainActions => {
  const { frame, id } = useBench();
  return useMemo(() => {
    const setting = settingDeed(frame, id);
    const fact = setting && factWords(frame, setting.fact, setting.is);
    return {
      ...plainActions,
      ...(setting && { set: { label: `Set ${fact}`, says: "an action that sets a fact", do: setting } }),
    };
  }, [frame, id]);
};

/** A way that is no action: a row, or what the screen does by itself. */
function PlainWay({ way, mark, says, effect }: { way: Way; mark: string; says: string; effect: string | undefined }) {
  const { frame, onChoose } = useBench();
  return (
    <WayRow
      mark={mark}
      pressed={<span className="px-1.5">{says}</span>}
      where={<span className="px-1.5">{way.via === "row" ? "a row" : "by itself"}</span>}
      to={
        <button
          type="button"
          className="text-left font-medium hover:underline"
          onClick={() => onChoose({ id: way.to, parent: placesOf(frame, way.to)[0] ?? null })}
        >
          → {plainName(frame, way.to)}
        </button>
      }
      says={effect}
    />
  );
}

/** A new way out is made by typing where it leads, or what it does. */
function NewWay() {
  const { frame, id, set, chosen, make } = useBench();
  const { actions = [] } = useNodeOf("screen");
  const deeds = useDeeds();
  const options = useMemo<PickerOption[]>(
    () => [
      ...targetsFor(frame, id),
      ...Object.entries(deeds).map(([value, { label, says }]) => ({ value: `do ${value}`, label, says })),
    ],
    [frame, id, deeds],
  );
  const pick = (to: string) => {
    const deed = to.startsWith("do ") ? deeds[to.slice(3)] : undefined;
    if (!deed) return void make(addWay(frame, id, to));
    const { label, do: act } = deed;
    const made: Action = { id: freeActionId(frame, label, actions), label, place: "body", do: act };
    set("actions", [...actions, made], label);
  };
  return (
    <Picker
      label="Add a way out: the name of its target"
      placeholder="Add a way out: type where it leads"
      options={options}
      onPick={pick}
      onNew={{
        label: (text) => `Make a new screen “${text}” and lead there`,
        make: (text) => void make(addWayToNew(frame, chosen, text)),
      }}
    />
  );
}

/** The ways out of a screen: its rows and actions. */
export function WaysOutGroup() {
  const { frame, points, id, set, onChoose } = useBench();
  const node = useNodeOf("screen");
  const ways = useMemo(() => waysOut(id, node), [id, node]);
  const effects = useMemo(() => ways.map((way) => waySays(points, way)), [points, ways]);
  const plain = (via: Way["via"]) =>
    ways.map((way, i) =>
      way.via === via ? <PlainWay key={via} way={way} mark={outMark(i)} says={way.label} effect={effects[i]} /> : null,
    );
  return (
    <>
      {ways.length + (node.actions?.length ?? 0) > 0 && <WayHead />}
      <ol className="flex flex-col">
        {plain("row")}
        <ActionRows
          frame={frame}
          from={id}
          actions={node.actions ?? []}
          places={places}
          peg={(action) => {
            const i = ways.findIndex((way) => way.action === action.id);
            return { mark: i < 0 ? null : outMark(i), effect: effects[i] ?? "" };
          }}
          onChange={(next, label) => set("actions", next.length ? next : undefined, label)}
          onChoose={onChoose}
        />
        {plain("after")}
      </ol>
      <div className="max-w-md pt-1.5">
        <NewWay />
      </div>
      <AfterLines />
    </>
  );
}
