import type { Head } from "./revisions.js";

/** The newest revision of frames that were read lately, held in memory: so many nodes of all together, but the last one in any case. */
export class Heads {
  /** The one that was asked for last stands last. */
  private readonly held = new Map<string, Head>();
  private nodes = 0;

  constructor(private readonly mostNodes = 200_000) {}

  get(id: string): Head | undefined {
    const head = this.held.get(id);
    if (head) {
      this.held.delete(id);
      this.held.set(id, head);
    }
    return head;
  }

  /** Holds a head; of two that were read at once the newer one. */
  keep(head: Head): void {
    const before = this.held.get(head.id);
    if ((before?.revision ?? 0) >= head.revision) return;
    this.letGo(head.id);
    this.held.set(head.id, head);
    this.nodes += sizeOf(head);
    for (const [id] of this.held) {
      if (this.nodes <= this.mostNodes || this.held.size === 1) return;
      this.letGo(id);
    }
  }

  private letGo(id: string): void {
    const head = this.held.get(id);
    if (!head) return;
    this.nodes -= sizeOf(head);
    this.held.delete(id);
  }
}

const sizeOf = ({ frame }: Head): number => Object.keys(frame.nodes).length;
