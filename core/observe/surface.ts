import { isLifted, type Lens, lensOf } from "../frame/look.js";
import { fill } from "../frame/names.js";
import type { Id, Opens } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import { nodeAt } from "../frame/nodes.js";
import type { View } from "../frame/view.js";
import { topOf } from "../navigate/focus.js";
import { type HubScene, type OverlayScene, type PairScene, type Scene, type Sight, sightOf, type StackScene } from "../navigate/sight.js";
import type { Entry, State } from "../navigate/state.js";

/** A header strip. */
export interface SeenHeader {
  /** The container that draws it. */
  by: Id;
  title: string;
  /** It has a Back of its own. */
  back: boolean;
  /** It has the button of a drawer. */
  menu: boolean;
  /** It has a close in place of Back: it is the strip of an overlay. */
  close: boolean;
}

/** Everything that can be seen, with the strips: the one source of bars, headers and screens, for snapshots and for the arrangement. */
export interface Surface extends Sight {
  /** The strips over the top screen, outermost first. */
  headers: SeenHeader[];
  strips: {
    /** The strip over an entry, drawn by what holds it, by the entry's key. */
    over: ReadonlyMap<number, SeenHeader>;
    /** The strip that a hub draws of its own, by the key of its entry. */
    own: ReadonlyMap<number, SeenHeader>;
    /** The innermost strip over a screen, where its own header actions stand, by the key of its entry. */
    nearest: ReadonlyMap<number, SeenHeader>;
  };
}

/** What is known of the place of an entry from what is around it. */
interface Around {
  /** Something lies beneath, through nested stacks and pairs, up to the nearest hub. */
  beneath: boolean;
  /** The next strip is the first one of an overlay's lowest entry. */
  closes: boolean;
  /** The nearest hub shows as a drawer and draws no strip that could open it. */
  menu: boolean;
  /** The innermost strip so far. */
  strip: SeenHeader | null;
}

const outermost: Around = { beneath: false, closes: false, menu: false, strip: null };
/** Around the lowest of what an overlay holds. */
const overlaid: Around = { beneath: true, closes: true, menu: false, strip: null };

const hasHeader = ({ frame, look }: Lens, { node }: Entry, opens: Opens): boolean => {
  const { header } = look(node);
  return header ? header === "on" : nodeAt(frame, node).kind === "screen" && !isLifted(opens);
};

const titleOf = (lens: Lens, child: Entry, isTab = false): string => {
  const { title, tab } = lens.look(child.node);
  const text = (isTab ? (tab.label ?? title) : (title ?? tab.label)) ?? child.node;
  return text.includes("{") ? fill(text, topOf(lens, child).params) : text;
};

/** Draws the strips over what is in sight. */
class StripDrawer {
  readonly headers: SeenHeader[] = [];
  readonly over = new Map<number, SeenHeader>();
  readonly own = new Map<number, SeenHeader>();
  readonly nearest = new Map<number, SeenHeader>();

  constructor(
    readonly lens: Lens,
    readonly focus: readonly Entry[],
  ) {}

  private strip(by: Entry, title: string, { beneath, closes, menu }: Around): SeenHeader {
    return { by: by.node, title, back: !closes && beneath, menu: !closes && !beneath && menu, close: closes };
  }

  /** What is in a child, under the strip over it if there is one. */
  private under(by: Entry, child: Scene, opens: Opens, around: Around, isDrawn = true): void {
    const { entry } = child;
    if (!isDrawn || !hasHeader(this.lens, entry, opens)) return this.scene(child, around);
    const header = this.strip(by, titleOf(this.lens, entry), around);
    this.over.set(entry.key, header);
    if (this.focus.includes(entry)) this.headers.push(header);
    this.scene(child, { ...around, closes: false, strip: header });
  }

  scene(scene: Scene, around: Around): void {
    switch (scene.kind) {
      case "screen":
        if (around.strip) this.nearest.set(scene.entry.key, around.strip);
        return;
      case "stack":
        return this.stack(scene, around);
      case "hub":
        return this.hub(scene, around);
      case "pair":
        return this.pair(scene, around);
    }
  }

  private stack({ entry, base, over }: StackScene, around: Around): void {
    if (base) {
      const isLowest = entry.entries[0] === base.entry;
      const place = { ...around, beneath: around.beneath || !isLowest, closes: around.closes && isLowest };
      this.under(entry, base, "push", place);
    }
    for (const overlay of over) this.overlay(overlay);
  }

  overlay({ opens, over, stack, child }: OverlayScene): void {
    // under what lies over all, the strips of that alone are those of the top screen
    if (over === "all" && this.focus.includes(child.entry)) this.headers.length = 0;
    this.under(stack, child, opens, overlaid);
  }

  private hub({ entry, face, child }: HubScene, around: Around): void {
    const { strip } = this.lens.look(entry.node);
    let place: Around = { ...around, beneath: false, menu: face === "drawer" && !strip };
    if (strip) {
      // what lies beneath a drawer's hub gives way to its button
      const own = { ...around, menu: face === "drawer", beneath: around.beneath && face !== "drawer" };
      const header = this.strip(entry, titleOf(this.lens, child.entry, true), own);
      this.own.set(entry.key, header);
      if (this.focus.includes(entry)) this.headers.push(header);
      place = { ...place, closes: false, strip: header };
    }
    this.under(entry, child, "push", place, child.kind === "screen");
  }

  private pair({ entry, split, panes }: PairScene, around: Around): void {
    for (const { pane, child } of panes) {
      const isAlone = !split && pane === "detail";
      const place = {
        ...around,
        beneath: around.beneath || isAlone,
        menu: around.menu && (!split || pane === "list"),
        closes: around.closes && !isAlone,
      };
      this.under(entry, child, "push", place, child.kind === "screen");
    }
  }
}

/** What can be seen of a state through a lens, with the strips over it. */
export const surfaceIn = (lens: Lens, state: State): Surface => {
  const sight = sightOf(lens, state);
  const drawer = new StripDrawer(lens, sight.focus);
  if (sight.base) drawer.scene(sight.base, outermost);
  for (const overlay of sight.over) drawer.overlay(overlay);
  const { headers, over, own, nearest } = drawer;
  return { ...sight, headers, strips: { over, own, nearest } };
};

/** What can be seen of a state in a view, with the strips over it. */
export const surfaceOf = (frame: FixedFrame, state: State, view: View): Surface => surfaceIn(lensOf(frame, view), state);
