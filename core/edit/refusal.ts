import type { Fault } from "../frame/fault.js";
import { pointer } from "../frame/pointer.js";

/** Thrown while an edit is carried out, and caught where it began: it cannot be applied. */
export class Refusal extends Error {
  constructor(readonly faults: Fault[]) {
    super(faults[0]?.received);
  }
}

/** Refuses the edit that is being carried out, with the place, what was received, what was expected and the remedy. Never returns. */
export const refuse = (at: string[], received: string, expected: string, remedy: string): never => {
  throw new Refusal([{ pointer: pointer(...at), received, expected, remedy }]);
};
