import { nodeAt, hubAt } from "../frame/nodes.js";
import { plainIcon } from "../frame/defaults.js";
import { freeIdIn } from "../edit/naming.js";
import { indexOf, placesOf } from "../frame/frame-index.js";
import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { plainName } from "../frame/names.js";
import { cannot, type ChangeOfMind, planned } from "./change.js";

/** The nearest hub around a place, else the first of the frame. */
const hubFor = (frame: Frame, parent: Id | null): Id | undefined => {
  for (let at = parent; at !== null; at = placesOf(frame, at)[0] ?? null)
    if (frame.nodes[at]?.kind === "hub") return at;
  return [...indexOf(frame).ways.keys()].find((id) => nodeAt(frame, id).kind === "hub");
};

/** A screen becomes a tab: a stack of its own, so that what is opened from it stays in it. */
export const makeTab: ChangeOfMind = {
  id: "tab",
  label: "Make a tab of it",
  says: "a stack of its own at the end of the tabs",
  plan: (frame, parts) => {
    const [part] = parts;
    if (!part || parts.length > 1) return cannot("Choose one screen.");
    const { id, parent } = part;
    const node = nodeAt(frame, id);
    if (id === frame.root) return cannot("The root holds everything and stays.");
    if (parent !== null && frame.nodes[parent]?.kind === "hub")
      return cannot(`${plainName(frame, id)} is a tab already.`);
    const hub = hubFor(frame, parent);
    if (hub === undefined) return cannot("There are no tabs yet: wrap something in tabs first.");
    const { children } = hubAt(frame, hub);
    const after = children.at(-1) ?? null;
    const tab = { icon: plainIcon };
    const name = plainName(frame, id);
    const label = `Make a tab of ${name}`;
    if (node.kind !== "screen")
      return planned({
        edit: {
          kind: "batch",
          edits: [
            { kind: "move", id, from: parent, to: hub, after },
            { kind: "set", node: id, key: "tab", value: tab },
            { kind: "set", node: id, key: "opens" },
          ],
        },
        label,
        choose: { id, parent: hub },
      });
    const top = freeIdIn(frame, `${name} tab`);
    const title = node.title ?? id;
    return planned({
      edit: {
        kind: "batch",
        edits: [
          { kind: "move", id, from: parent, to: null, after: null },
          { kind: "set", node: id, key: "opens" },
          { kind: "add", nodes: { [top]: { kind: "stack", title, tab, children: [id] } }, top, parent: hub, after },
        ],
      },
      label,
      choose: { id: top, parent: hub },
    });
  },
};
