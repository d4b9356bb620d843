import { type RefObject, useEffect, useImperativeHandle, useMemo, useRef, useState } from "react";
import {
  createFinder,
  find,
  type Findable,
  findablesOf,
  type Finder,
  type Found,
  type Frame,
  type FrameFindable,
  placesOf,
} from "../../core/index.js";
import { type Command, useCommandsNow } from "./commands.js";
import type { FindKeys } from "./find-keys.js";
import { useEditing, useOpenFrame } from "./open-frame.js";
import { useChosen } from "./place.js";
import { usePlace } from "./places.js";
import { recentIn, remember } from "./recent.js";

interface CommandFindable extends Findable {
  command: Command;
}
type Any = FrameFindable | CommandFindable;

const isCommand = (item: Any): item is CommandFindable => "command" in item;

const findersOf = new WeakMap<Frame, Finder<FrameFindable>>();
const finderOf = (frame: Frame): Finder<FrameFindable> => {
  let finder = findersOf.get(frame);
  if (!finder) findersOf.set(frame, (finder = createFinder(findablesOf(frame))));
  return finder;
};

const sortWord = { screen: "screen", container: "plate", action: "action", address: "address" } as const;

/** As many are shown. */
const most = 14;

const asFindable = (command: Command): CommandFindable => ({
  key: `command ${command.id}`,
  label: command.label,
  says: command.says ?? "",
  ...(command.also && { also: command.also }),
  ...(command.keys?.[0] && { keys: command.keys[0] }),
  command,
});

export interface FindListProps {
  text: string;
  keys: RefObject<FindKeys | null>;
  /** Whether the best is taken as soon as there is a list. */
  takes: boolean;
  /** Where the focus was before the find box: it goes back there once something was done. */
  back: RefObject<HTMLElement | null>;
  onDone: () => void;
}

/** What answers to the letters typed, the best first; while nothing is typed, what was found last and what can be done. */
const useFound = (text: string): Found<Any>[] => {
  const frame = useEditing((edited) => edited.frame);
  const id = useEditing((edited) => edited.id);
  const offered = useCommandsNow();
  const commands = useMemo(() => createFinder(offered.map(asFindable)), [offered]);
  return useMemo(() => {
    const all: Finder<Any> = { prepared: [...finderOf(frame).prepared, ...commands.prepared] };
    const recent = recentIn("found", id);
    if (text.trim() !== "") return find(all, text, recent, most);
    const known = recent.filter((key) => all.prepared.some(({ item }) => item.key === key));
    const last = find(all, "", known, known.length);
    const rest = commands.prepared.filter(({ item }) => !known.includes(item.key));
    return [...last, ...rest.map(({ item }) => ({ item, lit: [] }))].slice(0, most);
  }, [frame, commands, text, id]);
};

/** Does what was found, or goes to it on the plan. */
const useTake = (back: FindListProps["back"], onDone: () => void): ((item: Any) => void) => {
  const { editing } = useOpenFrame();
  const [chosen, choose] = useChosen();
  const [place, go] = usePlace();
  return (item) => {
    const { id, frame } = editing.get();
    remember("found", id, item.key);
    onDone();
    if (isCommand(item)) {
      back.current?.focus();
      return item.command.run();
    }
    editing.hush();
    if (place !== "plan") go("plan");
    const to = { id: item.node, parent: placesOf(frame, item.node)[0] ?? null };
    const isThere = chosen?.id === to.id && chosen.parent === to.parent;
    choose(to, isThere, { found: true });
  };
};

/** What answers to the letters typed: the best first, with its key; while nothing is typed, what was found last. */
export default function FindList({ text, keys, takes, back, onDone }: FindListProps) {
  const found = useFound(text);
  const takeItem = useTake(back, onDone);
  const [at, setAt] = useState(0);
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => setAt(0), [text]);
  useEffect(() => {
    list.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: "nearest" });
  }, [at]);
  const take = (i: number) => {
    const item = found[i]?.item;
    if (item) takeItem(item);
  };
  useEffect(() => {
    if (takes) take(0);
    // only what was asked for before there was a list
  }, []);
  useImperativeHandle(keys, () => ({
    move: (by) => setAt((now) => (found.length ? (now + by + found.length) % found.length : 0)),
    take: () => take(at),
  }));
  return (
    <ul
      ref={list}
      id="found"
      role="listbox"
      aria-label="Found"
      className="absolute top-full left-0 z-50 mt-1 max-h-[70dvh] w-[30rem] max-w-[90vw] overflow-auto rounded-md border border-ink bg-plate-2 py-1 shadow-lift"
    >
      {found.length === 0 && <li className="px-3 py-1.5 text-ink-2">Nothing has these letters.</li>}
      {found.map((each, i) => (
        <Row key={each.item.key} found={each} isChosen={i === at} onAt={() => setAt(i)} onTake={() => take(i)} />
      ))}
    </ul>
  );
}

interface RowProps {
  found: Found<Any>;
  isChosen: boolean;
  onAt: () => void;
  onTake: () => void;
}

function Row({ found: { item, lit }, isChosen, onAt, onTake }: RowProps) {
  return (
    <li
      role="option"
      aria-selected={isChosen}
      className={`flex cursor-pointer items-baseline gap-2.5 px-3 py-1 ${isChosen ? "bg-petrol-soft" : ""}`}
      onPointerMove={onAt}
      onPointerDown={(event) => {
        event.preventDefault();
        onTake();
      }}
    >
      <span className="w-15 shrink-0 text-[12px] text-ink-2">{isCommand(item) ? "do" : sortWord[item.sort]}</span>
      <span className="shrink-0 font-medium">
        <Lit text={item.label} lit={lit} />
      </span>
      <span className="min-w-0 grow truncate text-ink-2">{item.says}</span>
      {item.keys && <kbd className="mono shrink-0 rounded-sm border border-field px-1 text-[11px]">{item.keys}</kbd>}
    </li>
  );
}

/** A label with the letters that answered marked. */
function Lit({ text, lit }: { text: string; lit: Found["lit"] }) {
  const parts: { text: string; is: boolean }[] = [];
  let at = 0;
  for (const [from, to] of lit) {
    if (from < at) continue;
    parts.push({ text: text.slice(at, from), is: false }, { text: text.slice(from, to), is: true });
    at = to;
  }
  parts.push({ text: text.slice(at), is: false });
  return parts.map((part, i) =>
    part.is ? (
      <b key={i} className="text-petrol underline">
        {part.text}
      </b>
    ) : (
      part.text
    ),
  );
}
