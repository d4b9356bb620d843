import { sure } from "../frame/sure.js";
import { nodeAt } from "../frame/nodes.js";
import type { Edit } from "../edit/edit.js";
import { freeIdIn } from "../edit/naming.js";
import type { Part } from "../edit/part.js";
import { childrenOf, startOf, plainIcon } from "../frame/defaults.js";
import type { ContainerNode, Frame } from "../frame/types.js";
import type { Id, Tab } from "../frame/parts.js";
import { plainName } from "../frame/names.js";
import { list } from "../says/words.js";
import { noTab } from "./no-tab.js";
import { cannot, type ChangeOfMind, type ChangeResult, planned } from "./change.js";

const plainTab: Tab = { icon: plainIcon };

type Wrapping = "stack" | "hub" | "sheet";
const words: Record<Wrapping, string> = { stack: "stack", hub: "tabs", sheet: "sheet" };

/** The chosen siblings in the order of their container, or why they cannot be taken together. */
const siblingsOf = (frame: Frame, parts: readonly Part[]): { parent: Id; ids: Id[] } | string => {
  const [first] = parts;
  if (!first) return "Choose what to wrap.";
  if (first.parent === null)
    return first.id === frame.root ? "The root holds everything and stays." : "What is loose goes onto a plate first.";
  if (parts.some(({ parent }) => parent !== first.parent)) return "Choose what stands in one container.";
  const { parent } = first;
  const chosen = new Set(parts.map(({ id }) => id));
  return { parent, ids: childrenOf(nodeAt(frame, parent)).filter((id) => chosen.has(id)) };
};

const newContainer = (kind: Wrapping, title: string, children: Id[], tab: Tab | undefined): ContainerNode => ({
  kind: kind === "hub" ? "hub" : "stack",
  title,
  ...(tab && { tab }),
  ...(kind === "sheet" && { opens: "sheet" }),
  children,
});

const wrapIn = (frame: Frame, parts: readonly Part[], kind: Wrapping): ChangeResult => {
  const found = siblingsOf(frame, parts);
  if (typeof found === "string") return cannot(found);
  const { parent, ids } = found;
  const holder = nodeAt(frame, parent);
  if (holder.kind === "screen") return cannot("A screen holds nothing.");
  const siblings = childrenOf(holder);
  const first = sure(ids[0]);
  const name = plainName(frame, first);
  const start = holder.kind === "pair" ? undefined : startOf(holder);
  const starts = start !== undefined && ids.includes(start);
  if (holder.kind === "pair" && ids.length > 1)
    return cannot("A pair keeps its list and its detail: choose one of them.");
  if (kind === "sheet" && holder.kind !== "stack") return cannot("Only what stands in a stack can open as a sheet.");
  if (kind === "sheet" && starts)
    return cannot(
      `${plainName(frame, parent)} starts with ${plainName(frame, start)}, and the lowest of a stack is always pushed.`,
    );
  const title = kind === "hub" ? "Tabs" : name;
  const top = freeIdIn(frame, `${name} ${holder.kind === "hub" ? "tab" : words[kind]}`);
  const after = siblings.slice(0, siblings.indexOf(first)).findLast((id) => !ids.includes(id)) ?? null;
  const inHub = holder.kind === "hub";
  const tabEdits = ids.flatMap((id): Edit[] => {
    const node = nodeAt(frame, id);
    if (kind === "hub") return node.tab ? [] : [{ kind: "set", node: id, key: "tab", value: plainTab }];
    return noTab(frame, id);
  });
  // a flow in a sheet opens as one: what it holds is pushed in it
  const opensEdits = ids.flatMap((id): Edit[] =>
    kind === "sheet" && nodeAt(frame, id).opens ? [{ kind: "set", node: id, key: "opens" }] : [],
  );
  const linkEdits = ids.flatMap((id): Edit[] => {
    const node = nodeAt(frame, id);
    return kind !== "hub" && node.kind === "screen" && node.linkIn === parent
      ? [{ kind: "set", node: id, key: "linkIn", value: top }]
      : [];
  });
  const wrapper = newContainer(kind, title, ids, inHub ? (nodeAt(frame, first).tab ?? plainTab) : undefined);
  const edits: Edit[] = [
    ...ids.map((id): Edit => ({ kind: "move", id, from: parent, to: null, after: null })),
    ...tabEdits,
    ...opensEdits,
    ...linkEdits,
    { kind: "add", nodes: { [top]: wrapper }, top, parent, after },
  ];
  if (starts) {
    edits.push({ kind: "set", node: parent, key: "start", value: top });
    if (start !== first) edits.push({ kind: "set", node: top, key: "start", value: start });
  }
  if (holder.kind === "stack" && holder.base && ids.includes(holder.base))
    edits.push({ kind: "set", node: parent, key: "base", value: top });
  return planned({
    edit: { kind: "batch", edits },
    label: `Wrap ${list(ids.slice(0, 3).map((id) => plainName(frame, id)))}${ids.length > 3 ? " …" : ""} in a ${kind === "hub" ? "hub" : kind}`,
    choose: { id: top, parent },
  });
};

/** Puts a stack around what is chosen. */
export const wrapInStack: ChangeOfMind = {
  id: "wrap-stack",
  label: "Wrap in a stack",
  says: "laid one on another, with a Back of their own",
  plan: (frame, parts) => wrapIn(frame, parts, "stack"),
};
/** Makes tabs of what is chosen, in a hub around them. */
export const wrapInHub: ChangeOfMind = {
  id: "wrap-hub",
  label: "Wrap in tabs",
  says: "side by side in a hub, each keeping its place",
  plan: (frame, parts) => wrapIn(frame, parts, "hub"),
};
/** Puts what is chosen into a stack that opens as a sheet. */
export const wrapInSheet: ChangeOfMind = {
  id: "wrap-sheet",
  label: "Wrap in a sheet",
  says: "a flow of its own that opens over the rest",
  plan: (frame, parts) => wrapIn(frame, parts, "sheet"),
};
