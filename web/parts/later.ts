import { lazy, type LazyExoticComponent, type ReactNode } from "react";

const loads = new Set<() => Promise<unknown>>();
const again = 1000;

const patiently = async <T>(load: () => Promise<T>): Promise<T> => {
  for (;;)
    try {
      return await load();
    } catch {
      // the server is away: what is asked for is shown once it is back, and nothing breaks meanwhile
      await new Promise((resolve) => setTimeout(resolve, again));
    }
};

/** A component that is loaded when it is first shown, however long the server is away. */
export const later = <P extends object>(
  load: () => Promise<{ default: (props: P) => ReactNode }>,
): LazyExoticComponent<(props: P) => ReactNode> => {
  loads.add(load);
  return lazy(() => patiently(load));
};

/** Loads everything that may be wanted later, while there is a server and nothing else to do. */
export const loadAhead = (): void => {
  for (const load of loads) load().catch(() => undefined);
};
