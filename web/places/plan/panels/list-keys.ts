import type { KeyboardEvent } from "react";
import { firstOf, sure } from "../../../../core/index.js";

interface Hands {
  onMake: () => void;
  onClose: () => void;
}

/** The keys of a list: Tab moves lines in and, with Shift, out, Backspace out before the first letter; a new line begins where the one above does, Ctrl Enter makes it. */
export const listKeys =
  ({ onMake, onClose }: Hands) =>
  (event: KeyboardEvent<HTMLTextAreaElement>): void => {
    event.stopPropagation();
    const element = event.currentTarget;
    const { value: text, selectionStart: from, selectionEnd: to } = element;
    if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) onMake();
    else if (event.key === "Escape") onClose();
    else if (event.key === "Tab" && text !== "") shift(element, event.shiftKey);
    else if (event.key === "Backspace" && from === to && isInIndent(text, from)) shift(element, true);
    else if (event.key === "Enter") {
      const line = text.slice(text.lastIndexOf("\n", from - 1) + 1, from);
      const indent = sure(/^[\t ]*/.exec(line))[0];
      if (indent === "") return;
      document.execCommand("insertText", false, `\n${indent}`);
    } else return;
    event.preventDefault();
  };

/** Whether before a place in its line there are steps in, and nothing else. */
const isInIndent = (text: string, at: number): boolean =>
  /^[\t ]+$/.test(text.slice(text.lastIndexOf("\n", at - 1) + 1, at));

/** Moves the lines of the selection in or out by one step, as if it were typed: it can be taken back, and the next key finds it done. */
const shift = (element: HTMLTextAreaElement, out: boolean): void => {
  const { value: text, selectionStart: from, selectionEnd: to } = element;
  const start = text.lastIndexOf("\n", from - 1) + 1;
  const lines = text.slice(start, to).split("\n");
  const moved = lines.map((line) => (out ? line.replace(/^(?: {1,2}|\t)/, "") : `  ${line}`));
  if (moved.every((line, i) => line === lines[i])) return;
  const first = firstOf(moved).length - firstOf(lines).length;
  const all = moved.join("\n").length - lines.join("\n").length;
  element.setSelectionRange(start, to);
  document.execCommand("insertText", false, moved.join("\n"));
  element.setSelectionRange(Math.max(start, from + first), to + all);
};
