import { faceOf, type ShownTabs, tabsOf } from "../frame/faces.js";
import type { Face, Frame, HubNode, Id } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { fill } from "./run.js";
import { type Entry, focusPath, isHub, isStack, type State } from "./state.js";

/** A hub's face as it can be seen. */
export interface SeenBar extends ShownTabs {
  hub: Id;
  face: Face;
  active: Id;
}

/** A header strip over the top screen. */
export interface SeenHeader {
  /** The container that draws it. */
  by: Id;
  title: string;
  /** It has a Back of its own. */
  back: boolean;
}

/** One step of the focus path: a container, what shows in it, and what it draws around that. */
export interface Layer {
  container: Entry;
  child: Entry;
  bar: SeenBar | null;
  /** A hub's own strip, outside what shows in it. */
  strip: SeenHeader | null;
  header: SeenHeader | null;
}

/** What the containers on the focus path draw, outermost first: the one source of bars and headers, for snapshots and for the arrangement. */
export interface Surface {
  layers: Layer[];
  top: Entry;
}

const hasHeader = (frame: Frame, child: Entry): boolean => {
  const node = frame.nodes[child.node]!;
  return (node.header ?? (node.kind === "screen" ? "on" : "off")) === "on";
};

export const surfaceOf = (frame: Frame, state: State, view: View): Surface => {
  const path = focusPath(state.root);
  const top = path.at(-1)!;
  // from the inside out: whether something that shows below asks for the bars around it to go
  const hides: boolean[] = [];
  for (let i = path.length - 1, hidden = false; i >= 0; i -= 1) {
    hides[i] = hidden;
    hidden ||= frame.nodes[path[i]!.node]!.bars === "hide";
  }
  const layers: Layer[] = [];
  // whether an entry lies beneath, through nested stacks, up to the nearest hub
  let beneath = false;
  for (let i = 0; i < path.length - 1; i += 1) {
    const container = path[i]!;
    const child = path[i + 1]!;
    const node = frame.nodes[container.node]!;
    const drawn = (title: string, back: boolean): SeenHeader => ({ by: container.node, title, back });
    const childNode = frame.nodes[child.node]!;
    const title = () =>
      fill(childNode.title ?? childNode.tab?.label ?? child.node, child.inside ? top.params : child.params);
    if (isStack(container)) {
      beneath ||= container.inside.entries.length > 1;
      layers.push({
        container,
        child,
        bar: null,
        strip: null,
        header: hasHeader(frame, child) ? drawn(title(), beneath) : null,
      });
    } else if (isHub(container)) {
      const hub = node as HubNode;
      const face = faceOf(frame, hub, view);
      const seen = face !== null && !((face === "bar" || face === "top") && hides[i]);
      layers.push({
        container,
        child,
        bar: seen
          ? {
              hub: container.node,
              face,
              active: container.inside.active,
              ...tabsOf(frame, hub, face, view, state.facts),
            }
          : null,
        strip: hub.strip ? drawn(childNode.tab?.label ?? title(), beneath) : null,
        header: !child.inside && hasHeader(frame, child) ? drawn(title(), false) : null,
      });
      beneath = false;
    }
  }
  return { layers, top };
};
