import type { Frame } from "./types.js";

/** A frame to begin with. */
export interface StartingShape {
  id: string;
  label: string;
  says: string;
  frame: Frame;
}

const one: Frame = {
  format: "handy-frame/1",
  name: "New app",
  root: "app",
  nodes: {
    app: { kind: "stack", title: "App", children: ["home"] },
    home: { kind: "screen", title: "Home", path: "/" },
  },
};

const tabs: Frame = {
  format: "handy-frame/1",
  name: "New app",
  root: "app",
  nodes: {
    app: { kind: "stack", title: "App", children: ["main"] },
    main: { kind: "hub", title: "Main", children: ["firstTab", "secondTab", "thirdTab"] },
    firstTab: { kind: "stack", title: "First", tab: { label: "First", icon: "house" }, children: ["first", "item"] },
    first: {
      kind: "screen",
      title: "First",
      path: "/first",
      body: { kind: "list", rows: 20, row: "Item {n}", opens: "item", param: "item" },
    },
    item: { kind: "screen", title: "Item {item}", path: "/first/:item" },
    secondTab: {
      kind: "stack",
      title: "Second",
      tab: { label: "Second", icon: "magnifying-glass" },
      children: ["second"],
    },
    second: { kind: "screen", title: "Second", path: "/second" },
    thirdTab: { kind: "stack", title: "Third", tab: { label: "Third", icon: "user" }, children: ["third"] },
    third: {
      kind: "screen",
      title: "Third",
      path: "/third",
      body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] },
    },
  },
};

const covered: Frame = {
  ...tabs,
  nodes: {
    ...tabs.nodes,
    app: { kind: "stack", title: "App", children: ["main", "detail"] },
    second: {
      kind: "screen",
      title: "Second",
      path: "/second",
      body: { kind: "grid", rows: 12, row: "Picture {n}", opens: "detail", param: "picture" },
    },
    detail: { kind: "screen", title: "Picture {picture}", path: "/pictures/:picture", body: { kind: "media" } },
  },
};

/** The shapes a new frame can start from. */
export const startingShapes: readonly StartingShape[] = [
  { id: "one", label: "One stack", says: "screens laid one on another", frame: one },
  { id: "tabs", label: "Tabs", says: "three tabs, each a stack of its own", frame: tabs },
  { id: "covered", label: "Tabs and a cover", says: "and a screen that covers the bar", frame: covered },
];
