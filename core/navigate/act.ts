import { factsOf, factValues, hasSystemBack } from "../frame/defaults.js";
import { targetIn } from "../frame/view.js";
import type { Do, DoSet, Template } from "../frame/types.js";
import { goBack, goToRoot, goUp } from "./back.js";
import { open } from "./open.js";
import { note, type Run } from "./run.js";
import { type Entry, focusPath, noParams, type Params, type State, topOf } from "./state.js";
import { changedTop } from "./touch.js";

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

/** Carries out what an action does. `from` is the path to the screen that asks; null when the focus path stands for it. */
export const act = (run: Run, state: State, from: readonly Entry[] | null, action: Do): State => {
  const asker = (from ?? focusPath(state.root)).at(-1)!;
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
      if (hasSystemBack(targetIn(run.frame, run.view))) return goBack(run, state);
      return (
        goUp(run, state)?.state ??
        ignore(run, state, "Nothing lies beneath this screen, and this target has no Back of its own.")
      );
    case "close": {
      const given = action.give && filled(run, action.give, asker);
      const up = goUp(run, state);
      if (!up) return ignore(run, state, "There is nothing to close: nothing lies beneath this screen.");
      if (!given) return up.state;
      const key = topOf(up.stack).key;
      return changedTop(up.state, key, (entry) => ({ ...entry, ui: { ...entry.ui, received: given } }));
    }
    case "root": {
      const next = goToRoot(run, state);
      return next === state ? ignore(run, state, "This stack is at its first entry already.") : next;
    }
    case "set":
      return set(run, state, from, action);
    case "menu":
      return ignore(run, state, "No hub around this screen shows as a drawer.");
  }
};
