import { factsOf, factValues, hasSystemBack } from "../frame/defaults.js";
import { targetIn } from "../frame/view.js";
import type { Do, DoSet, Template } from "../frame/types.js";
import { closeOverlay, goToRoot, goUp } from "./back.js";
import { backOrDrawer, setDrawer } from "./drawer.js";
import { focusPath } from "./focus.js";
import { open } from "./open.js";
import { note, type Run } from "./run.js";
import { type Entry, pathTo, type State } from "./state.js";
import { noParams, type Params } from "../frame/types.js";
import { changedAt } from "./touch.js";

const ignore = (run: Run, state: State, text: string): State => {
  note(run, "ignored", null, text);
  return state;
};

const own = (values: Readonly<Record<string, string>>, name: string): string =>
  Object.hasOwn(values, name) ? values[name]! : "";

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
    return ignore(run, state, `There is no fact ${action.fact} that can be ${JSON.stringify(action.is)}.`);
  const next =
    state.facts[fact.id] === action.is ? state : { ...state, facts: { ...state.facts, [fact.id]: action.is } };
  return action.then ? act(run, next, from, action.then) : next;
};

/** Takes off the nearest overlay, else goes up, and hands over what is given to the screen that is on top then. */
const close = (run: Run, state: State, path: readonly Entry[], template: Template | undefined): State => {
  const given = template && filled(run, template, path.at(-1)!);
  const closed = closeOverlay(run, state, path) ?? goUp(run, state, path);
  if (!closed) return ignore(run, state, "There is nothing to close: nothing lies beneath this screen.");
  if (!given) return closed.state;
  const focus = focusPath(run, closed.state.root);
  const isFocused = focus.some((entry) => entry.key === closed.off.key);
  const way = pathTo(closed.state.root, closed.off.key)!;
  // what was taken off lay in the pane that is not followed: what shows there gets it all the same
  const to = isFocused ? focus : [...way.slice(0, -1), ...focusPath(run, way.at(-1)!)];
  return changedAt(closed.state, to, (entry) => ({ ...entry, ui: { ...entry.ui, received: given } }));
};

/** Carries out what an action does. `from` is the path to the screen that asks; null when the focus path stands for it. */
export const act = (run: Run, state: State, from: readonly Entry[] | null, action: Do): State => {
  const path = from ?? focusPath(run, state.root);
  const asker = path.at(-1)!;
  switch (action.kind) {
    case "open":
      return open(run, state, {
        to: action.to,
        params: filled(run, action.params, asker),
        with: filled(run, action.with, asker),
        as: action.as ?? null,
        how: action.how ?? "add",
        from,
      });
    case "back":
      if (hasSystemBack(targetIn(run.frame, run.view))) return backOrDrawer(run, state);
      return (
        goUp(run, state)?.state ??
        ignore(run, state, "Nothing lies beneath this screen, and this target has no Back of its own.")
      );
    case "close":
      return close(run, state, path, action.give);
    case "root": {
      const next = goToRoot(run, state, path);
      return next === state ? ignore(run, state, "This stack is at its first entry already.") : next;
    }
    case "set":
      return set(run, state, from, action);
    case "menu":
      return setDrawer(run, state);
  }
};
