import { isRaw, type Raw } from "./raw.js";
import type { Upgrade } from "./upgrade-step.js";
import { toVary } from "./upgrade-vary.js";

/** Every format there has been, the oldest first: whatever is kept in one of them goes through all that follow. */
const upgrades: readonly Upgrade[] = [toVary];

/** The format that everything is written in. */
export const presentFormat = "handy-frame/2";

const isKnown = (value: Raw): boolean => upgrades.some(({ from }) => from === value.format);

const nodesOf = (frame: Raw, upgrade: Upgrade): unknown => {
  if (!isRaw(frame.nodes)) return frame.nodes;
  const nodes = Object.entries(frame.nodes);
  return Object.fromEntries(nodes.map(([id, node]) => [id, isRaw(node) ? upgrade.node(node, frame) : node]));
};

/** Whether a value is a frame in a format before the present one. */
export const isOlder = (value: unknown): value is Raw => isRaw(value) && isKnown(value);

/** A frame in the present format, from whichever it is in; what is no frame of a known format stays as it is. */
export const upgraded = (value: unknown): unknown => {
  let frame = value;
  for (const upgrade of upgrades)
    if (isRaw(frame) && frame.format === upgrade.from)
      frame = { ...frame, format: upgrade.to, nodes: nodesOf(frame, upgrade) };
  return frame;
};

/** Keys that a change in a format before gives to a node of a present frame, as they are now; the same object where nothing is other. */
export const upgradedKeys = (format: string, frame: Raw, node: Raw, given: Raw): Raw =>
  upgrades
    .slice(
      Math.max(
        0,
        upgrades.findIndex(({ from }) => from === format),
      ),
    )
    .reduce((keys, upgrade) => upgrade.keys(keys, node, frame), given);

/** Nodes that were kept without their frame, in a format before: as they are now in this one. */
export const upgradedNodes = (nodes: Raw, format: string, frame: Raw): Raw => {
  const made = upgraded({ ...frame, format, nodes });
  return isRaw(made) && isRaw(made.nodes) ? made.nodes : nodes;
};
