import { waysOut } from "../explore/ways.js";
import { nameOf, plainName } from "../frame/names.js";
import { placesOf } from "../frame/frame-index.js";
import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { commonNames, standInsOf } from "./common-names.js";
import type { Findable } from "./find.js";

/** A thing of the frame: choosing it leads to `node`. */
export interface FrameFindable extends Findable {
  node: Id;
  sort: "screen" | "container" | "action" | "address";
}

const known = new WeakMap<Frame, readonly FrameFindable[]>();

/** Everything in a frame that has a name: screens and containers, what is on them, and where links lead. Made once for each frame. */
export const findablesOf = (frame: Frame): readonly FrameFindable[] => {
  const before = known.get(frame);
  if (before) return before;
  const standIns = standInsOf(frame);
  const nodes: FrameFindable[] = [];
  const others: FrameFindable[] = [];
  for (const [id, node] of Object.entries(frame.nodes)) {
    const parent = placesOf(frame, id)[0];
    const where = parent === undefined ? (id === frame.root ? "root" : "loose") : `in ${plainName(frame, parent)}`;
    const sort = node.kind === "screen" ? "screen" : "container";
    nodes.push({
      key: `node ${id}`,
      label: nameOf(frame, id),
      says: `${node.kind} ${where} · ${id}`,
      also: commonNames(frame, id, standIns),
      node: id,
      sort,
    });
    for (const way of waysOut(id, node))
      if (way.via === "action")
        others.push({
          key: `action ${id} ${way.action}`,
          label: way.label,
          says: `action on ${plainName(frame, id)}`,
          node: id,
          sort: "action",
        });
    if (node.kind === "screen" && node.path !== undefined)
      others.push({
        key: `address ${id}`,
        label: node.path,
        says: `address of ${plainName(frame, id)}`,
        node: id,
        sort: "address",
      });
  }
  const all = [...nodes, ...others];
  known.set(frame, all);
  return all;
};
