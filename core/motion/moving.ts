import type { Box } from "../arrange/box.js";
import { lensOf } from "../frame/look.js";
import type { Motion, MotionShape, Track } from "../frame/parts.js";
import type { Move } from "../navigate/event.js";
import { cascadeOf, motionOf } from "./cascade.js";
import { layerId, type MoverId } from "./layers.js";
import { endOf, isUnderWay, type Mover, pathsFrom } from "./mover.js";
import type { TrackProperty } from "./path.js";
import { shapeMs } from "./sample.js";
import { shapeOf } from "./shape.js";
import type { Part, Shot } from "./shot.js";

/** Something that is no more on screen by the state, and is drawn until the mover that takes it away has ended. */
export interface GonePart extends Part {
  by: MoverId;
}

/** What is on screen: a state, all that is under way to it, and what of earlier ones is still seen. A value. */
export interface Moving {
  shot: Shot;
  movers: ReadonlyMap<MoverId, Mover>;
  gone: readonly GonePart[];
}

/** A state at rest. */
export const still = (shot: Shot): Moving => ({ shot, movers: new Map(), gone: [] });

/** The time that a face or strip takes which is another in another view, ms. */
const fadeMs = 120;

/** What moves by a step, as it is gathered. */
class Beginning {
  readonly movers = new Map<MoverId, Mover>();
  /** The layers that what is gone may leave with. */
  private readonly leaving = new Set<MoverId>();

  constructor(
    private readonly before: Moving,
    private readonly after: Shot,
    private readonly time: number,
  ) {
    for (const [id, mover] of before.movers) if (isUnderWay(mover, time)) this.movers.set(id, mover);
    for (const { by } of before.gone) this.leaving.add(by);
  }

  private get rtl(): boolean {
    return this.after.view.rtl;
  }

  /** Has something moved by tracks, for so many ms at least. */
  move(id: MoverId, tracks: readonly Track[], ms: number, box: Box, more: Partial<Mover> = {}): void {
    const paths = pathsFrom(tracks, this.before.movers.get(id), this.time, ms);
    const lasts = Math.max(ms, endOf(paths));
    if (lasts <= 0) return void this.movers.delete(id);
    this.movers.set(id, {
      id,
      paths,
      start: this.time,
      end: this.time + lasts,
      box,
      clip: null,
      isOpaque: false,
      isUnder: false,
      rtl: this.rtl,
      tracks,
      ...more,
    });
  }

  /** Has something moved that then is gone. */
  leave(...[id, ...more]: Parameters<Beginning["move"]>): void {
    this.move(id, ...more);
    this.leaving.add(id);
  }

  /** One move: its two sides, and what comes and goes with it. */
  run(move: Move, by?: Motion): void {
    const lens = lensOf(this.after.frame, this.after.view);
    const found = motionOf(lens, move, this.before.shot.state.root, this.after.state.root);
    if (!found) return;
    const shape = shapeOf(by ?? found.motion, found.toward);
    if (move.kind === "open" || move.kind === "close") this.overlay(move, shape);
    else this.sides(move, shape);
    this.around(shape);
  }

  /** Two children of a container, one for the other. */
  private sides({ leaving, entering }: Move, shape: MotionShape): void {
    const [from, to] = [leaving && this.areaOf(leaving.key), entering && this.areaOf(entering.key)];
    const ms = shapeMs(shape);
    const clip = united(from, to);
    const common = { clip, isOpaque: true };
    if (leaving && from)
      this.leave(layerId(leaving.key), shape.outgoing, ms, from, { ...common, isUnder: shape.above === "incoming" });
    if (entering && to) {
      this.leaving.delete(layerId(entering.key));
      this.move(layerId(entering.key), shape.incoming, ms, to, { ...common, isUnder: shape.above === "outgoing" });
    }
  }

  /** An overlay that comes or goes, with its scrim and what lies beneath. */
  private overlay(move: Move, shape: MotionShape): void {
    const isOpening = move.kind === "open";
    const [over, beneath] = isOpening ? [move.entering, move.leaving] : [move.leaving, move.entering];
    const box = over && this.areaOf(over.key);
    if (!over || !box) return;
    const ms = shapeMs(shape);
    const [own, under] = isOpening ? [shape.incoming, shape.outgoing] : [shape.outgoing, shape.incoming];
    const shot = isOpening ? this.after : this.before.shot;
    const isLifted = shot.parts.some(({ layers }) => layers[0] === over.key);
    const whole = wholeOf(this.after);
    // what is beneath an overlay over all is the whole of the app, else what lies in the region
    const layers = isLifted ? this.lowestLayers(over.key) : beneath ? [beneath.key] : [];
    for (const key of layers) {
      const area = isLifted ? whole : (this.areaOf(key) ?? whole);
      this[isOpening ? "leave" : "move"](layerId(key), under, ms, area, { isOpaque: under.length > 0 });
      if (!isOpening) this.leaving.delete(layerId(key));
    }
    this[isOpening ? "move" : "leave"](layerId(over.key), own, ms, box);
    if (isOpening) this.leaving.delete(layerId(over.key));
    this.scrim(over.key, own, { ms, isComing: isOpening });
  }

