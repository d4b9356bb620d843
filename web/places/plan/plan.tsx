import { useDeferredValue, useEffect, useLayoutEffect, useMemo, useRef, useState, useSyncExternalStore } from "react";
import { childrenOf, fitPlan, focusPath, lensOf, placesOf, type State, nodeAt, sure } from "../../../core/index.js";
import { useEditing, useLive, useOpenFrame, useSelection } from "../../app/open-frame.js";
import { type Chosen, useChosen } from "../../app/place.js";
import { useDark } from "../../app/theme.js";
import { Part } from "../../parts/part.js";
import { useSize } from "../../parts/use-size.js";
import { BenchFoot } from "./bench-foot.js";
import { DragLayer } from "./drag-layer.js";
import { besideChosen, type Planned, retitle } from "./edits.js";
import { pegsOf, pullSpot } from "./pegs.js";
import { PegMarks } from "./peg-marks.js";
import { pictureStates } from "./picture-states.js";
import { type DeviceSpot, PlanDrawing } from "./plan-drawing.js";
import { isSame, rangeOf, thereIn, toggled } from "./selection.js";
import { ReachSwitch } from "./reach-switch.js";
import { SmallMap } from "./small-map.js";
import { type Rect, smallestUnder } from "./under.js";
import { useClipboard } from "./use-clipboard.js";
import { useDrag } from "./use-drag.js";
import { useFolds } from "./use-folds.js";
import { useMake } from "./use-make.js";
import { usePlanKeys } from "./use-plan-keys.js";
import { useReach } from "./use-reach.js";
import { usePull } from "./use-pull.js";
import { farZoom, manyZoom, panFrom, useZoom } from "./use-zoom.js";
import { ZoomButtons } from "./zoom-buttons.js";

const margin = 16;
/** What lies this far out of sight is drawn already, px. */
const beyond = 220;

/** A plate that is larger than what can be seen of it, and in sight: there is nothing to bring into sight. */
const isLargerThan = (element: HTMLElement, room: HTMLElement): boolean => {
  const [own, seen] = [element.getBoundingClientRect(), room.getBoundingClientRect()];
  const isLarge = own.width > seen.width || own.height > seen.height;
  return isLarge && own.left < seen.right && own.right > seen.left && own.top < seen.bottom && own.bottom > seen.top;
};

/** Brings something into sight: all of it, or, where it is larger than the room, its head with its name. */
const headIntoSight = (element: HTMLElement, room: HTMLElement): void => {
  const [own, seen] = [element.getBoundingClientRect(), room.getBoundingClientRect()];
  element.scrollIntoView({
    block: own.height > seen.height ? "start" : "nearest",
    inline: own.width > seen.width ? "start" : "nearest",
  });
};

