import { factAtLaunch, factsOf, factValues, hasSystemBack, targetsOf } from "../frame/defaults.js";
import { isThere } from "../frame/faces.js";
import type { Action, FactValue, Frame, HubNode, Id, ScreenNode } from "../frame/types.js";
import { noInsets, targetIn, type View } from "../frame/view.js";
import { paramsNamed } from "../address/pattern.js";
import { act } from "./act.js";
import { goBack, goUp } from "./back.js";
import type { Move, NavigationEvent, Note } from "./events.js";
import { fresh } from "./make.js";
import { movesBetween } from "./moves.js";
import { open } from "./open.js";
import { readEvent } from "./read-event.js";
import { emptied, nameOf, note, type Run } from "./run.js";
import {
  type Entry,
  focusPath,
  isHub,
  noParams,
  type ScreenEntry,
  type StackEntry,
  type State,
  topOf,
  type Ui,
  withShown,
} from "./state.js";
import { surfaceOf } from "./surface.js";
import { tabAgain, withTab } from "./tabs.js";
import { changedTop } from "./touch.js";

/** What an event made of a state: the next state, what changed on screen, and why. */
export interface Step {
  state: State;
  moves: Move[];
  notes: Note[];
}

/** An `after` may fire this often in one wait. */
const mostFirings = 50;

const newRun = (frame: Frame, view: View, clock: number, nextKey: number): Run => ({
  frame,
  view,
  clock,
  nextKey,
  notes: [],
  given: new Set(),
});

const ignore = (run: Run, state: State, node: Id | null, text: string): State => {
  note(run, "ignored", node, text);
  return state;
};

const screenOf = (run: Run, entry: Entry): ScreenNode => run.frame.nodes[entry.node] as ScreenNode;

/** Marks the top screen as new on top when it is: its time starts, and what it wants and lacks is said. */
const settle = (run: Run, before: State | null, after: State): State => {
  if (after.outside) return after;
  const top = topOf(after.root);
  if (before && !before.outside && topOf(before.root).key === top.key) return after;
  const missing = (screenOf(run, top).wants ?? []).filter((name) => !Object.hasOwn(top.carried, name));
  if (missing.length)
    note(
      run,
      "wanting",
      top.node,
      `${nameOf(run.frame, top.node, top.params)} wants ${missing.join(", ")}, which nobody handed over.`,
    );
  return top.since === run.clock ? after : changedTop(after, top.key, (entry) => ({ ...entry, since: run.clock }));
};

const onTop = (run: Run, state: State, node: Id | undefined): ScreenEntry | null => {
  const top = topOf(state.root) as ScreenEntry;
  return node === undefined || node === top.node ? top : null;
};

const changeUi = (state: State, top: ScreenEntry, change: Partial<Ui>): State =>
  changedTop(state, top.key, (entry) => ({ ...entry, ui: { ...entry.ui, ...change } }));

const notSeen = (run: Run, state: State, node: Id | undefined): State =>
  ignore(run, state, node ?? null, `${node} cannot be seen now, so nothing on it can be touched.`);

const tap = (run: Run, state: State, event: Extract<NavigationEvent, { do: "tap" }>): State => {
  const there = (actions: readonly Action[] | undefined): Action | undefined =>
    actions?.find((action) => action.id === event.action && isThere(run.frame, action.only, run.view, state.facts));
  const top = onTop(run, state, event.in);
  if (top) {
    const action = there(screenOf(run, top).actions);
    return action
      ? act(run, state, focusPath(state.root), action.do)
      : ignore(run, state, top.node, `${nameOf(run.frame, top.node, top.params)} shows no action ${event.action}.`);
  }
  const bar = surfaceOf(run.frame, state, run.view).layers.find((layer) => layer.bar?.hub === event.in)?.bar;
  if (!bar || (bar.face !== "rail" && bar.face !== "panel")) return notSeen(run, state, event.in);
  const extra = there((run.frame.nodes[bar.hub] as HubNode).extras);
  return extra
    ? act(run, state, null, extra.do)
    : ignore(run, state, bar.hub, `${nameOf(run.frame, bar.hub)} shows no action ${event.action}.`);
};

