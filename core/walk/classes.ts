import { bandsOf, hasEdgeSwipe, hasSystemBack, targetsOf } from "../frame/defaults.js";
import { indexOf } from "../frame/frame-index.js";
import { lensOf, type Lens } from "../frame/look.js";
import { conditionsOf } from "../frame/only.js";
import type { Id, Only } from "../frame/parts.js";
import type { FixedFrame, FixedNode } from "../frame/types.js";
import { targetIn, type View, viewOf } from "../frame/view.js";
import { classOf, isIn, type ViewClass } from "../frame/views.js";

/** The views of one target and one band, shown by one of them. */
export interface WalkedClass {
  target: Id;
  band: Id;
  view: View;
  /** Other targets and bands in which the app does just the same. */
  also: { target: Id; band: Id }[];
}

/** The usual width and height of a phone, px. */
const phone = [390, 844] as const;

/** A view of a band on a target: a usual phone where that is in the band, else the narrowest of it. */
export const viewInBand = (frame: FixedFrame, target: Id, band: Id): View => {
  const bands = bandsOf(frame);
  const at = bands.findIndex(({ id }) => id === band);
  const from = bands[at]?.from ?? 0;
  const until = bands[at + 1]?.from ?? Infinity;
  const [width, height] = phone;
  return viewOf(frame, { target, height, width: width < from ? from : Math.max(1, Math.min(width, until - 1)) });
};

/** What a node's look has that an event, or what may be touched, depends on. */
const lookedAt = [
  "opens",
  "over",
  "bars",
  "header",
  "face",
  "split",
  "back",
  "again",
  "limit",
  "strip",
  "within",
] as const;

const onlysOf = (node: FixedNode): (Only | undefined)[] => [
  node.tab?.only,
  ...(node.kind === "screen" ? (node.actions ?? []) : node.kind === "hub" ? (node.extras ?? []) : []).map(
    ({ only }) => only,
  ),
];

/** All that what an app does in a view depends on, as text. */
const behaviourIn = (lens: Lens): string => {
  const { frame, view } = lens;
  const target = targetIn(frame, view);
  const at: ViewClass = classOf(frame, view);
  const bands = bandsOf(frame);
  const holds = (only: Only | undefined) => only && conditionsOf(only).map((condition) => isIn(bands, condition, at));
  const nodes = indexOf(frame).ids.map((id) => {
    const look = lens.look(id);
    const node = frame.nodes[id];
    return [lookedAt.map((key) => look[key]), node && onlysOf(node).map(holds)];
  });
  return JSON.stringify([hasSystemBack(target), hasEdgeSwipe(target), nodes]);
};

/** The targets and bands in which an app behaves differently, the first target and the narrowest band first. */
export const walkedClasses = (frame: FixedFrame): WalkedClass[] => {
  const byText = new Map<string, WalkedClass>();
  for (const { id: target } of targetsOf(frame))
    for (const { id: band } of bandsOf(frame)) {
      const view = viewInBand(frame, target, band);
      const text = behaviourIn(lensOf(frame, view));
      const known = byText.get(text);
      if (known) known.also.push({ target, band });
      else byText.set(text, { target, band, view, also: [] });
    }
  return [...byText.values()];
};
