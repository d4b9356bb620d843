type Kind = "local" | "session";

const of = (kind: Kind): Storage => (kind === "local" ? localStorage : sessionStorage);

/** What was kept under a key; null where there is nothing that can be read. */
export const readStored = <T>(kind: Kind, key: string): T | null => {
  try {
    return JSON.parse(of(kind).getItem(key) ?? "null") as T | null;
  } catch {
    return null;
  }
};

/** Keeps a value under a key; null takes it away. A full or forbidden storage costs what it would have kept over a reload, and nothing else. */
export const keepStored = (kind: Kind, key: string, value: unknown): void => {
  try {
    if (value === null) of(kind).removeItem(key);
    else of(kind).setItem(key, JSON.stringify(value));
  } catch {
    // said above
  }
};

/** The keys that begin so. */
export const storedKeys = (kind: Kind, prefix: string): string[] => {
  try {
    const storage = of(kind);
    return Array.from({ length: storage.length }, (_, i) => storage.key(i)!).filter((key) => key.startsWith(prefix));
  } catch {
    return [];
  }
};
