import { useState } from "react";
import type { Fault } from "../../../core/index.js";
import { ProblemError } from "../../data/problem.js";

/** What did not work, and why. */
export interface Trouble {
  what: string;
  detail: string;
  faults: readonly Fault[];
}

/** Does something that may fail; `what` tells of it where it does. */
export type Attempt = (what: string, work: () => Promise<unknown>) => Promise<void>;

export const useAttempt = (): {
  trouble: Trouble | null;
  tell: (trouble: Trouble | null) => void;
  attempt: Attempt;
} => {
  const [trouble, tell] = useState<Trouble | null>(null);
  const attempt: Attempt = async (what, work) => {
    try {
      await work();
      tell(null);
    } catch (problem) {
      if (!(problem instanceof ProblemError)) throw problem;
      tell({ what, detail: `${problem.title}. ${problem.detail}`, faults: problem.faults });
    }
  };
  return { trouble, tell, attempt };
};
