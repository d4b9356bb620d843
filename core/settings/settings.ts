import { bandsOf, nodeDefaults, splitFromOf, startOf } from "../frame/defaults.js";
import { equal } from "../frame/equal.js";
import type { Frame, Id, Node, NodeKind, StackNode } from "../frame/types.js";

/** A property that several nodes can have set at once. */
export interface Setting {
  key: string;
  label: string;
  kinds: readonly NodeKind[];
  /** How it is set: one of a few, on or off, a whole number, a text; `shown` can only be read here. */
  input:
    | { sort: "choice"; options: (frame: Frame) => readonly { value: string; label: string }[] }
    | { sort: "check" | "whole" | "text" | "shown" };
  /** What holds while the key is not set. */
  fallback: (frame: Frame, node: Node) => unknown;
}

const all: readonly NodeKind[] = ["screen", "stack", "hub", "pair"];
const choice = (...values: (string | [value: string, label: string])[]): Setting["input"] => {
  const options = values.map((value) =>
    typeof value === "string" ? { value, label: value } : { value: value[0], label: value[1] },
  );
  return { sort: "choice", options: () => options };
};

/** The properties that are the same thing on many nodes, in the order they are shown. */
export const settings: readonly Setting[] = [
  {
    key: "opens",
    label: "Opens as",
    kinds: all,
    input: choice("push", "sheet", ["fullscreen", "full screen"], "dialog", ["side", "side panel"]),
    fallback: () => "push",
  },
  {
    key: "over",
    label: "Covers",
    kinds: all,
    input: choice(["all", "everything"], ["region", "its region"]),
    fallback: () => nodeDefaults.screen.over,
  },
  {
    key: "edge",
    label: "From the edge",
    kinds: all,
    input: choice("start", "end"),
    fallback: () => nodeDefaults.screen.edge,
  },
  {
    key: "rest",
    label: "Resting heights",
    kinds: all,
    input: { sort: "shown" },
    fallback: () => nodeDefaults.screen.rest,
  },
  {
    key: "bars",
    label: "Bars",
    kinds: all,
    input: choice(["keep", "stay"], ["hide", "hidden"]),
    fallback: () => nodeDefaults.screen.bars,
  },
  { key: "header", label: "Header", kinds: all, input: choice(["", "as usual"], "on", "off"), fallback: () => "" },
  {
    key: "keep",
    label: "Tabs keep",
    kinds: ["hub"],
    input: choice(["live", "everything"], ["place", "their place"], ["fresh", "nothing"]),
    fallback: () => nodeDefaults.hub.keep,
  },
  {
    key: "again",
    label: "Chosen again",
    kinds: ["hub"],
    input: choice(["root", "first screen"], ["top", "scroll to top"], ["none", "nothing"]),
    fallback: () => nodeDefaults.hub.again,
  },
  {
    key: "back",
    label: "Back from a tab",
    kinds: ["hub"],
    input: choice(["start", "to the start tab"], ["visited", "through the tabs"], ["leave", "out"]),
    fallback: () => nodeDefaults.hub.back,
  },
  {
    key: "limit",
    label: "Tabs at most",
    kinds: ["hub"],
    input: { sort: "whole" },
    fallback: () => nodeDefaults.hub.limit,
  },
  {
    key: "labels",
    label: "Labels",
    kinds: ["hub"],
    input: choice("always", ["active", "on the chosen"], "never"),
    fallback: () => nodeDefaults.hub.labels,
  },
  { key: "floating", label: "Floating bar", kinds: ["hub"], input: { sort: "check" }, fallback: () => false },
  { key: "strip", label: "Strip of its own", kinds: ["hub"], input: { sort: "check" }, fallback: () => false },
  {
    key: "faces",
    label: "Faces",
    kinds: ["hub"],
    input: { sort: "shown" },
    fallback: (frame) => ({ [bandsOf(frame)[0]!.id]: "bar" }),
  },
  {
    key: "splitFrom",
    label: "Side by side from",
    kinds: ["pair"],
    input: { sort: "choice", options: (frame) => bandsOf(frame).map(({ id }) => ({ value: id, label: id })) },
    fallback: (frame) => splitFromOf(frame, { kind: "pair" }),
  },
  {
    key: "ratio",
    label: "Share of the list",
    kinds: ["pair"],
    input: { sort: "shown" },
    fallback: () => nodeDefaults.pair.ratio,
  },
  { key: "empty", label: "While no row is open", kinds: ["pair"], input: { sort: "text" }, fallback: () => "" },
  { key: "opensIn", label: "Opens, by band", kinds: all, input: { sort: "shown" }, fallback: () => "" },
  { key: "opensOn", label: "Opens, by target", kinds: all, input: { sort: "shown" }, fallback: () => "" },
  { key: "facesOn", label: "Faces, by target", kinds: ["hub"], input: { sort: "shown" }, fallback: () => "" },
  { key: "shortFace", label: "Face when low", kinds: ["hub"], input: { sort: "shown" }, fallback: () => "" },
  {
    key: "start",
    label: "Starts at",
    kinds: ["stack", "hub"],
    input: { sort: "shown" },
    fallback: (_, node) => ("children" in node ? node.children[0] : ""),
  },
  {
    key: "base",
    label: "Links are laid on",
    kinds: ["stack"],
    input: { sort: "shown" },
    fallback: (_, node) => startOf(node as StackNode),
  },
  { key: "heading", label: "Heading", kinds: ["hub"], input: { sort: "shown" }, fallback: () => "" },
  { key: "note", label: "Note", kinds: all, input: { sort: "text" }, fallback: () => "" },
];

