import { nodeIn, screenAt } from "../../frame/nodes.js";
import { isThere } from "../../frame/only.js";
import { type Action, type Id, noParams } from "../../frame/parts.js";
import { paramsNamed } from "../../frame/pattern.js";
import { act } from "../act.js";
import { pathTo } from "../entries.js";
import type { EventOf } from "../event.js";
import { open } from "../open.js";
import { ignore, named, type Run } from "../run.js";
import { sightOf } from "../sight.js";
import type { State } from "../state.js";
import { onTouched, withUi } from "../touched.js";

/** The action of this id that is there in the view with these facts. */
const actionIn = (run: Run, { facts }: State, actions: readonly Action[] | undefined, id: Id): Action | undefined =>
  actions?.find((action) => action.id === id && isThere(run.frame, action.only, run.view, facts));

const tapExtra = (run: Run, state: State, hub: Id, extra: Action | undefined, action: Id): State => {
  const bar = sightOf(run, state).bars.find((each) => each.hub === hub);
  if (!bar || bar.inert || !(bar.face === "rail" || bar.face === "panel" || bar.open))
    return ignore(run, state, hub, { why: "extras-out-of-reach", hub });
  if (!extra) return ignore(run, state, hub, { why: "no-action", on: { id: hub }, action });
  const next = act(run, state, null, extra.do);
  // the drawer closes by what was chosen in it, unless that was refused
  return next === state || extra.do.kind === "menu" || next.drawer === null ? next : { ...next, drawer: null };
};

/** An action of a screen that can be touched, or of a hub's extras. */
export const tap = (run: Run, state: State, event: EventOf<"tap">): State => {
  const hub = event.in === undefined ? undefined : nodeIn(run.frame, event.in);
  if (hub?.kind === "hub" && event.in !== undefined)
    return tapExtra(run, state, event.in, actionIn(run, state, hub.extras, event.action), event.action);
  return onTouched(run, state, event.in, ({ path, screen }) => {
    const action = actionIn(run, state, screenAt(run.frame, screen.node).actions, event.action);
    if (action) return act(run, state, path, action.do);
    return ignore(run, state, screen.node, { why: "no-action", on: named(screen), action: event.action });
  });
};

/** A row of a list or grid. */
export const pick = (run: Run, state: State, { row, in: node }: EventOf<"pick">): State =>
  onTouched(run, state, node, ({ path, screen }) => {
    const { body } = screenAt(run.frame, screen.node);
    const at = named(screen);
    if (body?.kind !== "list" && body?.kind !== "grid")
      return ignore(run, state, screen.node, { why: "no-rows", screen: at });
    if (row > body.rows)
      return ignore(run, state, screen.node, { why: "no-such-row", screen: at, rows: body.rows, row });
    if (!body.opens) return ignore(run, state, screen.node, { why: "rows-open-nothing", screen: at });
    const target = nodeIn(run.frame, body.opens);
    const params: Record<string, string> = target?.kind === "screen" ? paramsNamed(target, screen.params) : {};
    if (body.param) params[body.param] = String(row);
    const picked = withUi(state, path, { picked: row });
    const from = pathTo(picked.root, screen.key);
    const next = open(run, picked, {
      to: body.opens,
      params,
      with: noParams,
      as: null,
      motion: null,
      how: "add",
      from,
    });
    return next === picked ? state : next;
  });
