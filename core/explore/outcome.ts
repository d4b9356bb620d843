import { targetOfLink } from "../address/addresses.js";
import type { Frame, Id } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { hasNeeds } from "../frame/needs.js";
import { isHub, isStack, type Entry } from "../navigate/state.js";
import { type Params } from "../frame/types.js";
import { launch } from "../navigate/step.js";

/** Where a cold link leads once all needs are met. */
export interface LinkOutcome {
  screen: Id;
  params: Params;
  /** The screens that are laid, lowest first, the link's own last. */
  laid: Id[];
}

/** The screens one lies on another from an entry down: what a stack holds, the chosen tab, a pair's list, then its detail. */
export const screensLaid = (entry: Entry): Id[] => {
  if (!entry.inside) return [entry.node];
  if (isStack(entry)) return entry.inside.entries.flatMap(screensLaid);
  if (isHub(entry)) return screensLaid(entry.inside.tabs[entry.inside.active]!);
  const { list, detail } = entry.inside as Extract<Entry["inside"], { kind: "pair" }>;
  return [...screensLaid(list), ...(detail ? screensLaid(detail) : [])];
};

const withoutNeeds = new WeakMap<Frame, Frame>();

/** The frame with all needs taken as met. */
const freed = (frame: Frame): Frame => {
  if (!hasNeeds(frame)) return frame;
  let without = withoutNeeds.get(frame);
  if (!without) {
    const nodes = Object.entries(frame.nodes).map(([id, node]) => {
      const { needs: _, ...rest } = node;
      return [id, rest as typeof node] as const;
    });
    withoutNeeds.set(frame, (without = { ...frame, nodes: Object.fromEntries(nodes) }));
  }
  return without;
};

/** What a link that starts the app lays, needs taken as met; null when no screen has that address. */
export const linkOutcome = (frame: Frame, view: View, url: string): LinkOutcome | null => {
  const target = targetOfLink(frame, url);
  if (target.kind !== "screen") return null;
  const { state } = launch(freed(frame), view, {}, url);
  return { screen: target.screen, params: target.params, laid: screensLaid(state.root) };
};