  /** The keys of the layers that lie at the foot of all, without an overlay and what lies above it. */
  private lowestLayers(over: number): number[] {
    const keys = [...this.before.shot.parts, ...this.after.parts].map(({ layers }) => layers[0]);
    const own = keys.indexOf(over);
    return [...new Set(keys)].filter(
      (key, i): key is number => key !== undefined && key !== over && (own < 0 || i < own),
    );
  }

  /** A scrim goes with its overlay: as far as that has come by its first track. */
  private scrim(overlay: number, tracks: readonly Track[], { ms, isComing }: { ms: number; isComing: boolean }): void {
    const track = fadeWith(tracks, ms, isComing);
    const parts = isComing ? this.after.parts : this.before.shot.parts;
    for (const { id, region } of parts)
      if (region.role === "scrim" && region.key === overlay && region.overlay === overlay)
        this[isComing ? "move" : "leave"](id, [track], ms, region);
  }

  /** Faces and strips that stand around what moves come and go over their own edge, in the time of the move. */
  private around(shape: MotionShape): void {
    const ease = shape.incoming[0]?.ease ?? shape.outgoing[0]?.ease ?? "linear";
    const ms = shapeMs(shape);
    const { calm } = this.after.view;
    this.comeAndGo((part, isComing) => {
      const out = calm ? null : edgeOf(part);
      const [property, there] = out ?? (["opacity", 0] as const);
      const home = out ? 0 : 1;
      return { ms, track: { property, ms, ease, from: isComing ? there : home, to: isComing ? home : there } };
    }, isAround);
  }

  /** Has those parts that are there before or after alone, and that nothing moves, come or go by a track. */
  private comeAndGo(
    trackOf: (part: Part, isComing: boolean) => { track: Track; ms: number },
    isMeant: (part: Part) => boolean,
  ): void {
    const [was, is] = [this.before.shot.parts, this.after.parts];
    const [had, has] = [idsOf(was), idsOf(is)];
    const isFree = ({ id, layers }: Part): boolean =>
      (!this.movers.has(id) || this.before.movers.get(id) === this.movers.get(id)) &&
      !layers.some((key) => (this.movers.get(layerId(key))?.start ?? -1) === this.time);
    for (const part of is)
      if (!had.has(part.id) && isMeant(part) && isFree(part)) {
        const { track, ms } = trackOf(part, true);
        this.leaving.delete(part.id);
        this.move(part.id, [track], ms, part.region);
      }
    for (const part of was)
      if (!has.has(part.id) && isMeant(part) && isFree(part)) {
        const { track, ms } = trackOf(part, false);
        this.leave(part.id, [track], ms, part.region);
      }
  }

  /** A drawer slides over the edge that it stands at, as a side panel of its hub. */
  drawers(): void {
    const lens = lensOf(this.after.frame, this.after.view);
    for (const [shot, other, isComing] of [
      [this.after, this.before.shot, true],
      [this.before.shot, this.after, false],
    ] as const) {
      const drawer = shot.parts.find(({ region }) => region.role === "drawer");
      if (!drawer || other.parts.some(({ id }) => id === drawer.id)) continue;
      const hub = drawer.region.node;
      const { motion } = cascadeOf(lens, {
        kind: "side",
        node: hub,
        container: null,
        way: null,
        edge: lens.look(hub).faceEdge,
      });
      const shape = shapeOf(motion, isComing ? "forward" : "back");
      const tracks = isComing ? shape.incoming : shape.outgoing;
      const ms = shapeMs(shape);
      const key = drawer.region.key;
      const scrim = shot.parts.find(({ region }) => region.role === "scrim" && region.key === key && !region.overlay);
      this[isComing ? "move" : "leave"](drawer.id, tracks, ms, drawer.region);
      if (scrim) this[isComing ? "move" : "leave"](scrim.id, [fadeWith(tracks, ms, isComing)], ms, scrim.region);
      if (isComing) for (const part of [drawer, scrim]) if (part) this.leaving.delete(part.id);
    }
  }

  /** What is there before or after alone fades: the same state in another view. */
  fade(): void {
    if (this.after.view.calm) return;
    this.comeAndGo(
      (_, isComing) => ({
        ms: fadeMs,
        track: { property: "opacity", from: isComing ? 0 : 1, to: isComing ? 1 : 0, ms: fadeMs, ease: "linear" },
      }),
      isFace,
    );
  }

