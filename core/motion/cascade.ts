import { builtInCalm, builtInMotion, motionAt, plainScrim } from "../frame/built-in-motions.js";
import type { Lens } from "../frame/look.js";
import type { Id, Motion, MotionKind, Opens } from "../frame/parts.js";
import type { Move } from "../navigate/event.js";
import { pathTo } from "../navigate/entries.js";
import { opensIn } from "../navigate/focus.js";
import type { Entry } from "../navigate/state.js";
import type { Toward } from "./shape.js";

/** Who may say which motion a move has, the first above all; `calm` is above all of them where reduced motion is asked for. */
export type CascadeLevel = "calm" | "way" | "screen" | "container" | "app" | "builtIn";

/** One level of the cascade: whose it is, and which motion it says; null where it says none. */
export interface CascadeStep {
  level: CascadeLevel;
  /** The screen or the container; null for the others. */
  node: Id | null;
  says: Id | null;
}

/** Where a move has its motion from. */
export interface Cascade {
  kind: MotionKind;
  /** Every level that was asked, the first above all. */
  steps: readonly CascadeStep[];
  /** The one that decides. */
  by: CascadeStep;
  id: Id;
  motion: Motion;
}

/** What a motion is asked for. */
export interface MotionCase {
  kind: MotionKind;
  /** The screen or container that comes, on the way back the one that goes. */
  node: Id;
  /** The container that the move is in; null where that says nothing. */
  container: Id | null;
  /** The motion of the way in; null where it has none of its own. */
  way: Id | null;
  /** The edge that a side panel stands at, where that is not the node's own. */
  edge?: "start" | "end";
}

/** Which motion a move has in a view, and who says so. An id that is in no table, as one that was taken out meanwhile, says nothing. */
export const cascadeOf = (lens: Lens, { kind, node, container, way, edge }: MotionCase): Cascade => {
  const { frame, view, look, app } = lens;
  const steps: CascadeStep[] = [
    { level: "way", node: null, says: way },
    { level: "screen", node, says: look(node).motion[kind] ?? null },
    { level: "container", node: container, says: (container !== null && look(container).motion[kind]) || null },
    { level: "app", node: null, says: app.motion[kind] ?? null },
    { level: "builtIn", node: null, says: builtInMotion(kind, edge ?? look(node).edge) },
  ];
  if (view.calm) steps.unshift({ level: "calm", node: null, says: app.calm ?? builtInCalm });
  for (const by of steps) {
    const motion = by.says === null ? undefined : motionAt(frame, by.says);
    if (by.says !== null && motion) return { kind, steps, by, id: by.says, motion };
  }
  throw new Error(`the built-in motion of ${kind} is missing`);
};

const kindOf = (opens: Opens): MotionKind => opens;

/** What a move is, for its motion: a push and its pop are a push, an overlay is what it opens as. */
export const motionKindOf = ({ kind, entering, leaving }: Move): MotionKind => {
  switch (kind) {
    case "push":
    case "pop":
      return "push";
    case "switch":
    case "replace":
      return kind;
    case "open":
      return kindOf(entering?.opens ?? "push");
    case "close":
      return kindOf(leaving?.opens ?? "push");
  }
};

/** The motion of a move between two trees of entries, which way it goes, and who says so; null where nothing moves. */
export const motionOf = (
  lens: Lens,
  move: Move,
  before: Entry,
  after: Entry,
): (Cascade & { toward: Toward }) | null => {
  const { toward, entering, leaving } = move;
  const side = toward === "back" ? (leaving ?? entering) : (entering ?? leaving);
  if (!side) return null;
  const entry = (pathTo(after, side.key) ?? pathTo(before, side.key))?.at(-1);
  const way = entry?.motion ?? null;
  return { ...cascadeOf(lens, { kind: motionKindOf(move), node: side.node, container: move.in, way }), toward };
};

/** How dark the scrim of an overlay is at rest, 0..1, by the motion that it comes with; of a drawer by that of a side panel. */
export const scrimOf = (lens: Lens, root: Entry, { key, node }: { key: number; node: Id }): number => {
  const path = pathTo(root, key) ?? [];
  const [stack, entry] = [path.at(-2), path.at(-1)];
  const isOverlay = stack?.kind === "stack" && entry;
  const opens = isOverlay ? opensIn(lens, stack, entry) : "push";
  const kind = opens === "push" ? "side" : opens;
  const container = isOverlay && opens !== "push" ? stack.node : null;
  return cascadeOf(lens, { kind, node, container, way: entry?.motion ?? null }).motion.scrim ?? plainScrim;
};
