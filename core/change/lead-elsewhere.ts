import type { Edit } from "../edit/edit.js";
import { type Way, waysIn } from "../explore/ways.js";
import { subtreeOf } from "../frame/frame-index.js";
import { compact } from "../frame/keys.js";
import { nodeAt } from "../frame/nodes.js";
import type { Action, Do, Id } from "../frame/parts.js";
import { patternOf } from "../frame/pattern.js";
import type { Frame, Node, ScreenNode } from "../frame/types.js";
import { actionTo } from "../outline/ways.js";

/** All that goes when these are taken out of a frame. */
const goneWith = (frame: Frame, ids: readonly Id[]): ReadonlySet<Id> =>
  new Set(ids.flatMap((id) => subtreeOf(frame, id)));

/** The ways that go when these nodes are taken out: those that lead there from what stays. */
export const waysGoneWith = (frame: Frame, ids: readonly Id[]): Way[] => {
  const gone = goneWith(frame, ids);
  return [...gone].flatMap((id) => waysIn(frame, id).filter(({ from }) => !gone.has(from)));
};

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
  const { params } = actionTo(from, [], led.to, led.target).do as Extract<Do, { kind: "open" }>;
  return compact<Do>({ ...act, to: led.to, params }) ?? act;
};

const ledActions = (from: Node, actions: readonly Action[], led: Led): Action[] =>
  actions.map((action) => ({ ...action, do: ledDo(from, action.do, led) }));

const ledScreen = (id: Id, node: ScreenNode, led: Led): Edit[] => {
  const edits: Edit[] = [];
  const set = (key: "actions" | "after" | "body", value: unknown) => edits.push({ kind: "set", node: id, key, value });
  if (node.actions) set("actions", ledActions(node, node.actions, led));
  if (node.after) set("after", { ...node.after, do: ledDo(node, node.after.do, led) });
  if (node.body && "opens" in node.body && node.body.opens && led.gone.has(node.body.opens)) {
    const param = led.target.kind === "screen" ? patternOf(led.target)?.names.at(-1) : undefined;
    const { param: _, ...body } = node.body;
    set("body", { ...body, opens: led.to, ...(param !== undefined && { param }) });
  }
  return edits;
};

/** The edits that lead to another node what leads to these, which are to be taken out. */
export const leadElsewhere = (frame: Frame, ids: readonly Id[], to: Id): Edit[] => {
  const led: Led = { gone: goneWith(frame, ids), to, target: nodeAt(frame, to) };
  const sources = new Set(waysGoneWith(frame, ids).map(({ from }) => from));
  return [...sources].flatMap((from): Edit[] => {
    const node = nodeAt(frame, from);
    if (node.kind === "screen") return ledScreen(from, node, led);
    if (node.kind !== "hub" || !node.extras) return [];
    return [{ kind: "set", node: from, key: "extras", value: ledActions(node, node.extras, led) }];
  });
};
