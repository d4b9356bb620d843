import { useDeferredValue, useLayoutEffect, useMemo, useRef, useState, useSyncExternalStore } from "react";
import { firstOf, type OutlineFault } from "../../../../core/index.js";
import { useEditing } from "../../../app/open-frame.js";
import { useMeanwhile, useTypedMeanwhile } from "../../../parts/awaited.js";
import { Button } from "../../../parts/button.js";
import { Choice } from "../../../parts/choice.js";
import { ListArea } from "./list-area.js";
import { listKeys } from "./list-keys.js";
import { lookAtList } from "./list-look.js";
import { ListOutcome, ListStatus } from "./list-outcome.js";
import { listPlaces } from "./list-places.js";
import { keepListText, listText } from "./list-text.js";
import type { PanelProps } from "./panel-props.js";

const signs: [string, string][] = [
  ["further in", "opened from the line above"],
  ["=", "tabs: the lines beneath"],
  [">", "a stack of its own"],
  [":", "a plain stack"],
  ["|", "a pair: list, detail"],
  ["^", "a sheet; ^dialog ^side ^fullscreen"],
  ["/plots/:plot", "address"],
  ["*leaf", "a tab's icon"],
  ["#id  &id", "its id; that screen here too"],
];

/** Where a fault stands in a text: the index where it begins, and where it ends. */
const rangeOf = (text: string, { line, column, length }: OutlineFault): [number, number] => {
  const rows = text.split("\n").slice(0, line - 1);
  const start = rows.reduce((sum, row) => sum + row.length + 1, 0) + column - 1;
  return [start, start + length];
};

/** Writes an indented list of names, shows what it would make and what is wrong in it, and makes it in one step. */
export default function ListPanel({ frame, chosen, make, onClose }: PanelProps) {
  const id = useEditing((edited) => edited.id);
  const { text, before } = useSyncExternalStore(listText(id).subscribe, listText(id).get);
  const places = useMemo(() => listPlaces(frame, chosen), [frame, chosen]);
  const [asked, setAsked] = useState<string | null>(null);
  const where = places.find(({ value }) => value === asked) ?? firstOf(places);
  const area = useRef<HTMLTextAreaElement>(null);
  // also when it is shown again that was only hidden while something else was being loaded in its place
  const meanwhile = useMeanwhile();
  useLayoutEffect(() => {
    if (!meanwhile.isLeft) area.current?.focus();
  }, []);
  useTypedMeanwhile((typed) => keepListText(id, listText(id).get().text + typed));

  // typing goes first; what it would make follows
  const later = useDeferredValue(text);
  const shown = useMemo(() => lookAtList(frame, later, where.place), [later, frame, where.value, where.place.parent]);
  const makeIt = () => {
    // what is shown was worked out of this text, or is a keystroke behind
    const { made } = later === text ? shown : lookAtList(frame, text, where.place);
    if (!made) return;
    // what goes while it has the focus makes the browser lay out the whole page once more
    area.current?.blur();
    if (!make(made.planned)) return area.current?.focus();
    keepListText(id, "");
    onClose();
  };
  const goTo = (fault: OutlineFault) => {
    area.current?.focus();
    area.current?.setSelectionRange(...rangeOf(text, fault));
  };
  const onText = (next: string) => keepListText(id, next);
  return (
    <>
      <header className="flex h-10.5 shrink-0 items-center gap-2.5 overflow-hidden border-b border-ink px-3">
        <h2 className="text-[15px] font-bold whitespace-nowrap">Screens from a list</h2>
        <span className="flex shrink-0 items-center">
          <Choice label="Where the list goes" value={where.value} options={places} onChange={setAsked} />
        </span>
        <ListStatus shown={shown} />
        {before !== null && <TheOneBefore id={id} />}
        <Button tone="strong" disabled={!shown.made} onClick={makeIt} title="Ctrl Enter">
          Make it
        </Button>
        <Button onClick={onClose}>Close</Button>
      </header>
      <div className="flex min-h-0 grow">
        <ListArea
          area={area}
          text={text}
          faults={shown.faults}
          onText={onText}
          onKeyDown={listKeys({ onMake: makeIt, onClose })}
        />
        <ListOutcome frame={frame} shown={shown} onGo={goTo} />
        <Signs />
      </div>
    </>
  );
}

/** Takes up the list again that was being written when this one was pasted. */
function TheOneBefore({ id }: { id: string }) {
  const kept = listText(id);
  return (
    <Button
      title="The list that was being written when this one was pasted"
      onClick={() => {
        const { text, before } = kept.get();
        kept.set({ before: text });
        keepListText(id, before ?? "");
      }}
    >
      The one before
    </Button>
  );
}

function Signs() {
  return (
    <dl className="grid shrink-0 grid-cols-[auto_auto] content-start gap-x-2.5 gap-y-0.5 overflow-y-auto px-3 py-2">
      {signs.map(([sign, says]) => (
        <div key={sign} className="contents">
          <dt className="mono text-[12px]">{sign}</dt>
          <dd className="text-ink-2">{says}</dd>
        </div>
      ))}
    </dl>
  );
}
