import { bandsOf, targetsOf } from "../frame/defaults.js";
import { lensOf } from "../frame/look.js";
import type { Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { walkedClasses } from "../walk/classes.js";
import type { WalkReport } from "../walk/report.js";
import {
  type Checked,
  type CheckedView,
  type Found,
  type Group,
  type Mend,
  type Played,
  type Rule,
  severities,
  type Severity,
  type Where,
} from "./rule.js";
import { rules } from "./rules.js";

/** What is wrong with an app in one place. */
export interface Finding {
  code: string;
  group: Group;
  severity: Severity;
  node: Id | null;
  key: string | null;
  says: string;
  detail: string;
  why: string;
  /** The targets and bands it holds in; empty for all of them. */
  where: Where[];
  facts: string | null;
  show: Played | null;
  mends: Mend[];
  /** Why it is silenced; null where it is not. */
  quiet: string | null;
}

/** A finding that was silenced and is not there any more. */
export interface StaleQuiet {
  rule: string;
  node: Id | null;
  why: string;
}

/** All that is wrong with an app. */
export interface CheckReport {
  /** The worst first, then by what they are about. */
  findings: Finding[];
  stale: StaleQuiet[];
  /** What was walked, view by view; empty where nothing was. */
  walks: { target: Id; band: Id; also: Where[]; walk: WalkReport }[];
}

/** The views of a frame to check, each with what a walk through it found, where it was walked. */
export const checkedOf = (frame: Frame, walks: readonly (WalkReport | null)[] = []): Checked => ({
  frame,
  views: walkedClasses(frame).map((each, i): CheckedView => ({
    ...each,
    lens: lensOf(frame, each.view),
    walk: walks[i] ?? null,
  })),
});

const placesOfViews = (views: readonly CheckedView[]): Where[] =>
  views.flatMap(({ target, band, also }) => [{ target, band }, ...also]);

/** Targets and bands that are named one by one; none where they are all there are. */
const placesSaid = (frame: Frame, where: readonly Where[]): Where[] =>
  where.length === targetsOf(frame).length * bandsOf(frame).length ? [] : [...where];

/** What one rule finds, told once for each place whatever the views it was found in. */
const foundBy = (rule: Rule, checked: Checked): Finding[] => {
  const byPlace = new Map<string, { found: Found; views: Set<CheckedView>; everywhere: boolean }>();
  for (const found of rule.find(checked)) {
    const place = `${found.node ?? ""} ${found.key ?? ""} ${found.says}`;
    const known = byPlace.get(place);
    if (!known) byPlace.set(place, { found, views: new Set(found.views), everywhere: !found.views });
    else {
      for (const view of found.views ?? []) known.views.add(view);
      known.everywhere ||= !found.views;
      const [now, other] = [known.found.show, found.show];
      if (other && (!now || other.events.length < now.events.length)) known.found = { ...known.found, show: other };
    }
  }
  const { code, group, severity, why } = rule;
  return [...byPlace.values()].map(({ found, views, everywhere }): Finding => {
    const isAll = everywhere || views.size === checked.views.length;
    return {
      code,
      group,
      severity: found.severity ?? severity,
      node: found.node,
      key: found.key ?? null,
      says: found.says,
      detail: found.detail ?? "",
      why,
      where: found.where ? placesSaid(checked.frame, found.where) : isAll ? [] : placesOfViews([...views]),
      facts: found.facts ?? null,
      show: found.show ?? null,
      mends: [...(found.mends ?? [])],
      quiet: null,
    };
  });
};

const groupOrder = new Map(rules.map(({ code }, i) => [code, i]));
const inOrder = (a: Finding, b: Finding): number =>
  severities.indexOf(a.severity) - severities.indexOf(b.severity) ||
  (groupOrder.get(a.code) ?? 0) - (groupOrder.get(b.code) ?? 0);

/** Checks a sound frame by every rule. Rules that ask a walk find nothing in views that were not walked. */
export const check = (checked: Checked, asked: readonly Rule[] = rules): CheckReport => {
  const { frame, views } = checked;
  const quiet = frame.quiet ?? [];
  const used = new Set<(typeof quiet)[number]>();
  const findings = asked
    .flatMap((rule) => foundBy(rule, checked))
    .map((finding): Finding => {
      const by = quiet.find(({ rule, node }) => rule === finding.code && (node ?? null) === finding.node);
      if (by) used.add(by);
      return by ? { ...finding, quiet: by.why } : finding;
    });
  const isWalked = views.some(({ walk }) => walk !== null);
  const known = new Map(asked.map((rule) => [rule.code, rule]));
  const stale = quiet
    .filter((each) => !used.has(each) && (isWalked || !known.get(each.rule)?.needsWalk))
    .map(({ rule, node, why }): StaleQuiet => ({ rule, node: node ?? null, why }));
  return {
    findings: findings.sort(inOrder),
    stale,
    walks: views.flatMap(({ target, band, also, walk }) => (walk ? [{ target, band, also, walk }] : [])),
  };
};
