import {
  begin,
  type Led,
  type LedMove,
  lead,
  ledTo,
  lensOf,
  letGo,
  type Move,
  type Mover,
  type MoverId,
  type Moving,
  movesBetween,
  movingAt,
  passedBy,
  type Shot,
  shotOf,
  type State,
  still,
  takenBack,
} from "../../../core/index.js";
import type { DeviceStep } from "../../data/device.js";
import { keyframesOf, lengthOf } from "./keyframes.js";
import type { Plays } from "./motion-context.js";

/** A move that a finger leads, from what was on screen. */
interface Leading {
  led: LedMove;
  move: Move;
  before: Shot;
  /** It was let go, and goes on to its end. */
  isEnding: boolean;
}

/** So many moves are shown one after another; of a longer way the last ones. */
const mostLegs = 3;

/** An event after which the app is another one: nothing moves from the one to the other. */
const beginsAnew = ({ event }: DeviceStep): boolean =>
  event.do === "kill" || (event.do === "link" && event.start === "cold");

/**
 * What is under way on one device. It is told each state as it comes on screen, says what is to be drawn, and has the drawn
 * moved by the browser; where each thing is then is asked of the browser, as that alone knows when a frame was shown.
 */
export class DeviceMotion implements Plays {
  private moving: Moving | null = null;
  private shown: Shot | null = null;
  private steps: readonly DeviceStep[] = [];
  /** States that are still to come on screen, one after another. */
  private waiting: { shot: Shot; led: Led }[] = [];
  private leading: Leading | null = null;
  private readonly playing = new Map<MoverId, { animation: Animation; mover: Mover }>();
  private readonly watchers = new Set<() => void>();
  private timer: ReturnType<typeof setTimeout> | undefined;
  private pace = 1;
  private clock = { at: 0, since: performance.now() };
  private turn = 0;

