import { layerId, type MoverId } from "./layers.js";
import type { Mover } from "./mover.js";
import type { Moving } from "./moving.js";
import type { Part } from "./shot.js";

/** A region that is drawn; `isGone`: it is no more on screen by the state, and nothing of it can be touched. */
export interface DrawnPart {
  kind: "part";
  id: MoverId;
  part: Part;
  isGone: boolean;
  mover: Mover | null;
}

/** What is drawn in one layer, back to front. */
export interface DrawnLayer {
  kind: "layer";
  id: MoverId;
  /** The key of its entry. */
  key: number;
  /** Nothing in it is on screen by the state. */
  isGone: boolean;
  mover: Mover | null;
  inside: readonly Drawn[];
}
/** What is drawn: layers in layers, and regions in them. */
export type Drawn = DrawnPart | DrawnLayer;

interface Layer extends Omit<DrawnLayer, "inside"> {
  inside: (DrawnPart | Layer)[];
}

const lifted = new Set(["sheet", "dialog", "side", "fullscreen"]);
const atFoot = new Set(["content", "list", "detail"]);

/** What is gone and lay over what its container shows goes on lying there: faces, strips, overlays and what is in them. */
const liesAbove = (part: DrawnPart | Layer): boolean => {
  if (part.kind === "part") return !atFoot.has(part.part.region.role);
  return part.inside.some((each) => each.kind === "part" && lifted.has(each.part.region.role));
};

/** Puts the parts of one list into the layers they are drawn in, in their order. */
const gathered = (parts: readonly DrawnPart[], movers: Moving["movers"]): Layer => {
  const root: Layer = { kind: "layer", id: "", key: 0, isGone: false, mover: null, inside: [] };
  for (const drawn of parts) {
    let at = root;
    for (const key of drawn.part.layers) {
      const last = at.inside.findLast((each): each is Layer => each.kind === "layer" && each.key === key);
      const next = last ?? {
        kind: "layer",
        id: layerId(key),
        key,
        isGone: drawn.isGone,
        mover: movers.get(layerId(key)) ?? null,
        inside: [],
      };
      if (!last) at.inside.push(next);
      at = next;
    }
    at.inside.push(drawn);
  }
  return root;
};

/** What is gone joins what is there: under it, unless it lay above. */
const joined = (there: Layer, gone: Layer): Layer => {
  const left = [...gone.inside];
  const inside = there.inside.map((each) => {
    if (each.kind !== "layer") return each;
    const i = left.findIndex((other) => other.kind === "layer" && other.key === each.key);
    const same = i < 0 ? undefined : left.splice(i, 1)[0];
    return same?.kind === "layer" ? joined(each, same) : each;
  });
  return {
    ...there,
    inside: [...left.filter((each) => !liesAbove(each)), ...inside, ...left.filter(liesAbove)],
  };
};

/** All that is drawn of what is on screen, back to front: what the state shows, and what still leaves. */
export const drawnOf = ({ shot, movers, gone }: Moving): readonly Drawn[] => {
  const drawn = (part: Part, isGone: boolean): DrawnPart => ({
    kind: "part",
    id: part.id,
    part,
    isGone,
    mover: movers.get(part.id) ?? null,
  });
  const there = gathered(
    shot.parts.map((part) => drawn(part, false)),
    movers,
  );
  if (gone.length === 0) return there.inside;
  return joined(
    there,
    gathered(
      gone.map((part) => drawn(part, true)),
      movers,
    ),
  ).inside;
};
