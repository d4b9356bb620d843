import type { Again, Band, Fact, FactValue, Frame, HubBack, HubNode, Id, Keep, Node, PairNode, StackNode, Target } from "./types.js";
import { equal } from "./equal.js";

/** Fixed defaults of a node's optional keys, by kind. A key whose default depends on the rest of the frame is not here. */
export const nodeDefaults = {
  screen: {
    edge: "start",
    over: "all",
    opens: "push",
    bars: "keep",
    rest: [0.6],
    body: { kind: "blank" },
    actions: [],
  },
  stack: { edge: "start", over: "all", opens: "push", bars: "keep", rest: [0.6] },
  hub: {
    edge: "start",
    over: "all",
    opens: "push",
    bars: "keep",
    rest: [0.6],
    keep: "live",
    again: "root",
    back: "start",
    limit: 5,
    labels: "always",
    floating: false,
    strip: false,
    extras: [],
  },
  pair: { edge: "start", over: "all", opens: "push", bars: "keep", rest: [0.6], ratio: 0.38, empty: "" },
} as const;

const defaultTargets: Target[] = [{ id: "touch", label: "Phone" }];
const defaultBands: Band[] = [
  { id: "hand", from: 0 },
  { id: "lap", from: 560 },
  { id: "desk", from: 960 },
];

/** The icon of a tab that nobody has given one. */
export const plainIcon = "circle-dashed";

export const frameDefaults = {
  targets: defaultTargets,
  bands: defaultBands,
  facts: [] as Fact[],
  relaunch: "place",
  journeys: [],
  linkCases: [],
} as const;

export const targetsOf = (frame: Frame): readonly Target[] => frame.targets ?? defaultTargets;
export const factsOf = (frame: Frame): readonly Fact[] => frame.facts ?? frameDefaults.facts;

/** The target named `id`, else the first one. */
export const targetOf = (frame: Frame, id?: Id): Target => {
  const targets = targetsOf(frame);
  return targets.find((target) => target.id === id) ?? targets[0]!;
};
export const hasSystemBack = (target: Target): boolean => target.systemBack ?? true;
export const hasEdgeSwipe = (target: Target): boolean => target.edgeSwipe ?? false;

const sortedBands = new WeakMap<readonly Band[], Band[]>();
/** The bands, narrowest first. */
export const bandsOf = (frame: Frame): readonly Band[] => {
  const bands = frame.bands ?? defaultBands;
  let sorted = sortedBands.get(bands);
  if (!sorted) {
    sorted = [...bands].sort((a, b) => a.from - b.from);
    sortedBands.set(bands, sorted);
  }
  return sorted;
};

const yesNo: FactValue[] = [false, true];
export const factValues = (fact: Fact): readonly FactValue[] => fact.values ?? yesNo;
export const factAtLaunch = (fact: Fact): FactValue => fact.launch ?? factValues(fact)[0]!;

export const keepOf = (hub: HubNode): Keep => hub.keep ?? nodeDefaults.hub.keep;
export const againOf = (hub: HubNode): Again => hub.again ?? nodeDefaults.hub.again;
export const backOf = (hub: HubNode): HubBack => hub.back ?? nodeDefaults.hub.back;
export const limitOf = (hub: HubNode): number => hub.limit ?? nodeDefaults.hub.limit;
export const overOf = (node: Node): "all" | "region" => node.over ?? "all";
export const edgeOf = (node: Node): "start" | "end" => node.edge ?? "start";
export const restOf = (node: Node): readonly number[] => node.rest ?? nodeDefaults.screen.rest;
export const ratioOf = (pair: PairNode): number => pair.ratio ?? nodeDefaults.pair.ratio;
/** The band a pair is split from; undefined: never, as there is but one band. */
export const splitFromOf = (frame: Frame, pair: PairNode): Id | undefined => pair.splitFrom ?? bandsOf(frame)[1]?.id;
export const labelsOf = (hub: HubNode): NonNullable<HubNode["labels"]> => hub.labels ?? nodeDefaults.hub.labels;

export const startOf = (node: StackNode | HubNode): Id | undefined => node.start ?? node.children[0];
export const baseOf = (node: StackNode): Id | null | undefined => (node.base === undefined ? startOf(node) : node.base);
export const childrenOf = (node: { kind: string } & object): readonly Id[] => {
  if ("children" in node) return (node as StackNode).children;
  if (node.kind !== "pair") return noChildren;
  const { list, detail } = node as PairNode;
  return [list, detail].filter((id) => id !== undefined);
};
const noChildren: readonly Id[] = [];

/** A copy without the keys whose value is the default in `defaults`; the same object when there is nothing to drop. */
export const withoutDefaults = <T extends object>(value: T, defaults: object): T => {
  const source = value as Record<string, unknown>;
  const dropped = Object.entries(defaults).filter(([key, fallback]) => key in source && equal(source[key], fallback));
  if (dropped.length === 0) return value;
  const kept = { ...source };
  for (const [key] of dropped) delete kept[key];
  return kept as T;
};