const pick = (run: Run, state: State, event: Extract<NavigationEvent, { do: "pick" }>): State => {
  const top = onTop(run, state, event.in);
  if (!top) return notSeen(run, state, event.in);
  const name = nameOf(run.frame, top.node, top.params);
  const { body } = screenOf(run, top);
  if (body?.kind !== "list" && body?.kind !== "grid") return ignore(run, state, top.node, `${name} has no rows.`);
  if (event.row > body.rows)
    return ignore(run, state, top.node, `${name} has ${body.rows} rows: there is no row ${event.row}.`);
  if (!body.opens) return ignore(run, state, top.node, `The rows of ${name} open nothing.`);
  const target = run.frame.nodes[body.opens];
  const params: Record<string, string> = target?.kind === "screen" ? paramsNamed(target, top.params) : {};
  if (body.param) params[body.param] = String(event.row);
  const picked = changeUi(state, top, { picked: event.row });
  const next = open(run, picked, {
    to: body.opens,
    params,
    with: noParams,
    as: null,
    how: "add",
    from: focusPath(picked.root),
  });
  return next === picked ? state : next;
};

const tab = (run: Run, state: State, to: Id): State => {
  const { layers } = surfaceOf(run.frame, state, run.view);
  const layer = layers.find(({ bar }) => bar && (bar.tabs.includes(to) || bar.more.includes(to)));
  if (!layer) return ignore(run, state, to, `No tab ${to} can be seen now.`);
  const path = focusPath(state.root);
  const i = path.indexOf(layer.container);
  const hub = path[i]!;
  if (!isHub(hub)) return state;
  let at: Entry = hub.inside.active === to ? tabAgain(run, hub) : withTab(run, hub, to);
  for (let up = i - 1; up >= 0; up -= 1) at = withShown(path[up] as StackEntry, at);
  return at === state.root ? state : { ...state, root: at as StackEntry };
};

const type = (run: Run, state: State, event: Extract<NavigationEvent, { do: "type" }>): State => {
  const top = onTop(run, state, event.in);
  if (!top) return notSeen(run, state, event.in);
  const { body } = screenOf(run, top);
  const known =
    (body?.kind === "form" && body.fields.some((field) => field.id === event.field)) ||
    (body?.kind === "thread" && event.field === "reply");
  if (!known)
    return ignore(run, state, top.node, `${nameOf(run.frame, top.node, top.params)} has no field ${event.field}.`);
  return changeUi(state, top, { drafts: { ...top.ui.drafts, [event.field]: event.text } });
};

const setFact = (run: Run, state: State, id: Id, is: FactValue): State => {
  const fact = factsOf(run.frame).find((candidate) => candidate.id === id);
  if (!fact) return ignore(run, state, null, `There is no fact ${id}.`);
  if (!factValues(fact).includes(is))
    return ignore(run, state, null, `${id} can be ${factValues(fact).join(" or ")}, not ${String(is)}.`);
  return state.facts[id] === is ? state : { ...state, facts: { ...state.facts, [id]: is } };
};

const wait = (run: Run, state: State, ms: number, moves: Move[]): State => {
  const end = state.clock + ms;
  let now = state;
  for (let fired = 0; !now.outside; fired += 1) {
    const top = topOf(now.root) as ScreenEntry;
    const { after } = screenOf(run, top);
    if (!after || top.since === null || top.since + after.ms > end) break;
    if (fired === mostFirings) {
      note(
        run,
        "after-loop",
        top.node,
        `Screens went on opening one another by themselves: stopped after ${mostFirings} times.`,
      );
      break;
    }
    run.clock = Math.max(now.clock, top.since + after.ms);
    const before: State = changedTop({ ...now, clock: run.clock }, top.key, (entry) => ({ ...entry, since: null }));
    now = settle(run, before, act(run, before, focusPath(before.root), after.do));
    moves.push(...movesBetween(run.frame, before.root, now.root));
  }
  run.clock = end;
  return { ...now, clock: end };
};

const launchState = (run: Run, facts: Readonly<Record<Id, FactValue>>): State => {
  const root = fresh(run, run.frame.root) as StackEntry;
  const state = { root, facts, drawer: null, pending: null, clock: run.clock, outside: false, nextKey: run.nextKey };
  return settle(run, null, state);
};

const withoutCarried = (entry: Entry): Entry => {
  const plain = entry.carried === noParams ? entry : { ...entry, carried: noParams };
  if (!plain.inside) return plain;
  if (plain.inside.kind === "stack")
    return { ...plain, inside: { ...plain.inside, entries: plain.inside.entries.map(withoutCarried) } };
  const tabs: Record<Id, Entry> = {};
  for (const [id, inner] of Object.entries(plain.inside.tabs)) tabs[id] = withoutCarried(inner);
  return { ...plain, inside: { ...plain.inside, tabs } };
};

