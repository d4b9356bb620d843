import { useSyncExternalStore } from "react";

/** Whether what CSS asks of the window holds, as it changes. */
export const useMatch = (asked: string): boolean =>
  useSyncExternalStore(
    (watcher) => {
      const list = matchMedia(asked);
      list.addEventListener("change", watcher);
      return () => list.removeEventListener("change", watcher);
    },
    () => matchMedia(asked).matches,
  );
