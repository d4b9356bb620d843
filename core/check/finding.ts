import { keysOf } from "../frame/keys.js";
import type { Id } from "../frame/parts.js";
import type { NodeKey } from "../frame/properties.js";
import type { Frame } from "../frame/types.js";
import type { WalkReport } from "../walk/report.js";
import { type Group, groups, type Mend, type Played, severities, type Severity, type Where } from "./rule.js";

/** What is wrong with an app in one place. */
export interface Finding {
  code: string;
  group: Group;
  severity: Severity;
  node: Id | null;
  key: NodeKey | null;
  says: string;
  detail: string;
  why: string;
  /** The targets and bands it holds in; empty for all of them. */
  where: Where[];
  facts: string | null;
  show: Played | null;
  mends: Mend[];
}

/** What some rules found. */
export interface CheckReport {
  /** The worst first, then by what they are about. */
  findings: Finding[];
  /** What was walked, view by view; empty where nothing was. */
  walks: { target: Id; band: Id; also: Where[]; walk: WalkReport }[];
}

/** A finding, and whether it is heard. */
export interface ToldFinding extends Finding {
  /** Why it is silenced; null where it is not. */
  quiet: string | null;
  /** A walk found it. */
  isWalked: boolean;
}

/** A finding that was silenced and is not there any more. */
export interface StaleQuiet {
  rule: string;
  node: Id | null;
  why: string;
}

/** All that is wrong with an app, by what its frame silences. */
export interface Told {
  findings: ToldFinding[];
  stale: StaleQuiet[];
}

const groupOrder = keysOf(groups);

/** The worst first, then by what they are about; those that are alike in that stay as they come. */
export const worstFirst = (a: Finding, b: Finding): number =>
  severities.indexOf(a.severity) - severities.indexOf(b.severity) ||
  groupOrder.indexOf(a.group) - groupOrder.indexOf(b.group);

/**
 * What was found by looking at a frame and by walking it, brought together, with what the frame silences as it is now.
 * Null is what was not done; as long as one of both was not, it may find what silences nothing so far.
 */
export const toldOf = (
  { quiet = [] }: Pick<Frame, "quiet">,
  looked: readonly Finding[] | null,
  walked: readonly Finding[] | null,
): Told => {
  const used = new Set<(typeof quiet)[number]>();
  const tell =
    (isWalked: boolean) =>
    (finding: Finding): ToldFinding => {
      const by = quiet.find(({ rule, node }) => rule === finding.code && (node ?? null) === finding.node);
      if (by) used.add(by);
      return { ...finding, quiet: by?.why ?? null, isWalked };
    };
  const findings = [...(walked ?? []).map(tell(true)), ...(looked ?? []).map(tell(false))].sort(worstFirst);
  const unused = looked && walked ? quiet.filter((each) => !used.has(each)) : [];
  return { findings, stale: unused.map(({ rule, node, why }) => ({ rule, node: node ?? null, why })) };
};
