import { keepStored, readStored } from "../data/storage.js";

const keyOf = (frame: string): string => `handy-frame:found:${frame}`;
const most = 12;

/** What was found last in a frame, the last first. */
export const recentIn = (frame: string): readonly string[] => readStored<string[]>("local", keyOf(frame)) ?? [];

export const remember = (frame: string, key: string): void =>
  keepStored("local", keyOf(frame), [key, ...recentIn(frame).filter((other) => other !== key)].slice(0, most));