  /** Told each time that something else is to be drawn. */
  readonly subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };
  readonly version = (): number => this.turn;

  private changed(moving: Moving): void {
    this.moving = moving;
    this.turn += 1;
    for (const watcher of this.watchers) watcher();
  }

  /** The device's own time, ms: it goes as fast as the pace says. */
  private now(): number {
    return this.clock.at + (performance.now() - this.clock.since) * this.pace;
  }

  /** How fast all goes from now on; 0: nothing moves at all. */
  setPace(pace: number): void {
    if (pace === this.pace) return;
    this.clock = { at: this.now(), since: performance.now() };
    this.pace = pace;
    for (const { animation } of this.playing.values())
      if (pace > 0) animation.updatePlaybackRate(pace);
      else animation.finish();
    this.rest();
  }

  /** What a device is to draw of a state, once it is another than before. It may be asked again and again. */
  show(shot: Shot, steps: readonly DeviceStep[], pace: number): Moving {
    this.setPace(pace);
    if (!this.moving || !this.shown) this.moving = still(shot);
    else if (shot !== this.shown) this.moving = this.next(this.inStep(this.moving), this.shown, shot, steps);
    this.shown = shot;
    this.steps = steps;
    return this.moving;
  }

  /** Whether a state is still to come on screen after the one that is drawn. */
  get isBehind(): boolean {
    return this.waiting.length > 0;
  }

  private next(moving: Moving, was: Shot, shot: Shot, steps: readonly DeviceStep[]): Moving {
    const { leading } = this;
    const isSame = shot.state === was.state && shot.view === was.view && shot.frame === was.frame;
    if (isSame && leading) {
      // drawn anew while a finger leads: that is what it comes back to
      leading.before = shot;
      return moving;
    }
    this.waiting = [];
    this.leading = null;
    if (this.pace === 0) return still(shot);
    if (isSame) return withShot(moving, shot);
    if (shot.state === was.state) return leading ? still(shot) : begin(moving, shot, { by: "view" }, this.now());
    if (leading?.isEnding) return withShot(letGo(moving, this.now()), shot);
    const made = steps === this.steps ? [] : steps;
    if (made.at(-1)?.step.state !== shot.state || made.some(beginsAnew)) return still(shot);
    return this.along(moving, was.state, shot, made);
  }

  /** Goes along all that was on screen in some steps: at once where nothing moved, else each after the one before. */
  private along(moving: Moving, was: State, shot: Shot, steps: readonly DeviceStep[]): Moving {
    const lens = lensOf(shot.frame, shot.view);
    let before = was;
    const legs = steps
      .flatMap(({ step }) => step.passed)
      .flatMap(({ state }) => {
        const moves = movesBetween(lens, before.root, state.root);
        const isOther = moves.length > 0 || before.drawer !== state.drawer;
        before = state;
        return isOther ? [{ state, led: { by: "moves" as const, moves } }] : [];
      });
    const shotAt = (state: State): Shot => (state === shot.state ? shot : shotOf(shot.frame, state, shot.view));
    const [first, ...others] = legs.slice(-mostLegs).map(({ state, led }) => ({ shot: shotAt(state), led }));
    const last = others.at(-1) ?? first;
    // what is told after the last move, as a scroll, is there with it
    if (last) last.shot = shot;
    this.waiting = others;
    const skipped = legs.at(-mostLegs - 1);
    const from = skipped ? still(shotAt(skipped.state)) : moving;
    return begin(from, first?.shot ?? shot, first?.led ?? { by: "moves", moves: [] }, this.now());
  }

  /** What is under way, each as far as the browser has it. */
  private inStep(moving: Moving): Moving {
    const now = this.now();
    const late = new Map<number, number>();
    for (const { animation, mover } of this.playing.values())
      if (!mover.led && animation.currentTime !== null)
        late.set(mover.start, now - Number(animation.currentTime) - mover.start);
    const movers = [...moving.movers].map(([id, mover]): [MoverId, Mover] => {
      const by = late.get(mover.start) ?? 0;
      return [id, by === 0 ? mover : { ...mover, start: mover.start + by, end: mover.end + by }];
    });
    for (const [id, { mover }] of this.playing) {
      const same = movers.find(([each]) => each === id)?.[1];
      if (same && same.paths === mover.paths) this.playing.set(id, { ...this.playing.get(id)!, mover: same });
    }
    return { ...moving, movers: new Map(movers) };
  }

  /** Has the browser move what is drawn. Answers what ends that. */
  play(mover: Mover, element: HTMLElement): () => void {
    const animation = element.animate(keyframesOf(mover), { duration: lengthOf(mover), fill: "both" });
    if (this.pace > 0) animation.playbackRate = this.pace;
    const passed = passedBy(mover, this.now());
    if (mover.led) animation.pause();
    // what begins now begins with the frame that shows it first, however long that takes to draw
    if (mover.led || this.isOld(mover)) animation.currentTime = passed;
    const playing = { animation, mover };
    this.playing.set(mover.id, playing);
    this.rest();
    return () => {
      animation.cancel();
      if (this.playing.get(mover.id)?.animation === animation) this.playing.delete(mover.id);
    };
  }

  /** Whether something that is drawn anew has been under way before. */
  private isOld(mover: Mover): boolean {
    return this.begun.has(mover.paths) || !this.begun.add(mover.paths);
  }
  private readonly begun = new WeakSet<object>();

  /** Looks again once the next of what is under way has ended. */
  private rest(): void {
    clearTimeout(this.timer);
    if (!this.moving || this.moving.movers.size === 0) return;
    const moving = this.inStep(this.moving);
    const now = this.now();
    const left = [...moving.movers.values()].flatMap(({ led, end }) => (led ? [] : [end - now]));
    if (left.length === 0) return;
    const ms = this.pace > 0 ? Math.max(0, Math.min(...left)) / this.pace : 0;
    this.timer = setTimeout(() => this.ended(), ms + 1);
  }

  private ended(): void {
    if (!this.moving) return;
    const now = this.now();
    const moving = this.pace > 0 ? this.inStep(this.moving) : this.moving;
    const left = movingAt(moving, this.pace > 0 ? now + 0.5 : Infinity);
    const [next, ...others] = this.waiting;
    if (left.movers.size === 0 && next) {
      this.waiting = others;
      this.changed(begin(left, next.shot, next.led, now));
    } else if (left !== moving) this.changed(left);
    this.rest();
  }

  /** A finger begins to lead a move to a state; null where nothing moves by that. */
  lead(after: State, along: "x" | "y"): boolean {
    const { shown: before } = this;
    if (!before || !this.moving) return false;
    const shot = shotOf(before.frame, after, before.view);
    const move = movesBetween(lensOf(before.frame, before.view), before.state.root, after.root)[0];
    if (!move) return false;
    const led = lead(this.inStep(this.moving), shot, move, along, this.now());
    this.leading = { led, move, before, isEnding: false };
    this.changed(led.moving);
    return true;
  }

  /** How far the finger goes from the beginning to the end of the move that it leads, px of the view. */
  get length(): number {
    return this.leading?.led.length ?? 1;
  }

  /** The finger is at a share of its way, and goes so many of its ways a second. */
  leadTo(share: number, speed: number): void {
    const { leading } = this;
    if (!leading || leading.isEnding) return;
    this.moving = ledTo(leading.led, share, speed);
    for (const [id, { animation }] of this.playing) {
      const mover = this.moving.movers.get(id);
      if (!mover?.led) continue;
      animation.currentTime = mover.led.at;
      this.playing.set(id, { animation, mover });
    }
  }

  /** The finger lets go: what it led goes on once its event is told, or back to where it was. */
  release(goesOn: boolean): void {
    const { leading, moving } = this;
    if (!leading || !moving) return;
    if (goesOn) {
      leading.isEnding = true;
      return;
    }
    this.leading = null;
    const led: Led = this.pace > 0 ? { by: "moves", moves: [takenBack(leading.move)] } : { by: "cut" };
    this.changed(begin(moving, leading.before, led, this.now()));
  }

  /** The device is no more drawn. */
  end(): void {
    clearTimeout(this.timer);
  }
}

/** The same under way, to the same as it is drawn anew. */
const withShot = (moving: Moving, shot: Shot): Moving => ({ ...moving, shot });
