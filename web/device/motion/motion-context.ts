import { createContext, useContext } from "react";
import type { Mover } from "../../../core/index.js";

/** Has the browser move what is drawn. */
export interface Plays {
  /** Answers what ends it. */
  play(mover: Mover, element: HTMLElement): () => void;
}

const Moved = createContext<Plays | null>(null);
export const PlaysProvider = Moved.Provider;

/** What moves the device that is drawn here; null where nothing does. */
export const usePlays = (): Plays | null => useContext(Moved);
