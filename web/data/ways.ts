import { classOf, equal, type FirstWays, type Frame, type View } from "../../core/index.js";
import type { Checks } from "./checks.js";
import { External } from "./external.js";
import type { LiveDevice } from "./live-device.js";
import { oncePainted } from "./once-painted.js";

/** How a person comes to each screen, as it was found last. */
export interface Found {
  /** The best first; none as long as nothing was found. */
  ways: readonly FirstWays[];
}

/** Ways are looked for anew so long after the last change, ms. */
const pause = 250;

/** How a person comes to each screen of the open frame in the view of the device: found by walking it, again after each edit. */
export class Ways extends External<Found> {
  private callOff: (() => void) | null = null;
  /** What it was asked of last. */
  private asked: { frame: Frame; view: View } | null = null;

  constructor(
    private readonly frame: () => Frame,
    private readonly live: LiveDevice,
    private readonly checks: Checks,
  ) {
    super({ ways: [] });
  }

  /** Begins to look; the answer ends it. */
  begin(): () => void {
    this.callOff = oncePainted(() => this.look());
    const end = this.live.subscribe(() => {
      if (this.live.get().device.view !== this.asked?.view) this.carryOver();
    });
    return () => {
      this.callOff?.();
      end();
    };
  }

  /** The frame or the view is another. Ways found before lead on, wherever they are still so: others are looked for once nothing has changed for a while. */
  carryOver(): void {
    this.callOff?.();
    this.callOff = oncePainted(() => this.look(), pause);
  }

  /** Looks again where the frame or the view is another. */
  look(): void {
    const [frame, { view }] = [this.frame(), this.live.get().device];
    const { asked } = this;
    if (asked?.frame === frame && (asked.view === view || isAlike(frame, asked.view, view))) return;
    const mine = { frame, view };
    this.asked = mine;
    void this.checks.ask({ want: "ways", view }).then((ways) => {
      if (!ways || this.asked !== mine) return;
      // what is the same is kept as the same object: nothing is drawn again
      if (!equal(ways, this.get().ways[0])) this.set({ ways: [ways] });
    });
  }
}

/** Whether an app does the same in two views. */
const isAlike = (frame: Frame, a: View, b: View): boolean => equal(classOf(frame, a), classOf(frame, b));
