import { factAtLaunch, factsOf, factValues, hasSystemBack, targetsOf } from "../frame/defaults.js";
import { isThere } from "../frame/faces.js";
import type { Action, FactValue, Frame, Id, ScreenNode } from "../frame/types.js";
import { noInsets, targetIn, type View } from "../frame/view.js";
import { targetOfLink } from "../address/addresses.js";
import { paramsNamed } from "../frame/pattern.js";
import { act } from "./act.js";
import { canDismiss, closeOverlay, goUp } from "./back.js";
import { backOrDrawer, openDrawer, setDrawer } from "./drawer.js";
import type { Move, NavigationEvent, Note } from "./events.js";
import { focusPath, isNarrowAt, overlayOn, topOf } from "./focus.js";
import { followCold, followRunning } from "./follow.js";
import { begun, fresh } from "./make.js";
import { mayStart } from "../frame/needs.js";
import { movesBetween } from "./moves.js";
import { askOf, open } from "./open.js";
import { readEvent } from "./read-event.js";
import { emptied, nodeIn, note, type Run } from "./run.js";
import { nameOf } from "../frame/names.js";
import { type ContainerEntry, type Entry, type HubEntry, isStuck, mapInside, pathTo, rebuilt, type ScreenEntry, type StackEntry, type State, type Ui } from "./state.js";
import { noParams } from "../frame/types.js";
import { stand } from "./standing.js";
import { isBarInSight, surfaceOf } from "../observe/surface.js";
import { tabAgain, withTab } from "./tabs.js";
import { changedAt } from "./touch.js";

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

/**
 * What an event made of a state, once the standing rule holds in it. A screen that has become the top is marked as such:
 * its time starts, and what it wants and lacks is said. `before` is null when nothing was on screen before.
 */
const settle = (run: Run, before: State | null, carried: State, from: State | null = before): State => {
  const after = stand(run, from, carried);
  if (after.outside) return after;
  const path = focusPath(run, after.root);
  const top = path.at(-1)!;
  if (before && !before.outside && topOf(run, before.root).key === top.key) return after;
  const missing = (screenOf(run, top).wants ?? []).filter((name) => !Object.hasOwn(top.carried, name));
  if (missing.length)
    note(
      run,
      "wanting",
      top.node,
      `${nameOf(run.frame, top.node, top.params)} wants ${missing.join(", ")}, which nobody handed over.`,
    );
  return top.since === run.clock ? after : changedAt(after, path, (entry) => ({ ...entry, since: run.clock }));
};

/** The path to the screen an event is about, if it can be touched: the top screen, or another one in sight by its name. */
const touched = (run: Run, state: State, node: Id | undefined): readonly Entry[] | string => {
  const focus = focusPath(run, state.root);
  const top = focus.at(-1)!;
  if (state.drawer === null && (node === undefined || node === top.node)) return focus;
  const { screens, drawer } = surfaceOf(run.frame, state, run.view);
  const named = screens.filter(({ entry }) => entry.node === (node ?? top.node));
  if (named.length === 0) return `${node} cannot be seen now, so nothing on it can be touched.`;
  const free = named.findLast(({ inert }) => !inert);
  if (free) return free.entry === top ? focus : pathTo(state.root, free.entry.key)!;
  const name = nameOf(run.frame, named[0]!.entry.node, named[0]!.entry.params);
  return drawer === null
    ? `${name} lies under an overlay: nothing on it can be touched.`
    : `The drawer of ${nameOf(run.frame, drawer)} is open: nothing beside it can be touched.`;
};

const onTouched = (
  run: Run,
  state: State,
  node: Id | undefined,
  then: (path: readonly Entry[], entry: ScreenEntry) => State,
): State => {
  const path = touched(run, state, node);
  if (typeof path === "string") return ignore(run, state, node ?? null, path);
  return then(path, path.at(-1) as ScreenEntry);
};

const changeUi = (state: State, path: readonly Entry[], change: Partial<Ui>): State =>
  changedAt(state, path, (entry) => ({ ...entry, ui: { ...entry.ui, ...change } }));

const tap = (run: Run, state: State, event: Extract<NavigationEvent, { do: "tap" }>): State => {
  const there = (actions: readonly Action[] | undefined): Action | undefined =>
    actions?.find((action) => action.id === event.action && isThere(run.frame, action.only, run.view, state.facts));
  const hub = event.in === undefined ? undefined : nodeIn(run, event.in);
  if (hub?.kind === "hub") return tapExtra(run, state, event.in!, there(hub.extras), event.action);
  return onTouched(run, state, event.in, (path, screen) => {
    const action = there(screenOf(run, screen).actions);
    return action
      ? act(run, state, path, action.do)
      : ignore(
          run,
          state,
          screen.node,
          `${nameOf(run.frame, screen.node, screen.params)} shows no action ${event.action}.`,
        );
  });
};

