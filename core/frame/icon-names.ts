import type { Action, Id, Tab } from "./parts.js";
import type { Frame, Node } from "./types.js";

type Named = { icon?: string };

/** A node with other names for the icons it names: a table of what becomes of each place that names one. */
export const mapIcons = (node: Node, map: (name: string) => string): Node => {
  const named = <T extends Named>(value: T): T =>
    value.icon === undefined ? value : { ...value, icon: map(value.icon) };
  const all = (actions: Action[]): Action[] => actions.map(named);
  const tab = (value: Tab): Tab => ({
    ...named(value),
    ...(value.activeIcon !== undefined && { activeIcon: map(value.activeIcon) }),
  });
  const places: Record<string, (value: never) => unknown> = { tab, heading: named, actions: all, extras: all };
  const inEach = (value: object): object =>
    Object.fromEntries(
      Object.entries(value).map(([key, own]) => {
        const place = Object.hasOwn(places, key) && own !== null ? places[key] : undefined;
        return [key, place ? place(own as never) : own];
      }),
    );
  const next = inEach(node) as Node;
  if (!next.vary) return next;
  return { ...next, vary: next.vary.map((each) => ({ ...each, set: inEach(each.set) })) } as Node;
};

/** The icons that a node names, in its tab, its heading and its actions, in every view and in some. */
export const iconsOf = (node: Node): Set<string> => {
  const names = new Set<string>();
  mapIcons(node, (name) => (names.add(name), name));
  return names;
};

/** Which nodes of a frame name each icon. */
export const iconUses = (frame: Frame): ReadonlyMap<string, readonly Id[]> => {
  const uses = new Map<string, Id[]>();
  for (const [id, node] of Object.entries(frame.nodes))
    for (const name of iconsOf(node)) {
      const known = uses.get(name);
      if (known) known.push(id);
      else uses.set(name, [id]);
    }
  return uses;
};
