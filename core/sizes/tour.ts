import { bandsOf, targetsOf } from "../frame/defaults.js";
import { equal } from "../frame/equal.js";
import { keysOf } from "../frame/keys.js";
import type { FixedFrame } from "../frame/types.js";
import { noInsets, type View } from "../frame/view.js";
import { focusPath, isSplit } from "../navigate/focus.js";
import { lensOf } from "../frame/look.js";
import type { EventOf } from "../navigate/event.js";
import { eventToView } from "../navigate/view-event.js";
import type { State } from "../navigate/state.js";
import { step, viewAfter } from "../navigate/step.js";
import { type Seen, seenAfter } from "../observe/seen.js";
import { devicePreset, type DeviceShape, turned, usualSize } from "./devices.js";

/** One stop of the tour: a size, and the event that brings the device there. */
export interface TourStop {
  says: string;
  event: EventOf<"view">;
}

const eventTo = (shape: DeviceShape, target: string): TourStop["event"] => eventToView({ ...shape, target });

/** Everything a device of the frame may become: each band upright, turned and low on each target, a phone turned, a fold closed, open and turned; then as it was. */
export const tourStops = (frame: FixedFrame, view: View): TourStop[] => {
  const named = ["phone", "phoneTurned", "foldClosed", "foldOpen"] as const;
  const stops = targetsOf(frame).flatMap(({ id: target, label }) => {
    const on = targetsOf(frame).length > 1 ? `, ${label}` : "";
    const bands = bandsOf(frame).flatMap(({ id }) => {
      const shape: DeviceShape = { ...usualSize(frame, id), insets: noInsets };
      const low: DeviceShape = { ...usualSize(frame, id, true), insets: noInsets };
      return [
        { says: `${id}${on}`, event: eventTo(shape, target) },
        { says: `${id}, turned${on}`, event: eventTo(turned(shape), target) },
        ...(frame.short === undefined ? [] : [{ says: `${id}, low${on}`, event: eventTo(low, target) }]),
      ];
    });
    const devices = named.flatMap((id) => {
      const preset = devicePreset(id);
      if (!preset) return [];
      const plain = { says: `${preset.label}${on}`, event: eventTo(preset, target) };
      return preset.hinge
        ? [plain, { says: `${preset.label}, turned${on}`, event: eventTo(turned(preset), target) }]
        : [plain];
    });
    return [...bands, ...devices];
  });
  return [...stops, { says: "as it was", event: eventToView(view) }];
};

/** What of what is seen may be other by view: faces, strips, panes, how an overlay opens, and so what Back does. */
const byView = new Set<keyof Seen>(["bars", "headers", "shown", "ladder", "overlay", "moves", "notes"]);
/** What is other where another pane of a pair is followed. */
const byPane = new Set<keyof Seen>(["top", "params", "address", "trail", "tabs", "ui", "carried"]);

/** What came of one stop. */
export interface TourFound {
  stop: TourStop;
  view: View;
  /** The state is the very same. */
  isSame: boolean;
  /** What of what is seen is other, though neither faces nor panes explain it. */
  other: (keyof Seen)[];
  /** Faces or panes are other than where the tour began. */
  looksOtherwise: boolean;
}

/** Which pairs on the focus path are split, in a view. */
const splitsIn = (frame: FixedFrame, state: State, view: View): boolean[] => {
  const lens = lensOf(frame, view);
  return focusPath(lens, state.root).flatMap((entry) => (entry.kind === "pair" ? [isSplit(lens, entry, false)] : []));
};

/** Plays a state through every stop, each from the one before, and holds what is seen against what was seen at first. */
export const tour = (frame: FixedFrame, state: State, view: View): TourFound[] => {
  const seenOn = (at: View): Seen => seenAfter(frame, at, { state, moves: [], notes: [] });
  const first = seenOn(view);
  const splits = splitsIn(frame, state, view);
  let now = view;
  let at = state;
  return tourStops(frame, view).map((stop) => {
    at = step(frame, now, at, stop.event).state;
    now = viewAfter(frame, now, stop.event);
    const seen = seenOn(now);
    const isSplitSame = equal(splits, splitsIn(frame, state, now));
    const other = keysOf(seen).filter(
      (key) => !byView.has(key) && !(byPane.has(key) && !isSplitSame) && !equal(seen[key], first[key]),
    );
    const looksOtherwise = !isSplitSame || !equal(seen.bars, first.bars) || !equal(seen.shown, first.shown);
    return { stop, view: now, isSame: at === state, other, looksOtherwise };
  });
};
