import {
  applyEdit,
  type Edit,
  type FirstWays,
  type Frame,
  routesBetween,
  Scout,
  Standpoints,
  type TriedMend,
  MendTrial,
  type View,
  wayRows,
} from "../../../core/index.js";
import type { Answers, Question, Wanted } from "./messages.js";
import { inSlices } from "./slices.js";

/** A way is looked for so long, ms: on a frame with thousands of screens those that are found by then have to do. */
const mostMs = 4_000;

/** A mend is tried in so many states of each view, at most. */
const mostTried = 50_000;

/** Answers what is asked of one frame; no further than it is asked, and ways are found once for each view. */
export class Answering {
  private readonly waysIn = new Map<string, Promise<FirstWays>>();

  constructor(
    readonly frame: Frame,
    /** Whether it is the frame that is open. */
    private readonly isOpen: () => boolean,
  ) {}

  /** The answer to a question; null where another frame came in between. */
  async to(question: Question): Promise<Answers[Wanted] | null> {
    const answer = await this.found(question);
    return this.isOpen() ? answer : null;
  }

  private async found(question: Question): Promise<Answers[Wanted]> {
    const { frame } = this;
    switch (question.want) {
      case "ways":
        return this.ways(question.view);
      case "reach":
        return (await this.scouted(new Scout(frame, question.view, question.facts))).reached;
      case "routes":
        return routesBetween(await this.points(question.view), question.from, question.to);
      case "table":
        return wayRows(await this.points(question.view));
      case "mends": {
        const tried: (TriedMend | null)[] = [];
        for (const edit of question.edits) tried.push(await this.tried(edit));
        return tried;
      }
    }
  }

  /** What the app would be like with an edit made; null where that cannot be. */
  private async tried(edit: Edit): Promise<TriedMend | null> {
    const result = applyEdit(this.frame, edit);
    if (!result.ok) return null;
    const trying = new MendTrial(result.frame, { mostStates: mostTried });
    const until = performance.now() + mostMs;
    await inSlices(
      (steps) => trying.advance(steps),
      () => {
        if (performance.now() > until) trying.leaveView();
        return this.isOpen();
      },
    );
    return trying.tried();
  }

  private async points(view: View): Promise<Standpoints> {
    return new Standpoints(this.frame, view, [await this.ways(view)]);
  }

  private ways(view: View): Promise<FirstWays> {
    const key = JSON.stringify(view);
    let ways = this.waysIn.get(key);
    if (!ways) {
      ways = this.scouted(new Scout(this.frame, view)).then((scout) => scout.ways());
      this.waysIn.set(key, ways);
    }
    return ways;
  }

  private async scouted(scout: Scout): Promise<Scout> {
    const until = performance.now() + mostMs;
    await inSlices(
      (steps) => scout.advance(steps),
      () => this.isOpen() && performance.now() < until,
    );
    return scout;
  }
}
