import { fromKeys, keysOf } from "./keys.js";
import {
  type Choices,
  choice,
  flag,
  type Form,
  icon,
  label,
  map,
  motionId,
  nodeId,
  number,
  path,
  shaped,
  text,
  whole,
} from "./forms.js";
import type {
  Action,
  Again,
  Body,
  Do,
  Face,
  HubBack,
  Id,
  Keep,
  Leave,
  Mark,
  MotionKind,
  Need,
  Opens,
  Tab,
  Variation,
} from "./parts.js";

// Every property of every node, each once: which kinds have it, what it can be, what holds while it is not set, whether
// it differs by view, and its words. The types of the nodes, the order of keys in a file, the schema, the settings of
// several nodes, the bench's fields, what makes two nodes alike and what a difference says are made from this table.

/** The kinds of nodes. */
export const nodeKinds = ["screen", "stack", "hub", "pair"] as const;
/** One of the kinds. */
export type NodeKind = (typeof nodeKinds)[number];

/** How a property shows where several nodes are set at once, and where differences are told. */
export interface SettingWords {
  label: string;
  /** Where it stands among the settings; those without a place come last, in the order of the table. */
  place?: number;
  /** It is only read there: it can be set on each node alone. */
  readOnly?: true;
  /** What stands for a value that is not set and has no fallback. */
  unset?: string;
}

/** The groups of the bench whose fields are laid out by the table. */
export type FieldGroup = "draws";

/** How a property shows on the bench of one node, in a group that lays its fields out by the table. */
export interface FieldWords {
  group: FieldGroup;
  /** Where it stands in its group; those without a place come last, in the order of the table. */
  place?: number;
  /** What stands beside it; the setting's label where it is absent. */
  label?: string;
  /** Its whole name for who hears it. */
  name?: string;
  /** What the change is called, by its value; the value itself where it is absent. */
  done?: (value: string) => string;
}

/** What is said of a property beside its kinds, its form and what holds without it. */
interface More {
  setting?: SettingWords;
  field?: FieldWords;
  /** Two nodes that differ in it are not alike. */
  parts?: true;
}

/** One row of the table. */
export interface Property extends More {
  kinds: readonly NodeKind[];
  form: Form;
  /** Whether it may differ by view; `list` is what says of the others how they do. */
  varies: "never" | "itself" | "list";
  /** What holds while it is not set, which a file leaves out; null where nothing does, or what depends on the rest of the frame. */
  fallback: unknown;
}

const all = nodeKinds;
/** The type of the values of a form. */
type TypeOf<F> = F extends Form<infer T> ? T : never;
const row =
  <const V extends Property["varies"]>(varies: V) =>
  <const K extends NodeKind, F extends Form, const H extends TypeOf<F> | null>(
    kinds: readonly K[],
    form: F,
    fallback: H,
    more: More = {},
  ) => ({ kinds, form, varies, fallback, ...more });
/** A property that is the same in every view. */
const fixed = row("never");
/** A property that a look has a field for. */
const varying = row("itself");
/** What says of the others how they differ by view. */
const list = row("list");

/** What a move can be of, in the words it has everywhere. */
export const motionChoices: Choices<MotionKind> = {
  push: { label: "push" },
  sheet: { label: "sheet" },
  fullscreen: { label: "full screen" },
  dialog: { label: "dialog" },
  side: { label: "side panel" },
  switch: { label: "another tab" },
  replace: { label: "another detail" },
};

