import { sure, nodeAt } from "../../../../core/index.js";
import type { Frame, Id, PlanLayout, State, View } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { CoverBox } from "./cover-box.js";
import { FarView } from "./far-view.js";
import { PaneBox } from "./pane-box.js";
import { PlateBox } from "./plate-box.js";
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
  /** Nothing on a card could be read: shapes are drawn. */
  isFar: boolean;
  inSight: (rect: Rect) => boolean;
  shown: (card: { id: Id }) => State | null;
  device: DeviceSpot;
  dragged: Id | null;
  /** What those can come to whom it is looked at for; null: everything is drawn alike. */
  reached: ReadonlySet<Id> | null;
  naming: (
    id: Id,
    parent: Id | null,
  ) => { renaming: boolean; onRename: (title: string) => void; onRenamed: () => void };
  onFold: (id: Id, folded: boolean) => void;
}

/** What is asked of each thing that is drawn. */
const asksOf = ({ frame, layout, chosen, isChosen, isFar, inSight, reached, naming }: PlanDrawingProps) => ({
  /** What is chosen is always there, to be brought into sight and to take the focus. */
  isDrawn: (box: Rect & { id: Id }, parent: Id | null): boolean => (!isFar && inSight(box)) || isChosen(box.id, parent),
  plateOf: (id: Id) => sure(layout.plates.find((plate) => plate.id === id)),
  isFaint: (id: Id): boolean => reached !== null && !reached.has(id),
  own: (id: Id, parent: Id | null) => ({
    chosen: isChosen(id, parent),
    // the key that goes into the plan lands on what is chosen, else on the root
    entry: chosen ? chosen.id === id && chosen.parent === parent : id === frame.root,
    ...naming(id, parent),
  }),
});

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
  const { isFaint, own } = asksOf(props);
  const boxes = isFar
    ? layout.plates.filter((plate) => isChosen(plate.id, plate.parent))
    : [...layout.plates, ...layout.covers];
  return boxes
    .filter((box) => inSight(box) || (!("stack" in box) && isChosen(box.id, box.parent)))
    .sort((a, b) => a.depth - b.depth)
    .map((box) =>
      "stack" in box ? (
        <CoverBox key={`over ${box.stack}`} frame={frame} view={view} strip={box} />
      ) : (
        <PlateBox
          key={`${box.parent} ${box.id}`}
          frame={frame}
          plate={box}
          view={view}
          faint={isFaint(box.id)}
          onFold={props.onFold}
          {...own(box.id, box.parent)}
        />
      ),
    );
}

function Panes(props: PlanDrawingProps) {
  const { isDrawn, plateOf, own } = asksOf(props);
  return props.layout.panes
    .filter((pane) => isDrawn(pane, pane.pair))
    .map((pane) => (
      <PaneBox
        key={`${pane.pair} ${pane.id}`}
        frame={props.frame}
        pane={pane}
        foot={plateOf(pane.pair)}
        {...own(pane.id, pane.pair)}
      />
    ));
}

function Teeth(props: PlanDrawingProps) {
  const { frame, layout, device } = props;
  const { isDrawn, plateOf, isFaint, own } = asksOf(props);
  return layout.teeth
    .filter((tooth) => isDrawn(tooth, tooth.hub))
    .map((tooth) => {
      const hub = plateOf(tooth.hub);
      return (
        <ToothBox
          key={`${tooth.hub} ${tooth.id}`}
          frame={frame}
          tooth={tooth}
          foot={hub.y + hub.height - 4}
          first={tooth.x <= hub.x + 12}
          faint={isFaint(tooth.id)}
          lit={device.tabs.has(`${tooth.hub} ${tooth.id}`)}
          folded={nodeAt(frame, tooth.id).kind !== "screen" && plateOf(tooth.id).folded}
          onFold={props.onFold}
          {...own(tooth.id, tooth.hub)}
        />
      );
    });
}

function Cards(props: PlanDrawingProps) {
  const { frame, pictured, layout, view, dark, shown, device, dragged } = props;
  const { isDrawn, isFaint, own } = asksOf(props);
  return layout.cards
    .filter((card) => isDrawn(card, card.parent))
    .map((card) => (
      <ScreenCard
        key={`${card.parent} ${card.id}`}
        frame={frame}
        pictured={pictured}
        card={card}
        state={card.picture && Object.hasOwn(pictured.nodes, card.id) ? shown(card) : null}
        view={view}
        dark={dark}
        here={card.id === device.screen && card.parent === device.parent}
        dragged={dragged === card.id}
        faint={isFaint(card.id)}
        {...own(card.id, card.parent)}
      />
    ));
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
