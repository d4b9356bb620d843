import { screenAt } from "../frame/nodes.js";
import { lastOf } from "../frame/sure.js";
import { changedAt } from "./entries.js";
import { focusPath, topOf } from "./focus.js";
import { named, note, type Run } from "./run.js";
import { stand } from "./standing.js";
import type { State } from "./state.js";

/**
 * What an event made of a state, once the standing rule holds in it. A screen that has become the top is marked as such:
 * its time starts, and what it wants and lacks is said. `before` is null when nothing was on screen before.
 */
export const settle = (run: Run, before: State | null, carried: State, from: State | null = before): State => {
  const after = stand(run, from, carried);
  if (after.outside) return after;
  const path = focusPath(run, after.root);
  const top = lastOf(path);
  if (top.kind !== "screen") return after;
  if (before && !before.outside && topOf(run, before.root).key === top.key) return after;
  const { wants = [] } = screenAt(run.frame, top.node);
  const names = wants.filter((name) => !Object.hasOwn(top.carried, name));
  if (names.length) note(run, "wanting", top.node, { screen: named(top), names });
  return top.since === run.clock ? after : changedAt(after, path, (entry) => ({ ...entry, since: run.clock }));
};
