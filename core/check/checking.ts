import type { Frame } from "../frame/types.js";
import { type Bounds } from "../walk/bounds.js";
import { walkedClasses } from "../walk/classes.js";
import { reportOf, type WalkReport } from "../walk/report.js";
import { Walk } from "../walk/walk.js";
import { check, checkedOf } from "./check.js";
import type { CheckReport } from "./finding.js";
import { rules } from "./rules.js";

/** How far a check has come. */
export interface CheckProgress {
  /** Views that were walked, of so many in which the app behaves differently. */
  walked: number;
  views: number;
  /** States found so far, in all of them. */
  states: number;
}

/** Finds what is wrong by looking at the frame alone: the rules that ask no walk. */
export const checkedAtOnce = (frame: Frame): CheckReport =>
  check(
    checkedOf(frame),
    rules.filter(({ needsWalk }) => !needsWalk),
  );

/** A check that walks every view, in slices, and then asks the rules that want a walk. */
export class Checking {
  private readonly classes;
  private readonly walks: WalkReport[] = [];
  private walk: Walk | null = null;
  private states = 0;

  constructor(
    readonly frame: Frame,
    private readonly bounds: Partial<Bounds> = {},
  ) {
    this.classes = walkedClasses(frame);
  }

  get progress(): CheckProgress {
    const states = this.states + (this.walk?.states.count ?? 0);
    return { walked: this.walks.length, views: this.classes.length, states };
  }

  /** Goes on from so many more states. False once every view was walked. */
  advance(most: number): boolean {
    const at = this.classes[this.walks.length];
    if (!at) return false;
    this.walk ??= new Walk(this.frame, at.view, this.bounds);
    if (this.walk.advance(most)) return true;
    this.keep(this.walk);
    return this.walks.length < this.classes.length;
  }

  private keep(walk: Walk): void {
    this.walks.push(reportOf(walk));
    this.states += walk.states.count;
    this.walk = null;
  }

  /** Ends the walk of the view it is in: of what was not come to there nothing is said. It goes on with the next. */
  leaveView(): void {
    if (!this.walk) return;
    this.walk.isFull = true;
    this.keep(this.walk);
  }

  /** What the rules that ask a walk find in what was walked so far. */
  report(): CheckReport {
    return check(
      checkedOf(this.frame, this.walks),
      rules.filter(({ needsWalk }) => needsWalk),
    );
  }
}
