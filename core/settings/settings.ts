import { type ByView, byViewOf, isVaried } from "../frame/cells.js";
import { startOf } from "../frame/defaults.js";
import { equal } from "../frame/equal.js";
import { ownValue } from "../frame/held.js";
import { nodeAt } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import { type NodeKind, type Property, type NodeKey, propertyKeys, propertyOf } from "../frame/properties.js";
import { isRaw } from "../frame/raw.js";
import { viewsSay } from "../frame/view-words.js";
import type { Frame, Node } from "../frame/types.js";

/** A property that several nodes can have set at once. */
export interface Setting {
  key: NodeKey;
  label: string;
  kinds: readonly NodeKind[];
  /** How it is set: one of a few, on or off, a whole number, a text; `shown` can only be read here. */
  input:
    | { sort: "choice"; options: readonly { value: unknown; label: string }[] }
    | { sort: "check" | "whole" | "text" | "shown" };
  /** What holds while the key is not set. */
  fallback: (frame: Frame, node: Node) => unknown;
}

/** What holds while nothing is said, where that depends on the rest of the frame. */
const byFrame: { [P in NodeKey]?: Setting["fallback"] } = {
  start: (_, node) => ("children" in node ? node.children[0] : ""),
  base: (_, node) => (node.kind === "stack" ? startOf(node) : undefined),
};

const inputOf = (key: NodeKey, { form, setting }: Property): Setting["input"] => {
  if (setting?.readOnly) return { sort: "shown" };
  switch (form.sort) {
    case "choice": {
      const unset = setting?.unset === undefined ? [] : [{ value: "", label: setting.unset }];
      const options = [...unset, ...Object.entries(form.choices).map(([value, { label }]) => ({ value, label }))];
      return { sort: "choice", options };
    }
    case "flag":
      // what depends on more than the node can be given back to that
      if (setting?.unset === undefined) return { sort: "check" };
      return {
        sort: "choice",
        options: [
          { value: "", label: setting.unset },
          { value: true, label: "on" },
          { value: false, label: "off" },
        ],
      };
    case "whole":
      return { sort: "whole" };
    case "text":
    case "label":
      return { sort: "text" };
    default:
      return { sort: "shown" };
  }
};

const placeOf = (key: NodeKey): number => propertyOf(key).setting?.place ?? Infinity;

const settingOf = (key: NodeKey): Setting | null => {
  const property = propertyOf(key);
  const { kinds, setting, fallback } = property;
  if (!setting) return null;
  const held = setting.unset === undefined ? fallback : "";
  const { label } = setting;
  return { key, label, kinds, input: inputOf(key, property), fallback: byFrame[key] ?? (() => held) };
};

/** The properties that are the same thing on many nodes, in the order they are shown. */
export const settings: readonly Setting[] = propertyKeys
  .toSorted((a, b) => placeOf(a) - placeOf(b))
  .flatMap((key) => settingOf(key) ?? []);

/** Whether a node says it itself, or only its default holds. */
export const isSetHere = (node: Node, key: NodeKey): boolean =>
  ownValue(node, key) !== undefined || isVaried(node, key);

/** What holds on a node in every view; or what it is by view. */
export const valueOf = (frame: Frame, id: Id, setting: Setting): unknown => {
  const node = nodeAt(frame, id);
  const own = ownValue(node, setting.key) ?? setting.fallback(frame, node);
  const byView = byViewOf(node, setting.key);
  return byView ? { ...byView, own } : own;
};

const isByView = (value: unknown): value is ByView => isRaw(value) && Array.isArray(value.entries);

/** A value in words. */
export const valueSays = (frame: Frame, setting: Setting, value: unknown): string => {
  if (isByView(value)) {
    const says = ({ value: is, ...views }: ByView["entries"][number]): string =>
      `${valueSays(frame, setting, is)} ${viewsSay(frame, views)}`;
    return [valueSays(frame, setting, value.own), ...value.entries.map(says)].join("; ");
  }
  if (setting.input.sort === "choice")
    return setting.input.options.find((option) => option.value === value)?.label ?? String(value);
  if (typeof value === "boolean") return value ? "on" : "off";
  if (value === "" || value === undefined || value === null) return "nothing";
  if (Array.isArray(value)) return value.join(", ");
  if (isRaw(value))
    return Object.entries(value)
      .map(([key, each]) => `${key} ${String(each)}`)
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
  const kinds = new Set(ids.map((id) => nodeAt(frame, id).kind));
  return (
    settings
      .filter((setting) => [...kinds].every((kind) => setting.kinds.includes(kind)))
      .map((setting) => ({
        setting,
        held: grouped(frame, ids, setting),
        own: ids.filter((id) => isSetHere(nodeAt(frame, id), setting.key)),
      }))
      // what can only be set on each is shown where any does
      .filter(({ setting, own }) => setting.input.sort !== "shown" || own.length > 0)
  );
};

/** All places of the frame where a setting is not as its default has it, by value. */
export const setElsewhere = (frame: Frame, key: NodeKey): Held[] => {
  const setting = settings.find((each) => each.key === key);
  if (!setting) return [];
  const ids = Object.keys(frame.nodes).filter((id) => isSetHere(nodeAt(frame, id), key));
  return grouped(frame, ids, setting);
};
