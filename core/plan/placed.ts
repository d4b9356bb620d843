import type { Id } from "../frame/parts.js";
import type { NodeKind } from "../frame/properties.js";

/** A rectangle of the plan, px. */
export interface Placed {
  id: Id;
  /** The container it stands in here; null for the root and for what is loose. */
  parent: Id | null;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A container. A `column` is the container of a tab, drawn as what hangs under its tooth. */
export interface Plate extends Placed {
  kind: Exclude<NodeKind, "screen">;
  depth: number;
  column: boolean;
  /** What it holds is not drawn: its name alone stands for it. */
  folded: boolean;
}

/** A screen in one of its places. */
export interface Card extends Placed {
  /** A card with a picture, or a row with the title alone. */
  picture: boolean;
  /** The strip over its picture that bears the title, px high. */
  head: number;
  taps: number;
  under: Id | null;
  /** It stands on a strip of what lies over the rest of its stack. */
  covers: boolean;
}

/** A hub's comb tooth, over the tab that hangs from it. */
export interface Tooth extends Placed {
  hub: Id;
}

/** The name of a pair's pane, over what stands in it. */
export interface PaneHead extends Placed {
  pair: Id;
  pane: "list" | "detail";
}

/** The strip on which lies what covers the rest of its stack: overlays, and screens pushed over a container. */
export interface CoverStrip extends Placed {
  stack: Id;
  /** What lies on it, in the order it is drawn. */
  holds: readonly Id[];
  depth: number;
}

/** Where everything stands on the plan, px. */
export interface PlanLayout {
  width: number;
  height: number;
  plates: Plate[];
  cards: Card[];
  teeth: Tooth[];
  covers: CoverStrip[];
  panes: PaneHead[];
  /** Where the loose nodes lie; null if there are none. */
  tray: { x: number; y: number; width: number; height: number } | null;
}
