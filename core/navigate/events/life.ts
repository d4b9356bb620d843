import { targetOfLink } from "../../address/addresses.js";
import { factAtLaunch, factsOf, startOf } from "../../frame/defaults.js";
import { stackAt } from "../../frame/nodes.js";
import { mayStart } from "../../frame/way-in.js";
import { type Facts, type Id, noParams } from "../../frame/parts.js";
import { mapAll } from "../entries.js";
import type { EventOf } from "../event.js";
import { followCold, followRunning } from "../follow.js";
import { askOf, grant } from "../grant.js";
import { begun, newStack } from "../make.js";
import { open as openNode, withoutSplash } from "../open.js";
import { emptied, ignore, type Run } from "../run.js";
import { settle } from "../settle.js";
import type { Entry, State } from "../state.js";

/** An app that starts by itself: its root's start is opened, else, as a hub's, the first child that may be shown. */
const launchedAtStart = (run: Run, facts: Facts): State => {
  const { frame } = run;
  const blank = begun(run, newStack(run, frame.root, []), facts);
  const root = stackAt(frame, frame.root);
  const leads = (id: Id): boolean => grant({ ...run, notes: [] }, blank, askOf(id)) !== null;
  const start = startOf(root);
  const first = start !== undefined && leads(start) ? start : root.children.find((id) => mayStart(frame, facts, id));
  return first === undefined ? blank : openNode(run, blank, askOf(first));
};

/** An app that starts, by a link or not. What was never on screen is not told as taken out of it. */
export const launchState = (run: Run, facts: Facts, url?: string): State => {
  run.facts = facts;
  const linked = url === undefined ? null : followCold(run, facts, url);
  const state = linked ?? launchedAtStart(run, facts);
  const { notes } = run;
  run.notes = [];
  const launched = settle(run, null, state);
  run.notes = [...notes, ...run.notes.filter(({ code }) => code !== "swept")];
  return launched;
};

/** The facts once the app's process has ended. */
const factsAfterEnd = (run: Run, { facts }: State): Facts => {
  const kept = { ...facts };
  for (const fact of factsOf(run.frame)) if (fact.lasting === false) kept[fact.id] = factAtLaunch(fact);
  return kept;
};

/** A link that starts the app, which was not running: nothing of it is there any more. */
const linkCold = (run: Run, state: State, url: string): State => {
  const target = targetOfLink(run.frame, url, run.view);
  if (target.kind === "ignored" || target.kind === "nowhere") return followRunning(run, state, url);
  emptied(run, state.root);
  return launchState(run, factsAfterEnd(run, state), url);
};

/** A link is followed. */
export const link = (run: Run, state: State, { url, start }: EventOf<"link">): State =>
  start === "cold" ? linkCold(run, state, url) : followRunning(run, state, url);

/** Something outside the app opens a node. */
export const open = (run: Run, state: State, { to, params, how = "add" }: EventOf<"open">): State =>
  withoutSplash(run, state, openNode(run, state, { ...askOf(to, params), how }));

const withoutCarried = (entry: Entry): Entry => {
  const plain = entry.carried === noParams ? entry : { ...entry, carried: noParams };
  return plain.kind === "screen" ? plain : mapAll(plain, withoutCarried);
};

/** The system ended the app in the background, and it comes back. */
export const kill = (run: Run, state: State): State => {
  const facts = factsAfterEnd(run, state);
  run.facts = facts;
  const relaunch = run.frame.relaunch ?? "place";
  if (relaunch === "nothing") {
    emptied(run, state.root);
    return launchState(run, facts);
  }
  if (relaunch === "everything") return settle(run, null, { ...state, facts, drawer: null, outside: false }, state);
  const root = withoutCarried(emptied(run, state.root));
  if (root.kind !== "stack") throw new Error("the root is no stack");
  const pending = state.pending && { ...state.pending, with: noParams };
  return settle(run, null, { ...state, root, facts, pending, drawer: null, outside: false }, state);
};

/** The person comes back to an app that was left. */
export const comeBack = (run: Run, state: State): State =>
  state.outside ? { ...state, outside: false } : ignore(run, state, null, { why: "not-outside" });
