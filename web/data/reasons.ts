import type { explain, explainEdit } from "../../core/index.js";

/** What tells why: it is loaded with what shows it, so that nothing else waits for it. */
export interface Tell {
  explain: typeof explain;
  explainEdit: typeof explainEdit;
}

/** So many reasons that nobody asked for stand behind one another, at most. */
const deepest = 50;

/** Why something happened, in sentences, the most telling first: found out when somebody asks, and then known. */
export class Reasons {
  private readonly depth: number;

  private constructor(
    private find: ((tell: Tell) => readonly string[]) | null,
    /** What is shown if there is nothing to say. */
    private before: Reasons | null,
    private found: readonly string[],
  ) {
    this.depth = before ? before.depth + 1 : 0;
  }

  static of(sentences: readonly string[]): Reasons {
    return new Reasons(null, null, sentences);
  }

  /** Those that are found so; where there are none, those of before. */
  static found(find: (tell: Tell) => readonly string[], before: Reasons = noReasons): Reasons {
    return new Reasons(find, before.depth < deepest ? before : before.oldest, []);
  }

  /** The sentences. */
  by(tell: Tell): readonly string[] {
    if (this.find) {
      const own = this.find(tell);
      this.found = own.length ? own : (this.before?.by(tell) ?? []);
      this.find = this.before = null;
    }
    return this.found;
  }

  private get oldest(): Reasons {
    return this.before?.oldest ?? this;
  }
}

/** Where nothing is said. */
export const noReasons = Reasons.of([]);
