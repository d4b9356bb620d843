import { targetOfLink } from "../address/addresses.js";
import { shown } from "../frame/fault.js";
import { screenAt } from "../frame/nodes.js";
import type { Facts, Id } from "../frame/parts.js";
import { type Ask, askOf, grant } from "./grant.js";
import { layGranted } from "./lay.js";
import { begun, newStack } from "./make.js";
import { openGranted, withoutSplash, withWaiting } from "./open.js";
import { ignore, note, type Run } from "./run.js";
import type { State } from "./state.js";

/** Where a link leads, as something to open; null, with a note why, if it leads nowhere. */
const askedBy = (run: Run, state: State, url: string): Ask | null => {
  const target = targetOfLink(run.frame, url, run.view);
  switch (target.kind) {
    case "ignored":
      ignore(run, state, null, { why: "link", reason: target.reason });
      return null;
    case "nowhere":
      ignore(run, state, null, { why: "link-nowhere", path: shown(target.path) });
      return null;
    case "lost":
      note(run, "lost", target.screen, { screen: target.screen, path: shown(target.path) });
  }
  return askOf(target.screen, target.params);
};

const runningOf = (run: Run, id: Id): "open" | "rebuild" =>
  screenAt(run.frame, id).running ?? run.frame.address?.running ?? "open";

/** A link that comes while the app runs: opened like anything else, or its way laid anew. */
export const followRunning = (run: Run, state: State, url: string): State => {
  const asked = askedBy(run, state, url);
  const lays = asked !== null && runningOf(run, asked.to) === "rebuild";
  const granted = asked && grant(run, state, { ...asked, link: { lays, cold: false } });
  if (!granted) return state;
  const opened = lays && !granted.redirected ? layGranted(run, state, granted) : openGranted(run, state, granted);
  return withoutSplash(run, state, withWaiting(run, state, opened, granted));
};

/** An app that starts by a link: the chain to what it opens is laid; null, with a note why, if the link opens nothing. */
export const followCold = (run: Run, facts: Facts, url: string): State | null => {
  const blank = begun(run, newStack(run, run.frame.root, []), facts);
  const asked = askedBy(run, blank, url);
  const granted = asked && grant(run, blank, { ...asked, link: { lays: true, cold: true } });
  return granted && withWaiting(run, blank, layGranted(run, blank, granted), granted);
};
