import { heldIn, isLifted, type Lens, lensOf } from "../frame/look.js";
import type { Id, Opens } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import { nodeAt } from "../frame/nodes.js";
import { type Insets, noInsets, type View } from "../frame/view.js";
import { upTakes } from "../navigate/back.js";
import { isNarrowIn, opensAt, shownInside } from "../navigate/focus.js";
import {
  type HubScene,
  type OverlayScene,
  type PairScene,
  type Scene,
  type Sight,
  sightOf,
  type StackScene,
} from "../navigate/sight.js";
import type { Entry, StackEntry, State } from "../navigate/state.js";
import { titleOf, titleOfTab } from "./titles.js";

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

/** The strips over what can be seen, each by what it stands over. */
export interface Strips {
  /** The strip over an entry, drawn by what holds it, by the entry's key. */
  over: ReadonlyMap<number, SeenHeader>;
  /** The strip that a hub draws of its own, by the key of its entry. */
  own: ReadonlyMap<number, SeenHeader>;
  /** The innermost strip over a screen, where its own header actions stand, by the key of its entry. */
  nearest: ReadonlyMap<number, SeenHeader>;
}

/** Everything that can be seen, with the strips: the one source of bars, headers and screens, for snapshots and for the arrangement. */
export interface Surface extends Sight {
  /** The strips over the top screen, outermost first. */
  headers: SeenHeader[];
  strips: Strips;
  /** What the device's own strips cover of the view: nothing while the top screen hides them. */
  insets: Insets;
}

const hasHeader = (lens: Lens, container: Entry, { node }: Entry, opens: Opens): boolean => {
  // what a container says is of pushed screens, tabs and panes alone
  const header = opens === "push" ? heldIn(lens, node, container.node, "header") : lens.look(node).header;
  return header ? header === "on" : nodeAt(lens.frame, node).kind === "screen" && !isLifted(opens);
};

/**
 * Draws the strips over what is in sight. Of the place of a scene four things are known: whether something lies `beneath` it,
 * through stacks, pairs and hubs without a strip of their own; whether the next strip `closes`, as the first one of an
 * overlay's lowest entry; whether it has the `menu`, as nothing lies beneath it up to the nearest hub that shows as a drawer
 * and draws no strip that could open it; and the innermost `strip` so far.
 */
class StripDrawer implements Strips {
  readonly headers: SeenHeader[] = [];
  readonly over = new Map<number, SeenHeader>();
  readonly own = new Map<number, SeenHeader>();
  readonly nearest = new Map<number, SeenHeader>();

  constructor(
    readonly lens: Lens,
    readonly focus: readonly Entry[],
  ) {}

  private strip(by: Id, title: string, beneath: boolean, closes: boolean, menu: boolean): SeenHeader {
    return { by, title, back: !closes && beneath, menu: !closes && menu, close: closes };
  }

  /** What is in a child, under the strip that `by` draws over it. */
  private under(by: Id, child: Scene, beneath: boolean, closes: boolean, menu: boolean): void {
    const { entry } = child;
    const header = this.strip(by, titleOf(this.lens, entry), beneath, closes, menu);
    this.over.set(entry.key, header);
    if (this.focus.includes(entry)) this.headers.push(header);
    // what a close takes off is beneath no strip inside it
    this.scene(child, beneath && !closes, false, menu, header);
  }

  scene(scene: Scene, beneath: boolean, closes: boolean, menu: boolean, strip: SeenHeader | null): void {
    switch (scene.kind) {
      case "screen":
        if (strip) this.nearest.set(scene.entry.key, strip);
        return;
      case "stack":
        return this.stack(scene, beneath, closes, menu, strip);
      case "hub":
        return this.hub(scene, beneath, closes, menu, strip);
      case "pair":
        return this.pair(scene, beneath, closes, menu, strip);
    }
  }

  private stack(scene: StackScene, beneath: boolean, closes: boolean, menu: boolean, strip: SeenHeader | null): void {
    const { entry, base, over } = scene;
    if (base) {
      const isLowest = entry.entries[0] === base.entry;
      if (hasHeader(this.lens, entry, base.entry, "push"))
        this.under(entry.node, base, beneath || !isLowest, closes && isLowest, menu && isLowest);
      else this.scene(base, beneath || !isLowest, closes && isLowest, menu && isLowest, strip);
    }
    for (const overlay of over) this.overlay(overlay);
  }

