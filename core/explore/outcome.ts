import { targetOfLink } from "../address/addresses.js";
import { hasNeeds } from "../frame/needs.js";
import type { Id, Params } from "../frame/parts.js";
import type { FixedFrame, FixedNode } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { screensLaid } from "../observe/laid.js";
import { launch } from "../navigate/step.js";

/** Where a cold link leads once all needs are met. */
export interface LinkOutcome {
  screen: Id;
  params: Params;
  /** The screens that are laid, lowest first, the link's own last. */
  laid: Id[];
}

const withoutNeeds = new WeakMap<FixedFrame, FixedFrame>();

/** The frame with all needs taken as met. */
const freed = (frame: FixedFrame): FixedFrame => {
  if (!hasNeeds(frame)) return frame;
  let without = withoutNeeds.get(frame);
  if (!without) {
    const nodes: Record<Id, FixedNode> = {};
    for (const [id, node] of Object.entries(frame.nodes)) {
      const { needs: _, ...rest } = node;
      nodes[id] = rest;
    }
    withoutNeeds.set(frame, (without = { ...frame, nodes }));
  }
  return without;
};

/** What a link that starts the app lays, needs taken as met; null when no screen has that address. */
export const linkOutcome = (frame: FixedFrame, view: View, url: string): LinkOutcome | null => {
  const target = targetOfLink(frame, url);
  if (target.kind !== "screen") return null;
  const { state } = launch(freed(frame), view, {}, url);
  return { screen: target.screen, params: target.params, laid: screensLaid(state.root) };
};
