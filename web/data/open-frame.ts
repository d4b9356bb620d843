import type { View } from "../../core/index.js";
import { Checks } from "./checks.js";
import { Editing } from "./editing.js";
import { LiveDevice } from "./live-device.js";
import { Sizes } from "./sizes.js";
import { Selection } from "./selection.js";
import { Ways } from "./ways.js";
import type { HeadAnswer } from "./frame-path.js";

/** One open frame: what is edited, the device that follows it, and what is chosen of it, each on its own. */
export class OpenFrame {
  readonly editing: Editing;
  readonly live: LiveDevice;
  readonly sizes: Sizes;
  readonly checks: Checks;
  readonly ways: Ways;
  readonly selection = new Selection();

  constructor(head: HeadAnswer, given: Partial<View>) {
    this.editing = new Editing(head);
    const frame = () => this.editing.get().frame;
    this.live = new LiveDevice(head.id, frame, given);
    this.sizes = new Sizes(head.id, frame, this.live);
    this.checks = new Checks(frame);
    this.ways = new Ways(frame, this.live, this.checks);
    this.editing.follow((before, frame, renamed) => {
      this.live.carryOver(before, frame, renamed);
      this.sizes.carryOver(before, frame, renamed);
      this.selection.rename(renamed);
      this.checks.carryOver();
      this.ways.carryOver();
    });
  }

  /** Follows what others do to the frame, and sends what waits; the answer ends both. */
  open(): () => void {
    const close = this.editing.open();
    const end = this.ways.begin();
    addEventListener("pagehide", this.live.keep);
    return () => {
      close();
      end();
      this.checks.close();
      this.live.keep();
      removeEventListener("pagehide", this.live.keep);
    };
  }
}
