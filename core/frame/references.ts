import type { Action, Do, Id, Leave, Need, Quiet, Variation } from "./parts.js";
import type { Node } from "./types.js";

/** What a reference points at decides what is done with it when that is gone. */
export interface Reference {
  /** The node named. */
  to: Id;
  /** Where the name stands in the node, as JSON Pointer segments. */
  at: (string | number)[];
  /** `way`: following it opens the node; `rule`: a need's stand-in or a link's stack. */
  role: "way" | "rule";
}

const fromDo = (value: Do, at: (string | number)[], found: Reference[]): void => {
  if (value.kind === "open") found.push({ to: value.to, at: [...at, "to"], role: "way" });
  if (value.kind === "set" && value.then) fromDo(value.then, [...at, "then"], found);
};

/** Every place in a node, outside `children`, `start`, `base`, `list` and `detail`, that names another node. */
export const referencesOf = (node: Node): Reference[] => {
  const found: Reference[] = [];
  node.needs?.forEach((need, i) => {
    if (need.otherwise) found.push({ to: need.otherwise, at: ["needs", i, "otherwise"], role: "rule" });
  });
  if (node.kind === "screen") {
    node.actions?.forEach((action, i) => fromDo(action.do, ["actions", i, "do"], found));
    if (node.after) fromDo(node.after.do, ["after", "do"], found);
    if (node.body && "opens" in node.body && node.body.opens)
      found.push({ to: node.body.opens, at: ["body", "opens"], role: "way" });
    if (node.linkIn) found.push({ to: node.linkIn, at: ["linkIn"], role: "rule" });
    node.leave?.free?.forEach((each, i) => {
      if (typeof each !== "string") found.push({ to: each.in, at: ["leave", "free", i, "in"], role: "rule" });
    });
  }
  if (node.kind === "hub") node.extras?.forEach((action, i) => fromDo(action.do, ["extras", i, "do"], found));
  return found;
};

const leadOf = (action: Do): Id | null =>
  action.kind === "open" ? action.to : action.kind === "set" && action.then ? leadOf(action.then) : null;

/** Calls `found` for each node that a node leads to, in the order its ways stand in it: the lighter half of `referencesOf`. */
export const eachLead = (node: Node, found: (to: Id) => void): void => {
  const actions = node.kind === "screen" ? node.actions : node.kind === "hub" ? node.extras : undefined;
  if (actions)
    for (const action of actions) {
      const to = leadOf(action.do);
      if (to !== null) found(to);
    }
  if (node.kind !== "screen") return;
  const by = node.after ? leadOf(node.after.do) : null;
  if (by !== null) found(by);
  if (node.body && "opens" in node.body && node.body.opens) found(node.body.opens);
};

const mapDo = (value: Do, map: (id: Id) => Id | null): Do | null => {
  if (value.kind === "open") {
    const to = map(value.to);
    return to === null ? null : to === value.to ? value : { ...value, to };
  }
  if (value.kind !== "set" || !value.then) return value;
  const then = mapDo(value.then, map);
  if (then === value.then) return value;
  const { then: _, ...rest } = value;
  return then ? { ...rest, then } : rest;
};

const mapList = <T>(list: T[] | undefined, map: (value: T) => T | null): T[] | undefined => {
  if (!list) return list;
  const mapped = list.map(map);
  return mapped.every((value, i) => value === list[i]) ? list : mapped.filter((value) => value !== null);
};

const mapActions = (actions: Action[] | undefined, map: (id: Id) => Id | null) =>
  mapList(actions, (action) => {
    const to = mapDo(action.do, map);
    return to === null ? null : to === action.do ? action : { ...action, do: to };
  });

const mapNeeds = (needs: Need[] | undefined, map: (id: Id) => Id | null) =>
  mapList(needs, (need) => {
    const otherwise = need.otherwise && map(need.otherwise);
    if (otherwise === need.otherwise) return need;
    const { otherwise: _, ...rest } = need;
    return otherwise ? { ...rest, otherwise } : rest;
  });

const mapFree = (free: Leave["free"], map: (id: Id) => Id | null) =>
  mapList(free, (each) => {
    const to = typeof each === "string" ? each : map(each.in);
    if (typeof each === "string" || to === each.in) return each;
    return to === null ? null : { ...each, in: to };
  });

const put = <T extends object, K extends keyof T>(value: T, key: K, next: T[K] | undefined): T => {
  if (value[key] === next) return value;
  const copy = { ...value };
  if (next === undefined || (Array.isArray(next) && next.length === 0)) delete copy[key];
  else copy[key] = next;
  return copy;
};

/** The screens that a frame names by view for links that lead nowhere, mapped; null takes one away. */
export const withLost = (vary: Variation[] | undefined, map: (id: Id) => Id | null): Variation[] | undefined =>
  mapList(vary, (entry) => {
    const { lost, ...rest } = entry.set;
    const to = typeof lost === "string" ? map(lost) : undefined;
    if (to === undefined || to === lost) return entry;
    const set = to === null ? rest : { ...rest, lost: to };
    return Object.keys(set).length ? { ...entry, set } : null;
  });

/** The findings that a frame silences, their nodes mapped; null takes one away. */
export const withQuiet = (quiet: Quiet[] | undefined, map: (id: Id) => Id | null): Quiet[] | undefined =>
  mapList(quiet, (each) => {
    const to = each.node === undefined ? undefined : map(each.node);
    if (to === each.node) return each;
    return to === null || to === undefined ? null : { ...each, node: to };
  });

/** The node with every name in it (those of `referencesOf`) mapped; null takes the reference, or the action that is nothing without it, away. */
export const mapReferences = (node: Node, map: (id: Id) => Id | null): Node => {
  let next: Node = put(node, "needs", mapNeeds(node.needs, map));
  if (next.kind === "screen") {
    next = put(next, "actions", mapActions(next.actions, map));
    if (next.after) {
      const action = mapDo(next.after.do, map);
      if (action !== next.after.do) next = put(next, "after", action ? { ...next.after, do: action } : undefined);
    }
    if (next.body && "opens" in next.body && next.body.opens) {
      const opens = map(next.body.opens);
      if (opens !== next.body.opens) next = put(next, "body", put(next.body, "opens", opens ?? undefined));
    }
    if (next.linkIn) next = put(next, "linkIn", map(next.linkIn) ?? undefined);
    if (next.leave) next = put(next, "leave", put(next.leave, "free", mapFree(next.leave.free, map)));
  }
  if (next.kind === "hub") next = put(next, "extras", mapActions(next.extras, map));
  return next;
};