/** The structure: plates in plates, worked by mouse and by keys, with what is chosen on the bench below. */
export function Plan() {
  const opened = useOpenFrame();
  const frame = useEditing((edited) => edited.frame);
  const name = useEditing((edited) => edited.id);
  const view = useLive((live) => live.device.view);
  const state = useLive((live) => live.device.at.state);
  const dark = useDark();
  const [asked, choose] = useChosen();
  const askedToo = useSelection((selected) => selected.others);
  const reveal = useSelection((selected) => selected.reveal);
  const [room, size] = useSize();
  const [renaming, setRenaming] = useState(false);
  const [tool, setTool] = useState<"add" | "change" | null>(null);
  const [lit, setLit] = useState<string | null>(null);
  const plan = useRef<HTMLDivElement>(null);
  const scroller = useRef<HTMLDivElement | null>(null);
  const [scroll, setScroll] = useState({ x: 0, y: 0 });
  const { zoom, zoomBy, zoomTo } = useZoom(scroller);
  const takesFocus = useRef(false);
  const anchor = useRef<Chosen | null>(null);

  // an address may name what is not there (any more), or no place: then the first one
  const chosen = useMemo<Chosen | null>(() => {
    if (!asked || !Object.hasOwn(frame.nodes, asked.id)) return null;
    const places = placesOf(frame, asked.id);
    if (asked.parent !== null && Object.hasOwn(frame.nodes, asked.parent)) {
      if (childrenOf(nodeAt(frame, asked.parent)).includes(asked.id)) return asked;
    }
    return { id: asked.id, parent: places[0] ?? null };
  }, [asked, frame]);
  const others = useMemo(() => (askedToo.length ? thereIn(frame, askedToo) : askedToo), [askedToo, frame]);
  const folds = useFolds(name, frame, chosen?.id ?? null);

  const aspect = view.height / view.width;
  const layout = useMemo(() => {
    if (!size) return null;
    const pictured = new Set(chosen ? besideChosen(frame, chosen) : []);
    const beside = (id: string) => pictured.has(id);
    const space = { width: size.width - 2 * margin, height: size.height - 2 * margin };
    return fitPlan(frame, space, aspect, beside, view, folds.isFolded);
  }, [frame, size?.width, size?.height, aspect, chosen, view, folds.isFolded]);

  // pictures and the bench follow when the plan itself and the device are painted
  const deferred = useDeferredValue(frame);
  // what is chosen has just been made, or has another id: the bench cannot wait, or a field on it would lose the focus
  const onBench = chosen && !Object.hasOwn(deferred.nodes, chosen.id) ? frame : deferred;
  const shown = useMemo(() => pictureStates(deferred, view), [deferred, view]);

  const [who, setWho] = useState<State["facts"] | null>(null);
  const reach = useReach(deferred, view, who);

  const device = useMemo<DeviceSpot>(() => {
    const path = !state.outside ? focusPath(lensOf(frame, view), state.root) : [];
    const tabs = path.flatMap((entry) => (entry.kind === "hub" ? [`${entry.node} ${entry.active}`] : []));
    return { screen: path.at(-1)?.node, parent: path.at(-2)?.node, tabs: new Set(tabs) };
  }, [frame, view, state]);

  const edit = useMake();
  const make = (planned: Planned | null): boolean => {
    // a field on the bench keeps the focus: whoever writes there has not gone to the plan
    const isWriting = document.activeElement?.matches("input, select, textarea") ?? false;
    const isMade = edit(planned);
    takesFocus.current = isMade && !isWriting;
    return isMade;
  };
  const dragOptions = { frame, layout, view, zoom, plan: () => plan.current };
  const { dragging, begin } = useDrag({ ...dragOptions, onDrop: (look) => make(look.planned) });
  const { pulling, begin: beginPull } = usePull({ ...dragOptions, onDrop: make });
  const dragged = useSyncExternalStore(dragging.subscribe, () => dragging.get().drag?.chosen.id ?? null);

  // what is chosen by keys or made by an edit comes into sight and takes the focus
  useLayoutEffect(() => {
    if (!plan.current) return;
    const element = plan.current.querySelector<HTMLElement>(
      chosen ? `[data-node="${chosen.id}"][data-parent="${chosen.parent ?? ""}"]` : '[role="treeitem"][tabindex="0"]',
    );
    if ((takesFocus.current || reveal) && !renaming) element?.focus({ preventScroll: true });
    takesFocus.current = false;
    if (reveal === "focus" && element) opened.selection.revealed();
    if (!chosen || !element || !scroller.current) return;
    if (reveal === "found") {
      // what was asked for is to be read too: it is looked for again once it is larger
      if (zoom < manyZoom) return zoomTo(1);
      opened.selection.revealed();
      headIntoSight(element, scroller.current);
    } else if (!isLargerThan(element, scroller.current))
      element.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, [chosen?.id, chosen?.parent, layout, renaming, reveal, reveal === "found" ? zoom : null]);
  useEffect(() => setRenaming((now) => now && chosen !== null), [chosen]);

  const select = (next: Chosen | null, replace = true, also: readonly Chosen[] = []) => {
    if (also.length === 0) anchor.current = next;
    choose(next, replace, { others: also });
  };
  const zoomToBox = (box: Rect) => {
    if (!size) return;
    const to = Math.min(1.6, (size.width - 60) / box.width, (size.height - 60) / box.height);
    zoomTo(to, { x: box.x + box.width / 2 + margin / to, y: box.y + box.height / 2 + margin / to });
  };
  const fitZoom = (): number =>
    layout && size
      ? Math.min(1, (size.width - 2 * margin) / layout.width, (size.height - 2 * margin) / layout.height)
      : 1;

  const onKeyDown = usePlanKeys({
    frame,
    chosen,
    others,
    layout,
    folds,
    make,
    select,
    extend: (next) => {
      const [to, between] = rangeOf(frame, anchor.current ?? chosen ?? next, next);
      choose(to, true, { others: between });
    },
    takeFocus: () => (takesFocus.current = true),
    rename: () => setRenaming(chosen !== null),
    setTool,
    zoomBy,
    zoomTo,
    fit: () => zoomTo(fitZoom()),
    zoomToBox,
    isRenaming: renaming,
    renameNew: setRenaming,
    room: scroller,
  });
  useClipboard({ frame, chosen, others, make, onList: () => opened.selection.showPanel("list") });

  const pegs = useMemo(
    () => (layout && chosen && others.length === 0 && !dragged ? pegsOf(frame, layout, chosen) : []),
    [frame, layout, chosen, others, dragged],
  );
  const pullFrom = useMemo(
    () => (layout && chosen && others.length === 0 && !dragged ? pullSpot(frame, layout, chosen) : null),
    [frame, layout, chosen, others, dragged],
  );
  const also = useMemo(() => new Set(others.map(({ id, parent }) => `${parent} ${id}`)), [others]);
  const isChosen = (id: string, parent: string | null) =>
    (chosen?.id === id && chosen.parent === parent) || (also.size > 0 && also.has(`${parent} ${id}`));
  // what comes into sight is drawn when there is time: scrolling and zooming go on meanwhile
  const sight = useDeferredValue(useMemo(() => ({ ...scroll, zoom }), [scroll, zoom]));
  const inSight = ({ x, y, width, height }: Rect): boolean =>
    !size ||
    (x * sight.zoom < sight.x + size.width + beyond &&
      (x + width) * sight.zoom > sight.x - beyond &&
      y * sight.zoom < sight.y + size.height + beyond &&
      (y + height) * sight.zoom > sight.y - beyond);
  // from afar, or with very many in sight, what is on a card cannot be read: shapes do
  const isFar =
    sight.zoom < farZoom || (sight.zoom < manyZoom && layout !== null && layout.cards.filter(inSight).length > 200);
  const isPartly =
    layout !== null &&
    size !== null &&
    (layout.width * zoom > 2 * size.width || layout.height * zoom > 2 * size.height);
  /** What lies under the pointer where nothing is drawn by itself. */
  const underPointer = (event: { clientX: number; clientY: number }): Chosen | null => {
    const corner = plan.current?.getBoundingClientRect();
    if (!corner || !layout) return null;
    const at = { x: (event.clientX - corner.left) / zoom, y: (event.clientY - corner.top) / zoom };
    const found = smallestUnder(layout, at);
    return found && { id: found.id, parent: found.parent };
  };

  return (
    <main className="relative flex min-w-0 grow flex-col">
      <div className="relative flex min-h-0 grow">
        <div
          ref={(element) => {
            scroller.current = element;
            return room(element);
          }}
          // what comes into sight does not end up beneath the zoom and the filter
          className="relative min-h-0 min-w-0 grow scroll-p-2 scroll-pt-13 overflow-auto"
          onKeyDown={onKeyDown}
          onScroll={(event) => {
            const { scrollLeft, scrollTop } = event.currentTarget;
            if (Math.abs(scrollLeft - scroll.x) > 110 || Math.abs(scrollTop - scroll.y) > 110)
              setScroll({ x: scrollLeft, y: scrollTop });
          }}
          onPointerDown={(event) => {
            const element = event.target instanceof Element ? event.target.closest<HTMLElement>("[data-node]") : null;
            if (event.target instanceof HTMLInputElement) return;
            const next = element
              ? { id: sure(element.dataset.node), parent: element.dataset.parent || null }
              : isFar
                ? underPointer(event)
                : null;
            if (!next) return panFrom(event, event.currentTarget);
            element?.focus({ preventScroll: true });
            if (event.shiftKey) {
              event.preventDefault();
              const [to, between] = rangeOf(frame, anchor.current ?? chosen ?? next, next);
              return choose(to, true, { others: between });
            }
            if (event.ctrlKey || event.metaKey) {
              const [to, also] = toggled(chosen, others, next);
              anchor.current = to;
              return choose(to, true, { others: also });
            }
            if (!isSame(chosen, next) || others.length) {
              setRenaming(false);
              select(next, false);
            }
            begin(event, next);
          }}
          onDoubleClick={() => chosen && setRenaming(true)}
        >
          {layout && (
            <div
              ref={plan}
              role="tree"
              aria-multiselectable
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
              <Part name="The drawing of the plan" of={frame} className="max-w-140">
                <PlanDrawing
                  frame={frame}
                  pictured={deferred}
                  layout={layout}
                  view={view}
                  dark={dark}
                  chosen={chosen}
                  isChosen={isChosen}
                  isFar={isFar}
                  inSight={inSight}
                  shown={shown}
                  device={device}
                  dragged={dragged}
                  reached={reach?.nodes ?? null}
                  naming={(id, parent) => ({
                    renaming: renaming && chosen?.id === id && chosen.parent === parent,
                    onRename: (title) => chosen && make(retitle(frame, chosen, title.trim().slice(0, 200))),
                    onRenamed: () => {
                      setRenaming(false);
                      takesFocus.current = true;
                    },
                  })}
                  onFold={(id, folded) => {
                    if (folded && chosen) select({ id, parent: placesOf(frame, id)[0] ?? null });
                    folds.fold([id], folded);
                  }}
                />
              </Part>
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
        <ReachSwitch frame={frame} facts={who} reach={reach} onChange={setWho} />
        <ZoomButtons zoom={zoom} onZoom={zoomTo} onFit={() => zoomTo(fitZoom())} />
        {isPartly && (
          <SmallMap
            layout={layout}
            chosen={chosen}
            sight={{
              x: (scroll.x - margin) / zoom,
              y: (scroll.y - margin) / zoom,
              width: size.width / zoom,
              height: size.height / zoom,
            }}
            onGo={(x, y) =>
              scroller.current?.scrollTo({
                left: x * zoom + margin - size.width / 2,
                top: y * zoom + margin - size.height / 2,
              })
            }
          />
        )}
      </div>
      <BenchFoot
        tool={tool}
        onTool={setTool}
        make={make}
        onAdd={(planned) => setRenaming(make(planned))}
        chosen={chosen}
        others={others}
        frame={onBench}
        view={view}
        lit={lit}
        onLit={setLit}
        onChoose={(next, also) => select(next, false, also)}
      />
    </main>
  );
}
