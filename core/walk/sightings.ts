import type { Id } from "../frame/parts.js";

/** What a walk looks out for. */
export type Watched = "trap" | "swipe" | "strips" | "unmet" | "passed" | "leaves" | "draft" | "round" | "stuck";

/** What was seen in states, or on the way from one to another: how often, and where first. */
export interface Sighting {
  count: number;
  /** The state it was first seen in, and the choice there that shows it; -1 where the state shows it by itself. */
  state: number;
  choice: number;
}

/** All that was seen, by what it is and the screen it was seen on; null where none shows. */
export class Sightings {
  private readonly seen = new Map<Watched, Map<Id | null, Sighting>>();

  see(what: Watched, on: Id | null, state: number, choice = -1): void {
    let seen = this.seen.get(what);
    if (!seen) this.seen.set(what, (seen = new Map()));
    const known = seen.get(on);
    if (known) known.count += 1;
    else seen.set(on, { count: 1, state, choice });
  }

  of(what: Watched): Sighting[] {
    return [...(this.seen.get(what)?.values() ?? [])];
  }

  all(): { what: Watched; node: Id | null; sighting: Sighting }[] {
    return [...this.seen].flatMap(([what, on]) => [...on].map(([node, sighting]) => ({ what, node, sighting })));
  }
}
