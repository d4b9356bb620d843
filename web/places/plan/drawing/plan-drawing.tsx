import { useState } from "react";
import {
  type Frame,
  type Id,
  nameOf,
  nodeAt,
  type Plate,
  plainName,
  type PlanLayout,
  type State,
  subtreeOf,
  sure,
  type View,
} from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { PictureBook } from "../../../device/drawn-picture.js";
import { CoverBox } from "./cover-box.js";
import type { DrawingHands } from "./drawing-hands.js";
import { FarView } from "./far-view.js";
import { needsOf } from "./need-mark.js";
import { PaneBox } from "./pane-box.js";
import { PlateBox } from "./plate-box.js";
import { coverSays, plateSays } from "./plate-says.js";
import { ScreenCard } from "./screen-card.js";
import { Stairs } from "./stairs.js";
import { ToothBox } from "./tooth-box.js";
import type { Rect } from "./under.js";
import type { DeviceSpot } from "./use-device-spot.js";

export interface PlanDrawingProps {
  frame: Frame;
  /** The frame that pictures are of: it may be one change behind. */
  pictured: Frame;
  layout: PlanLayout;
  view: View;
  dark: boolean;
  chosen: Chosen | null;
  isChosen: (id: Id, parent: Id | null) => boolean;
  /** What is chosen is being renamed where it stands. */
  isRenaming: boolean;
  /** Nothing on a card could be read: shapes are drawn. */
  isFar: boolean;
  inSight: (rect: Rect) => boolean;
  shown: (card: { id: Id }) => State | null;
  device: DeviceSpot;
  dragged: Id | null;
  /** What those can come to whom it is looked at for; null: everything is drawn alike. */
  reached: ReadonlySet<Id> | null;
  hands: DrawingHands;
}

/** What is asked of each thing that is drawn. */
const asksOf = (props: PlanDrawingProps) => {
  const { frame, layout, chosen, isChosen, isRenaming, isFar, inSight, reached, hands } = props;
  const plates = new Map(layout.plates.map((plate) => [plate.id, plate]));
  const isIt = (id: Id, parent: Id | null): boolean => chosen?.id === id && chosen.parent === parent;
  return {
    /** What is chosen is always there, to be brought into sight and to take the focus. */
    isDrawn: (box: Rect & { id: Id; parent: Id | null }): boolean =>
      (!isFar && inSight(box)) || isChosen(box.id, box.parent),
    plateOf: (id: Id): Plate => sure(plates.get(id)),
    own: (id: Id, parent: Id | null) => ({
      chosen: isChosen(id, parent),
      // the key that goes into the plan lands on what is chosen, else on the root
      entry: chosen ? isIt(id, parent) : id === frame.root,
      faint: reached !== null && !reached.has(id),
      renaming: isRenaming && isIt(id, parent),
      hands,
    }),
  };
};

const insideOf = (frame: Frame, id: Id): number => subtreeOf(frame, id).length - 1;

/** Everything of the plan that can be seen, from the lowest plate up. */
export function PlanDrawing(props: PlanDrawingProps) {
  const { layout, chosen, isFar } = props;
  return (
    <>
      {isFar && <FarView layout={layout} chosen={chosen} />}
      {layout.tray && <Tray tray={layout.tray} />}
      <Boxes {...props} />
      <Panes {...props} />
      <Teeth {...props} />
      {!isFar && <Stairs cards={layout.cards} />}
      <Cards {...props} />
    </>
  );
}