const kill = (run: Run, state: State): State => {
  const facts = { ...state.facts };
  for (const fact of factsOf(run.frame)) if (fact.lasting === false) facts[fact.id] = factAtLaunch(fact);
  const relaunch = run.frame.relaunch ?? "place";
  if (relaunch === "nothing") {
    emptied(run, state.root);
    return launchState(run, facts);
  }
  const root = relaunch === "everything" ? state.root : (withoutCarried(emptied(run, state.root)) as StackEntry);
  return settle(run, null, { ...state, root, facts, drawer: null, outside: false });
};

const whileOutside = new Set<NavigationEvent["do"]>(["return", "open", "link", "wait", "view", "fact", "kill"]);

const carryOut = (run: Run, state: State, event: NavigationEvent, moves: Move[]): State => {
  if (state.outside && !whileOutside.has(event.do))
    return ignore(run, state, null, "The app was left: it has to be opened again first.");
  switch (event.do) {
    case "tap":
      return tap(run, state, event);
    case "pick":
      return pick(run, state, event);
    case "tab":
      return tab(run, state, event.to);
    case "menu":
      return ignore(run, state, null, "No hub on screen shows as a drawer.");
    case "back":
      if (!hasSystemBack(targetIn(run.frame, run.view)))
        return ignore(run, state, null, "This target has no Back of its own.");
      return goBack(run, state);
    case "up":
      return goUp(run, state)?.state ?? ignore(run, state, null, "Nothing lies beneath this screen to go up to.");
    case "dismiss":
      return ignore(run, state, null, "Nothing on screen can be dismissed.");
    case "open": {
      const ask = {
        to: event.to,
        params: event.params ?? noParams,
        with: noParams,
        as: null,
        how: event.how ?? "add",
        from: null,
      };
      return open(run, state, ask);
    }
    case "link":
      return ignore(run, state, null, "Links are not followed yet.");
    case "fact":
      return setFact(run, state, event.id, event.is);
    case "wait":
      return wait(run, state, event.ms, moves);
    case "scroll": {
      const top = onTop(run, state, event.in);
      return top ? changeUi(state, top, { scroll: event.to }) : notSeen(run, state, event.in);
    }
    case "type":
      return type(run, state, event);
    case "view":
      if (event.target !== undefined && !targetsOf(run.frame).some((target) => target.id === event.target))
        return ignore(run, state, null, `There is no target ${event.target}.`);
      return state;
    case "return":
      return state.outside ? { ...state, outside: false } : ignore(run, state, null, "The app was not left.");
    case "kill":
      return kill(run, state);
  }
};

/** The first state of an app, with the facts as given or as at a launch. */
export const launch = (frame: Frame, view: View, given: Readonly<Record<Id, FactValue>> = {}): Step => {
  const run = newRun(frame, view, 0, 1);
  const facts: Record<Id, FactValue> = {};
  for (const fact of factsOf(frame))
    facts[fact.id] = Object.hasOwn(given, fact.id) ? given[fact.id]! : factAtLaunch(fact);
  const state = launchState(run, facts);
  return { state: { ...state, nextKey: run.nextKey }, moves: [], notes: run.notes };
};

/**
 * One event on a sound frame (`faultsOf` finds nothing): the next state, and why. Never throws: what is no event, or
 * cannot apply, changes nothing and is noted as `ignored`.
 */
export const step = (frame: Frame, view: View, state: State, event: NavigationEvent): Step => {
  const run = newRun(frame, view, state.clock, state.nextKey);
  const read = readEvent(event);
  if (!read.ok) {
    note(
      run,
      "ignored",
      null,
      `This is no event: received ${read.fault.received} at ${read.fault.pointer || "/"}, expected ${read.fault.expected}.`,
    );
    return { state, moves: [], notes: run.notes };
  }
  const moves: Move[] = [];
  const carried = carryOut(run, state, event, moves);
  if (carried === state) return { state, moves, notes: run.notes };
  const settled = event.do === "wait" || event.do === "kill" ? carried : settle(run, state, carried);
  if (event.do !== "wait" && event.do !== "kill") moves.push(...movesBetween(frame, state.root, settled.root));
  return {
    state: run.nextKey === settled.nextKey ? settled : { ...settled, nextKey: run.nextKey },
    moves,
    notes: run.notes,
  };
};

/** The view after an event: only `view` changes it. */
export const viewAfter = (frame: Frame, view: View, event: NavigationEvent): View => {
  if (event.do !== "view" || !readEvent(event).ok) return view;
  if (event.target !== undefined && !targetsOf(frame).some((target) => target.id === event.target)) return view;
  const { width, height, target = view.target, rtl = view.rtl } = event;
  return { ...view, width, height, target, rtl, insets: event.insets ? { ...noInsets, ...event.insets } : view.insets };
};
