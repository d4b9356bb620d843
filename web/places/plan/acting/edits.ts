import {
  type Action,
  childrenOf,
  duplicateOf,
  type Edit,
  type Frame,
  freeIdIn,
  type Id,
  type Need,
  type Node,
  patternOf,
  placesOf,
  type Planned,
  plainName,
  type ScreenNode,
  stepsOf,
  subtreeOf,
  plainIcon,
  actionTo,
  nodeAt,
  nodeIn,
  firstOf,
  sure,
  together,
  waysIn,
} from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";

export type { Planned };

const newTitle = "New screen";
const isUnnamed = (id: Id): boolean => /^new(Screen|Tabs|Pair|Stack|Sheet|Dialog|Panel|Flow)\w*$/.test(id);

/** The children of a container in the order they are drawn. */
export const drawnChildren = (frame: Frame, id: Id): readonly Id[] => {
  const node = nodeAt(frame, id);
  return node.kind === "stack" ? stepsOf(frame, node).map((step) => step.id) : childrenOf(node);
};

/** What is added beside a screen of the door, one for those who are not let in yet, is for them too. */
export const doorNeeds = (frame: Frame, beside: Id | null): { needs?: Need[] } => {
  const node = beside === null ? undefined : nodeIn(frame, beside);
  const needs = node?.kind === "screen" ? (node.needs ?? []).filter(({ is }) => is === false) : [];
  return needs.length ? { needs } : {};
};

const addScreen = (frame: Frame, parent: Id | null, after: Id | null, title: string): Planned => {
  const hub = parent !== null && frame.nodes[parent]?.kind === "hub";
  if (!hub) {
    const id = freeIdIn(frame, title);
    const where = parent === null ? "loose" : `in ${plainName(frame, parent)}`;
    return {
      edit: {
        kind: "add",
        nodes: { [id]: { kind: "screen", title, ...doorNeeds(frame, after) } },
        top: id,
        parent,
        after,
      },
      label: `Add ${title} ${where}`,
      choose: { id, parent },
    };
  }
  // a tab is a stack of its own, so that what is opened from it stays in it
  const screen = freeIdIn(frame, title);
  const stack = freeIdIn(frame, `${title} tab`, new Set([screen]));
  const nodes: Record<Id, Node> = {
    [stack]: { kind: "stack", title, tab: { label: title, icon: plainIcon }, children: [screen] },
    [screen]: { kind: "screen", title },
  };
  return {
    edit: { kind: "add", nodes, top: stack, parent, after },
    label: `Add the tab ${title}`,
    choose: { id: stack, parent },
  };
};

/** Where something new goes beside what is chosen: behind it, or behind the pair whose pane it is. */
const beside = (frame: Frame, { id, parent }: Chosen): { parent: Id | null; after: Id | null } => {
  let [place, after]: [Id | null, Id] = [parent, id];
  while (place !== null && frame.nodes[place]?.kind === "pair") {
    after = place;
    place = placesOf(frame, place)[0] ?? null;
  }
  return { parent: place, after };
};

/** A new screen behind what is chosen, in the same container; in a hub a new tab. */
export const addAfter = (frame: Frame, chosen: Chosen, title = newTitle): Planned => {
  if (chosen.id === frame.root) return addInside(frame, chosen, title);
  const { parent, after } = beside(frame, chosen);
  return addScreen(frame, parent, after, title);
};

/** A new screen at the end of what is chosen; beside it, if that is a screen. */
export const addInside = (frame: Frame, chosen: Chosen, title = newTitle): Planned => {
  const node = nodeAt(frame, chosen.id);
  return node.kind === "screen" || node.kind === "pair"
    ? addAfter(frame, chosen, title)
    : addScreen(frame, chosen.id, node.children.at(-1) ?? null, title);
};

/** Nothing refers to it by its id yet, and it has no title: its id was given to it by the way. */
const hasNoName = (frame: Frame, id: Id): boolean =>
  nodeAt(frame, id).title === undefined &&
  id !== frame.root &&
  waysIn(frame, id).length === 0 &&
  frame.address?.lost !== id;