/** The plates, and the strips of what opens over them. */
function Boxes(props: PlanDrawingProps) {
  const { frame, layout, view, isChosen, isFar, inSight } = props;
  const { own } = asksOf(props);
  const boxes = isFar
    ? layout.plates.filter((plate) => isChosen(plate.id, plate.parent))
    : [...layout.plates, ...layout.covers];
  return boxes
    .filter((box) => inSight(box) || (!("stack" in box) && isChosen(box.id, box.parent)))
    .sort((a, b) => a.depth - b.depth)
    .map((box) => {
      const { x, y, width, height } = box;
      if ("stack" in box)
        return (
          <CoverBox
            key={`over ${box.stack}`}
            {...{ x, y, width, height }}
            says={coverSays(frame, box.stack, box.holds, view)}
          />
        );
      const { id, parent, kind, depth, column, folded } = box;
      // a tab's stack is told by its tooth
      if (column && kind !== "hub") return null;
      return (
        <PlateBox
          key={`${parent} ${id}`}
          {...{ id, parent, x, y, width, height, kind, depth, column, folded }}
          title={nameOf(frame, id)}
          says={plateSays(frame, id, view)}
          inside={folded ? insideOf(frame, id) : 0}
          {...needsOf(frame, id)}
          {...own(id, parent)}
        />
      );
    });
}

function Panes(props: PlanDrawingProps) {
  const { frame, layout } = props;
  const { isDrawn, plateOf, own } = asksOf(props);
  return layout.panes.filter(isDrawn).map(({ id, pair, x, y, width, height, pane }) => {
    const foot = plateOf(pair);
    return (
      <PaneBox
        key={`${pair} ${id}`}
        {...{ id, x, y, width, height, pane }}
        parent={pair}
        title={plainName(frame, id)}
        isScreen={nodeAt(frame, id).kind === "screen"}
        foot={foot.y + foot.height}
        {...own(id, pair)}
      />
    );
  });
}

function Teeth(props: PlanDrawingProps) {
  const { frame, layout, device } = props;
  const { isDrawn, plateOf, own } = asksOf(props);
  return layout.teeth.filter(isDrawn).map(({ id, hub: parent, x, y, width, height }) => {
    const hub = plateOf(parent);
    const { tab = {}, kind } = nodeAt(frame, id);
    const folded = kind !== "screen" && plateOf(id).folded;
    return (
      <ToothBox
        key={`${parent} ${id}`}
        {...{ id, parent, x, y, width, height, folded }}
        title={nameOf(frame, id)}
        label={tab.label ?? nameOf(frame, id)}
        icon={tab.icon}
        badge={tab.badge === "dot" ? "•" : String(tab.badge ?? "")}
        hidden={tab.hidden === true}
        foot={hub.y + hub.height - 4}
        first={x <= hub.x + 12}
        lit={device.tabs.has(`${parent} ${id}`)}
        inside={folded ? insideOf(frame, id) : 0}
        {...needsOf(frame, id)}
        {...own(id, parent)}
      />
    );
  });
}

function Cards(props: PlanDrawingProps) {
  const { frame, pictured, layout, view, dark, shown, device, dragged } = props;
  const { isDrawn, own } = asksOf(props);
  const [book] = useState(() => new PictureBook());
  return layout.cards.filter(isDrawn).map((card) => {
    const { id, parent, x, y, width, height, head, covers } = card;
    const state = card.picture && Object.hasOwn(pictured.nodes, id) ? shown(card) : null;
    const of = state && { frame: pictured, state, view, dark, width: width - 3, height: height - head - 1.5 };
    return (
      <ScreenCard
        key={`${parent} ${id}`}
        {...{ id, parent, x, y, width, height, head, covers }}
        title={plainName(frame, id)}
        picture={of && book.at(`${parent} ${id}`, of)}
        here={id === device.screen && parent === device.parent}
        dragged={dragged === id}
        {...needsOf(frame, id)}
        {...own(id, parent)}
      />
    );
  });
}

function Tray({ tray: { x, y, width, height } }: { tray: Rect }) {
  return (
    <div className="absolute rounded-md border border-dashed border-field" style={{ left: x, top: y, width, height }}>
      <p className="flex h-[30px] items-center gap-2 px-2.5 text-[12.5px] text-ink-2">
        <b className="text-[14px] text-ink">Loose</b> in no container, so nothing opens them: drag them onto a plate
      </p>
    </div>
  );
}