  private areaOf(key: number): Box | undefined {
    return this.after.areas.get(key) ?? this.before.shot.areas.get(key);
  }

  /** What was on screen, or was going, and leaves with a layer or by itself. */
  private goneParts(): GonePart[] {
    const there = idsOf(this.after.parts);
    const gone = new Map<MoverId, GonePart>();
    const leaveWith = ({ id, layers }: Part): MoverId | undefined =>
      [id, ...layers.map(layerId)].find((each) => this.leaving.has(each) && this.movers.has(each));
    for (const part of [...this.before.gone, ...this.before.shot.parts]) {
      if (there.has(part.id)) continue;
      const by = leaveWith(part);
      if (by !== undefined) gone.set(part.id, { ...part, by });
    }
    return [...gone.values()];
  }

  end(): Moving {
    const gone = this.goneParts();
    const drawn = new Set<MoverId>();
    for (const { id, layers } of [...this.after.parts, ...gone]) {
      drawn.add(id);
      for (const key of layers) drawn.add(layerId(key));
    }
    for (const id of this.movers.keys()) if (!drawn.has(id)) this.movers.delete(id);
    return { shot: this.after, movers: this.movers, gone };
  }
}

/** How a scrim appears or goes with what lies on it: as far as that has come by its first track. */
const fadeWith = ([first]: readonly Track[], ms: number, isComing: boolean): Track => ({
  property: "opacity",
  from: isComing ? 0 : 1,
  to: isComing ? 1 : 0,
  ms: first?.ms ?? ms,
  ease: first?.ease ?? "linear",
  ...(first?.delay !== undefined && { delay: first.delay }),
});

const idsOf = (parts: readonly Part[]): ReadonlySet<MoverId> => new Set(parts.map(({ id }) => id));

const wholeOf = ({ view: { width, height } }: Shot): Box => ({ x: 0, y: 0, width, height });

/** The least box that holds both. */
const united = (a: Box | null | undefined, b: Box | null | undefined): Box | null => {
  if (!a || !b) return a ?? b ?? null;
  const [x, y] = [Math.min(a.x, b.x), Math.min(a.y, b.y)];
  return {
    x,
    y,
    width: Math.max(a.x + a.width, b.x + b.width) - x,
    height: Math.max(a.y + a.height, b.y + b.height) - y,
  };
};

const faces = new Set(["bar", "top", "rail", "panel"]);
const isFace = ({ region }: Part): boolean => faces.has(region.role);
/** A face, or a strip: what stands around a container's children. */
const isAround = (part: Part): boolean => isFace(part) || part.region.role === "header";

/** Over which edge a face or a strip comes and goes: where it is then, in % of itself. */
const edgeOf = ({ region, shot }: Part): readonly [TrackProperty, number] => {
  if (region.role === "bar") return ["y", 100];
  if (region.role === "top" || region.role === "header") return ["y", -100];
  const { faceEdge } = lensOf(shot.frame, shot.view).look(region.node);
  return ["x", faceEdge === "end" ? 100 : -100];
};

/** What led from what is on screen to a state. */
export type Led =
  /** Moves of the engine, of one step; by the motion that each has, or all by one that is looked at. */
  | { by: "moves"; moves: readonly Move[]; motion?: Motion }
  /** The same state in another view. */
  | { by: "view" }
  /** Anything else: nothing moves. */
  | { by: "cut" };

/**
 * A state comes on screen at a time, ms of the device's clock, over what is there and under way. What goes on from before does
 * so from where it is; what is turned round has no jump in place or speed.
 */
export const begin = (before: Moving, after: Shot, led: Led, time: number): Moving => {
  if (led.by === "cut") return still(after);
  const beginning = new Beginning(led.by === "view" ? still(before.shot) : before, after, time);
  if (led.by === "view") beginning.fade();
  else {
    for (const move of led.moves) beginning.run(move, led.motion);
    beginning.drawers();
  }
  return beginning.end();
};

/** What is still under way at a time; the same value where nothing has ended since. */
export const movingAt = (moving: Moving, time: number): Moving => {
  const movers = new Map([...moving.movers].filter(([, mover]) => isUnderWay(mover, time)));
  if (movers.size === moving.movers.size) return moving;
  return { shot: moving.shot, movers, gone: moving.gone.filter(({ by }) => movers.has(by)) };
};

/** When the next mover ends; Infinity where none does by itself. */
export const nextEnd = ({ movers }: Moving): number =>
  Math.min(Infinity, ...[...movers.values()].flatMap(({ led, end }) => (led ? [] : [end])));
