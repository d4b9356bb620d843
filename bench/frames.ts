import type { Frame, HubNode, Id, Node, StackNode } from "../core/index.js";

/** A frame of about `count` screens: tabs of stacks whose screens lead on to others, here and in other tabs. */
export const largeFrame = (count: number): Frame => {
  const home: HubNode = { kind: "hub", children: [], limit: 100 };
  const nodes: Record<Id, Node> = { app: { kind: "stack", children: ["home"] }, home };
  let stack: StackNode = { kind: "stack", children: [] };
  const each = 25;
  const children: Id[] = [];
  for (let i = 0; i < count; i += 1) {
    const id = `screen${i}`;
    const tab = `tab${Math.floor(i / each)}`;
    if (i % each === 0) {
      const title = `Tab ${i / each}`;
      stack = { kind: "stack", title, tab: { label: title, icon: "circle" }, children: [] };
      nodes[tab] = stack;
      home.children.push(tab);
    }
    stack.children.push(id);
    const next = i % each < each - 1 && i + 1 < count ? `screen${i + 1}` : `screen${i - (i % each)}`;
    nodes[id] = {
      kind: "screen",
      title: `Screen ${i}`,
      path: `/screens/${i}/:item`,
      body: { kind: "list", rows: 20, row: "Item {n}", opens: next, param: "item" },
      actions: [
        {
          id: "far",
          label: "Far",
          place: "end",
          do: { kind: "open", to: `screen${(i * 37) % count}`, params: { item: "1" } },
        },
      ],
    };
    children.push(id);
  }
  return { format: "handy-frame/2", name: `Large ${count}`, root: "app", nodes };
};

/** A frame with `count` nodes that nest as real ones do: hubs in stacks, stacks in hubs, ten screens to a stack. */
export const nestedFrame = (count: number): Frame => {
  const app: Extract<Node, { children: Id[] }> = { kind: "stack", children: ["first"] };
  const nodes: Record<Id, Node> = { app, first: { kind: "screen", title: "First" } };
  let made = 2;
  const grow = (parent: Extract<Node, { children: Id[] }>, budget: number, depth: number): void => {
    while (budget > 0 && made < count) {
      if (budget < 14 || depth > 5) {
        const id = `s${made}`;
        const before = parent.children.at(-1);
        nodes[id] = {
          kind: "screen",
          title: `Screen ${made}`,
          ...(before && {
            actions: [{ id: "on", label: "On", place: "body" as const, do: { kind: "open" as const, to: before } }],
          }),
        };
        parent.children.push(id);
        made += 1;
        budget -= 1;
      } else {
        const id = `n${made}`;
        const children: Id[] = [];
        const inner = { kind: depth % 2 ? ("stack" as const) : ("hub" as const), title: `Part ${made}`, children };
        nodes[id] = inner;
        parent.children.push(id);
        made += 1;
        const share = Math.max(6, Math.floor(budget / 4));
        grow(inner, share, depth + 1);
        if (inner.children.length === 0) {
          nodes[`s${made}`] = { kind: "screen", title: `Screen ${made}` };
          inner.children.push(`s${made}`);
          made += 1;
        }
        budget -= share + 1;
      }
    }
  };
  grow(app, count, 0);
  return { format: "handy-frame/2", name: `Nested ${count}`, root: "app", nodes };
};
