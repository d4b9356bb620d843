import { sure, nodeAt } from "../../../core/index.js";
import type { Frame, Id, PlanLayout, State, View } from "../../../core/index.js";
import type { Chosen } from "../../app/place.js";
import { CoverBox } from "./cover-box.js";
import { FarView } from "./far-view.js";
import { PaneBox } from "./pane-box.js";
import { PlateBox } from "./plate-box.js";
import { ScreenCard } from "./screen-card.js";
import { Stairs } from "./stairs.js";
import { ToothBox } from "./tooth-box.js";
import type { Rect } from "./under.js";

/** Where the device is on the plan. */
export interface DeviceSpot {
  screen: Id | undefined;
  parent: Id | undefined;
  /** The tabs it shows, as “hub tab”. */
  tabs: ReadonlySet<string>;
}

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

/** Everything of the plan that can be seen, from the lowest plate up. */
export function PlanDrawing(props: PlanDrawingProps) {
  const {
    frame,
    pictured,
    layout,
    view,
    dark,
    chosen,
    isChosen,
    isFar,
    inSight,
    shown,
    device,
    dragged,
    naming,
    reached,
  } = props;
  // the key that goes into the plan lands on what is chosen, else on the root
  const isEntry = (id: Id, parent: Id | null) =>
    chosen ? chosen.id === id && chosen.parent === parent : id === frame.root;
  const isFaint = (id: Id): boolean => reached !== null && !reached.has(id);
  const plateOf = (id: Id) => sure(layout.plates.find((plate) => plate.id === id));
  const boxes = isFar
    ? layout.plates.filter((plate) => isChosen(plate.id, plate.parent))
    : [...layout.plates, ...layout.covers];
  // what is chosen is always there, to be brought into sight and to take the focus
  const isDrawn = (box: Rect & { id: Id }, parent: Id | null): boolean =>
    (!isFar && inSight(box)) || isChosen(box.id, parent);
  const cards = layout.cards.filter((card) => isDrawn(card, card.parent));
  return (
    <>
      {isFar && <FarView layout={layout} chosen={chosen} />}
      {layout.tray && <Tray tray={layout.tray} />}
      {boxes
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
              chosen={isChosen(box.id, box.parent)}
              entry={isEntry(box.id, box.parent)}
              faint={isFaint(box.id)}
              onFold={props.onFold}
              {...naming(box.id, box.parent)}
            />
          ),
        )}
      {layout.panes
        .filter((pane) => isDrawn(pane, pane.pair))
        .map((pane) => (
          <PaneBox
            key={`${pane.pair} ${pane.id}`}
            frame={frame}
            pane={pane}
            foot={plateOf(pane.pair)}
            chosen={isChosen(pane.id, pane.pair)}
            entry={isEntry(pane.id, pane.pair)}
            {...naming(pane.id, pane.pair)}
          />
        ))}
      {layout.teeth
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
              chosen={isChosen(tooth.id, tooth.hub)}
              entry={isEntry(tooth.id, tooth.hub)}
              faint={isFaint(tooth.id)}
              lit={device.tabs.has(`${tooth.hub} ${tooth.id}`)}
              folded={nodeAt(frame, tooth.id).kind !== "screen" && plateOf(tooth.id).folded}
              onFold={props.onFold}
              {...naming(tooth.id, tooth.hub)}
            />
          );
        })}
      {!isFar && <Stairs cards={layout.cards} />}
      {cards.map((card) => (
        <ScreenCard
          key={`${card.parent} ${card.id}`}
          frame={frame}
          pictured={pictured}
          card={card}
          state={card.picture && Object.hasOwn(pictured.nodes, card.id) ? shown(card) : null}
          view={view}
          dark={dark}
          chosen={isChosen(card.id, card.parent)}
          entry={isEntry(card.id, card.parent)}
          here={card.id === device.screen && card.parent === device.parent}
          dragged={dragged === card.id}
          faint={isFaint(card.id)}
          {...naming(card.id, card.parent)}
        />
      ))}
    </>
  );
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
