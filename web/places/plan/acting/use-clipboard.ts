import { useEffect, useRef } from "react";
import { useOpenFrame } from "../../../app/open-frame.js";
import { loadable } from "../../../parts/loadable.js";
import type { Clipped } from "./clipboard.js";

const clipboard = loadable(() => import("./clipboard.js"));

/** Copy, cut and paste: as parts with all they say, and as an indented list for whatever else takes text. */
export const useClipboard = (options: Clipped): void => {
  const opened = useOpenFrame();
  const latest = useRef(options);
  latest.current = options;
  useEffect(() => {
    const gone = new AbortController();
    void clipboard.load().then(({ clipboardHands }) => {
      const { copy, cut, paste } = clipboardHands(opened, () => latest.current);
      document.addEventListener("copy", copy, { signal: gone.signal });
      document.addEventListener("cut", cut, { signal: gone.signal });
      document.addEventListener("paste", paste, { signal: gone.signal });
    });
    return () => gone.abort();
  }, [opened]);
};
