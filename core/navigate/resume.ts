import { startOf } from "../frame/defaults.js";
import { nodeIn, stackAt } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import { lastOf } from "../frame/sure.js";
import { wayIn } from "../frame/way-in.js";
import { entriesInside, holdsNode, pathTo, withAt, withEntries, withoutDetail } from "./entries.js";
import { askOf, grant, type Granted } from "./grant.js";
import { layGranted, skippedBeneath } from "./lay.js";
import { fresh } from "./make.js";
import { openGranted, standingIn } from "./open.js";
import { lose, note, type Run } from "./run.js";
import type { Entry, Pending, State } from "./state.js";

/** The entries of a stand-in and of what lies on it, with the container that holds them; null if it is a tab or a pair's list, which stay. */
const lyingOn = (path: readonly Entry[]): { container: Entry; keys: ReadonlySet<number> } | null => {
  const [container, entry] = [path.at(-2), path.at(-1)];
  if (!container || !entry) return null;
  if (container.kind === "stack") {
    const lies = container.entries.slice(container.entries.indexOf(entry));
    return { container, keys: new Set(lies.map(({ key }) => key)) };
  }
  return container.kind === "pair" && container.detail === entry ? { container, keys: new Set([entry.key]) } : null;
};

/**
 * The state without a stand-in and what lies on it. A stack that this empties takes its start as one made on the way would,
 * if that is not the next node on the way; else it is left empty, to be filled by what is opened, or to leave.
 */
const withoutStandIn = (run: Run, state: State, path: readonly Entry[], { way, ask }: Granted): State => {
  const lying = lyingOn(path);
  if (!lying) return state;
  const here = pathTo(state.root, lying.container.key) ?? [];
  const at = here.at(-1);
  if (!at) return state;
  const gone = entriesInside(at).filter(({ key }) => lying.keys.has(key));
  for (const entry of gone) lose(run, entry);
  if (at.kind === "pair") return gone.length ? withAt(state, here, here.length - 1, withoutDetail(at)) : state;
  if (at.kind !== "stack") return state;
  const left = at.entries.filter(({ key }) => !lying.keys.has(key));
  if (left.length > 0) return gone.length ? withAt(state, here, here.length - 1, withEntries(at, left)) : state;
  const start = startOf(stackAt(run.frame, at.node));
  const next = way[way.indexOf(at.node) + 1];
  const starts = start !== undefined && start !== next && skippedBeneath(run, start, ask.params) === null;
  return withAt(state, here, here.length - 1, withEntries(at, starts ? [fresh(run, start)] : []));
};

/** A container that waited is opened at its start, down to the screen; where it is made new, it starts there anyway. */
const atStart = (run: Run, state: State, granted: Granted): Granted => {
  const { ask, way } = granted;
  if (nodeIn(run.frame, ask.to)?.kind === "screen" || !holdsNode(state.root, ask.to)) return granted;
  const inside = wayIn(run.frame, state.facts, ask.to);
  if (!inside || inside.length < 2) return granted;
  return { ...granted, ask: { ...ask, to: lastOf(inside) }, way: [...way, ...inside.slice(1)] };
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
    in: pending.in,
    waited: true as const,
    ...(cold && { link: { lays: true, cold: false } }),
  };
  const silent: Run = { ...run, notes: [] };
  const first = grant(silent, now, ask);
  const path = pathTo(before.root, pending.standIn);
  const stoodIn: Id | undefined = path?.at(-1)?.node;
  if (!first || (first.redirected && (stoodIn === undefined || first.ask.to === stoodIn))) return null;

  const left = path ? withoutStandIn(run, now, path, first) : now;
  const granted = grant(first.redirected ? run : silent, left, ask) ?? first;
  if (granted.redirected) {
    const next = openGranted(run, left, granted);
    return { ...next, pending: { ...pending, standIn: standingIn(run, next, granted) } };
  }
  note(run, "resumed", to, { what: { id: to, params } });
  const opened = granted.ask.link
    ? layGranted(run, left, granted)
    : openGranted(run, left, atStart(run, left, granted));
  return { ...opened, pending: null };
};
