import { equal, type Frame, type Id, type NavigationEvent, type State, type View } from "../../core/index.js";
import type { Device } from "./device.js";
import { noReasons, type Reasons } from "./reasons.js";

/** One point of the trail: the state an event came to, or one the device was put on. */
export interface TrailPoint {
  id: number;
  /** The point it went on from; null for a beginning. */
  from: number | null;
  /** What happened, and on which screen; null where the device was put there. */
  event: NavigationEvent | null;
  on: Id;
  /** The view it happened in, and the one the device has after it. */
  seenIn: View;
  view: View;
  state: State;
  frame: Frame;
  reasons: Reasons;
  /** ms, on the clock of the page. */
  time: number;
}

/** Everything that happened to a device since the page was opened: a tree, as one may go back and go on otherwise. A value. */
export interface Trail {
  points: readonly TrailPoint[];
  /** The point the device is at. */
  at: number;
}

/** So many points are kept: the oldest that nothing goes on from are let go. */
const most = 400;

export const noTrail: Trail = { points: [], at: -1 };

const nextId = ({ points }: Trail): number => (points.at(-1)?.id ?? -1) + 1;

/** The point of this id. */
export const pointIn = (trail: Trail, id: number): TrailPoint | undefined =>
  trail.points.find((point) => point.id === id);

const bounded = (points: readonly TrailPoint[], at: number): readonly TrailPoint[] => {
  if (points.length <= most) return points;
  const [oldest, ...rest] = points;
  return oldest && oldest.id !== at
    ? rest.map((point) => (point.from === oldest.id ? { ...point, from: null } : point))
    : points;
};

/** The trail with one more point; where the same was done from there before, and came to the same, it goes that way again. */
const withPoint = (trail: Trail, point: Omit<TrailPoint, "id">): Trail => {
  const same = trail.points.find(
    ({ from, event, view, state, frame }) =>
      from === point.from &&
      frame === point.frame &&
      equal(event, point.event) &&
      equal(view, point.view) &&
      equal(state, point.state),
  );
  if (same) return { ...trail, at: same.id };
  const id = nextId(trail);
  return { points: bounded([...trail.points, { ...point, id }], id), at: id };
};

/** What is typed or scrolled on one screen without a break is one point: only the last of it is kept. */
const goesOn = (last: TrailPoint | undefined, event: NavigationEvent, trail: Trail): boolean => {
  if (!last?.event || trail.points.some(({ from }) => from === last.id)) return false;
  if (last.event.do === "type" && event.do === "type")
    return last.event.field === event.field && last.event.in === event.in;
  return last.event.do === "scroll" && event.do === "scroll" && last.event.in === event.in;
};

interface Happened {
  frame: Frame;
  device: Device;
  /** The screen that is on top in a state; empty where none is. */
  topIn: (state: State, view: View) => Id;
  time: number;
}

/** The trail after what a device did last: a point for each of its steps, and one where it was put somewhere else. */
export const trailAfter = (trail: Trail, before: Device, { frame, device, topIn, time }: Happened): Trail => {
  const { view, reasons, steps, at } = device;
  const putAt = (state: State, from: number | null, seenIn: View, why: Reasons): Trail =>
    withPoint(trail, {
      from,
      event: null,
      on: topIn(state, seenIn),
      seenIn,
      view: seenIn,
      state,
      frame,
      reasons: why,
      time,
    });
  if (steps.length === 0)
    return at.state === before.at.state && trail.at >= 0 ? trail : putAt(at.state, null, view, reasons);
  const first = steps[0];
  let next =
    first && !equal(first.before, pointIn(trail, trail.at)?.state)
      ? putAt(first.before, null, first.view, noReasons)
      : trail;
  steps.forEach(({ event, view: seenIn, before: was, step }, i) => {
    // what changes nothing leaves no trace
    if (step.state === was && event.do !== "view") return;
    const last = pointIn(next, next.at);
    const isLast = i === steps.length - 1;
    const merged = goesOn(last, event, next);
    const made: Omit<TrailPoint, "id"> = {
      from: merged && last ? last.from : next.at,
      event,
      on: topIn(was, seenIn),
      seenIn,
      view: steps[i + 1]?.view ?? view,
      state: step.state,
      frame,
      reasons: isLast ? reasons : noReasons,
      time,
    };
    next =
      merged && last
        ? { ...next, points: next.points.map((point) => (point.id === last.id ? { ...made, id: last.id } : point)) }
        : withPoint(next, made);
  });
  return next;
};

/** The points from a beginning to one, in order. */
export const wayTo = (trail: Trail, id: number): TrailPoint[] => {
  const way: TrailPoint[] = [];
  for (let at = pointIn(trail, id); at; at = at.from === null ? undefined : pointIn(trail, at.from)) way.unshift(at);
  return way;
};

/** A point as it is shown: its branches beside the way the device is on. */
export interface ShownPoint {
  point: TrailPoint;
  isAt: boolean;
  /** The point is after the device, on the way that was gone from here last. */
  isAhead: boolean;
  /** Other ways that go on from here, each by its first point. */
  others: readonly TrailPoint[];
}

/** Where other ways begin than the one the device is on. */
export const otherBeginnings = (trail: Trail): TrailPoint[] => {
  const [own] = wayTo(trail, trail.at);
  return trail.points.filter(({ from, id }) => from === null && id !== own?.id);
};

/** The trail with the point the device is at on the frame as it was edited: the device is not put anywhere by that. */
export const trailCarried = (trail: Trail, frame: Frame, state: State): Trail => ({
  ...trail,
  points: trail.points.map((point) => (point.id === trail.at ? { ...point, frame, state } : point)),
});

/** The way the device is on, from its beginning past where it is, with the branches of each point. */
export const shownWay = (trail: Trail): ShownPoint[] => {
  const way = wayTo(trail, trail.at);
  const after = (id: number): TrailPoint[] => trail.points.filter(({ from }) => from === id);
  // on from here along the way that was gone last
  for (let last = way.at(-1); last;) {
    const next = after(last.id).at(-1);
    if (!next) break;
    way.push(next);
    last = next;
  }
  const at = way.findIndex(({ id }) => id === trail.at);
  return way.map((point, i) => ({
    point,
    isAt: i === at,
    isAhead: i > at,
    others: after(point.id).filter(({ id }) => id !== way[i + 1]?.id),
  }));
};
