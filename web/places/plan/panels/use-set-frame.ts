import { compact, type Frame, type FrameField, freeIdIn, sure } from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";

/** Sets a field of the frame itself; nothing takes it out. */
export const useSetFrame = (): ((key: FrameField, value: unknown, label: string) => void) => {
  const { editing } = useOpenFrame();
  return (key, value, label) =>
    void editing.edit({ kind: "setFrame", key, ...(value !== undefined && { value }) }, label);
};

/** What a part of a list of the frame changes to; undefined takes a key out. */
export type Changes<T> = { [K in keyof T]?: T[K] | undefined };

/** A list of the frame with one of its parts changed. */
export const changedIn = <T extends { id: string }>(parts: readonly T[], id: string, changes: Changes<T>): T[] =>
  parts.map((part) => (part.id === id ? sure(compact<T>({ ...part, ...changes })) : part));

/** An id for one more part of such a list. */
export const idAmong = (frame: Frame, title: string, taken: readonly { id: string }[]): string =>
  freeIdIn({ ...frame, nodes: {} }, title, new Set(taken.map(({ id }) => id)));
