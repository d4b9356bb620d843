import {
  type KeyboardEvent,
  useDeferredValue,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from "react";
import {
  canExplore,
  type Card,
  childrenOf,
  type Frame,
  exploredOf,
  fitPlan,
  focusPath,
  isAttached,
  launch,
  placesOf,
  type State,
  step,
  type View,
} from "../../../core/index.js";
import { useOpenFrame, useSession } from "../../app/open-frame.js";
import { type Chosen, useChosen } from "../../app/place.js";
import { useDark } from "../../app/theme.js";
import { useSize } from "../../parts/use-size.js";
import { BenchFoot } from "./bench-foot.js";
import { CoverBox } from "./cover-box.js";
import { DragLayer } from "./drag-layer.js";
import {
  addAfter,
  addInside,
  copyOf,
  type Direction,
  drawnChildren,
  moveToward,
  type Planned,
  retitle,
  takeOut,
  walk,
} from "./edits.js";
import { PaneBox } from "./pane-box.js";
import { pegsOf, pullSpot } from "./pegs.js";
import { PegMarks } from "./peg-marks.js";
import { PlateBox } from "./plate-box.js";
import { ScreenCard } from "./screen-card.js";
import { FarView } from "./far-view.js";
import { ToothBox } from "./tooth-box.js";
import { useDrag } from "./use-drag.js";
import { usePull } from "./use-pull.js";
import { farZoom, manyZoom, panFrom, useZoom } from "./use-zoom.js";
import { ZoomButtons } from "./zoom-buttons.js";

const arrows: Record<string, Direction> = { ArrowUp: "up", ArrowDown: "down", ArrowLeft: "left", ArrowRight: "right" };
const margin = 16;
/** What lies this far out of sight is drawn already, px. */
const beyond = 220;

/** With no room for all pictures: the chosen one, and those drawn right before and after it. */
const besideChosen = (frame: Frame, { id, parent }: Chosen): readonly string[] => {
  if (parent === null) return [id];
  const drawn = drawnChildren(frame, parent);
  const at = drawn.indexOf(id);
  return drawn.slice(Math.max(0, at - 2), at + 3);
};

/** A plate that is larger than what can be seen of it, and in sight: there is nothing to bring into sight. */
const isLargerThan = (element: HTMLElement, room: HTMLElement): boolean => {
  const [own, seen] = [element.getBoundingClientRect(), room.getBoundingClientRect()];
  const isLarge = own.width > seen.width || own.height > seen.height;
  return isLarge && own.left < seen.right && own.right > seen.left && own.top < seen.bottom && own.bottom > seen.top;
};

/** For each card the state its picture shows: as a person first comes there, else opened from outside. */
const pictureStates = (frame: Frame, view: View, runs: boolean): ((card: Card) => State | null) => {
  if (!runs) return () => null;
  const known = new Map<string, State | null>();
  const first = launch(frame, view).state;
  const explored = canExplore(frame) ? exploredOf(frame, view) : null;
  return ({ id }) => {
    let found = known.get(id);
    if (found === undefined) {
      found =
        explored?.get(id)?.state ??
        (isAttached(frame, id) ? step(frame, view, first, { do: "open", to: id }).state : null);
      known.set(id, found);
    }
    return found;
  };
};

/** The structure: plates in plates, worked by mouse and by keys, with what is chosen on the bench below. */
export function Plan() {
  const opened = useOpenFrame();
  const frame = useSession((session) => session.frame);
  const view = useSession((session) => session.device.view);
  const state = useSession((session) => session.device.at.state);
  const runs = useSession((session) => session.device.beyond.length === 0);
  const dark = useDark();
  const [asked, choose] = useChosen();
  const [room, size] = useSize();
  const [renaming, setRenaming] = useState(false);
  const [adding, setAdding] = useState(false);
  const [lit, setLit] = useState<string | null>(null);
  const plan = useRef<HTMLDivElement>(null);
  const scroller = useRef<HTMLDivElement | null>(null);
  const [scroll, setScroll] = useState({ x: 0, y: 0 });
  const { zoom, zoomBy, zoomTo } = useZoom(scroller);
  const takesFocus = useRef(false);

  // an address may name what is not there (any more), or no place: then the first one
  const chosen = useMemo<Chosen | null>(() => {
    if (!asked || !Object.hasOwn(frame.nodes, asked.id)) return null;
    const places = placesOf(frame, asked.id);
    if (asked.parent !== null && Object.hasOwn(frame.nodes, asked.parent)) {
      if (childrenOf(frame.nodes[asked.parent]!).includes(asked.id)) return asked;
    }
    return { id: asked.id, parent: places[0] ?? null };
  }, [asked, frame]);

  const aspect = view.height / view.width;
  const layout = useMemo(() => {
    if (!size) return null;
    const pictured = new Set(chosen ? besideChosen(frame, chosen) : []);
    const beside = (id: string) => pictured.has(id);
    return fitPlan(frame, { width: size.width - 2 * margin, height: size.height - 2 * margin }, aspect, beside, view);
  }, [frame, size?.width, size?.height, aspect, chosen, view]);

  // pictures and the bench follow when the plan itself and the device are painted
  const deferred = useDeferredValue(frame);
  const shown = useMemo(() => pictureStates(deferred, view, runs), [deferred, view, runs]);

  const path = runs && !state.outside ? focusPath({ frame, view }, state.root) : [];
  const here = path.at(-1)?.node;
  const hereIn = path.at(-2)?.node;
  const litTabs = new Set(
    path.flatMap((entry) => (entry.inside?.kind === "hub" ? [`${entry.node} ${entry.inside.active}`] : [])),
  );

  const make = (planned: Planned | null): boolean => {
    if (!planned) return false;
    const faults = opened.edit(planned.edit, planned.label);
    if (faults) return false;
    if (planned.choose) choose(planned.choose);
    takesFocus.current = true;
    return true;
  };
  const { dragging, begin } = useDrag({
    frame,
    layout,
    view,
    zoom,
    plan: () => plan.current,
    onDrop: (look) => make(look.planned),
  });

  const { pulling, begin: beginPull } = usePull({
    frame,
    layout,
    view,
    zoom,
    plan: () => plan.current,
    onDrop: (planned) => make(planned),
  });

  const dragged = useSyncExternalStore(dragging.subscribe, () => dragging.get().drag?.chosen.id ?? null);

  // what is chosen by keys or made by an edit comes into sight and takes the focus
  useLayoutEffect(() => {
    if (!chosen || !plan.current) return;
    const element = plan.current.querySelector<HTMLElement>(
      `[data-node="${chosen.id}"][data-parent="${chosen.parent ?? ""}"]`,
    );
    if (takesFocus.current && !renaming) element?.focus({ preventScroll: true });
    takesFocus.current = false;
    if (element && scroller.current && !isLargerThan(element, scroller.current))
      element.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, [chosen?.id, chosen?.parent, layout, renaming]);
  useEffect(() => setRenaming((now) => now && chosen !== null), [chosen]);

  const keys = (event: KeyboardEvent) => {
    if (event.target instanceof HTMLInputElement || renaming) return;
    const at = chosen ?? { id: frame.root, parent: null };
    const direction = arrows[event.key];
    const control = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    let taken = true;
    if (direction && event.altKey) make(moveToward(frame, at, direction));
    else if (direction) {
      const next = chosen ? walk(frame, at, direction) : at;
      takesFocus.current = true;
      if (next) choose(next);
    } else if (control && key === "d") make(copyOf(frame, at));
    else if (control) taken = false;
    else if (event.key === "Enter" || event.key === "F2") setRenaming(chosen !== null);
    else if (key === "n") setRenaming(make(event.shiftKey ? addInside(frame, at) : addAfter(frame, at)));
    else if (event.key === "Delete" || event.key === "Backspace") make(takeOut(frame, at));
    else if (key === "+" || key === "=") zoomBy(1.25);
    else if (key === "-") zoomBy(0.8);
    else if (key === "0") zoomTo(1);
    else if (key === "f") zoomTo(fitZoom());
    else if (key === "a") setAdding(true);
    else if (key === "p" && chosen) opened.putDevice(chosen.id);
    else if (event.key === "Escape") choose(null);
    else taken = false;
    if (taken) event.preventDefault();
  };
  const rename = (title: string) => {
    if (!chosen) return;
    const planned = retitle(frame, chosen, title.trim().slice(0, 200));
    make(planned);
  };
  const renamed = () => {
    setRenaming(false);
    takesFocus.current = true;
  };

  const pegs = useMemo(
    () => (layout && chosen && !dragged ? pegsOf(frame, layout, chosen) : []),
    [frame, layout, chosen, dragged],
  );
  const pullFrom = useMemo(
    () => (layout && chosen && !dragged ? pullSpot(frame, layout, chosen) : null),
    [frame, layout, chosen, dragged],
  );
  const isChosen = (id: string, parent: string | null) => chosen?.id === id && chosen.parent === parent;
  const isEntry = (id: string, parent: string | null) => (chosen ? isChosen(id, parent) : id === frame.root);
  // what comes into sight is drawn when there is time: scrolling and zooming go on meanwhile
  const sight = useDeferredValue(useMemo(() => ({ ...scroll, zoom }), [scroll, zoom]));
  const inSight = ({ x, y, width, height }: { x: number; y: number; width: number; height: number }): boolean =>
    !size ||
    (x * sight.zoom < sight.x + size.width + beyond &&
      (x + width) * sight.zoom > sight.x - beyond &&
      y * sight.zoom < sight.y + size.height + beyond &&
      (y + height) * sight.zoom > sight.y - beyond);
  // from afar, or with very many in sight, what is on a card cannot be read: shapes do
  const isFar =
    sight.zoom < farZoom || (sight.zoom < manyZoom && layout !== null && layout.cards.filter(inSight).length > 200);
  const fitZoom = (): number =>
    layout && size
      ? Math.min(1, (size.width - 2 * margin) / layout.width, (size.height - 2 * margin) / layout.height)
      : 1;
  /** What lies under the pointer where nothing is drawn by itself: the smallest thing there. */
  const chosenAt = (event: { clientX: number; clientY: number }): Chosen | null => {
    const corner = plan.current?.getBoundingClientRect();
    if (!corner || !layout) return null;
    const at = { x: (event.clientX - corner.left) / zoom, y: (event.clientY - corner.top) / zoom };
    const under = [...layout.cards, ...layout.teeth, ...layout.plates].filter(
      (box) => at.x >= box.x && at.x < box.x + box.width && at.y >= box.y && at.y < box.y + box.height,
    );
    const [first] = under.sort((a, b) => a.width * a.height - b.width * b.height);
    return first ? { id: first.id, parent: first.parent } : null;
  };
  const plateOf = (id: string) => layout!.plates.find((plate) => plate.id === id)!;
  const naming = (id: string, parent: string | null) => ({
    renaming: renaming && isChosen(id, parent),
    onRename: rename,
    onRenamed: renamed,
  });

  return (
    <main className="relative flex min-w-0 grow flex-col">
      <div
        ref={(element) => {
          scroller.current = element;
          return room(element);
        }}
        className="relative min-h-0 grow overflow-auto"
        onKeyDown={keys}
        onScroll={(event) => {
          const { scrollLeft, scrollTop } = event.currentTarget;
          if (Math.abs(scrollLeft - scroll.x) > 110 || Math.abs(scrollTop - scroll.y) > 110)
            setScroll({ x: scrollLeft, y: scrollTop });
        }}
        onPointerDown={(event) => {
          const element = (event.target as HTMLElement).closest<HTMLElement>("[data-node]");
          if (event.target instanceof HTMLInputElement) return;
          const next = element
            ? { id: element.dataset.node!, parent: element.dataset.parent || null }
            : isFar
              ? chosenAt(event)
              : null;
          if (!next) return panFrom(event, event.currentTarget);
          if (!isChosen(next.id, next.parent)) {
            setRenaming(false);
            choose(next, false);
          }
          element?.focus({ preventScroll: true });
          begin(event, next);
        }}
        onDoubleClick={() => chosen && setRenaming(true)}
      >
        {layout && (
          <div
            ref={plan}
            role="tree"
            aria-label={`Plan of ${frame.name}`}
            className="absolute select-none"
            style={{
              left: margin,
              top: margin,
              width: layout.width,
              height: layout.height + margin,
              transform: zoom === 1 ? undefined : `scale(${zoom})`,
              transformOrigin: "0 0",
            }}
          >
            {isFar && <FarView layout={layout} chosen={chosen} />}
            {layout.tray && (
              <div
                className="absolute rounded-md border border-dashed border-field"
                style={{
                  left: layout.tray.x,
                  top: layout.tray.y,
                  width: layout.tray.width,
                  height: layout.tray.height,
                }}
              >
                <p className="flex h-[30px] items-center gap-2 px-2.5 text-[12.5px] text-ink-2">
                  <b className="text-[14px] text-ink">Loose</b> in no container, so nothing opens them: drag them onto a
                  plate
                </p>
              </div>
            )}
            {(isFar
              ? layout.plates.filter((plate) => isChosen(plate.id, plate.parent))
              : [...layout.plates, ...layout.covers]
            )
              .filter(inSight)
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
                    {...naming(box.id, box.parent)}
                  />
                ),
              )}
            {(isFar ? [] : layout.panes).filter(inSight).map((pane) => (
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
            {(isFar ? [] : layout.teeth)
              .filter((tooth) => inSight(tooth))
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
                    lit={litTabs.has(`${tooth.hub} ${tooth.id}`)}
                    {...naming(tooth.id, tooth.hub)}
                  />
                );
              })}
            {!isFar && <Stairs cards={layout.cards} />}
            {layout.cards
              .filter((card) => (!isFar && inSight(card)) || isChosen(card.id, card.parent))
              .map((card) => (
                <ScreenCard
                  key={`${card.parent} ${card.id}`}
                  frame={frame}
                  pictured={deferred}
                  card={card}
                  state={card.picture && Object.hasOwn(deferred.nodes, card.id) ? shown(card) : null}
                  view={view}
                  dark={dark}
                  chosen={isChosen(card.id, card.parent)}
                  entry={isEntry(card.id, card.parent)}
                  here={card.id === here && card.parent === hereIn}
                  dragged={dragged === card.id}
                  {...naming(card.id, card.parent)}
                />
              ))}
            <PegMarks
              pegs={pegs}
              lit={lit}
              onLit={setLit}
              pull={pullFrom}
              onPull={(event) => chosen && pullFrom && beginPull(event, chosen.id, pullFrom)}
            />
            <DragLayer
              frame={frame}
              dragging={dragging}
              pulling={pulling}
              room={() => ((scroller.current?.scrollLeft ?? 0) + (size?.width ?? Infinity) - 290) / zoom}
            />
          </div>
        )}
      </div>
      <ZoomButtons zoom={zoom} onZoom={zoomTo} onFit={() => zoomTo(fitZoom())} />
      <BenchFoot
        adding={adding}
        onAdding={setAdding}
        onAdd={(kind) => {
          setAdding(false);
          setRenaming(make(kind.plan(frame, chosen ?? { id: frame.root, parent: null })));
        }}
        bench={
          chosen && Object.hasOwn(deferred.nodes, chosen.id)
            ? { frame: deferred, view, chosen, lit, onLit: setLit, make, onChoose: (next) => choose(next, false) }
            : null
        }
      />
    </main>
  );
}

/** The steps of a stack: a line from each screen to those one tap further in. */
function Stairs({ cards }: { cards: readonly Card[] }) {
  const byId = new Map(cards.map((card) => [`${card.parent} ${card.id}`, card]));
  const lines = cards.flatMap((card) => {
    const above = card.under !== null && !card.covers ? byId.get(`${card.parent} ${card.under}`) : undefined;
    if (!above || above.x >= card.x) return [];
    const x = above.x + 11;
    const y = card.y + Math.min(card.height / 2, 22);
    return [`M${x} ${above.y + above.height}V${y}H${card.x}`];
  });
  return (
    <svg className="pointer-events-none absolute inset-0 size-full overflow-visible" aria-hidden>
      <path d={lines.join("")} fill="none" stroke="var(--ink)" strokeWidth={1.2} />
    </svg>
  );
}