/** A new title. A node still called by its first name, or by none that anything refers to, gets an id made from the new one. */
export const retitle = (frame: Frame, chosen: Chosen, title: string): Planned => {
  const { id, parent } = chosen;
  const node = nodeAt(frame, id);
  const sets: Edit[] = [{ kind: "set", node: id, key: "title", ...(title && { value: title }) }];
  if (node.tab && (node.tab.label === undefined || node.tab.label === node.title))
    sets.push({ kind: "set", node: id, key: "tab", value: { ...node.tab, label: title } });
  const label = `Call ${plainName(frame, id)} ${title || id}`;
  let to = id;
  if ((isUnnamed(id) || hasNoName(frame, id)) && title) {
    to = freeIdIn(frame, node.kind === "screen" ? title : `${title} ${node.tab ? "tab" : ""}`);
    sets.push({ kind: "rename", id, to });
    // a new tab's own first screen is called after it
    const only = node.kind === "stack" && node.children.length === 1 ? firstOf(node.children) : null;
    if (only && isUnnamed(only)) {
      sets.push({ kind: "set", node: only, key: "title", value: title });
      sets.push({ kind: "rename", id: only, to: freeIdIn(frame, title, new Set([to])) });
    }
  }
  return {
    edit: together(sets),
    label,
    choose: { id: to, parent },
  };
};

/** What is chosen taken out: a screen with several places from this one, else with all inside it. */
export const takeOut = (frame: Frame, { id, parent }: Chosen): Planned => {
  const siblings = parent === null ? [] : drawnChildren(frame, parent);
  const i = siblings.indexOf(id);
  const next = siblings[i + 1] ?? siblings[i - 1];
  const choose: Chosen | null =
    next && parent !== null
      ? { id: next, parent }
      : parent !== null
        ? { id: parent, parent: placesOf(frame, parent)[0] ?? null }
        : null;
  const name = plainName(frame, id);
  if (placesOf(frame, id).length > 1)
    return {
      edit: { kind: "move", id, from: parent, to: null, after: null },
      label: `Take ${name} out of ${plainName(frame, sure(parent))}`,
      choose,
    };
  return { edit: { kind: "remove", id }, label: `Delete ${name}`, choose };
};

/** Several taken out at once; what is chosen after it is what would be after the last of them. */
export const takeOutAll = (frame: Frame, parts: readonly Chosen[]): Planned => {
  if (parts.length === 1) return takeOut(frame, firstOf(parts));
  const edits = parts.map((part) => takeOut(frame, part).edit);
  const parent = firstOf(parts).parent;
  return {
    edit: { kind: "batch", edits },
    label: `Delete ${parts.length}: ${parts
      .slice(0, 3)
      .map(({ id }) => plainName(frame, id))
      .join(", ")}${parts.length > 3 ? " …" : ""}`,
    choose: parent === null ? null : { id: parent, parent: placesOf(frame, parent)[0] ?? null },
  };
};

export const copyOf = (frame: Frame, { id, parent }: Chosen): Planned => {
  const edit = duplicateOf(frame, id, parent);
  return { edit, label: `Duplicate ${plainName(frame, id)}`, choose: { id: sure(edit.ids[id]), parent } };
};

/** What is chosen moved into a container, behind one of its children; null makes it loose. */
export const moveInto = (frame: Frame, { id, parent }: Chosen, to: Id | null, after: Id | null): Planned => {
  const node = nodeAt(frame, id);
  const move: Edit = { kind: "move", id, from: parent, to, after };
  const tab = to !== null && to !== parent && frame.nodes[to]?.kind === "hub" && !node.tab;
  const label = plainName(frame, id);
  const edit: Edit = tab
    ? { kind: "batch", edits: [move, { kind: "set", node: id, key: "tab", value: { label, icon: plainIcon } }] }
    : move;
  return {
    edit,
    label:
      to === null
        ? `Make ${label} loose`
        : after === null
          ? `Move ${label} to the front of ${plainName(frame, to)}`
          : `Move ${label} beside ${plainName(frame, after)}`,
    choose: { id, parent: to },
  };
};