  /** An overlay's own strip has a close, or else the first one of the lowest thing in it. */
  overlay({ opens, over, stack, child }: OverlayScene): void {
    // under what lies over all, the strips of that alone are those of the top screen
    if (over === "all" && this.focus.includes(child.entry)) this.headers.length = 0;
    if (hasHeader(this.lens, stack, child.entry, opens)) this.under(stack.node, child, true, true, false);
    else this.scene(child, true, true, false, null);
  }

  private hub(scene: HubScene, beneath: boolean, closes: boolean, menu: boolean, strip: SeenHeader | null): void {
    const { entry, face, child } = scene;
    const { strip: hasOwn } = this.lens.look(entry.node);
    const isDrawer = face === "drawer";
    let nearest = strip;
    if (hasOwn) {
      // what lies beneath a drawer's hub gives way to its button
      nearest = this.strip(entry.node, titleOfTab(this.lens, child.entry), beneath && !isDrawer, closes, isDrawer);
      this.own.set(entry.key, nearest);
      if (this.focus.includes(entry)) this.headers.push(nearest);
    }
    // its own strip heads what lies beneath it, and opens its drawer
    const [under, closing, button] = [beneath && !hasOwn, closes && !hasOwn, isDrawer ? !hasOwn : menu];
    if (child.kind === "screen" && hasHeader(this.lens, entry, child.entry, "push"))
      this.under(entry.node, child, under, closing, button);
    else this.scene(child, under, closing, button, nearest);
  }

  private pair(scene: PairScene, beneath: boolean, closes: boolean, menu: boolean, strip: SeenHeader | null): void {
    const { entry, split, panes } = scene;
    for (const { pane, child } of panes) {
      const isAlone = !split && pane === "detail";
      const hasMenu = menu && !isAlone && (!split || pane === "list");
      if (child.kind === "screen" && hasHeader(this.lens, entry, child.entry, "push"))
        this.under(entry.node, child, beneath || isAlone, closes && !isAlone, hasMenu);
      else this.scene(child, beneath || isAlone, closes && !isAlone, hasMenu, strip);
    }
  }
}

/** Whether the top screen, a sheet, dialog or side panel above it left aside, hides the device's own strips. */
const hidesSystem = (lens: Lens, root: Entry): boolean => {
  let [container, at, narrow] = [root, root, false];
  while (at.kind !== "screen") {
    const inner: Entry | undefined = at.kind === "stack" ? unliftedOf(lens, at) : shownInside(lens, at, narrow);
    if (!inner) return false;
    narrow = isNarrowIn(lens, at, inner, narrow);
    [container, at] = [at, inner];
  }
  return heldIn(lens, at.node, container.node, "system") === "hide";
};

/** The topmost entry of a stack that is no sheet, dialog or side panel. */
const unliftedOf = (lens: Lens, stack: StackEntry): Entry | undefined =>
  stack.entries.findLast((_, i) => !isLifted(opensAt(lens, stack, i)));

/** What can be seen of a state through a lens, with the strips over it. */
export const surfaceIn = (lens: Lens, state: State): Surface => {
  const { base, over, focus, top, overlay, bars, screens, drawer, highest } = sightOf(lens, state);
  const strips = new StripDrawer(lens, focus);
  if (base) strips.scene(base, false, false, false, null);
  for (const each of over) strips.overlay(each);
  const { headers } = strips;
  // where Up would take something off, some strip says so
  const innermost = headers.at(-1);
  if (innermost && !headers.some(({ back, close }) => back || close) && upTakes(lens, state, focus) !== null)
    innermost.back = true;
  const { insets: own } = lens.view;
  const insets = own !== noInsets && top && hidesSystem(lens, state.root) ? noInsets : own;
  return { insets, base, over, focus, top, overlay, bars, screens, drawer, highest, headers, strips };
};

/** What can be seen of a state in a view, with the strips over it. */
export const surfaceOf = (frame: FixedFrame, state: State, view: View): Surface =>
  surfaceIn(lensOf(frame, view), state);
