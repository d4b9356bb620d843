import { createContext, useContext } from "react";
import type { Cell, Frame, Id, NodeKey, Slot } from "../../core/index.js";

/** What the marks of a bench are about. */
export interface SetSubject {
  frame: Frame;
  id: Id;
  /** The views that are looked at. */
  at: Cell;
  set: (key: NodeKey, value: unknown, label: string) => void;
  /** Sets what may differ by view in some cells; in every view where none is given. */
  vary: (slot: Slot, cells: Cell[] | undefined, value: unknown, label: string) => void;
  onChoose: (ids: readonly Id[]) => void;
}

const Subject = createContext<SetSubject | null>(null);
export const SetSubjectProvider = Subject.Provider;

/** What the marks here are about; null where there are none. */
export const useSetSubject = (): SetSubject | null => useContext(Subject);
