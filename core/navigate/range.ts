import { pointer } from "../frame/pointer.js";
import type { Action, Do, Frame, Node } from "../frame/types.js";

/** Something a frame uses that the engine does not run yet. */
export interface Beyond {
  /** JSON Pointer of the place. */
  pointer: string;
  /** What it is, as the subject of a sentence. */
  what: string;
}

const plural = { sheet: "Sheets", fullscreen: "Full screens", dialog: "Dialogs", side: "Side panels" } as const;

const known = new WeakMap<Frame, boolean>();

/** Whether the engine runs all that the frame uses. Whoever runs a frame asks first. */
export const isInRange = (frame: Frame): boolean => {
  let within = known.get(frame);
  if (within === undefined) known.set(frame, (within = beyondRange(frame).length === 0));
  return within;
};

/**
 * What of a frame the engine would run wrongly, and so must not run: pairs, overlays, needs and drawers. Empty for a frame
 * it runs wholly.
 */
export const beyondRange = (frame: Frame): Beyond[] => {
  const found: Beyond[] = [];
  const say = (at: (string | number)[], what: string) => found.push({ pointer: pointer(...at), what });
  const inDo = (at: (string | number)[], action: Do): void => {
    if (action.kind === "open" && action.as && action.as !== "push") say([...at, "as"], plural[action.as]);
    if (action.kind === "set" && action.then) inDo([...at, "then"], action.then);
  };
  const inActions = (at: (string | number)[], actions: Action[] | undefined) =>
    actions?.forEach((action, i) => inDo([...at, i, "do"], action.do));
  const inNode = (at: string[], node: Node): void => {
    if (node.kind === "pair") say(at, "Pairs");
    if (node.needs?.length) say([...at, "needs"], "Needs");
    const opens = [["opens", node.opens] as const].concat(
      Object.entries(node.opensIn ?? {}).map(([band, kind]) => [`opensIn/${band}`, kind] as never),
      Object.entries(node.opensOn ?? {}).map(([target, kind]) => [`opensOn/${target}`, kind] as never),
    );
    for (const [key, kind] of opens) if (kind && kind !== "push") say([...at, ...key.split("/")], plural[kind]);
    if (node.kind === "screen") {
      inActions([...at, "actions"], node.actions);
      if (node.after) inDo([...at, "after", "do"], node.after.do);
    }
    if (node.kind !== "hub") return;
    inActions([...at, "extras"], node.extras);
    const faces = [
      ["faces", node.faces ?? {}] as const,
      ...Object.entries(node.facesOn ?? {}).map(([t, map]) => [`facesOn/${t}`, map] as const),
    ];
    for (const [key, map] of faces)
      for (const [band, face] of Object.entries(map))
        if (face === "drawer") say([...at, ...key.split("/"), band], "Drawers");
    if (node.shortFace === "drawer") say([...at, "shortFace"], "Drawers");
  };
  for (const [id, node] of Object.entries(frame.nodes)) inNode(["nodes", id], node);
  return found;
};