/** Whether a node says it itself, or only its default holds. */
export const isSetHere = (node: Node, key: string): boolean =>
  (node as unknown as Record<string, unknown>)[key] !== undefined;

/** What holds on a node. */
export const valueOf = (frame: Frame, id: Id, setting: Setting): unknown => {
  const node = frame.nodes[id]!;
  const own = (node as unknown as Record<string, unknown>)[setting.key];
  return own === undefined ? setting.fallback(frame, node) : own;
};

/** A value in words. */
export const valueSays = (frame: Frame, setting: Setting, value: unknown): string => {
  if (setting.input.sort === "choice")
    return setting.input.options(frame).find((option) => option.value === value)?.label ?? String(value);
  if (typeof value === "boolean") return value ? "on" : "off";
  if (value === "" || value === undefined) return "nothing";
  if (Array.isArray(value)) return value.join(", ");
  if (typeof value === "object" && value !== null)
    return Object.entries(value)
      .map(
        ([key, each]) => `${key} ${typeof each === "object" ? `(${valueSays(frame, setting, each)})` : String(each)}`,
      )
      .join(", ");
  return String(value);
};

/** What holds on several nodes: those that have a value in common stand together, the most common first. */
export interface Held {
  value: unknown;
  ids: readonly Id[];
}

const grouped = (frame: Frame, ids: readonly Id[], setting: Setting): Held[] => {
  const groups: { value: unknown; ids: Id[] }[] = [];
  for (const id of ids) {
    const value = valueOf(frame, id, setting);
    const group = groups.find((each) => equal(each.value, value));
    if (group) group.ids.push(id);
    else groups.push({ value, ids: [id] });
  }
  return groups.sort((a, b) => b.ids.length - a.ids.length);
};

/** One setting over several nodes. */
export interface Shared {
  setting: Setting;
  /** The values there are; one alone when all are the same. */
  held: readonly Held[];
  /** Those that set it themselves. */
  own: readonly Id[];
}

/** The settings that all of the nodes have, with what holds on them. */
export const sharedSettings = (frame: Frame, ids: readonly Id[]): Shared[] => {
  const kinds = new Set(ids.map((id) => frame.nodes[id]!.kind));
  return (
    settings
      .filter((setting) => [...kinds].every((kind) => setting.kinds.includes(kind)))
      .map((setting) => ({
        setting,
        held: grouped(frame, ids, setting),
        own: ids.filter((id) => isSetHere(frame.nodes[id]!, setting.key)),
      }))
      // what can only be set on each is shown where any does
      .filter(({ setting, own }) => setting.input.sort !== "shown" || own.length > 0)
  );
};

/** All places of the frame where a setting is not as its default has it, by value. */
export const setElsewhere = (frame: Frame, key: string): Held[] => {
  const setting = settings.find((each) => each.key === key);
  if (!setting) return [];
  const ids = Object.keys(frame.nodes).filter((id) => isSetHere(frame.nodes[id]!, key));
  return grouped(frame, ids, setting);
};
