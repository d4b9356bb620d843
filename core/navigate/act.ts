import { factsOf, factValues, hasSystemBack } from "../frame/defaults.js";
import { type Do, type DoSet, noParams, type Params, type Template } from "../frame/parts.js";
import { lastOf } from "../frame/sure.js";
import { targetIn } from "../frame/view.js";
import { closeOverlay, goToRoot, goUp } from "./back.js";
import { backOrDrawer, setDrawer } from "./drawer.js";
import { changedAt, pathTo } from "./entries.js";
import { focusPath } from "./focus.js";
import { open } from "./open.js";
import { ignore, type Run } from "./run.js";
import type { Entry, State } from "./state.js";

const own = (values: Readonly<Record<string, string>>, name: string): string =>
  Object.hasOwn(values, name) ? (values[name] ?? "") : "";

/** The values of a template: `{name}` is a param of the screen that asks, `{draft.field}` what was typed there, which is given away by it. */
const filled = (run: Run, template: Template | undefined, asker: Entry): Params => {
  if (!template) return noParams;
  const values: Record<string, string> = {};
  for (const [name, text] of Object.entries(template))
    values[name] = text.replace(/\{(draft\.)?(\w+)\}/g, (_, draft: string | undefined, key: string) => {
      if (!draft) return own(asker.params, key);
      run.given.add(`${asker.key}/${key}`);
      return own(asker.ui.drafts, key);
    });
  return values;
};

const set = (run: Run, state: State, from: readonly Entry[] | null, action: DoSet): State => {
  const fact = factsOf(run.frame).find((candidate) => candidate.id === action.fact);
  if (!fact || !factValues(fact).includes(action.is))
    return ignore(run, state, null, { why: "no-set-fact", fact: action.fact, is: action.is });
  const next =
    state.facts[fact.id] === action.is ? state : { ...state, facts: { ...state.facts, [fact.id]: action.is } };
  run.facts = next.facts;
  return action.then ? act(run, next, from, action.then) : next;
};

/** Takes off the nearest overlay, else goes up, and hands over what is given to the screen that is on top then. */
const close = (run: Run, state: State, path: readonly Entry[], template: Template | undefined): State => {
  const given = template && filled(run, template, lastOf(path));
  const closed = closeOverlay(run, state, path) ?? goUp(run, state, path);
  if (!closed) return ignore(run, state, null, { why: "nothing-to-close" });
  if (!given) return closed.state;
  const focus = focusPath(run, closed.state.root);
  const isFocused = focus.some((entry) => entry.key === closed.off.key);
  const way = pathTo(closed.state.root, closed.off.key) ?? [];
  // what was taken off lay in the pane that is not followed: what shows there gets it all the same
  const to = isFocused ? focus : [...way.slice(0, -1), ...focusPath(run, lastOf(way))];
  return changedAt(closed.state, to, (entry) => ({ ...entry, ui: { ...entry.ui, received: given } }));
};

/** The action `back`, from the screen that has it: the system's Back, where there is one; else what Up does. */
const goesBack = (run: Run, state: State, path: readonly Entry[]): State => {
  if (hasSystemBack(targetIn(run.frame, run.view))) return backOrDrawer(run, state, path);
  return goUp(run, state, path)?.state ?? ignore(run, state, null, { why: "nothing-beneath", hasNoBack: true });
};

/** Carries out what an action does. `from` is the path to the screen that asks; null when the focus path stands for it. */
export const act = (run: Run, state: State, from: readonly Entry[] | null, action: Do): State => {
  const path = from ?? focusPath(run, state.root);
  switch (action.kind) {
    case "open":
      return open(run, state, {
        to: action.to,
        params: filled(run, action.params, lastOf(path)),
        with: filled(run, action.with, lastOf(path)),
        as: action.as ?? null,
        motion: action.motion ?? null,
        how: action.how ?? "add",
        from,
      });
    case "back":
      return goesBack(run, state, path);
    case "close":
      return close(run, state, path, action.give);
    case "root": {
      const next = goToRoot(run, state, path);
      return next === state ? ignore(run, state, null, { why: "at-first" }) : next;
    }
    case "set":
      return set(run, state, from, action);
    case "menu":
      return setDrawer(run, state);
  }
};
