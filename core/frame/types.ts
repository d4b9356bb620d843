import type {
  Address,
  Band,
  Fact,
  Id,
  Journey,
  LinkCase,
  Motion,
  MotionKind,
  Quiet,
  Tab,
  Target,
  Theme,
  Variation,
} from "./parts.js";
import type { OwnIcon } from "./own-icon.js";
import type { FixedProperties, OwnProperties } from "./properties.js";

/** What the person reads and touches. */
export interface ScreenNode extends OwnProperties<"screen"> {
  kind: "screen";
}
/** Screens and containers laid one on another; Back takes the top one off. */
export interface StackNode extends OwnProperties<"stack"> {
  kind: "stack";
  children: Id[];
}
/** Sibling tabs, one shown at a time, each keeping its own place. */
export interface HubNode extends OwnProperties<"hub"> {
  kind: "hub";
  children: Id[];
}
/** A list and the detail of one row. */
export interface PairNode extends OwnProperties<"pair"> {
  kind: "pair";
}

/** A node as a file has it. */
export type Node = ScreenNode | StackNode | HubNode | PairNode;
/** A node that holds others. */
export type ContainerNode = Exclude<Node, ScreenNode>;

/** What of a tab is the same in every view. */
interface FixedTab {
  tab?: Pick<Tab, "badge" | "hidden" | "only">;
}
/** A screen as the engine sees it. */
export interface FixedScreen extends FixedProperties<"screen">, FixedTab {
  kind: "screen";
}
/** A stack as the engine sees it. */
export interface FixedStack extends FixedProperties<"stack">, FixedTab {
  kind: "stack";
  children: Id[];
}
/** A hub as the engine sees it. */
export interface FixedHub extends FixedProperties<"hub">, FixedTab {
  kind: "hub";
  children: Id[];
}
/** A pair as the engine sees it. */
export interface FixedPair extends FixedProperties<"pair">, FixedTab {
  kind: "pair";
}
/** A node as the engine sees it: what may differ by view is not on it, but in its look. */
export type FixedNode = FixedScreen | FixedStack | FixedHub | FixedPair;

/**
 * One app's navigation structure, in the form it is kept in: a key that has its default is absent (see `properties.ts`).
 * A value: never changed in place, and shared between frames that differ elsewhere.
 */
export interface Frame {
  format: "handy-frame/2";
  name: string;
  address?: Address;
  targets?: Target[];
  bands?: Band[];
  /** A view lower than this (px) is low: what `vary` says of low views holds there. */
  short?: number;
  facts?: Fact[];
  relaunch?: "nothing" | "place" | "everything";
  root: Id;
  nodes: Record<Id, Node>;
  motions?: Record<Id, Motion>;
  motion?: Partial<Record<MotionKind, Id>>;
  calm?: Id;
  theme?: Theme;
  /** Icons of its own, by the names that tabs and actions call them; one called as one of the package stands for it. */
  icons?: Record<string, OwnIcon>;
  /** What of `motion`, `calm`, `theme` and `address.lost` is other in some views. */
  vary?: Variation[];
  journeys?: Journey[];
  linkCases?: LinkCase[];
  /** Findings that are silenced. */
  quiet?: Quiet[];
}

/** A frame as the engine sees it: every frame is one. */
export interface FixedFrame extends Omit<Frame, "nodes" | "theme" | "motion" | "calm" | "vary" | "address"> {
  address?: Omit<Address, "lost">;
  nodes: Readonly<Record<Id, FixedNode>>;
}

/** The fields of a frame that hold no nodes. */
export type FrameField = Exclude<keyof Frame, "format" | "root" | "nodes">;
