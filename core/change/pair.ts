import { variedAmong } from "../frame/cells.js";
import { ownAmong } from "../frame/held.js";
import { nodeKinds, propertyKeys, propertyOf } from "../frame/properties.js";
import { sure } from "../frame/sure.js";
import { nodeAt, hubAt, pairAt } from "../frame/nodes.js";
import { plainIcon } from "../frame/defaults.js";
import type { Edit } from "../edit/edit.js";
import type { Frame, HubNode, Node, PairNode } from "../frame/types.js";
import { plainName } from "../frame/names.js";
import { noTab } from "./no-tab.js";
import { cannot, type ChangeOfMind, type ChangeResult, planned } from "./change.js";

/** What a node keeps when it becomes a container of another kind. */
const common = (node: Node): object => {
  const held = propertyKeys.filter((key) => key !== "vary" && propertyOf(key).kinds.length === nodeKinds.length);
  const vary = variedAmong(node, held);
  return { ...ownAmong(node, held), ...(vary.length > 0 && { vary }) };
};

const asPair = (frame: Frame, id: string, parent: string | null): ChangeResult => {
  const node = hubAt(frame, id);
  const [list, detail] = node.children;
  if (list === undefined || detail === undefined || node.children.length !== 2)
    return cannot(`A pair is a list and a detail: ${plainName(frame, id)} has ${node.children.length} tabs.`);
  const pair: PairNode = { kind: "pair", ...common(node), list, detail };
  const edits: Edit[] = [
    { kind: "restore", nodes: { [id]: { node: pair } } },
    ...[list, detail].flatMap((child) => noTab(frame, child)),
  ];
  return planned({
    edit: { kind: "batch", edits },
    label: `Turn ${plainName(frame, id)} into a pair`,
    choose: { id, parent },
  });
};

const asHub = (frame: Frame, id: string, parent: string | null): ChangeResult => {
  const node = pairAt(frame, id);
  const children = [sure(node.list), sure(node.detail)];
  const hub: HubNode = { kind: "hub", ...common(node), children };
  const edits: Edit[] = [
    { kind: "restore", nodes: { [id]: { node: hub } } },
    ...children.flatMap((child): Edit[] =>
      nodeAt(frame, child).tab ? [] : [{ kind: "set", node: child, key: "tab", value: { icon: plainIcon } }],
    ),
  ];
  return planned({
    edit: { kind: "batch", edits },
    label: `Turn ${plainName(frame, id)} into tabs`,
    choose: { id, parent },
  });
};

/** Two tabs become a list beside its detail, and back. */
export const pairOrTabs: ChangeOfMind = {
  id: "pair",
  label: "Pair or tabs",
  says: "two tabs become a list beside its detail, and back",
  plan: (frame, parts) => {
    const [part] = parts;
    if (!part || parts.length > 1) return cannot("Choose one hub or one pair.");
    const { kind } = nodeAt(frame, part.id);
    if (kind === "hub") return asPair(frame, part.id, part.parent);
    if (kind === "pair") return asHub(frame, part.id, part.parent);
    return cannot("Choose a hub with two tabs, or a pair.");
  },
};