export type Direction = "up" | "down" | "left" | "right";

/** A move by keys: up and down among its siblings, left out of its container, right into the container beside it. */
export const moveToward = (frame: Frame, chosen: Chosen, direction: Direction): Planned | null => {
  const { id, parent } = chosen;
  if (parent === null) return null;
  const siblings = childrenOf(nodeAt(frame, parent));
  const i = siblings.indexOf(id);
  if (direction === "up") return i > 0 ? moveInto(frame, chosen, parent, siblings[i - 2] ?? null) : null;
  if (direction === "down")
    return i < siblings.length - 1 ? moveInto(frame, chosen, parent, sure(siblings[i + 1])) : null;
  if (direction === "left") {
    const above = placesOf(frame, parent)[0];
    if (above === undefined) return null;
    // a pair takes no third: what leaves one of its panes goes behind the pair
    const out = beside(frame, { id: parent, parent: above });
    return out.parent === null ? null : moveInto(frame, chosen, out.parent, out.after);
  }
  const neighbour = [siblings[i - 1], siblings[i + 1]].find(
    (other) => other !== undefined && nodeAt(frame, other).kind !== "screen",
  );
  return neighbour === undefined
    ? null
    : moveInto(frame, chosen, neighbour, childrenOf(nodeAt(frame, neighbour)).at(-1) ?? null);
};

/** What the arrows choose: up and down a sibling, left the container, right the first thing inside. */
export const walk = (frame: Frame, { id, parent }: Chosen, direction: Direction): Chosen | null => {
  if (direction === "left") return parent === null ? null : { id: parent, parent: placesOf(frame, parent)[0] ?? null };
  if (direction === "right") {
    const first = nodeAt(frame, id).kind === "screen" ? undefined : drawnChildren(frame, id)[0];
    return first === undefined ? null : { id: first, parent: id };
  }
  if (parent === null) return null;
  const siblings = drawnChildren(frame, parent);
  const next = siblings[siblings.indexOf(id) + (direction === "down" ? 1 : -1)];
  return next === undefined ? null : { id: next, parent };
};

/** The params that a screen's address names. */
export const namesIn = (screen: ScreenNode): readonly string[] => patternOf(screen)?.names ?? [];

export const freeActionId = (frame: Frame, label: string, actions: readonly Action[]): Id =>
  freeIdIn({ ...frame, nodes: {} }, label, new Set(actions.map((action) => action.id)));

/** A new way out: an action of a screen, or an extra of a hub, that opens `to`. */
export const addWay = (frame: Frame, from: Id, to: Id): Planned => {
  const node = nodeAt(frame, from);
  if (node.kind !== "screen" && node.kind !== "hub") throw new Error(`${from} has no actions`);
  const key = node.kind === "hub" ? "extras" : "actions";
  const actions = (node.kind === "hub" ? node.extras : node.actions) ?? [];
  const label = plainName(frame, to);
  const made = actionTo(node, actions, to, nodeAt(frame, to));
  return {
    edit: { kind: "set", node: from, key, value: [...actions, made] },
    label: `${plainName(frame, from)} leads to ${label}`,
    choose: null,
  };
};

/** A new way out to a screen that is not there yet, which is made beside this one. */
export const addWayToNew = (frame: Frame, chosen: Chosen, title: string): Planned => {
  const made = addScreen(frame, chosen.parent, chosen.id, title);
  const to = sure(made.choose).id;
  const after: Frame = { ...frame, nodes: { ...frame.nodes, [to]: { kind: "screen", title } } };
  const way = addWay(after, chosen.id, to);
  return {
    edit: { kind: "batch", edits: [made.edit, way.edit] },
    label: `Add ${title}, and a way to it`,
    choose: null,
  };
};

/** How many nodes a deletion takes with it. */
export const countUnder = (frame: Frame, id: Id): number => subtreeOf(frame, id).length;
