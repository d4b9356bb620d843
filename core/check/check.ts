import { bandsOf, targetsOf } from "../frame/defaults.js";
import { lensOf } from "../frame/look.js";
import type { Frame } from "../frame/types.js";
import { walkedClasses } from "../walk/classes.js";
import type { WalkReport } from "../walk/report.js";
import { type CheckReport, type Finding, worstFirst } from "./finding.js";
import type { Checked, CheckedView, Found, Rule, Where } from "./rule.js";
import { rules } from "./rules.js";

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
    };
  });
};

/** Checks a sound frame by every rule. Rules that ask a walk find nothing in views that were not walked. */
export const check = (checked: Checked, asked: readonly Rule[] = rules): CheckReport => ({
  findings: asked.flatMap((rule) => foundBy(rule, checked)).sort(worstFirst),
  walks: checked.views.flatMap(({ target, band, also, walk }) => (walk ? [{ target, band, also, walk }] : [])),
});
