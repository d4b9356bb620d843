import { isRaw, isText } from "./raw.js";
import type { Action, Id, Tab } from "./parts.js";
import type { Frame, Node } from "./types.js";

interface Named {
  icon?: string;
}
/** Where a node names icons of itself. */
interface Naming {
  tab?: Tab;
  heading?: Named;
  actions?: Action[];
  extras?: Action[];
}

/** A node with other names for the icons it names, in every view and in some. */
export const mapIcons = (node: Node, map: (name: string) => string): Node => {
  const named = <T extends Named>(value: T): T =>
    value.icon === undefined ? value : { ...value, icon: map(value.icon) };
  const tabOf = (tab: Tab): Tab => ({
    ...named(tab),
    ...(tab.activeIcon !== undefined && { activeIcon: map(tab.activeIcon) }),
  });
  const inEach = <T extends Naming>(value: T): T => ({
    ...value,
    ...(value.tab && { tab: tabOf(value.tab) }),
    ...(value.heading && { heading: named(value.heading) }),
    ...(value.actions && { actions: value.actions.map(named) }),
    ...(value.extras && { extras: value.extras.map(named) }),
  });
  const iconKeys = ["icon", "activeIcon"];
  /** The same of what is said in some views, of which nothing else is known. */
  const part = (said: unknown): unknown =>
    isRaw(said)
      ? Object.fromEntries(
          Object.entries(said).map(([key, own]) => [key, isText(own) && iconKeys.includes(key) ? map(own) : own]),
        )
      : said;
  const next = inEach(node);
  if (!next.vary) return next;
  const vary = next.vary.map((each) => {
    const { tab, heading } = each.set;
    return {
      ...each,
      set: {
        ...each.set,
        ...(tab !== undefined && { tab: part(tab) }),
        ...(heading !== undefined && { heading: part(heading) }),
      },
    };
  });
  return { ...next, vary };
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