/** How a node appears, in the words it has everywhere. */
export const opensChoices: Choices<Opens> = {
  push: { label: "push", short: "Push", hint: "laid on top of its stack", named: "a push" },
  sheet: { label: "sheet", short: "Sheet", hint: "from the foot, as high as it rests", named: "a sheet" },
  fullscreen: {
    label: "full screen",
    short: "Full",
    hint: "over everything, closed from inside",
    named: "a full screen",
  },
  dialog: { label: "dialog", short: "Dialog", hint: "in the middle", named: "a dialog" },
  side: { label: "side panel", short: "Side", hint: "from an edge, as high as the device", named: "a side panel" },
};
const edgeChoices: Choices<"start" | "end"> = {
  start: { label: "start", short: "the start" },
  end: { label: "end", short: "the end" },
};
const stayChoices: Choices<"keep" | "hide"> = { keep: { label: "stay" }, hide: { label: "hidden" } };
const drawnChoices: Choices<"on" | "off"> = { on: { label: "on" }, off: { label: "off" } };

/** What a screen may be told by what it stands in, where it does not say itself. */
export interface Within {
  header?: "on" | "off";
  bars?: "keep" | "hide";
  system?: "keep" | "hide";
}
/** One of these. */
export type WithinKey = keyof Within;

/** How the chosen tab is marked, in the words it has everywhere. */
export const markChoices: Choices<Mark> = {
  tooth: { label: "tooth" },
  line: { label: "line" },
  fill: { label: "fill" },
  none: { label: "none" },
};
/** How a hub shows its tabs, in the words it has everywhere. */
export const faceChoices: Choices<Face> = {
  bar: { label: "bar", named: "bar" },
  top: { label: "top", named: "top bar" },
  rail: { label: "rail", named: "rail" },
  panel: { label: "panel", named: "panel" },
  drawer: { label: "drawer", named: "drawer" },
  none: { label: "none", named: "no face", hint: "its tabs change by actions alone" },
};

