import type { Frame, HubNode, Node, PairNode, ScreenNode, StackNode } from "../frame/types.js";
import type { Id, ListBody } from "../frame/parts.js";
import type { View } from "../frame/view.js";
import { viewOf } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/event.js";
import { type Snapshot, snapshotOf } from "../observe/snapshot.js";
import { launch, type Step, step, viewAfter } from "../navigate/step.js";

// small builders for tests: a frame is written as its nodes, and run as a list of events

export const screen = (extra: Partial<ScreenNode> = {}): ScreenNode => ({ kind: "screen", ...extra });
export const stack = (children: Id[], extra: Partial<StackNode> = {}): StackNode => ({
  kind: "stack",
  children,
  ...extra,
});
export const hub = (children: Id[], extra: Partial<HubNode> = {}): HubNode => ({ kind: "hub", children, ...extra });
/** A screen whose rows open `opens`. */
export const list = (opens: Id, param?: string, extra: Partial<ScreenNode> = {}): ScreenNode => {
  const body: ListBody = { kind: "list", rows: 9, row: "Row {n}", opens, ...(param && { param }) };
  return screen({ body, ...extra });
};
/** What a node says of a property from each band on, the narrowest first. */
export const byBand = <K extends "face" | "opens" | "split">(key: K, values: Readonly<Record<Id, unknown>>) => {
  const [first, ...others] = Object.entries(values);
  const own = first?.[0] === "hand" ? { [key]: first[1] } : {};
  const vary = (first?.[0] === "hand" ? others : Object.entries(values)).map(([from, value]) => ({
    from,
    set: { [key]: value },
  }));
  return { ...own, ...(vary.length > 0 && { vary }) } as Pick<HubNode & ScreenNode & PairNode, K | "vary">;
};
/** An action of a screen that opens `to`; its id is the target's. */
export const opening = (to: Id, more: Record<string, unknown> = {}): NonNullable<ScreenNode["actions"]>[number] => ({
  id: to,
  label: to,
  place: "body",
  do: { kind: "open", to, ...more },
});
export const frameOf = (nodes: Record<Id, Node>, extra: Partial<Frame> = {}): Frame => ({
  format: "handy-frame/2",
  name: "Test",
  root: "app",
  nodes,
  ...extra,
});

/** Three tabs: a stack of list, detail and deeper, a stack with a form, and a screen alone; a cover beside the hub. */
export const tabbed = (home: Partial<HubNode> = {}, more: Record<Id, Node> = {}): Frame =>
  frameOf({
    app: stack(["home", "cover"]),
    home: hub(["aTab", "bTab", "c"], home),
    aTab: stack(["a", "item", "deep"]),
    a: list("item", "item", { path: "/a", title: "A" }),
    item: screen({
      path: "/a/:item",
      title: "Item {item}",
      actions: [opening("deep"), opening("cover"), opening("b")],
    }),
    deep: screen({
      title: "Deep",
      actions: [
        opening("item", { params: { item: "1" } }),
        { id: "toRoot", label: "Up", place: "body", do: { kind: "root" } },
      ],
    }),
    bTab: stack(["b", "form"]),
    b: screen({ path: "/b", actions: [opening("form"), opening("item", { params: { item: "7" } })] }),
    form: screen({ body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] } }),
    c: screen({ path: "/c" }),
    cover: screen({
      header: "off",
      actions: [{ id: "shut", label: "Close", place: "body", do: { kind: "close", give: { seen: "yes" } } }],
    }),
    ...more,
  });

/** A run: the last step, and what is on screen after it. */
export interface Run extends Snapshot {
  at: Step;
  view: View;
  codes: string[];
}

export const runIn = (frame: Frame, given: Partial<View>, ...events: NavigationEvent[]): Run => {
  let view = viewOf(frame, given);
  let at = launch(frame, view);
  for (const event of events) {
    at = step(frame, view, at.state, event);
    view = viewAfter(frame, view, event);
  }
  return { ...snapshotOf(frame, view, at), at, view, codes: at.notes.map((note) => note.code) };
};

export const run = (frame: Frame, ...events: NavigationEvent[]): Run => runIn(frame, {}, ...events);

export const pick = (row: number, at?: Id): NavigationEvent => ({ do: "pick", row, ...(at && { in: at }) });
export const tap = (action: string, at?: Id): NavigationEvent => ({ do: "tap", action, ...(at && { in: at }) });
export const tab = (to: Id): NavigationEvent => ({ do: "tab", to });
export const openTo = (
  to: Id,
  params?: Record<string, string>,
  how?: "add" | "replace" | "clear",
): NavigationEvent => ({
  do: "open",
  to,
  ...(params && { params }),
  ...(how && { how }),
});
export const back: NavigationEvent = { do: "back" };
export const up: NavigationEvent = { do: "up" };
export const typing = (text: string, field = "name", at?: Id): NavigationEvent => ({
  do: "type",
  field,
  text,
  ...(at && { in: at }),
});
export const wait = (ms: number): NavigationEvent => ({ do: "wait", ms });
