/** Code that is loaded when it is first wanted, or ahead of that. */
export interface Loadable<T> {
  /** It, once it is loaded. */
  get: () => T | null;
  load: () => Promise<T>;
}

const all = new Set<() => Promise<unknown>>();
const again = 1000;

/** Has some code loaded when it is first wanted, however long the server is away. */
export const loadable = <T>(from: () => Promise<T>): Loadable<T> => {
  let loaded: T | null = null;
  const once = async (): Promise<T> => (loaded = await from());
  all.add(once);
  const load = async (): Promise<T> => {
    for (;;)
      try {
        return loaded ?? (await once());
      } catch {
        // the server is away: what is asked for is there once it is back, and nothing breaks meanwhile
        await new Promise((resolve) => setTimeout(resolve, again));
      }
  };
  return { get: () => loaded, load };
};

/** Loads everything that may be wanted later, while there is a server and nothing else to do. */
export const loadAhead = (): void => {
  for (const once of all) once().catch(() => undefined);
};
