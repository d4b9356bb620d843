import { withoutParams } from "../frame/names.js";
import { patternOf } from "../frame/pattern.js";
import { idFrom } from "../edit/naming.js";
import type { Action, Id, ListBody } from "../frame/parts.js";
import type { Node, ScreenNode } from "../frame/types.js";

/** The params that a node's address names: a stack's and a pair's are those of no one. */
const namesOf = (node: Node): readonly string[] => (node.kind === "screen" ? (patternOf(node)?.names ?? []) : []);

/** What is handed on to a node whose address names params: what the asking screen has of them, 1 for the others. */
const handedOn = (own: ReadonlySet<string>, names: readonly string[]): Record<string, string> =>
  Object.fromEntries(names.map((name) => [name, own.has(name) ? `{${name}}` : "1"]));

/** An action more, of a screen or of a hub's extras, that opens a node. */
export const actionTo = (from: Node, actions: readonly Action[], to: Id, node: Node): Action => {
  const title = withoutParams(node.title ?? node.tab?.label ?? to) || to;
  const names = namesOf(node);
  return {
    id: idFrom(title, (id) => actions.some((other) => other.id === id)),
    label: title,
    place: from.kind === "hub" ? "footer" : "body",
    do: { kind: "open", to, ...(names.length > 0 && { params: handedOn(new Set(namesOf(from)), names) }) },
  };
};

/**
 * A screen with a way more, to a node: rows of a list for the first whose address names a param that the screen has not,
 * else an action. What the screen had stays.
 */
export const withWay = (screen: ScreenNode, to: Id, node: Node): ScreenNode => {
  const own = new Set(namesOf(screen));
  const names = namesOf(node);
  const title = withoutParams(node.title ?? to) || to;
  const param = names.findLast((name) => !own.has(name));
  if (param !== undefined && (screen.body === undefined || screen.body.kind === "blank")) {
    const body: ListBody = { kind: "list", rows: 12, row: `${title} {n}`, opens: to, param };
    return { ...screen, body };
  }
  const actions = screen.actions ?? [];
  return { ...screen, actions: [...actions, actionTo(screen, actions, to, node)] };
};

/** A screen that is shut by an action of its own, as one that covers others should be. */
export const withDone = (screen: ScreenNode): ScreenNode =>
  screen.actions?.some(({ do: act }) => act.kind === "close")
    ? screen
    : {
        ...screen,
        actions: [...(screen.actions ?? []), { id: "done", label: "Done", place: "footer", do: { kind: "close" } }],
      };
