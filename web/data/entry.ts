import { External } from "./external.js";
import type { ProblemError } from "./problem.js";

/** Whether the server lets this browser in; where it does not, why. */
export const entry = new External<{ refused: ProblemError | null }>({ refused: null });

/** What kind of problem the server told (RFC 9457, `type`). */
const kindOf = ({ body }: ProblemError): string => String(body.type ?? "").replace("urn:handy-frame:problem:", "");

/** Whether a key is what is missing, rather than anything about what was asked. */
export const isKeyWanted = (problem: ProblemError): boolean =>
  ["key-wanted", "wrong-key", "too-many-tries"].includes(kindOf(problem));
