import { childrenOf, startOf } from "../frame/defaults.js";
import { needsWithin, unmetOf } from "../frame/needs.js";
import { mayStart } from "../frame/way-in.js";
import { hubAt } from "../frame/nodes.js";
import type { Facts, Id } from "../frame/parts.js";
import { sure } from "../frame/sure.js";
import type { FixedFrame } from "../frame/types.js";
import { isUnmade, mapEntries, tabOf, withEntries, withHub } from "./entries.js";
import { fresh } from "./make.js";
import { lose, named, note, type Run } from "./run.js";
import type { Entry, HubEntry, State } from "./state.js";
import { holdsNone, visitsAfter } from "./visits.js";

/** What is known of an entry before an event: that it was whole, with facts that are the same now or not. */
export interface WasWhole {
  entry: Entry | null | undefined;
  sameFacts: boolean;
}

/** The tabs of a hub that may not be among those left before: the one that shows, and those that may not be shown. */
export const notVisited = (frame: FixedFrame, facts: Facts, { node, active }: HubEntry): Id[] =>
  childrenOf(hubAt(frame, node)).filter((id) => id === active || unmetOf(frame, facts, id));

/** Whether an entry is as it was, or may be shown and is a container of the same sort that is whole. */
export const isWhole = (run: Run, facts: Facts, entry: Entry, { entry: was, sameFacts }: WasWhole): boolean => {
  if (entry === was && (sameFacts || !needsWithin(run.frame, entry.node))) return true;
  const wholeInside = (inner: Entry, old: Entry | null | undefined): boolean =>
    isWhole(run, facts, inner, { entry: old, sameFacts });
  if (unmetOf(run.frame, facts, entry.node)) return false;
  switch (entry.kind) {
    case "screen":
      return true;
    case "stack": {
      const old = was?.kind === "stack" ? was.entries : [];
      return entry.entries.length > 0 && entry.entries.every((inner, i) => wholeInside(inner, old[i]));
    }
    case "hub": {
      const { active, tabs, visits } = entry;
      const before = was?.kind === "hub" ? was : null;
      const old = before?.tabs ?? {};
      const areVisitsSame = sameFacts && before?.visits === visits && before.active === active;
      if (!tabs[active] || !(areVisitsSame || holdsNone(visits, notVisited(run.frame, facts, entry)))) return false;
      for (const id in tabs) {
        const tab = sure(tabs[id]);
        if (!wholeInside(tab, old[id]) && !isUnmade(tab)) return false;
      }
      return true;
    }
    case "pair": {
      const old = was?.kind === "pair" ? was : null;
      return wholeInside(entry.list, old?.list) && (entry.detail === null || wholeInside(entry.detail, old?.detail));
    }
  }
};

/** Without the entries whose needs are unmet; containers may be left empty by it. Null when the entry itself goes. */
const swept = (run: Run, facts: Facts, entry: Entry): Entry | null => {
  const need = unmetOf(run.frame, facts, entry.node);
  if (need && isUnmade(entry)) return entry;
  if (need) {
    note(run, "swept", entry.node, { what: named(entry), need });
    lose(run, entry);
    return null;
  }
  if (entry.kind === "screen" || !needsWithin(run.frame, entry.node)) return entry;
  const left = mapEntries(entry, (inner) => swept(run, facts, inner));
  // a pair leaves with its list
  if (!left && entry.kind === "pair" && entry.detail) lose(run, entry.detail);
  return left;
};

/** The state without what may not be shown; containers may be left empty by it. */
export const sweptState = (run: Run, state: State): State => {
  const root = swept(run, state.facts, state.root);
  if (root === state.root) return state;
  return { ...state, root: root?.kind === "stack" ? root : withEntries(state.root, []) };
};

/** A node's entry as it starts; null if that may not be shown. */
const startAgain = (run: Run, facts: Facts, id: Id): Entry | null =>
  mayStart(run.frame, facts, id) ? fresh(run, id) : null;

/**
 * The entry with everything in it whole again: a nested stack that is empty leaves, a tab and a pair's list take their start
 * again, a hub that lost its tab goes to its start, else to the first tab allowed. Null when nothing of it may be shown.
 */
const whole = (run: Run, facts: Facts, entry: Entry): Entry | null => {
  if (entry.kind === "screen") return entry;
  const again = (inner: Entry): Entry | null => {
    const left = whole(run, facts, inner);
    // another tab left empty is unmade until it is chosen
    const starts =
      (entry.kind === "hub" && inner.node === entry.active) || (entry.kind === "pair" && inner === entry.list);
    return left ?? (starts ? startAgain(run, facts, inner.node) : null);
  };
  const left = mapEntries(entry, again);
  if (!left) {
    if (entry.kind === "pair" && entry.detail) lose(run, entry.detail);
    return null;
  }
  if (left.kind === "hub") return wholeHub(run, facts, left);
  return left.kind === "stack" && left.entries.length === 0 ? null : left;
};

const wholeHub = (run: Run, facts: Facts, hub: HubEntry): HubEntry | null => {
  let { active, tabs } = hub;
  if (!tabs[active]) {
    const node = hubAt(run.frame, hub.node);
    const isAllowed = (id: Id): boolean => tabOf(hub, id) !== undefined || mayStart(run.frame, facts, id);
    const to = [startOf(node), ...childrenOf(node)].find((id) => id !== undefined && isAllowed(id));
    if (to === undefined) return null;
    if (!tabOf(hub, to)) tabs = { ...tabs, [to]: fresh(run, to) };
    active = to;
  }
  const visits = visitsAfter(hub.visits, notVisited(run.frame, facts, { ...hub, active }));
  if (active === hub.active && tabs === hub.tabs && visits === hub.visits) return hub;
  return withHub(hub, { active, tabs, visits });
};

/** Whether something is left of an entry once what may not be shown is out of it. */
export const staysWhole = (run: Run, facts: Facts, entry: Entry): boolean => {
  const silent: Run = { ...run, notes: [] };
  const left = swept(silent, facts, entry);
  return left !== null && (whole(silent, facts, left) ?? startAgain(silent, facts, entry.node)) !== null;
};

/** The state with all its containers whole again; the root is left empty where nothing may be shown. */
export const wholeState = (run: Run, state: State): State => {
  const { facts } = state;
  const root = whole(run, facts, state.root) ?? startAgain(run, facts, state.root.node);
  if (root === state.root) return state;
  // the root's entry is the same as long as the app runs
  return { ...state, root: withEntries(state.root, root?.kind === "stack" ? root.entries : []) };
};
