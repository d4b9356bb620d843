import { childrenOf } from "../frame/defaults.js";
import { plainName } from "../frame/names.js";
import { nodeAt } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { list } from "./words.js";

/** What is not alike among the tabs of a hub: some with an icon and some without, or empty labels beside others; empty where all are alike. */
export const mixedSays = (frame: Frame, hub: Id): string => {
  const tabs = childrenOf(nodeAt(frame, hub)).filter((id) => nodeAt(frame, id).tab?.hidden !== true);
  const said: string[] = [];
  const without = tabs.filter((id) => nodeAt(frame, id).tab?.icon === undefined);
  if (without.length > 0 && without.length < tabs.length)
    said.push(`no icon on ${list(without.map((id) => plainName(frame, id)))}, but on the others`);
  const unnamed = tabs.filter((id) => nodeAt(frame, id).tab?.label?.trim() === "");
  if (unnamed.length > 0 && unnamed.length < tabs.length)
    said.push(`no label on ${list(unnamed.map((id) => plainName(frame, id)))}, but on the others`);
  return said.length ? `The tabs are not alike: ${said.join("; ")}.` : "";
};
