import type { Id } from "../frame/parts.js";
import { entriesInside, pathTo, withAt, withEntries, withoutDetail } from "./entries.js";
import { focusPath } from "./focus.js";
import { askOf, grant } from "./grant.js";
import { layGranted } from "./lay.js";
import { openGranted } from "./open.js";
import { lose, note, type Run } from "./run.js";
import type { Entry, Pending, State } from "./state.js";

/** A stand-in with what lies on it, in the container that holds it. */
interface StandIn {
  container: Entry;
  keys: ReadonlySet<number>;
}

/** The entry of a node that was opened last, with what holds it. */
const findLast = (entry: Entry, id: Id): [parent: Entry, entry: Entry] | null => {
  for (const inner of [...entriesInside(entry)].reverse()) {
    const found: [Entry, Entry] | null = inner.node === id ? [entry, inner] : findLast(inner, id);
    if (found) return found;
  }
  return null;
};

/** The entries of a stand-in and of what lies on it; none if it is a tab or a pair's list, which stay. */
const standInOf = (run: Run, state: State, id: Id): StandIn | null => {
  const focus = focusPath(run, state.root);
  const at = focus.findIndex((entry) => entry.node === id);
  const [parent, entry] = (at > 0 ? focus.slice(at - 1, at + 1) : findLast(state.root, id)) ?? [];
  if (!parent || !entry) return null;
  if (parent.kind === "stack") {
    const lies = parent.entries.slice(parent.entries.indexOf(entry));
    return { container: parent, keys: new Set(lies.map(({ key }) => key)) };
  }
  return parent.kind === "pair" && parent.detail === entry ? { container: parent, keys: new Set([entry.key]) } : null;
};

const withoutKeys = (run: Run, state: State, container: Entry, keys: ReadonlySet<number>): State => {
  const path = pathTo(state.root, container.key) ?? [];
  const at = path.at(-1);
  const gone = at ? entriesInside(at).filter((entry) => keys.has(entry.key)) : [];
  if (gone.length === 0) return state;
  for (const entry of gone) lose(run, entry);
  if (at?.kind === "pair") return withAt(state, path, path.length - 1, withoutDetail(at));
  if (at?.kind !== "stack") return state;
  const left = at.entries.filter((entry) => !keys.has(entry.key));
  return withAt(state, path, path.length - 1, withEntries(at, left));
};

/** Whether a stand-in goes before what waited is opened: its container is not emptied by that. */
const goesAtOnce = (now: State, { container, keys }: StandIn): boolean => {
  const at = pathTo(now.root, container.key)?.at(-1);
  if (at?.kind === "stack") return at.entries.findIndex(({ key }) => keys.has(key)) > 0;
  return at?.kind === "pair";
};

/**
 * Opens what waits, as nothing of it is unmet now; or, when something else stands in for it now, that. Null if neither.
 * `before` is the state before anything was taken out of it, `now` the one after.
 */
export const resumed = (run: Run, before: State, now: State, pending: Pending): State | null => {
  const { to, params, as, motion, how, cold } = pending;
  const ask = {
    ...askOf(to, params),
    with: pending.with,
    as,
    motion,
    // what was to be replaced is gone: its stand-in took its place, and leaves now
    how: how === "replace" ? ("add" as const) : how,
    ...(cold && { link: { lays: true, cold: false } }),
  };
  const silent: Run = { ...run, notes: [] };
  const first = grant(silent, now, ask);
  if (!first || (first.redirected && first.ask.to === pending.standIn)) return null;

  const old = standInOf(run, before, pending.standIn);
  const atOnce = old !== null && goesAtOnce(now, old);
  let next = atOnce ? withoutKeys(run, now, old.container, old.keys) : now;
  const granted = grant(first.redirected ? run : silent, next, ask) ?? first;
  if (!granted.redirected) note(run, "resumed", to, { what: { id: to, params } });
  next = granted.ask.link && !granted.redirected ? layGranted(run, next, granted) : openGranted(run, next, granted);
  next = { ...next, pending: granted.redirected ? { ...pending, standIn: granted.ask.to } : null };
  if (!old || atOnce) return next;
  const onTheWay = new Set(focusPath(run, next.root).map(({ key }) => key));
  return withoutKeys(run, next, old.container, new Set([...old.keys].filter((key) => !onTheWay.has(key))));
};
