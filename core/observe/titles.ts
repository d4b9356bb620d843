import type { Lens } from "../frame/look.js";
import { fill } from "../frame/names.js";
import { type Id, noParams } from "../frame/parts.js";
import { pathTo } from "../navigate/entries.js";
import { topOf } from "../navigate/focus.js";
import type { SeenBar } from "../navigate/sight.js";
import type { Entry, State } from "../navigate/state.js";

/** A text with the params of what an entry shows; those that are not there are empty, as all are where nothing is made yet. */
const filled = (lens: Lens, text: string, entry: Entry | undefined): string =>
  text.includes("{") ? fill(text, entry ? topOf(lens, entry).params : noParams) : text;

/** What an entry is called on its strip. */
export const titleOf = (lens: Lens, entry: Entry): string => {
  const { title, tab } = lens.look(entry.node);
  return filled(lens, title ?? tab.label ?? entry.node, entry);
};

/** What a tab is called, by what it shows if it is made. */
const tabTitle = (lens: Lens, id: Id, entry: Entry | undefined): string => {
  const { title, tab } = lens.look(id);
  return filled(lens, tab.label ?? title ?? id, entry);
};

/** What an entry that is a tab is called on its hub's own strip. */
export const titleOfTab = (lens: Lens, entry: Entry): string => tabTitle(lens, entry.node, entry);

/** What a tab is called on its hub's face. */
export const tabLabel = (lens: Lens, state: State, bar: Pick<SeenBar, "key">, id: Id): string => {
  const hub = pathTo(state.root, bar.key)?.at(-1);
  return tabTitle(lens, id, hub?.kind === "hub" ? hub.tabs[id] : undefined);
};