/** The table: a row for each property, by its key. */
export const properties = {
  title: varying(all, label(), null),
  note: fixed(all, text(), null, { setting: { label: "Note", place: 25, unset: "" } }),
  tab: varying(all, map<Tab>({ label: label(), icon: icon(), activeIcon: icon() }), {}),
  path: fixed(["screen"], path(), null),
  also: fixed(["screen"], shaped<string[]>(), []),
  running: fixed(["screen"], shaped<"open" | "rebuild">(), null),
  linkIn: fixed(["screen"], nodeId(), null),
  params: fixed(["screen"], shaped<Record<string, "text" | "whole">>(), {}),
  wants: fixed(["screen"], shaped<string[]>(), []),
  children: fixed(["stack", "hub"], shaped<Id[]>(), null),
  list: fixed(["pair"], nodeId(), null),
  detail: fixed(["pair"], nodeId(), null),
  start: fixed(["stack", "hub"], nodeId(), null, { setting: { label: "Starts at", place: 22, readOnly: true } }),
  base: fixed(["stack"], shaped<Id | null>(), null, {
    setting: { label: "A cold link lies on", place: 23, readOnly: true },
  }),
  split: varying(["pair"], flag(), null, { setting: { label: "Side by side", place: 15, unset: "as usual" } }),
  ratio: varying(["pair"], number(0.1, 0.9), 0.38, {
    setting: { label: "Share of the list", place: 16, readOnly: true },
  }),
  empty: fixed(["pair"], text(), "", { setting: { label: "While no row is open", place: 17 } }),
  face: varying(["hub"], choice(faceChoices), "bar", { setting: { label: "Tabs shown as", place: 14 } }),
  faceEdge: varying(["hub"], choice(edgeChoices), "start", {
    setting: { label: "Stands at the edge", place: 14.5 },
    field: {
      group: "draws",
      place: 4,
      name: "The edge of a rail, panel or drawer",
      done: (value) => `at the ${value}`,
    },
  }),
  keep: fixed(
    ["hub"],
    choice<Keep>({
      live: { label: "everything", causes: "entries, scroll and drafts stay" },
      place: { label: "their place", short: "the place", causes: "entries stay; scroll and drafts are emptied" },
      fresh: { label: "nothing", causes: "it starts anew" },
    }),
    "live",
    { setting: { label: "Tabs keep", place: 7 } },
  ),
  again: varying(
    ["hub"],
    choice<Again>({
      root: { label: "first screen", causes: "back to its first screen; there already: scrolls to the top" },
      top: { label: "scroll to top", short: "scroll up", causes: "scrolls to the top" },
      none: { label: "nothing", causes: "does nothing" },
    }),
    "root",
    { setting: { label: "Chosen again", place: 8 } },
  ),
  back: varying(
    ["hub"],
    choice<HubBack>({
      start: { label: "to the start tab", short: "start tab", causes: "to the start tab, then out" },
      visited: { label: "through the tabs", short: "tab before", causes: "through the tabs visited, then out" },
      leave: { label: "out", short: "out at once", causes: "out of the hub at once" },
    }),
    "start",
    { setting: { label: "Back from a tab", place: 9 } },
  ),
  limit: varying(["hub"], whole(2, 100), 5, { setting: { label: "Tabs at most", place: 10 } }),
  labels: varying(
    ["hub"],
    choice<"always" | "active" | "never">({
      always: { label: "on all", causes: "every tab is named" },
      active: { label: "on the chosen", causes: "the chosen tab alone is named" },
      never: { label: "on none", causes: "icons alone; a tab without an icon is named" },
    }),
    "always",
    {
      setting: { label: "Labels", place: 11 },
      field: { group: "draws", place: 1, name: "Labels of the tabs", done: (value) => `labels ${value}` },
    },
  ),
  floating: varying(["hub"], flag(), false, {
    setting: { label: "Content runs on beneath", place: 12 },
    field: {
      group: "draws",
      place: 3,
      done: (value) => (value === "true" ? "floats over the content" : "takes room"),
    },
  }),
  strip: varying(["hub"], flag(), false, {
    setting: { label: "A header strip over all its tabs", place: 13 },
    field: {
      group: "draws",
      place: 2,
      done: (value) => (value === "true" ? "with a header strip over all its tabs" : "without a strip over its tabs"),
    },
  }),
  heading: varying(["hub"], shaped<{ title: string; icon?: string }>(), null, {
    setting: { label: "Heading", place: 24, readOnly: true, unset: "" },
  }),
  needs: fixed(all, shaped<Need[]>(), []),
  opens: varying(all, choice(opensChoices), "push", { setting: { label: "Opens as", place: 1 }, parts: true }),
  rest: varying(all, shaped<readonly number[]>(), [0.6], {
    setting: { label: "Stands as high as", place: 4, readOnly: true },
  }),
  over: varying(
    all,
    choice<"all" | "region">({ all: { label: "everything" }, region: { label: "its stack alone" } }),
    "all",
    {
      setting: { label: "Lies over", place: 2 },
    },
  ),
  edge: varying(all, choice(edgeChoices), "start", { setting: { label: "From the edge", place: 3 } }),
  bars: varying(all, choice(stayChoices), null, { setting: { label: "Bars", place: 5, unset: "as usual" } }),
  header: varying(all, choice(drawnChoices), null, { setting: { label: "Header", place: 6, unset: "as usual" } }),
  system: varying(all, choice(stayChoices), null, {
    setting: { label: "Strips of the device", place: 6.5, unset: "as usual" },
  }),
  within: varying(
    ["stack", "hub", "pair"],
    map<Within>({ header: choice(drawnChoices), bars: choice(stayChoices), system: choice(stayChoices) }),
    {},
  ),
  motion: varying(all, map<Partial<Record<MotionKind, Id>>>(fromKeys(keysOf(motionChoices), () => motionId())), {}),
  vary: list(all, shaped<Variation[]>(), []),
  body: fixed(["screen"], shaped<Body>(), { kind: "blank" }),
  actions: fixed(["screen"], shaped<Action[]>(), []),
  extras: fixed(["hub"], shaped<Action[]>(), []),
  after: fixed(["screen"], shaped<{ ms: number; do: Do }>(), null),
  leave: fixed(["screen"], shaped<Leave>(), null, {
    setting: { label: "Asks before it is left", place: 20, readOnly: true },
  }),
};

