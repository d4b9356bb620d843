import { type Fault, shown } from "../frame/fault.js";
import { pointer } from "../frame/pointer.js";
import type { Frame, Node } from "../frame/types.js";
import type { Id } from "../frame/parts.js";

/** What a fault of meaning is, in one word: for who counts them, looks them up or says them in another form. */
export type FaultCode =
  | "root"
  | "repeated"
  | "bands"
  | "no-target"
  | "dangling"
  | "lost-screen"
  | "tab-outside-hub"
  | "no-condition"
  | "no-view"
  | "unknown-target"
  | "unknown-band"
  | "unknown-fact"
  | "unknown-fact-value"
  | "unknown-motion"
  | "pattern"
  | "link-in"
  | "empty-container"
  | "no-action"
  | "no-child"
  | "root-inside"
  | "several-places"
  | "loop"
  | "too-deep"
  | "address-clash";

/** Where something stands in the file, as JSON Pointer segments. */
export type At = readonly (string | number)[];

/** Tells a fault: what it is, where, what was found there, what belongs there, and what to do. */
export type Report = (code: FaultCode, at: At, received: string, expected: string, remedy: string) => void;

/** A reporter that gathers into a list. */
export const reportInto =
  (faults: Fault[]): Report =>
  (code, at, received, expected, remedy) =>
    void faults.push({ code, pointer: pointer(...at), received, expected, remedy });

/** A rule about one node: what its names and its nesting say that cannot be. */
export type NodeRule = (frame: Frame, report: Report, id: Id, node: Node) => void;
/** A rule about the frame's own fields. */
export type FrameRule = (frame: Frame, report: Report) => void;

/** Reports a name that is in none of the frame's tables. */
export const named = (
  report: Report,
  at: At,
  received: string,
  known: readonly string[],
  what: "target" | "band" | "fact" | "motion",
): void => {
  if (known.includes(received)) return;
  report(
    `unknown-${what}`,
    at,
    shown(received),
    known.length ? `one of the ${what}s ${shown(known.join(", "), 80)}` : `a ${what}, of which there is none`,
    `Name a ${what} that exists, or add it.`,
  );
};

/** Reports a name of a node that is not there. */
export const dangling = (report: Report, at: At, received: Id, what = "a node of the frame"): void =>
  report(
    "dangling",
    at,
    `${shown(received)}, which is not in nodes`,
    `the id of ${what}`,
    "Correct the id, add the node, or take the reference out.",
  );

/** Reports what stands in a list a second time. */
export const repeats = (report: Report, at: At, ids: readonly string[], what: string): void => {
  const seen = new Set<string>();
  ids.forEach((id, i) => {
    if (seen.has(id))
      report(
        "repeated",
        [...at, i],
        `${shown(id)} a second time`,
        `each ${what} once`,
        "Give it another id, or take it out.",
      );
    seen.add(id);
  });
};
