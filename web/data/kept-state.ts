import type { Entry, State } from "../../core/index.js";
import { hasShape, keepStored, type ReadKept, readStored } from "./storage.js";

const keyOf = (frame: string): string => `handy-frame:device:${frame}`;

const isEntry = (value: unknown): value is Entry => {
  if (!hasShape(value, { kind: "string", key: "number", node: "string", params: "object", ui: "object" })) return false;
  const entry = value as Entry;
  switch (entry.kind) {
    case "screen":
      return true;
    case "stack":
      return Array.isArray(entry.entries) && entry.entries.every(isEntry);
    case "hub":
      return hasShape(entry, { active: "string", tabs: "object" }) && Object.values(entry.tabs).every(isEntry);
    case "pair":
      return isEntry(entry.list) && (entry.detail === null || isEntry(entry.detail));
    default:
      return false;
  }
};

/** A question that was open; none where it was kept without one. */
const readAsking = (value: unknown): State["asking"] =>
  hasShape(value, { key: "number", event: "object", view: "object", top: "number" })
    ? (value as State["asking"])
    : null;

/** A state as the engine has it now; one kept in an older form is none, and the device starts anew. */
const readState: ReadKept<State> = (value) => {
  if (!hasShape(value, { root: "object", facts: "object", clock: "number", nextKey: "number" })) return null;
  const state = value as State;
  return isEntry(state.root) && state.root.kind === "stack" ? { ...state, asking: readAsking(state.asking) } : null;
};

/** Where a window left the device of a frame; null where it left none that goes on. */
export const readKeptState = (frame: string): State | null => readStored("session", keyOf(frame), readState);

export const keepState = (frame: string, state: State): boolean => keepStored("session", keyOf(frame), state);
