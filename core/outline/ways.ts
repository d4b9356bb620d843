import { patternOf } from "../address/pattern.js";
import { idFrom } from "../edit/naming.js";
import type { Action, Id, ListBody, Node, ScreenNode } from "../frame/types.js";

const withoutParams = (text: string): string => text.replaceAll(/\s*\{\w+\}/g, "").trim();

/** The params that a node's address names: a stack's and a pair's are those of no one. */
const namesOf = (node: Node): readonly string[] => (node.kind === "screen" ? (patternOf(node)?.names ?? []) : []);

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
  const params = Object.fromEntries(names.map((name) => [name, own.has(name) ? `{${name}}` : "1"]));
  const action: Action = {
    id: idFrom(title, (id) => actions.some((other) => other.id === id)),
    label: title,
    place: "body",
    do: { kind: "open", to, ...(names.length > 0 && { params }) },
  };
  return { ...screen, actions: [...actions, action] };
};

/** A screen that is shut by an action of its own, as one that covers others should be. */
export const withDone = (screen: ScreenNode): ScreenNode =>
  screen.actions?.some(({ do: act }) => act.kind === "close")
    ? screen
    : {
        ...screen,
        actions: [...(screen.actions ?? []), { id: "done", label: "Done", place: "footer", do: { kind: "close" } }],
      };
