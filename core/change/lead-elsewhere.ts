import type { Edit } from "../edit/edit.js";
import { goneWith, waysGoneWith } from "../explore/ways-gone.js";
import { equal } from "../frame/equal.js";
import { compact, keysOf } from "../frame/keys.js";
import { nodeAt } from "../frame/nodes.js";
import type { Action, Do, Id } from "../frame/parts.js";
import { patternOf } from "../frame/pattern.js";
import type { Frame, Node, ScreenNode } from "../frame/types.js";
import { actionTo } from "../outline/ways.js";

/** Where ways that would go lead instead. */
interface Led {
  gone: ReadonlySet<Id>;
  to: Id;
  target: Node;
}

/** What an action does, led elsewhere; it hands over what the new target's address asks for, and nothing else. */
const ledDo = (from: Node, act: Do, led: Led): Do => {
  if (act.kind === "set" && act.then) return { ...act, then: ledDo(from, act.then, led) };
  if (act.kind !== "open" || !led.gone.has(act.to)) return act;
  const there = actionTo(from, [], led.to, led.target).do;
  return compact<Do>({ ...act, to: led.to, params: there.kind === "open" ? there.params : undefined }) ?? act;
};

const ledActions = (from: Node, actions: readonly Action[] | undefined, led: Led): Action[] | undefined =>
  actions?.map((action) => ({ ...action, do: ledDo(from, action.do, led) }));

const ledAfter = (node: ScreenNode, led: Led): ScreenNode["after"] =>
  node.after && { ...node.after, do: ledDo(node, node.after.do, led) };

const ledBody = ({ body }: ScreenNode, led: Led): ScreenNode["body"] => {
  if (!body || !("opens" in body) || !body.opens || !led.gone.has(body.opens)) return body;
  const param = led.target.kind === "screen" ? patternOf(led.target)?.names.at(-1) : undefined;
  const { param: _, ...rest } = body;
  return { ...rest, opens: led.to, ...(param !== undefined && { param }) };
};

/** All of a node that leads somewhere, led elsewhere, by its key. */
const ledParts = (node: Node, led: Led): Partial<Record<"actions" | "after" | "body" | "extras", unknown>> => {
  if (node.kind === "hub") return { extras: ledActions(node, node.extras, led) };
  if (node.kind !== "screen") return {};
  return { body: ledBody(node, led), actions: ledActions(node, node.actions, led), after: ledAfter(node, led) };
};

/** The edits that lead to another node what leads to these, which are to be taken out. */
export const leadElsewhere = (frame: Frame, ids: readonly Id[], to: Id): Edit[] => {
  const led: Led = { gone: goneWith(frame, ids), to, target: nodeAt(frame, to) };
  const sources = new Set(waysGoneWith(frame, ids).map(({ from }) => from));
  return [...sources].flatMap((from): Edit[] => {
    const node = nodeAt(frame, from);
    const parts = ledParts(node, led);
    return keysOf(parts)
      .filter((key) => !equal(parts[key], Reflect.get(node, key)))
      .map((key) => ({ kind: "set", node: from, key, value: parts[key] }));
  });
};
