import { type ComponentType, lazy, type ReactNode, useState } from "react";

const loads = new Set<() => Promise<unknown>>();
const again = 1000;

const patiently = async <T,>(load: () => Promise<T>): Promise<T> => {
  for (;;)
    try {
      return await load();
    } catch {
      // the server is away: what is asked for is shown once it is back, and nothing breaks meanwhile
      await new Promise((resolve) => setTimeout(resolve, again));
    }
};

/**
 * A component that is loaded when it is first shown, however long the server is away. One that was loaded ahead is there at
 * once: what waits is shown for a while by React, even where there is nothing left to wait for.
 */
export const later = <P extends object>(
  load: () => Promise<{ default: (props: P) => ReactNode }>,
): ((props: P) => ReactNode) => {
  let loaded: ComponentType<P> | null = null;
  const ready = async () => {
    const part = await load();
    loaded = part.default;
    return part;
  };
  loads.add(ready);
  const Lazy: ComponentType<P> = lazy(() => patiently(ready));
  return function Later(props: P) {
    // what is shown once stays the same component, whatever is loaded meanwhile
    const [Part] = useState<ComponentType<P>>(() => loaded ?? Lazy);
    return <Part {...props} />;
  };
};

/** Loads everything that may be wanted later, while there is a server and nothing else to do. */
export const loadAhead = (): void => {
  for (const load of loads) load().catch(() => undefined);
};
