import { bandsOf, targetsOf } from "../frame/defaults.js";
import { plainName } from "../frame/names.js";
import type { Frame } from "../frame/types.js";
import { list } from "../says/words.js";
import type { Proof, ProofId, WalkReport } from "../walk/report.js";
import type { CheckReport } from "./finding.js";
import type { Where } from "./rule.js";

/** What is proved, in a few words. */
export const proofTitles: Readonly<Record<ProofId, string>> = {
  ends: "Back always ends",
  trap: "No trap",
  strips: "Never two strips",
  needs: "Needs are always met",
  behind: "Sign-in never behind Back",
  reached: "Every screen reached, and left",
  drafts: "No draft lost unasked",
};

/** One proof over all the views that were walked. */
export interface ProofOverall extends Proof {
  /** The view that shows it broken. */
  where: Where | null;
  states: number;
}

/** The proofs over all views together. */
export const proofsOverall = ({ walks }: Pick<CheckReport, "walks">): ProofOverall[] => {
  const [first] = walks;
  if (!first) return [];
  const states = walks.reduce((sum, { walk }) => sum + walk.states, 0);
  return first.walk.proofs.map(({ id }) => {
    const each = walks.flatMap(({ target, band, walk }) =>
      walk.proofs.filter((proof) => proof.id === id).map((proof) => ({ proof, where: { target, band } })),
    );
    const broken = each.filter(({ proof }) => !proof.holds);
    const shown = broken.find(({ proof }) => proof.shown) ?? broken[0];
    return {
      id,
      holds: broken.length === 0,
      broken: broken.reduce((sum, { proof }) => sum + proof.broken, 0),
      shown: shown?.proof.shown ?? null,
      screens: [...new Set(broken.flatMap(({ proof }) => proof.screens))],
      where: shown?.where ?? null,
      states,
    };
  });
};

/** Targets and bands in words: “Swipe-back phone: hand and lap”; empty for all of them. */
export const whereSays = (frame: Frame, where: readonly Where[]): string => {
  const bands = bandsOf(frame);
  const byTarget = targetsOf(frame).flatMap(({ id, label }) => {
    const there = bands.filter((band) => where.some((each) => each.target === id && each.band === band.id));
    return there.length ? [{ label, bands: there.map((band) => band.id) }] : [];
  });
  const [first] = byTarget;
  const isSame = byTarget.every((each) => each.bands.join() === first?.bands.join());
  if (first && isSame && byTarget.length === targetsOf(frame).length) return list(first.bands);
  return byTarget
    .map((each) => (each.bands.length === bands.length ? each.label : `${each.label}: ${list(each.bands)}`))
    .join(" · ");
};

/** The bounds that walks met, each in a sentence; what is proved holds within them. */
export const boundsSay = (frame: Frame, walks: readonly WalkReport[]): string[] => {
  const beyond = new Set(walks.flatMap(({ bounds }) => bounds.beyond.map(({ node }) => node)));
  const full = walks.filter(({ bounds }) => bounds.isFull).length;
  return [
    ...(full > 0 ? [`In ${full} of ${walks.length} views there are more states than were walked.`] : []),
    ...(beyond.size > 0
      ? [
          `${list([...beyond].slice(0, 3).map((id) => plainName(frame, id)))} may lie on itself without end: walked until it lies there twice.`,
        ]
      : []),
    ...(walks.some(({ bounds }) => bounds.areFactsCut)
      ? ["There are more combinations of facts than were begun with."]
      : []),
    "One row stands for all, and a form is empty or filled in. Links that come while the app runs, and the system ending it, are not walked.",
  ];
};
