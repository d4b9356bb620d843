import { sure } from "../frame/sure.js";
import { targetOfLink, type Target } from "../address/addresses.js";
import { idFrom } from "../edit/naming.js";
import type { Frame } from "../frame/types.js";
import type { Facts, Id, LinkCase } from "../frame/parts.js";
import { viewOf, type View } from "../frame/view.js";
import { factCombinations } from "../frame/needs.js";
import { type Seen, seenAfter } from "../observe/seen.js";
import { printed, type Snapshot } from "../observe/snapshot.js";
import { landed, unusualFacts } from "../explore/standpoint.js";
import type { State } from "../navigate/state.js";
import { launch, type Step, stepThrough } from "../navigate/step.js";
import { seeOf, type Unlike, unlike } from "./expect.js";

/** How a link comes: to an app that is not running, or that runs, and with what facts. */
export interface Trial {
  start: "cold" | "running";
  facts: Facts;
}

/** What became of a link. */
export interface Tried {
  trial: Trial;
  target: Target;
  /** Where the app was; null when it was not running. */
  before: State | null;
  at: Step;
  seen: Seen;
  /** The same as it is printed, which is what a kept case is held against. */
  snapshot: Snapshot;
}

/** Follows a link in an app of its own: cold as it launches, running where it lands after a launch. */
export const tryLink = (frame: Frame, view: View, url: string, trial: Trial): Tried => {
  const before = trial.start === "running" ? landed(frame, view, trial.facts) : null;
  const at = before
    ? stepThrough(frame, view, before, { do: "link", url, start: "running" })
    : launch(frame, view, trial.facts, url);
  const seen = seenAfter(frame, view, at);
  return { trial, target: targetOfLink(frame, url), before, at, seen, snapshot: printed(frame, seen) };
};

/** A link followed in every way there is. */
export interface Grid {
  facts: readonly Facts[];
  /** For each of the facts: cold, then running. */
  rows: { cold: Tried; running: Tried }[];
  /** Numbers of outcomes, from 1: the same number is the same screen, params, ladder and waiting. */
  numbers: Map<Tried, number>;
}

const outcomeOf = ({ snapshot }: Tried): string => {
  const { top, params, back, pending, overlay } = snapshot;
  return JSON.stringify([top, params, back, pending, overlay]);
};

/** The link against every combination of cold and running with the facts. */
export const tryEverywhere = (frame: Frame, view: View, url: string): Grid => {
  const facts = factCombinations(frame);
  const rows = facts.map((each) => ({
    cold: tryLink(frame, view, url, { start: "cold", facts: each }),
    running: tryLink(frame, view, url, { start: "running", facts: each }),
  }));
  const known = new Map<string, number>();
  const numbers = new Map<Tried, number>();
  for (const row of rows)
    for (const tried of [row.cold, row.running]) {
      const outcome = outcomeOf(tried);
      if (!known.has(outcome)) known.set(outcome, known.size + 1);
      numbers.set(tried, sure(known.get(outcome)));
    }
  return { facts, rows, numbers };
};

/** How a kept case comes out now. */
export interface CaseRun {
  kept: LinkCase;
  tried: Tried;
  /** Empty when it comes out as it was kept. */
  unlike: Unlike[];
}

/** Runs a kept case, on the frame's first target at a phone's size. */
export const runCase = (frame: Frame, kept: LinkCase): CaseRun => {
  const tried = tryLink(frame, viewOf(frame), kept.url, { start: kept.start, facts: kept.facts ?? {} });
  return { kept, tried, unlike: unlike(tried.snapshot, kept.see) };
};

/** The case that keeps how a link comes out now; facts that are as at a launch are not told. */
export const caseOf = (frame: Frame, id: Id, url: string, trial: Trial): LinkCase => {
  const tried = tryLink(frame, viewOf(frame), url, trial);
  const facts = unusualFacts(frame, trial.facts);
  return {
    id,
    url,
    start: trial.start,
    ...(facts && { facts }),
    see: seeOf(tried.snapshot),
  };
};

/** An id for a case that no other has. */
export const freeCaseId = (frame: Frame, name: Id): Id =>
  idFrom(name, (id) => (frame.linkCases ?? []).some((kept) => kept.id === id));
