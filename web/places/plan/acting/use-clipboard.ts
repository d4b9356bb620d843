import { useEffect, useRef } from "react";
import { clipType } from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import { loadable } from "../../../parts/loadable.js";
import type { Clipped } from "./clipboard.js";

const clipboard = loadable(() => import("./clipboard.js"));

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.matches("input, textarea, select") || target.isContentEditable);

/** Copy, cut and paste: as parts with all they say, and as an indented list for whatever else takes text. */
export const useClipboard = (options: Clipped): void => {
  const opened = useOpenFrame();
  const latest = useRef(options);
  latest.current = options;
  useEffect(() => {
    void clipboard.load();
    const hands = () => clipboard.get()?.clipboardHands(opened, () => latest.current);
    const copy = (event: ClipboardEvent) => void (isTyping(event.target) || hands()?.copy(event));
    const cut = (event: ClipboardEvent) => void (isTyping(event.target) || hands()?.cut(event));
    const paste = (event: ClipboardEvent) => {
      if (isTyping(event.target) || !event.clipboardData) return;
      // what is on the clipboard can be read only now, and is kept until there is what takes it
      const pasted = { text: event.clipboardData.getData("text/plain"), parts: event.clipboardData.getData(clipType) };
      if (pasted.text.trim() === "" && pasted.parts === "") return;
      event.preventDefault();
      void clipboard.load().then(() => hands()?.paste(pasted));
    };
    document.addEventListener("copy", copy);
    document.addEventListener("cut", cut);
    document.addEventListener("paste", paste);
    return () => {
      document.removeEventListener("copy", copy);
      document.removeEventListener("cut", cut);
      document.removeEventListener("paste", paste);
    };
  }, [opened]);
};
