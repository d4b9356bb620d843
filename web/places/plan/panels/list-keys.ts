import type { KeyboardEvent } from "react";
import { firstOf, sure } from "../../../../core/index.js";

interface Hands {
  onText: (text: string) => void;
  onMake: () => void;
  onClose: () => void;
}

/** The keys of a list: Tab moves lines in and, with Shift, out, Backspace out before the first letter; a new line begins where the one above does, Ctrl Enter makes it. */
export const listKeys =
  ({ onText, onMake, onClose }: Hands) =>
  (event: KeyboardEvent<HTMLTextAreaElement>): void => {
    event.stopPropagation();
    const element = event.currentTarget;
    const { value: text, selectionStart: from, selectionEnd: to } = element;
    if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) onMake();
    else if (event.key === "Escape") onClose();
    else if (event.key === "Tab" && text !== "") {
      const next = shifted(text, from, to, event.shiftKey);
      onText(next.text);
      requestAnimationFrame(() => element.setSelectionRange(next.from, next.to));
    } else if (event.key === "Backspace" && from === to && isInIndent(text, from)) {
      const next = shifted(text, from, to, true);
      onText(next.text);
      requestAnimationFrame(() => element.setSelectionRange(next.from, next.to));
    } else if (event.key === "Enter") {
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
