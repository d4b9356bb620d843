import { nowNamed, type Part, type Renames } from "../../core/index.js";
import { External } from "./external.js";

/** What is chosen on the plan: a node, in one of its places. */
export type Chosen = Part;

/** What the bench shows instead of what is chosen: how the frame's devices are drawn, which there are, a list to make, ways. */
export const panels = ["theme", "devices", "list", "routes"] as const;
export type Panel = (typeof panels)[number];

/** These are about what is chosen too, so that choosing something else leaves them open. */
const staying: readonly (Panel | null)[] = ["list", "routes"];

/** What a person looks at in the frame. */
export interface Selected {
  chosen: Chosen | null;
  /** What is chosen with it. */
  others: readonly Chosen[];
  /**
   * What is chosen is to have the focus where it is drawn, so that keys go on from there: as something over the plan is
   * closed, or (`found`) as it was asked for from elsewhere, and has to come into sight.
   */
  reveal: "focus" | "found" | null;
  /** What the bench shows instead of what is chosen. */
  panel: Panel | null;
  /** The choice is a step of its own in the page's history, which is yet to be written there. */
  isStep: boolean;
}

/** More about a choice. */
export interface ChooseMore {
  others?: readonly Chosen[] | undefined;
  /** It was asked for from elsewhere: it comes into sight and takes the focus. */
  found?: boolean;
  /** Back takes it back. */
  isStep?: boolean;
}

const noOthers: readonly Chosen[] = [];

/** What is chosen, and what the bench shows. */
export class Selection extends External<Selected> {
  constructor() {
    super({ chosen: null, others: noOthers, reveal: null, panel: null, isStep: false });
  }

  choose(chosen: Chosen | null, { others = noOthers, found = false, isStep = false }: ChooseMore = {}): void {
    const now = this.get();
    this.set({
      chosen,
      others,
      reveal: found ? "found" : null,
      panel: staying.includes(now.panel) ? now.panel : null,
      isStep: now.isStep || isStep,
    });
  }

  /** The choice stands in the page's history. */
  written(): void {
    this.set({ isStep: false });
  }

  /** Shows something of the whole frame on the bench; null goes back to what is chosen. */
  showPanel(panel: Panel | null): void {
    this.set({ panel });
  }

  /** The focus goes to the plan, to what is chosen there. */
  focusPlan(): void {
    this.set({ reveal: this.get().reveal ?? "focus" });
  }

  /** What was asked for has the focus. */
  revealed(): void {
    this.set({ reveal: null });
  }

  /** What is chosen goes on under the ids that it has now. */
  rename(renamed: Renames): void {
    if (Object.keys(renamed).length === 0) return;
    const now = ({ id, parent }: Chosen): Chosen => ({
      id: nowNamed(id, renamed),
      parent: parent && nowNamed(parent, renamed),
    });
    const { chosen, others } = this.get();
    this.set({ chosen: chosen && now(chosen), others: others.map(now) });
  }
}
