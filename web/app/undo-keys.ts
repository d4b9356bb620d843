import { useEffect } from "react";
import { useOpenFrame } from "./open-frame.js";

const hasItsOwn = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.matches("textarea, input:not([type=checkbox])") || target.isContentEditable);

/** Undo and redo by keys, wherever they go: only a text that is being written has an undo of its own. */
export const useUndoKeys = (): void => {
  const opened = useOpenFrame();
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || hasItsOwn(event.target)) return;
      const key = event.key.toLowerCase();
      if (key === "z" && !event.shiftKey) opened.editing.undo();
      else if (key === "y" || key === "z") opened.editing.redo();
      else return;
      event.preventDefault();
    };
    addEventListener("keydown", keys);
    return () => removeEventListener("keydown", keys);
  }, [opened]);
};
