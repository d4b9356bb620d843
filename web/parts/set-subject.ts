import { createContext, useContext } from "react";
import type { Frame, Id, NodeKey } from "../../core/index.js";

/** What the marks of a bench are about. */
export interface SetSubject {
  frame: Frame;
  id: Id;
  set: (key: NodeKey, value: unknown, label: string) => void;
  onChoose: (ids: readonly Id[]) => void;
}

const Subject = createContext<SetSubject | null>(null);
export const SetSubjectProvider = Subject.Provider;

/** What the marks here are about; null where there are none. */
export const useSetSubject = (): SetSubject | null => useContext(Subject);
