import { createContext, useContext } from "react";

/** Does something, and answers why it was refused; null when it was done. */
export type Attempt = (work: () => void) => string | null;

const Refusals = createContext<Attempt>((work) => {
  work();
  return null;
});

/** Who knows whether what is done in a field was refused, so that the field can keep what was typed and say why. */
export const RefusalsProvider = Refusals.Provider;
export const useAttempt = (): Attempt => useContext(Refusals);
