import { External } from "./external.js";
import { keepStored, readStored } from "./storage.js";

/** How fast devices move: as they are tuned, slowed down, or 0, at once. */
export type Pace = 1 | 0.5 | 0.1 | 0;

/** The paces there are, the usual one first, with their words. */
export const paces: readonly { pace: Pace; label: string; says: string }[] = [
  { pace: 1, label: "1×", says: "as fast as tuned" },
  { pace: 0.5, label: "½×", says: "at half its pace" },
  { pace: 0.1, label: "⅒×", says: "at a tenth of its pace" },
  { pace: 0, label: "at once", says: "without any motion" },
];

const key = "handy-frame:pace";
const readPace = (value: unknown): Pace | null => paces.find(({ pace }) => pace === value)?.pace ?? null;

/** The pace of all devices, kept in this browser. */
export const devicePace = new External<{ pace: Pace }>({ pace: readStored("local", key, readPace) ?? 1 });

export const setPace = (pace: Pace): void => {
  devicePace.set({ pace });
  keepStored("local", key, pace === 1 ? null : pace);
};
