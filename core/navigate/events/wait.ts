import { screenAt } from "../../frame/nodes.js";
import { lastOf } from "../../frame/sure.js";
import { act } from "../act.js";
import { changedAt } from "../entries.js";
import type { EventOf } from "../event.js";
import { focusPath } from "../focus.js";
import { movesBetween } from "../moves.js";
import { note, type Run } from "../run.js";
import { settle } from "../settle.js";
import type { State } from "../state.js";

/** An `after` may fire this often in one wait. */
const mostFirings = 50;

/** Time passes: what screens do by themselves happens at its time. Each thing that happened is a part of the run. */
export const wait = (run: Run, state: State, { ms }: EventOf<"wait">): State => {
  const end = state.clock + ms;
  let now = state;
  for (let fired = 0; !now.outside; fired += 1) {
    const path = focusPath(run, now.root);
    const top = lastOf(path);
    const after = top.kind === "screen" ? screenAt(run.frame, top.node).after : undefined;
    if (!after || top.since === null || top.since + after.ms > end) break;
    if (fired === mostFirings) {
      note(run, "after-loop", top.node, { times: mostFirings });
      break;
    }
    run.clock = Math.max(now.clock, top.since + after.ms);
    const before = changedAt({ ...now, clock: run.clock }, path, (entry) => ({ ...entry, since: null }));
    now = settle(run, before, act(run, before, focusPath(run, before.root), after.do));
    run.parts.push({ state: now, moves: movesBetween(run, before.root, now.root) });
  }
  run.clock = end;
  return { ...now, clock: end };
};