const tapExtra = (run: Run, state: State, id: Id, extra: Action | undefined, action: Id): State => {
  const bar = surfaceOf(run.frame, state, run.view).bars.find((each) => each.hub === id);
  const name = nameOf(run.frame, id);
  if (!bar || bar.inert || !(bar.face === "rail" || bar.face === "panel" || bar.open))
    return ignore(run, state, id, `No rail, panel or open drawer of ${name} can be touched now.`);
  return extra ? act(run, state, null, extra.do) : ignore(run, state, id, `${name} shows no action ${action}.`);
};

const pick = (run: Run, state: State, event: Extract<NavigationEvent, { do: "pick" }>): State =>
  onTouched(run, state, event.in, (path, screen) => {
    const name = nameOf(run.frame, screen.node, screen.params);
    const { body } = screenOf(run, screen);
    if (body?.kind !== "list" && body?.kind !== "grid") return ignore(run, state, screen.node, `${name} has no rows.`);
    if (event.row > body.rows)
      return ignore(run, state, screen.node, `${name} has ${body.rows} rows: there is no row ${event.row}.`);
    if (!body.opens) return ignore(run, state, screen.node, `The rows of ${name} open nothing.`);
    const target = run.frame.nodes[body.opens];
    const params: Record<string, string> = target?.kind === "screen" ? paramsNamed(target, screen.params) : {};
    if (body.param) params[body.param] = String(event.row);
    const picked = changeUi(state, path, { picked: event.row });
    const next = open(run, picked, {
      to: body.opens,
      params,
      with: noParams,
      as: null,
      how: "add",
      from: pathTo(picked.root, screen.key)!,
    });
    return next === picked ? state : next;
  });

const tab = (run: Run, state: State, to: Id): State => {
  const { bars, drawer } = surfaceOf(run.frame, state, run.view);
  const named = bars.filter((bar) => bar.tabs.includes(to) || bar.more.includes(to));
  const bar = named.find((each) => !each.inert && isBarInSight(each));
  if (!bar) {
    const why = named.some((each) => each.inert)
      ? "lies under what is over it"
      : named.length
        ? "is in a drawer that is closed"
        : "cannot be seen now";
    return ignore(run, state, to, `The tab ${to} ${why}.`);
  }
  const path = pathTo(state.root, bar.key)!;
  const i = path.length - 1;
  const hub = path[i] as HubEntry;
  // a tab is shown though its needs are unmet: choosing it is an opening
  if (!hub.inside.tabs[to] && !mayStart(run.frame, state.facts, to)) return open(run, state, askOf(to));
  const next = hub.inside.active === to ? tabAgain(run, hub, isNarrowAt(run, path, i)) : withTab(run, hub, to);
  if (next === hub && drawer === null) return state;
  return { ...state, root: rebuilt(path, i, next), drawer: drawer === null ? state.drawer : null };
};

const type = (run: Run, state: State, event: Extract<NavigationEvent, { do: "type" }>): State =>
  onTouched(run, state, event.in, (path, screen) => {
    const { body } = screenOf(run, screen);
    const known =
      (body?.kind === "form" && body.fields.some((field) => field.id === event.field)) ||
      (body?.kind === "thread" && event.field === "reply");
    return known
      ? changeUi(state, path, { drafts: { ...screen.ui.drafts, [event.field]: event.text } })
      : ignore(
          run,
          state,
          screen.node,
          `${nameOf(run.frame, screen.node, screen.params)} has no field ${event.field}.`,
        );
  });

const dismiss = (run: Run, state: State): State => {
  if (openDrawer(run, state) !== null) return { ...state, drawer: null };
  const path = focusPath(run, state.root);
  if (canDismiss(run, path)) return closeOverlay(run, state, path)!.state;
  const isOverlay = overlayOn(run, path) >= 0;
  const text = isOverlay
    ? "A full screen is closed by its strip or an action, not dismissed."
    : "Nothing on screen can be dismissed.";
  return ignore(run, state, isOverlay ? path[overlayOn(run, path) + 1]!.node : null, text);
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
    const path = focusPath(run, now.root);
    const top = path.at(-1) as ScreenEntry;
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
    const before: State = changedAt({ ...now, clock: run.clock }, path, (entry) => ({ ...entry, since: null }));
    now = settle(run, before, act(run, before, focusPath(run, before.root), after.do));
    moves.push(...movesBetween(run, before.root, now.root));
  }
  run.clock = end;
  return { ...now, clock: end };
};

