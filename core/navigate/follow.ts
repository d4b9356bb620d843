import { targetOfLink } from "../address/addresses.js";
import { shown } from "../frame/fault.js";
import type { Id, ScreenNode } from "../frame/types.js";
import { begun, newContainer, plainly } from "./make.js";
import { type Ask, askOf, grant, openGranted, pendingAfter } from "./open.js";
import { nameOf } from "../frame/names.js";
import { note, type Run } from "./run.js";
import { layGranted } from "./standing.js";
import type { State } from "./state.js";

/** Where a link leads, as something to open; null, with a note why, if it leads nowhere. */
const askedBy = (run: Run, url: string): Ask | null => {
  const target = targetOfLink(run.frame, url);
  if (target.kind === "ignored") {
    note(run, "ignored", null, `The link was ignored: ${target.reason}.`);
    return null;
  }
  if (target.kind === "nowhere") {
    const path = shown(target.path);
    note(
      run,
      "ignored",
      null,
      `The link was ignored: no screen has the address ${path}, and none is named for lost links.`,
    );
    return null;
  }
  if (target.kind === "lost") {
    const name = nameOf(run.frame, target.screen);
    note(run, "lost", target.screen, `No screen has the address ${shown(target.path)}: ${name} stands for it.`);
  }
  return askOf(target.screen, target.params);
};

const runningOf = (run: Run, id: Id): "open" | "rebuild" =>
  (run.frame.nodes[id] as ScreenNode).running ?? run.frame.address?.running ?? "open";

/** A link that comes while the app runs: opened like anything else, or its way laid anew. */
export const followRunning = (run: Run, state: State, url: string): State => {
  const asked = askedBy(run, url);
  const lays = asked !== null && runningOf(run, asked.to) === "rebuild";
  const granted = asked && grant(run, state, { ...asked, link: { lays, cold: false } });
  if (!granted) return state;
  const pending = pendingAfter(state.pending, granted);
  const opened = lays && !granted.redirected ? layGranted(run, state, granted) : openGranted(run, state, granted);
  return pending === opened.pending ? opened : { ...opened, pending };
};

/** An app that starts by a link: the chain to what it opens is laid; null, with a note why, if the link opens nothing. */
export const followCold = (run: Run, facts: State["facts"], url: string): State | null => {
  const root = newContainer(run, run.frame.root, plainly, { kind: "stack", entries: [] });
  const blank = begun(run, root, facts);
  const asked = askedBy(run, url);
  const granted = asked && grant(run, blank, { ...asked, link: { lays: true, cold: true } });
  return granted && { ...layGranted(run, blank, granted), pending: granted.pending };
};
