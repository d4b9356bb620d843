import { useSyncExternalStore } from "react";

const read = (): boolean => document.documentElement.dataset.theme === "dark";
const watchers = new Set<() => void>();

export const setDark = (dark: boolean): void => {
  document.documentElement.dataset.theme = dark ? "dark" : "light";
  localStorage.setItem("handy-frame:theme", dark ? "dark" : "light");
  for (const watcher of watchers) watcher();
};

/** Whether the dark theme is on. */
export const useDark = (): boolean =>
  useSyncExternalStore((watcher) => {
    watchers.add(watcher);
    return () => watchers.delete(watcher);
  }, read);
