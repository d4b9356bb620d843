import { useSyncExternalStore } from "react";

const asked = typeof matchMedia === "undefined" ? null : matchMedia("(prefers-reduced-motion: reduce)");

/** Whether who looks at the page asks for reduced motion: then devices show the calm one. */
export const useCalm = (): boolean =>
  useSyncExternalStore(
    (watcher) => {
      asked?.addEventListener("change", watcher);
      return () => asked?.removeEventListener("change", watcher);
    },
    () => asked?.matches ?? false,
  );
