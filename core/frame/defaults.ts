import { asRecord } from "./keys.js";
import { firstOf } from "./sure.js";
import { equal } from "./equal.js";
import type { Band, Fact, FactValue, Id, Keep, Target } from "./parts.js";
import { properties } from "./properties.js";
import type { FixedFrame, FixedHub, FixedNode } from "./types.js";

const defaultTargets: Target[] = [{ id: "touch", label: "Phone" }];
const defaultBands: Band[] = [
  { id: "hand", from: 0 },
  { id: "lap", from: 560 },
  { id: "desk", from: 960 },
];

/** The icon of a tab that nobody has given one. */
export const plainIcon = "circle-dashed";

const noFacts: Fact[] = [];

/** What the fields of a frame are while a file does not say; a file leaves them out. */
export const frameDefaults = {
  targets: defaultTargets,
  bands: defaultBands,
  facts: noFacts,
  relaunch: "place",
  journeys: [],
  linkCases: [],
  quiet: [],
} as const;

/** The targets of a frame, in its order. */
export const targetsOf = (frame: FixedFrame): readonly Target[] => frame.targets ?? defaultTargets;
/** The facts of a frame, in its order. */
export const factsOf = (frame: FixedFrame): readonly Fact[] => frame.facts ?? frameDefaults.facts;

/** The target named `id`, else the first one. */
export const targetOf = (frame: FixedFrame, id?: Id): Target => {
  const targets = targetsOf(frame);
  return targets.find((target) => target.id === id) ?? firstOf(targets);
};
/** Whether a target has a system Back of its own. */
export const hasSystemBack = (target: Target): boolean => target.systemBack ?? true;
/** Whether a swipe from the edge goes up on a target. */
export const hasEdgeSwipe = (target: Target): boolean => target.edgeSwipe ?? false;

const sortedBands = new WeakMap<readonly Band[], Band[]>();
/** The bands, narrowest first. */
export const bandsOf = (frame: Pick<FixedFrame, "bands">): readonly Band[] => {
  const bands = frame.bands ?? defaultBands;
  let sorted = sortedBands.get(bands);
  if (!sorted) {
    sorted = [...bands].sort((a, b) => a.from - b.from);
    sortedBands.set(bands, sorted);
  }
  return sorted;
};

const yesNo: FactValue[] = [false, true];
/** The values that a fact may have, in its order. */
export const factValues = (fact: Fact): readonly FactValue[] => fact.values ?? yesNo;
/** The value of a fact when the app is launched. */
export const factAtLaunch = (fact: Fact): FactValue => fact.launch ?? firstOf(factValues(fact));

/** What a tab of this hub keeps when it is left. */
export const keepOf = (hub: FixedHub): Keep => hub.keep ?? properties.keep.fallback;

/** The child that a stack or a hub starts with; undefined where it has none. */
export const startOf = (node: { start?: Id; children: readonly Id[] }): Id | undefined =>
  node.start ?? node.children[0];
/** What a cold link is laid on in a stack: a child, null for nothing; undefined where the stack is empty. */
export const baseOf = (node: { base?: Id | null; start?: Id; children: readonly Id[] }): Id | null | undefined =>
  node.base === undefined ? startOf(node) : node.base;

const noChildren: readonly Id[] = [];
/** What a node holds, in order: the children of a stack or a hub, both panes of a pair. */
export const childrenOf = (node: FixedNode): readonly Id[] => {
  if (node.kind === "screen") return noChildren;
  return node.kind === "pair" ? [node.list, node.detail].filter((id) => id !== undefined) : node.children;
};

/** A copy without the keys whose value is the default in `defaults`; the same object when there is nothing to drop. */
export const withoutDefaults = <T extends object>(value: T, defaults: object): T => {
  const source = asRecord(value);
  const dropped = Object.entries(defaults).filter(([key, fallback]) => key in source && equal(source[key], fallback));
  if (dropped.length === 0) return value;
  const kept = { ...source };
  for (const [key] of dropped) delete kept[key];
  return kept as T;
};
