import { isText, keepStored, readList, readStored } from "../data/storage.js";

/** What may be remembered of a frame: what was found, links that were followed. */
type Kind = "found" | "links";

const keyOf = (kind: Kind, frame: string): string => `handy-frame:${kind}:${frame}`;
const most = 12;

/** What was found or followed last in a frame, the last first. */
export const recentIn = (kind: Kind, frame: string): readonly string[] =>
  readStored("local", keyOf(kind, frame), readList(isText)) ?? [];

export const remember = (kind: Kind, frame: string, key: string): void => {
  const others = recentIn(kind, frame).filter((other) => other !== key);
  keepStored("local", keyOf(kind, frame), [key, ...others].slice(0, most));
};
