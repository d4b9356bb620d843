import { hasNeeds, unmetOf } from "../frame/needs.js";
import type { Facts } from "../frame/parts.js";
import { sure } from "../frame/sure.js";
import type { FixedFrame } from "../frame/types.js";
import { entriesInside } from "../navigate/entries.js";
import type { Entry } from "../navigate/state.js";
import { nothing } from "./hidden.js";
import type { Interned } from "./interned.js";

const lacksIn = (frame: FixedFrame, facts: Facts, entry: Entry): boolean => {
  if (!("params" in entry)) return false;
  if (unmetOf(frame, facts, entry.node)) return true;
  return entriesInside(entry).some((inner) => lacksIn(frame, facts, inner));
};

/** Tells states that hold an entry whose needs are unmet: it is worked out once for each shape, and for what lies in places once for all facts. */
export class Lacking {
  private readonly inShapes: boolean[] = [];
  private readonly inEntries: boolean[][] = [];
  private readonly mayBe: boolean;

  constructor(
    private readonly frame: FixedFrame,
    private readonly interned: Interned,
  ) {
    this.mayBe = hasNeeds(frame);
  }

  /** Whether one is in the state whose numbers begin there. */
  isIn(numbers: Int32Array, start: number): boolean {
    const { frame, interned } = this;
    if (!this.mayBe) return false;
    const { id, places, state } = sure(interned.shapes[numbers[start] ?? 0], "a shape");
    if ((this.inShapes[id] ??= lacksIn(frame, state.facts, state.root))) return true;
    const known = (this.inEntries[interned.factsNumber(state.facts)] ??= []);
    for (let place = 1; place <= places; place += 1) {
      const number = numbers[start + place] ?? nothing;
      const entry = interned.entries[number];
      if (entry && (known[number] ??= lacksIn(frame, state.facts, entry))) return true;
    }
    return false;
  }
}
