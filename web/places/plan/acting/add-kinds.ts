import {
  type Edit,
  type Frame,
  freeIdIn,
  type Id,
  type Node,
  type Opens,
  placesOf,
  plainName,
  plainIcon,
  nodeAt,
  sure,
} from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { addAfter, addInside, doorNeeds, type Planned } from "./edits.js";

/** Something new that can be added beside or inside what is chosen. */
export interface AddKind {
  id: string;
  label: string;
  says: string;
  /** It stands beside what is chosen: nothing has to lead to it from there. */
  isSibling?: true;
  plan: (frame: Frame, chosen: Chosen) => Planned;
}

interface Place {
  parent: Id;
  after: Id | null;
}

/** The nearest stack or hub: what is chosen itself, else what it stands in. */
const placeFor = (frame: Frame, chosen: Chosen, onlyStack: boolean): Place => {
  const fits = (id: Id): boolean => {
    const { kind } = nodeAt(frame, id);
    return kind === "stack" || (kind === "hub" && !onlyStack);
  };
  if (fits(chosen.id)) {
    const node = nodeAt(frame, chosen.id);
    return { parent: chosen.id, after: "children" in node ? (node.children.at(-1) ?? null) : null };
  }
  let [at, after]: [Id, Id] = [chosen.parent ?? frame.root, chosen.id];
  while (!fits(at)) [at, after] = [placesOf(frame, at)[0] ?? frame.root, at];
  return { parent: at, after };
};

/** Ids that are free, and stay different from one another. */
const namer = (frame: Frame) => {
  const taken = new Set<Id>();
  return (title: string): Id => {
    const id = freeIdIn(frame, title, taken);
    taken.add(id);
    return id;
  };
};

const added = (frame: Frame, place: Place, top: Id, title: string, nodes: Record<Id, Node>): Planned => {
  const isTab = nodeAt(frame, place.parent).kind === "hub";
  const made = { ...sure(nodes[top]), ...doorNeeds(frame, place.after) };
  const own: Node = isTab ? { ...made, tab: { label: title, icon: plainIcon } } : made;
  const edit: Edit = {
    kind: "add",
    nodes: { ...nodes, [top]: own },
    top,
    parent: place.parent,
    after: place.after,
  };
  return {
    edit,
    label: `Add ${title} in ${plainName(frame, place.parent)}`,
    choose: { id: top, parent: place.parent },
  };
};

const tabs = (frame: Frame, chosen: Chosen): Planned => {
  const name = namer(frame);
  const top = name("New tabs");
  const nodes: Record<Id, Node> = {};
  const children = ["First", "Second"].map((title) => {
    const screen = name(title);
    const stack = name(`${title} tab`);
    nodes[stack] = { kind: "stack", title, tab: { label: title, icon: plainIcon }, children: [screen] };
    nodes[screen] = { kind: "screen", title };
    return stack;
  });
  return added(frame, placeFor(frame, chosen, false), top, "New tabs", {
    [top]: { kind: "hub", title: "New tabs", children },
    ...nodes,
  });
};

const pair = (frame: Frame, chosen: Chosen): Planned => {
  const name = namer(frame);
  const [top, list, rows] = [name("New pair"), name("Rows list"), name("Rows")];
  const [detail, one] = [name("Row detail"), name("Row")];
  return added(frame, placeFor(frame, chosen, false), top, "New pair", {
    [top]: { kind: "pair", title: "New pair", list, detail, empty: "Choose a row." },
    [list]: { kind: "stack", title: "Rows", children: [rows] },
    [rows]: {
      kind: "screen",
      title: "Rows",
      body: { kind: "list", rows: 20, row: "Row {n}", opens: one, param: "row" },
    },
    [detail]: { kind: "stack", title: "Row", children: [one] },
    [one]: { kind: "screen", title: "Row {row}", path: `/${one}/:row` },
  });
};

const stack = (frame: Frame, chosen: Chosen): Planned => {
  const name = namer(frame);
  const [top, first] = [name("New stack"), name("First")];
  return added(frame, placeFor(frame, chosen, false), top, "New stack", {
    [top]: { kind: "stack", title: "New stack", children: [first] },
    [first]: { kind: "screen", title: "First" },
  });
};

const overlay =
  (opens: Opens, title: string) =>
  (frame: Frame, chosen: Chosen): Planned => {
    const id = freeIdIn(frame, title);
    return added(frame, placeFor(frame, chosen, true), id, title, {
      [id]: {
        kind: "screen",
        title,
        opens,
        actions: [{ id: "done", label: "Done", place: "footer", do: { kind: "close" } }],
      },
    });
  };

const flow = (frame: Frame, chosen: Chosen): Planned => {
  const name = namer(frame);
  const [top, first] = [name("New flow"), name("First step")];
  return added(frame, placeFor(frame, chosen, true), top, "New flow", {
    [top]: { kind: "stack", title: "New flow", opens: "fullscreen", children: [first] },
    [first]: {
      kind: "screen",
      title: "First step",
      actions: [{ id: "done", label: "Done", place: "footer", do: { kind: "close" } }],
    },
  });
};

/** What can be added, in the order of how often it is wanted. */
export const addKinds: readonly AddKind[] = [
  {
    id: "after",
    label: "Screen after",
    says: "behind what is chosen (N)",
    isSibling: true,
    plan: (frame, chosen) => addAfter(frame, chosen),
  },
  {
    id: "inside",
    label: "Screen inside",
    says: "led to from a screen; in tabs a new tab (Shift N)",
    plan: (frame, chosen) => addInside(frame, chosen),
  },
  { id: "tabs", label: "Tabs", says: "a hub with two tabs, each a stack of its own", plan: tabs },
  { id: "pair", label: "Pair", says: "a list beside its detail", plan: pair },
  { id: "stack", label: "Stack", says: "screens laid one on another", plan: stack },
  { id: "sheet", label: "Sheet", says: "a screen that opens from the foot", plan: overlay("sheet", "New sheet") },
  { id: "dialog", label: "Dialog", says: "a screen that opens in the middle", plan: overlay("dialog", "New dialog") },
  { id: "side", label: "Side panel", says: "a screen that opens from an edge", plan: overlay("side", "New panel") },
  { id: "flow", label: "Full-screen flow", says: "a stack over everything, closed from inside", plan: flow },
];