type Table = typeof properties;
/** The key of a property. */
export type NodeKey = keyof Table;

/** The rows in the order of the table, which is that of the keys in a file. */
export const propertyKeys: readonly NodeKey[] = keysOf(properties);
/** A row by its key, seen as any row is. */
export const propertyOf = (key: NodeKey): Property => properties[key];

/** The type of a property's value. */
export type ValueOf<P extends NodeKey> = TypeOf<Table[P]["form"]>;

/** The properties that have a shape of their own, which the schema of the file describes. */
export type ShapedKey = {
  [P in NodeKey]: Table[P]["form"] extends { sort: "shaped" } ? P : never;
}[NodeKey];

type KeysOn<K extends NodeKind> = {
  [P in NodeKey]: K extends Table[P]["kinds"][number] ? P : never;
}[NodeKey];
type Fixed<P extends NodeKey> = Table[P]["varies"] extends "never" ? P : never;

/** The properties that a node of a kind may have, as it says them itself. */
export type OwnProperties<K extends NodeKind> = { [P in KeysOn<K>]?: ValueOf<P> };
/** Those of them that are the same in every view. */
export type FixedProperties<K extends NodeKind> = { [P in KeysOn<K> as Fixed<P>]?: ValueOf<P> };

/** The properties that a look has a field for. */
export type VaryingKey = { [P in NodeKey]: Table[P]["varies"] extends "itself" ? P : never }[NodeKey];
/** What a field of a look holds: the property's value, or what holds without one; null where nothing does. */
export type Seen<P extends VaryingKey> = Table[P]["fallback"] extends null ? ValueOf<P> | null : ValueOf<P>;

const isVarying = (key: NodeKey): key is VaryingKey => propertyOf(key).varies === "itself";
/** The properties that a look has a field for. */
export const varyingKeys: readonly VaryingKey[] = propertyKeys.filter(isVarying);

/** The values that hold on every node of a kind while a key is not set, by key. */
export const fallbacksOf: Readonly<Record<NodeKind, Readonly<Record<string, unknown>>>> = fromKeys(nodeKinds, (kind) =>
  fromKeys(
    propertyKeys.filter((key) => propertyOf(key).fallback !== null && propertyOf(key).kinds.includes(kind)),
    (key) => propertyOf(key).fallback,
  ),
);

/** The fields that a group of the bench lays out for a kind of nodes, in order. */
export const fieldsIn = (group: FieldGroup, kind: NodeKind): NodeKey[] => {
  const placeOf = (key: NodeKey): number => propertyOf(key).field?.place ?? Infinity;
  return propertyKeys
    .filter((key) => propertyOf(key).field?.group === group && propertyOf(key).kinds.includes(kind))
    .toSorted((a, b) => placeOf(a) - placeOf(b));
};

/** The values of a form that has but a few, as options of a control; empty for any other. */
export const optionsOfForm = (form: Form): { value: string; label: string; is: unknown }[] => {
  if (form.sort === "flag")
    return [
      { value: "true", label: "on", is: true },
      { value: "false", label: "off", is: false },
    ];
  if (form.sort !== "choice") return [];
  return Object.entries(form.choices).map(([value, { label: word }]) => ({ value, label: word, is: value }));
};

/** The values of a choice as options of a control, in few words where `brief`. Empty for what is no choice. */
export const optionsOf = (key: NodeKey, brief = false): { value: string; label: string; says?: string }[] => {
  const { form } = propertyOf(key);
  if (form.sort !== "choice") return [];
  return Object.entries(form.choices).map(([value, { label: word, short, hint }]) => ({
    value,
    label: brief ? (short ?? word) : word,
    ...(hint && { says: hint }),
  }));
};
