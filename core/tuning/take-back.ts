import { isRaw } from "../frame/raw.js";
import { byViewOf, entryFor, type Holder } from "../frame/cells.js";
import { bandsOf } from "../frame/defaults.js";
import { nodeIn } from "../frame/nodes.js";
import type { Action, Do, Id, Variation } from "../frame/parts.js";
import type { Frame, Node } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { classOf } from "../frame/views.js";
import { compact, fromKeys, keysOf } from "../frame/keys.js";
import type { Edit } from "../edit/edit.js";
import { together } from "../edit/together.js";
import type { AppMove } from "./app-moves.js";
import { motionEdit, type MotionLevel, withMotion } from "./set-motion.js";

/** What says a level of the cascade: a node, or the frame itself. */
const holderOf = (frame: Frame, { node, container }: AppMove, level: MotionLevel): Holder | undefined =>
  level === "app" ? frame : nodeIn(frame, level === "screen" ? node : container);

/**
 * Takes back what one level says of a move in a view, and no more: what is said of the view's target alone gives way to what is said
 * of all, that to nothing. Null where there is nothing to take back.
 */
export const takeBackEdit = (frame: Frame, view: View, move: AppMove, level: MotionLevel): Edit | null => {
  const holder = level === "way" ? undefined : holderOf(frame, move, level);
  const slot = `motion.${move.kind}`;
  const entry = holder && entryFor(frame, holder, slot, classOf(frame, view));
  if (!holder || !entry) return motionEdit(frame, move, level, null);
  const own = byViewOf(holder, slot)?.own;
  const cells = bandsOf(frame).map(({ id }) => ({ target: view.target, band: id }));
  const node = level === "app" ? null : level === "screen" ? move.node : move.container;
  return { kind: "vary", node, slot, cells, ...(own !== undefined && { value: own }) };
};

/** A table of motions without one of them; undefined where nothing is left. */
const without = <M extends object>(motions: M | undefined, id: Id): Partial<M> | undefined => {
  if (!motions) return undefined;
  return compact<M>({
    ...motions,
    ...fromKeys(
      keysOf(motions).filter((kind) => motions[kind] === id),
      () => undefined,
    ),
  });
};

/** What differs by view without a motion; undefined where nothing is left. */
const variedWithout = (vary: readonly Variation[] | undefined, id: Id): Variation[] | undefined => {
  const left = (vary ?? []).flatMap((entry): Variation[] => {
    const { motion, calm, ...set } = entry.set;
    const kept = isRaw(motion) ? without(motion, id) : undefined;
    const next = { ...set, ...(kept && { motion: kept }), ...(calm !== undefined && calm !== id && { calm }) };
    return Object.keys(next).length ? [{ ...entry, set: next }] : [];
  });
  return left.length ? left : undefined;
};

const isNamed = (value: unknown, id: Id): boolean => JSON.stringify(value ?? null).includes(`"${id}"`);

const given = (value: unknown) => (value === undefined ? {} : { value });

/** Sets one key of a node, where that changes. */
const setting = (node: Id, key: "motion" | "vary" | "actions" | "extras", value: unknown): Edit => ({
  kind: "set",
  node,
  key,
  ...given(value),
});

/** Sets one key of the frame, where that changes. */
const frameSetting = (key: "motion" | "vary" | "calm" | "motions", value: unknown): Edit => ({
  kind: "setFrame",
  key,
  ...given(value),
});

const unmoved = (action: Do, id: Id): Do => (isNamed(action, id) ? withoutIn(action, id) : action);
const withoutIn = (action: Do, id: Id): Do => {
  if (action.kind === "open") return action.motion === id ? withMotion(action, null) : action;
  return action.kind === "set" && action.then ? { ...action, then: withoutIn(action.then, id) } : action;
};

const nodeEdits = (id: Id, node: Node, motion: Id): Edit[] => {
  const edits: Edit[] = [];
  if (isNamed(node.motion, motion)) edits.push(setting(id, "motion", without(node.motion, motion)));
  if (isNamed(node.vary, motion)) edits.push(setting(id, "vary", variedWithout(node.vary, motion)));
  const key = node.kind === "hub" ? "extras" : "actions";
  const actions: readonly Action[] =
    (node.kind === "hub" ? node.extras : node.kind === "screen" ? node.actions : undefined) ?? [];
  const next = actions.map((action) => ({ ...action, do: unmoved(action.do, motion) }));
  if (next.some((action, i) => action.do !== actions[i]?.do)) edits.push(setting(id, key, next));
  return edits;
};

/**
 * Takes a motion out of a frame with every place that names it: those moves go as if nothing were said there. Of one that
 * takes the place of a built-in one the names stay, as they mean that again.
 */
export const takeOutMotion = (frame: Frame, id: Id, isBuiltIn: boolean): Edit => {
  const { [id]: _, ...motions } = frame.motions ?? {};
  const own = frameSetting("motions", Object.keys(motions).length > 0 ? motions : undefined);
  if (isBuiltIn) return own;
  const edits = Object.entries(frame.nodes).flatMap(([each, node]) => nodeEdits(each, node, id));
  if (isNamed(frame.motion, id)) edits.push(frameSetting("motion", without(frame.motion, id)));
  if (frame.calm === id) edits.push(frameSetting("calm", undefined));
  if (isNamed(frame.vary, id)) edits.push(frameSetting("vary", variedWithout(frame.vary, id)));
  return together([...edits, own]);
};