/** An app that starts, by a link or not. What was never on screen is not told as taken out of it. */
const launchState = (run: Run, facts: State["facts"], url?: string): State => {
  const linked = url === undefined ? null : followCold(run, facts, url);
  const state = linked ?? begun(run, fresh(run, run.frame.root), facts);
  const { notes } = run;
  run.notes = [];
  const launched = settle(run, null, state);
  run.notes = [...notes, ...run.notes.filter(({ code }) => code !== "swept")];
  return launched;
};

/** The facts once the app's process has ended. */
const factsAfterEnd = (run: Run, { facts }: State): State["facts"] => {
  const kept = { ...facts };
  for (const fact of factsOf(run.frame)) if (fact.lasting === false) kept[fact.id] = factAtLaunch(fact);
  return kept;
};

/** A link that starts the app, which was not running: nothing of it is there any more. */
const linkCold = (run: Run, state: State, url: string): State => {
  const target = targetOfLink(run.frame, url);
  if (target.kind === "ignored" || target.kind === "nowhere") return followRunning(run, state, url);
  emptied(run, state.root);
  return launchState(run, factsAfterEnd(run, state), url);
};

const withoutCarried = (entry: Entry): Entry => {
  const plain = entry.carried === noParams ? entry : { ...entry, carried: noParams };
  return plain.inside ? mapInside(plain as ContainerEntry, withoutCarried) : plain;
};

const kill = (run: Run, state: State): State => {
  const facts = factsAfterEnd(run, state);
  const relaunch = run.frame.relaunch ?? "place";
  if (relaunch === "nothing") {
    emptied(run, state.root);
    return launchState(run, facts);
  }
  if (relaunch === "everything") return settle(run, null, { ...state, facts, drawer: null, outside: false }, state);
  const root = withoutCarried(emptied(run, state.root)) as StackEntry;
  const pending = state.pending && { ...state.pending, with: noParams };
  return settle(run, null, { ...state, root, facts, pending, drawer: null, outside: false }, state);
};

const whileStuck = new Set<NavigationEvent["do"]>(["back", "open", "link", "wait", "view", "fact", "kill"]);
const whileOutside = new Set<NavigationEvent["do"]>(["return", "open", "link", "wait", "view", "fact", "kill"]);

const carryOut = (run: Run, state: State, event: NavigationEvent, moves: Move[]): State => {
  if (state.outside && !whileOutside.has(event.do))
    return ignore(run, state, null, "The app was left: it has to be opened again first.");
  if (isStuck(state) && !state.outside && !whileStuck.has(event.do))
    return ignore(run, state, null, "Nothing of this app may be shown now, so nothing can be touched.");
  switch (event.do) {
    case "tap":
      return tap(run, state, event);
    case "pick":
      return pick(run, state, event);
    case "tab":
      return tab(run, state, event.to);
    case "menu":
      return setDrawer(run, state, event.open);
    case "back":
      if (!hasSystemBack(targetIn(run.frame, run.view)))
        return ignore(run, state, null, "This target has no Back of its own.");
      return backOrDrawer(run, state);
    case "up":
      if (openDrawer(run, state) !== null)
        return ignore(run, state, state.drawer, "A drawer is open: nothing beside it can be touched.");
      return goUp(run, state)?.state ?? ignore(run, state, null, "Nothing lies beneath this screen to go up to.");
    case "dismiss":
      return dismiss(run, state);
    case "open":
      return open(run, state, { ...askOf(event.to, event.params), how: event.how ?? "add" });
    case "link":
      return event.start === "cold" ? linkCold(run, state, event.url) : followRunning(run, state, event.url);
    case "fact":
      return setFact(run, state, event.id, event.is);
    case "wait":
      return wait(run, state, event.ms, moves);
    case "scroll":
      return onTouched(run, state, event.in, (path) => changeUi(state, path, { scroll: event.to }));
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

/** The first state of an app, with the facts as given or as at a launch; by a link, where that leads. */
export const launch = (frame: Frame, view: View, given: Readonly<Record<Id, FactValue>> = {}, url?: string): Step => {
  const run = newRun(frame, view, 0, 1);
  const facts: Record<Id, FactValue> = {};
  for (const fact of factsOf(frame))
    facts[fact.id] = Object.hasOwn(given, fact.id) ? given[fact.id]! : factAtLaunch(fact);
  const state = launchState(run, facts, url);
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
  // a wait settles after each thing that happened in it; of an app that starts anew nothing moves
  const isAnew = event.do === "kill" || (event.do === "link" && event.start === "cold");
  const settled = event.do === "wait" || isAnew ? carried : settle(run, state, carried);
  if (event.do !== "wait" && !isAnew) moves.push(...movesBetween(run, state.root, settled.root));
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
