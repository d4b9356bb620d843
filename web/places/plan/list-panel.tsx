import {
  type KeyboardEvent,
  useDeferredValue,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from "react";
import {
  applySoundly,
  faultSays,
  type Frame,
  type OutlineFault,
  pasteLines,
  readOutline,
  firstOf,
  sure,
} from "../../../core/index.js";
import { useEditing } from "../../app/open-frame.js";
import { Button } from "../../parts/button.js";
import { Choice } from "../../parts/choice.js";
import { SmallPlan } from "../../parts/small-plan.js";
import type { PanelProps } from "./panel-props.js";
import { listPlaces } from "./list-places.js";
import { keepListText, listText } from "./list-text.js";

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

const sample = "Main =\n  Plots *plant\n    Plot /plots/:plot\n      Log water ^\n  Diary *notebook";

interface Look {
  faults: readonly OutlineFault[];
  /** What stands in the way though every line is right. */
  why: string | null;
  made: { frame: Frame; planned: Parameters<PanelProps["make"]>[0]; says: string } | null;
}

const count = (frame: Frame, before: Frame): string => {
  const kinds = new Map<string, number>();
  for (const [id, node] of Object.entries(frame.nodes))
    if (!Object.hasOwn(before.nodes, id)) kinds.set(node.kind, (kinds.get(node.kind) ?? 0) + 1);
  const words: [string, string, string][] = [
    ["screen", "screen", "screens"],
    ["hub", "hub", "hubs"],
    ["stack", "stack", "stacks"],
    ["pair", "pair", "pairs"],
  ];
  return words
    .filter(([kind]) => kinds.has(kind))
    .map(([kind, one, many]) => `${kinds.get(kind)} ${kinds.get(kind) === 1 ? one : many}`)
    .join(", ");
};

/** Writes an indented list of names, shows what it would make and what is wrong in it, and makes it in one step. */
export default function ListPanel({ frame, chosen, make, onClose }: PanelProps) {
  const id = useEditing((edited) => edited.id);
  const kept = listText(id);
  const { text, before } = useSyncExternalStore(kept.subscribe, kept.get);
  const places = useMemo(() => listPlaces(frame, chosen), [frame, chosen]);
  const [asked, setAsked] = useState<string | null>(null);
  const where = places.find(({ value }) => value === asked) ?? firstOf(places);
  const area = useRef<HTMLTextAreaElement>(null);
  const numbers = useRef<HTMLPreElement>(null);
  // also when it is shown again that was only hidden while something else was being loaded in its place
  useLayoutEffect(() => area.current?.focus(), []);

  const look = (now: string): Look => {
    const read = readOutline(now);
    if (!read.ok) return { faults: now.trim() === "" ? [] : read.faults, why: null, made: null };
    const pasted = pasteLines(frame, read.lines, where.place);
    if (!pasted.ok) return { faults: pasted.faults, why: null, made: null };
    const result = applySoundly(frame, pasted.edit);
    if (!result.ok) return { faults: [], why: faultSays(frame, firstOf(result.faults)), made: null };
    const says = count(result.frame, frame) || "one place more";
    const top = firstOf(pasted.built.tops);
    const planned = { edit: pasted.edit, label: `Add ${says}`, choose: { id: top, parent: where.place.parent } };
    return { faults: [], why: null, made: { frame: result.frame, planned, says } };
  };
  // typing goes first; what it would make follows
  const later = useDeferredValue(text);
  const shown = useMemo(() => look(later), [later, frame, where.value, where.place.parent]);
  const faulty = new Set(shown.faults.map(({ line }) => line));
  const makeIt = () => {
    // what is shown was worked out of this text, or is a keystroke behind
    const { made } = later === text ? shown : look(text);
    if (!made || !make(made.planned)) return;
    keepListText(id, "");
    onClose();
  };
  const keys = (event: KeyboardEvent<HTMLTextAreaElement>) => {
    event.stopPropagation();
    const { selectionStart: from, selectionEnd: to } = event.currentTarget;
    if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) makeIt();
    else if (event.key === "Escape") onClose();
    else if (event.key === "Tab" && text !== "") {
      const next = shifted(text, from, to, event.shiftKey);
      keepListText(id, next.text);
      const element = event.currentTarget;
      requestAnimationFrame(() => element.setSelectionRange(next.from, next.to));
    } else if (event.key === "Enter") {
      const line = text.slice(text.lastIndexOf("\n", from - 1) + 1, from);
      const indent = sure(/^[\t ]*/.exec(line))[0];
      if (indent === "") return;
      document.execCommand("insertText", false, `\n${indent}`);
    } else return;
    event.preventDefault();
  };
  const rows = text.split("\n");
  return (
    <>
      <header className="flex h-10.5 shrink-0 items-center gap-2.5 overflow-hidden border-b border-ink px-3">
        <h2 className="text-[15px] font-bold whitespace-nowrap">Screens from a list</h2>
        <span className="flex shrink-0 items-center">
          <Choice label="Where the list goes" value={where.value} options={places} onChange={setAsked} />
        </span>
        <p role="status" className="min-w-0 grow truncate">
          {shown.made ? (
            <span className="rounded-sm bg-petrol-soft px-2 py-0.5">makes {shown.made.says}</span>
          ) : shown.faults.length + (shown.why ? 1 : 0) > 0 ? (
            <span className="rounded-sm bg-clay-soft px-2 py-0.5">
              !{" "}
              {shown.why ??
                `${shown.faults.length} ${shown.faults.length === 1 ? "line is" : "places are"} not right yet`}
            </span>
          ) : (
            <span className="text-ink-2">One name to a line; what is further in belongs to the line above</span>
          )}
        </p>
        {before !== null && (
          <Button
            title="The list that was being written when this one was pasted"
            onClick={() => {
              kept.set({ before: text });
              keepListText(id, before);
            }}
          >
            The one before
          </Button>
        )}
        <Button tone="strong" disabled={!shown.made} onClick={makeIt} title="Ctrl Enter">
          Make it
        </Button>
        <Button onClick={onClose}>Close</Button>
      </header>
      <div className="flex min-h-0 grow">
        <div className="flex min-w-64 grow basis-80 overflow-hidden border-r border-rule bg-plate-2">
          <pre
            ref={numbers}
            aria-hidden
            className="mono relative h-max shrink-0 py-2 pr-1.5 pl-2 text-right text-[12px] leading-[19px] text-ink-2 select-none"
          >
            {rows.map((_, i) => i + 1).join("\n")}
            {[...faulty].map((line) => (
              <b
                key={line}
                className="absolute right-0 left-0 rounded-sm bg-clay-soft pr-1.5 text-ink"
                style={{ top: 8 + (line - 1) * 19 }}
              >
                {line}
              </b>
            ))}
          </pre>
          <textarea
            ref={area}
            aria-label="List of names"
            aria-invalid={shown.faults.length > 0 || undefined}
            spellCheck={false}
            wrap="off"
            placeholder={sample}
            value={text}
            onScroll={(event) => {
              sure(numbers.current).style.transform = `translateY(${-event.currentTarget.scrollTop}px)`;
            }}
            className="mono h-full min-w-0 grow resize-none overflow-auto bg-transparent py-2 pr-2 text-[12.5px] leading-[19px] outline-none placeholder:text-ink-2"
            onChange={(event) => keepListText(id, event.target.value)}
            onKeyDown={keys}
          />
        </div>
        <div className="flex min-w-60 grow basis-70 flex-col gap-1.5 overflow-auto border-r border-rule px-3 py-2">
          {shown.faults.length > 0 ? (
            <ul aria-label="What is not right yet" className="flex flex-col gap-1.5">
              {shown.faults.slice(0, 20).map((fault, i) => (
                <li key={i}>
                  <button
                    type="button"
                    className="text-left hover:underline"
                    onClick={() => {
                      const start = rows.slice(0, fault.line - 1).reduce((sum, row) => sum + row.length + 1, 0);
                      area.current?.focus();
                      area.current?.setSelectionRange(
                        start + fault.column - 1,
                        start + fault.column - 1 + fault.length,
                      );
                    }}
                  >
                    <b className="text-clay">
                      Line {fault.line}, column {fault.column}:
                    </b>{" "}
                    received {fault.received}; expected {fault.expected}. {fault.remedy}
                  </button>
                </li>
              ))}
            </ul>
          ) : shown.made ? (
            <SmallPlan frame={shown.made.frame} width={300} height={170} fresh={frame} />
          ) : (
            <p className="text-ink-2">What the list would make is shown here before it is made.</p>
          )}
        </div>
        <dl className="grid shrink-0 grid-cols-[auto_auto] content-start gap-x-2.5 gap-y-0.5 overflow-y-auto px-3 py-2">
          {signs.map(([sign, says]) => (
            <div key={sign} className="contents">
              <dt className="mono text-[12px]">{sign}</dt>
              <dd className="text-ink-2">{says}</dd>
            </div>
          ))}
        </dl>
      </div>
    </>
  );
}

/** The lines of a selection moved in or out by one step, and the selection as it stands then. */
const shifted = (text: string, from: number, to: number, out: boolean): { text: string; from: number; to: number } => {
  const start = text.lastIndexOf("\n", from - 1) + 1;
  const lines = text.slice(start, to).split("\n");
  const moved = lines.map((line) => (out ? line.replace(/^(?: {1,2}|\t)/, "") : `  ${line}`));
  const first = firstOf(moved).length - firstOf(lines).length;
  const all = moved.join("\n").length - lines.join("\n").length;
  return {
    text: text.slice(0, start) + moved.join("\n") + text.slice(to),
    from: Math.max(start, from + first),
    to: to + all,
  };
};
