import { type KeyboardEvent, type RefObject, Suspense, useEffect, useRef, useState } from "react";
import { later } from "../parts/later.js";
import type { FindKeys } from "./find-keys.js";

const FindList = later(() => import("./find-list.js"));

/** Ctrl K leads to the find box from wherever one is. */
const useFindKey = (input: RefObject<HTMLInputElement | null>): void =>
  useEffect(() => {
    const key = (event: globalThis.KeyboardEvent) => {
      if (event.key.toLowerCase() !== "k" || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      input.current?.focus();
    };
    addEventListener("keydown", key);
    return () => removeEventListener("keydown", key);
  }, [input]);

/** What is typed in the find box, and its keys. */
const useFinding = () => {
  const input = useRef<HTMLInputElement>(null);
  /** The keys of the list, once there is one. */
  const keys = useRef<FindKeys | null>(null);
  /** Where the focus was before. */
  const before = useRef<HTMLElement | null>(null);
  const [text, setText] = useState("");
  const [open, setOpen] = useState(false);
  // Enter pressed while the list is still being loaded is not lost: it is taken once there is a list
  const [hasty, setHasty] = useState(false);
  useFindKey(input);
  const leave = () => {
    setText("");
    setOpen(false);
    setHasty(false);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    event.stopPropagation();
    if (event.key === "ArrowDown") keys.current?.move(1);
    else if (event.key === "ArrowUp") keys.current?.move(-1);
    else if (event.key === "Enter") {
      if (keys.current) keys.current.take();
      else setHasty(true);
    } else if (event.key === "Escape") {
      leave();
      before.current?.focus();
      if (document.activeElement === input.current) input.current?.blur();
    } else return;
    event.preventDefault();
  };
  return { input, keys, before, text, setText, open, setOpen, hasty, leave, onKeyDown };
};

/** The find box: any screen, container, action, address, setting or command by a few letters. */
export function Finder() {
  const { input, keys, before, text, setText, open, setOpen, hasty, leave, onKeyDown } = useFinding();
  return (
    <div className="relative ml-2 w-64 min-w-24">
      <input
        ref={input}
        role="combobox"
        aria-label="Find"
        aria-expanded={open}
        aria-controls="found"
        aria-autocomplete="list"
        autoComplete="off"
        spellCheck={false}
        placeholder="Find anything (Ctrl K)"
        value={text}
        className="h-8 w-full rounded-sm border border-field bg-plate-2 px-2"
        onChange={(event) => {
          setText(event.target.value);
          setOpen(true);
        }}
        onFocus={(event) => {
          before.current = event.relatedTarget instanceof HTMLElement ? event.relatedTarget : null;
          setOpen(true);
        }}
        onBlur={leave}
        onKeyDown={onKeyDown}
      />
      <Suspense fallback={null}>
        {open && (
          <FindList
            text={text}
            keys={keys}
            takes={hasty}
            back={before}
            onDone={() => (leave(), input.current?.blur())}
          />
        )}
      </Suspense>
    </div>
  );
}
