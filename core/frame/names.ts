import type { Frame } from "./types.js";
import type { Id, Params } from "./parts.js";

/** Puts params into `{name}`; a name that has no value is empty. */
export const fill = (text: string, params: Params): string =>
  text.includes("{")
    ? text.replace(/\{(\w+)\}/g, (_, name: string) => (Object.hasOwn(params, name) ? (params[name] ?? "") : ""))
    : text;

/** A title without the `{name}` of params in it. */
export const withoutParams = (title: string): string => title.replaceAll(/\s*\{\w+\}/g, "").trim();

/** What a person calls a node: its title or its tab's label, with params filled in. */
export const nameOf = (frame: Frame, id: Id, params?: Params): string => {
  const node = Object.hasOwn(frame.nodes, id) ? frame.nodes[id] : undefined;
  const title = node?.title ?? node?.tab?.label ?? id;
  return params ? fill(title, params) : title;
};

/** The same without the `{name}` of its params: what the node is called whatever it shows. */
export const plainName = (frame: Frame, id: Id): string => withoutParams(nameOf(frame, id)) || id;

/** A node as a person called it, its id behind that: `Tides (secondTab)`; the id alone where it has no other name. */
export const called = (frame: Frame, id: Id): string => {
  const name = plainName(frame, id);
  return name === id ? id : `${name} (${id})`;
};
