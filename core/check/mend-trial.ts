import type { Frame } from "../frame/types.js";
import type { Bounds } from "../walk/bounds.js";
import { checkedAtOnce, Checking } from "./checking.js";
import { type Told, type ToldFinding, toldOf } from "./finding.js";

/** What an app would be like with a mend made, walked through. */
export interface TriedMend {
  /** What would be heard of, the worst first. */
  findings: Pick<ToldFinding, "code" | "node" | "key" | "severity" | "says">[];
  /** States that were walked, in all views. */
  states: number;
  /** All were walked that can be reached. */
  isWhole: boolean;
}

/** Tries a frame as a mend would leave it, in slices. */
export class MendTrial {
  private readonly checking: Checking;

  constructor(
    private readonly frame: Frame,
    bounds: Partial<Bounds> = {},
  ) {
    this.checking = new Checking(frame, bounds);
  }

  /** Goes on from so many more states. False once every view was walked. */
  advance(most: number): boolean {
    return this.checking.advance(most);
  }

  /** Ends the walk of the view it is in, and goes on with the next. */
  leaveView(): void {
    this.checking.leaveView();
  }

  /** What was found so far. */
  tried(): TriedMend {
    const { frame, checking } = this;
    const { walked, views, states } = checking.progress;
    const { findings, walks } = checking.report();
    const heard = toldOf(frame, checkedAtOnce(frame).findings, findings).findings.filter(({ quiet }) => quiet === null);
    return {
      findings: heard.map(({ code, node, key, severity, says }) => ({ code, node, key, severity, says })),
      states,
      isWhole: walked === views && walks.every(({ walk }) => !walk.bounds.isFull),
    };
  }
}

/** So many of what comes with a mend are named. */
const mostNamed = 2;

/** What a finding is known by, whatever it says by now. */
type Known = Pick<ToldFinding, "code" | "node" | "key">;
const isSame = (a: Known, b: Known): boolean => a.code === b.code && a.node === b.node && a.key === b.key;

/** What a mend was found to come to, in words. */
export interface MendVerdict {
  /** The finding is gone, and nothing else comes with that. */
  isClean: boolean;
  says: string;
}

/** What a mend of a finding comes to, where `told` is what is known to be wrong without it. */
export const verdictOn = (finding: Known, { findings }: Told, tried: TriedMend): MendVerdict => {
  const isGone = !tried.findings.some((found) => isSame(found, finding));
  const brings = tried.findings.filter(
    (found) => found.severity !== "hint" && !findings.some((known) => isSame(known, found)),
  );
  const named = brings.slice(0, mostNamed).map(({ says }) => `“${says}”`);
  const rest = brings.length - named.length;
  const comes = [...named, ...(rest > 0 ? [`${rest} more`] : [])].join(", ");
  const first = isGone ? "it is gone" : "it is still there, by another way";
  const then = comes ? `, and with it comes ${comes}` : isGone ? ", and nothing else comes with it" : "";
  const states = `${tried.states.toLocaleString("en")} states`;
  const walked = tried.isWhole ? `all ${states} walked` : `${states} walked, not all`;
  return { isClean: isGone && brings.length === 0, says: `Tried: ${first}${then} (${walked}).` };
};
