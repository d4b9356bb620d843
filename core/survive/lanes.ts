import { lensOf, type Lens } from "../frame/look.js";
import { nameOf, plainName } from "../frame/names.js";
import { hubAt, nodeIn } from "../frame/nodes.js";
import type { Id, Opens, Params } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { focusPath, opensIn } from "../navigate/focus.js";
import type { Entry, HubEntry, ScreenEntry, State } from "../navigate/state.js";
import { textsIn } from "./pieces.js";

/** One screen of a lane, with what is on it. */
export interface LaneStep {
  key: number;
  node: Id;
  params: Params;
  title: string;
  isTop: boolean;
  /** How it lies on the one before. */
  opens: Opens;
  scroll: number;
  /** What is typed on it. */
  drafts: string[];
  picked: number | null;
  /** What was handed over to it. */
  handed: string[];
  /** It asks before it is left. */
  asks: boolean;
}

/** A tab with what it holds, or (null) what lies beside and over the tabs. */
export interface Lane {
  hub: Id | null;
  tab: Id | null;
  label: string;
  /** It was shown, so that there is something in it. */
  isMade: boolean;
  /** The tab that is chosen, and those around it. */
  isActive: boolean;
  steps: LaneStep[];
}

class LaneWriter {
  readonly lanes: Lane[] = [];
  private readonly lens: Lens;
  private readonly top: Entry | undefined;

  constructor(
    private readonly frame: Frame,
    view: View,
    state: State,
  ) {
    this.lens = lensOf(frame, view);
    this.top = state.root.entries.length ? focusPath(this.lens, state.root).at(-1) : undefined;
  }

  private step(entry: ScreenEntry, opens: Opens): LaneStep {
    const { key, node, params, ui, carried } = entry;
    const held = nodeIn(this.frame, node);
    return {
      key,
      node,
      params,
      title: nameOf(this.frame, node, params),
      isTop: entry === this.top,
      opens,
      scroll: ui.scroll,
      drafts: textsIn(ui.drafts),
      picked: ui.picked,
      handed: [...textsIn(ui.received ?? {}), ...textsIn(carried)],
      asks: held?.kind === "screen" && held.leave !== undefined,
    };
  }

  /** The screens of an entry into a lane; hubs in it get lanes of their own, which follow it. */
  private fill(entry: Entry, steps: LaneStep[], hubs: HubEntry[], opens: Opens): void {
    switch (entry.kind) {
      case "screen":
        steps.push(this.step(entry, opens));
        return;
      case "stack":
        for (const inner of entry.entries) this.fill(inner, steps, hubs, opensIn(this.lens, entry, inner));
        return;
      case "hub":
        hubs.push(entry);
        return;
      case "pair":
        this.fill(entry.list, steps, hubs, opens);
        if (entry.detail) this.fill(entry.detail, steps, hubs, "push");
    }
  }

  lane(hub: Id | null, tab: Id | null, label: string, entry: Entry | null, isActive: boolean): void {
    const lane: Lane = { hub, tab, label, isMade: entry !== null, isActive, steps: [] };
    const hubs: HubEntry[] = [];
    if (entry) this.fill(entry, lane.steps, hubs, "push");
    // a tab that only holds further tabs is told by those
    if (lane.steps.length > 0 || hubs.length === 0) this.lanes.push(lane);
    for (const inner of hubs) this.hub(inner, tab === null ? "" : `${label} · `, isActive);
  }

  private hub(entry: HubEntry, before: string, isActive: boolean): void {
    for (const tab of hubAt(this.frame, entry.node).children) {
      const label = this.lens.look(tab).tab.label ?? plainName(this.frame, tab);
      const isChosen = isActive && entry.active === tab;
      this.lane(entry.node, tab, `${before}${label}`, entry.tabs[tab] ?? null, isChosen);
    }
  }
}

/** What each tab holds, in the order of the tabs; what lies in the root beside the hub comes first. */
export const lanesOf = (frame: Frame, view: View, state: State): Lane[] => {
  const writer = new LaneWriter(frame, view, state);
  writer.lane(null, null, plainName(frame, frame.root), state.root, true);
  return writer.lanes;
};
