import { asRecord, keysOf } from "./keys.js";
import { nodeAt } from "./nodes.js";
import { childrenOf, factValues, frameDefaults, startOf, withoutDefaults } from "./defaults.js";
import { equal } from "./equal.js";
import { fallbacksOf, propertyKeys } from "./properties.js";
import type { Action, Do, Id } from "./parts.js";
import type { Frame, FrameField, Node } from "./types.js";

const keyOrder = {
  frame:
    "format name address targets bands short facts relaunch root nodes motions motion calm theme icons vary journeys linkCases quiet".split(
      " ",
    ),
  node: ["kind", ...propertyKeys],
};

const ordered = <T extends object>(value: T, order: readonly string[]): T => {
  const source = asRecord(value);
  const sorted: Record<string, unknown> = {};
  for (const key of [...order, ...Object.keys(source)]) if (source[key] !== undefined) sorted[key] ??= source[key];
  return sorted as T;
};

const plainDo = (value: Do): Do => {
  if (value.kind === "open") return withoutDefaults(value, { how: "add", params: {}, with: {} });
  if (value.kind === "set" && value.then) return { ...value, then: plainDo(value.then) };
  return value;
};
const plainActions = (actions: Action[]): Action[] => actions.map((action) => ({ ...action, do: plainDo(action.do) }));

/** A node without the keys that have their defaults: the form it has in a frame. */
export const plainNode = (node: Node): Node => {
  let plain: Node = withoutDefaults(node, fallbacksOf[node.kind]);
  if (plain.kind === "screen") {
    if (plain.actions) plain = { ...plain, actions: plainActions(plain.actions) };
    if (plain.after) plain = { ...plain, after: { ...plain.after, do: plainDo(plain.after.do) } };
  }
  if (plain.kind === "stack" && plain.base !== undefined && plain.base === startOf(plain)) {
    const { base: _, ...rest } = plain;
    plain = rest;
  }
  if (
    (plain.kind === "stack" || plain.kind === "hub") &&
    plain.start !== undefined &&
    plain.start === plain.children[0]
  ) {
    const { start: _, ...rest } = plain;
    plain = rest;
  }
  if (plain.kind === "hub" && plain.extras) plain = { ...plain, extras: plainActions(plain.extras) };
  if (plain.needs) plain = { ...plain, needs: plain.needs.map((need) => withoutDefaults(need, { resume: false })) };
  return plain;
};

/** The nodes in the order they are written: down the tree from the root, then the loose ones and what is in them by id. */
const writingOrder = (frame: Frame): Id[] => {
  const order = new Set<Id>();
  const walk = (id: Id): void => {
    if (order.has(id) || !Object.hasOwn(frame.nodes, id)) return;
    order.add(id);
    for (const child of childrenOf(nodeAt(frame, id))) walk(child);
  };
  walk(frame.root);
  for (const id of Object.keys(frame.nodes).sort()) walk(id);
  return [...order];
};

/** What each field of the frame is when nothing is said of it; what depends on the rest of a value is in `plainIn`. */
const fieldDefaults: { [K in FrameField]?: unknown } = {
  ...frameDefaults,
  facts: [],
  address: {},
  motions: {},
  motion: {},
  theme: {},
  icons: {},
  vary: [],
};

/** A field's value without what goes without saying inside it. */
const plainByField: { [K in FrameField]?: (value: NonNullable<Frame[K]>) => Frame[K] } = {
  targets: (targets) => targets.map((target) => withoutDefaults(target, { systemBack: true, edgeSwipe: false })),
  facts: (facts) =>
    facts.map((fact) =>
      withoutDefaults(fact, { lasting: true, launch: factValues({ ...fact })[0], values: undefined }),
    ),
  address: (address) => withoutDefaults(address, { running: "open", hosts: [] }),
};

const plainIn: Readonly<Record<string, ((value: never) => unknown) | undefined>> = plainByField;

/** Returns a field of the frame in its plain form, or undefined if it goes without saying. What is no field stays as it is. */
export const plainFieldOf = (key: string, value: unknown): unknown => {
  if (value === undefined) return undefined;
  const plain = (Object.hasOwn(plainIn, key) ? plainIn[key]?.(value as never) : undefined) ?? value;
  return Object.hasOwn(fieldDefaults, key) && equal(plain, asRecord(fieldDefaults)[key]) ? undefined : plain;
};

/** The frame in its one written form: defaults left out, keys and nodes in a stable order. */
export const plainFrame = (frame: Frame): Frame => {
  const nodes: Record<Id, Node> = {};
  for (const id of writingOrder(frame)) nodes[id] = ordered(plainNode(nodeAt(frame, id)), keyOrder.node);
  const { format, root, nodes: _, ...rest } = frame;
  const fields = Object.fromEntries(keysOf(rest).map((key) => [key, plainFieldOf(key, rest[key])]));
  return ordered({ ...rest, ...fields, format, root, nodes }, keyOrder.frame);
};

/** The text of a `*.frame.json` file. Line by line, so that two versions differ only where the frames do. */
export const writeFrame = (frame: Frame): string => `${JSON.stringify(plainFrame(frame), null, 2)}\n`;
