import { type CheckReport, type Finding, type Frame } from "../../core/index.js";
import { frameOf, screen, stack } from "../../core/testing/frames.js";
import type { FromChecking, ToChecking } from "../workers/checking/messages.js";
import { Checks, findingsOf, staleOf } from "./checks.js";

/** A worker that answers when it is told to. */
class Standing {
  static last: Standing | null = null;
  readonly asked: ToChecking[] = [];
  private answered: ((event: { data: FromChecking }) => void) | null = null;
  constructor() {
    Standing.last = this;
  }
  addEventListener(kind: string, listener: (event: { data: FromChecking }) => void): void {
    if (kind === "message") this.answered = listener;
  }
  postMessage(message: ToChecking): void {
    this.asked.push(message);
  }
  answer(data: FromChecking): void {
    this.answered?.({ data });
  }
  terminate(): void {}
}

const finding = (
  code: string,
  severity: Finding["severity"],
  node: string | null,
  quiet: string | null = null,
): Finding => ({
  code,
  group: "back",
  severity,
  node,
  key: null,
  says: code,
  detail: "",
  why: "",
  where: [],
  facts: null,
  show: null,
  mends: [],
  quiet,
});
const report = (findings: Finding[], stale: CheckReport["stale"] = []): CheckReport => ({ findings, stale, walks: [] });

const kept = globalThis.Worker;
let frame: Frame = frameOf({ app: stack(["a"]), a: screen() });
beforeEach(() => {
  globalThis.Worker = Standing as unknown as typeof Worker;
});
afterEach(() => {
  globalThis.Worker = kept;
});

const begun = (): [Checks, Standing] => {
  const checks = new Checks(() => frame);
  checks.begin();
  return [checks, Standing.last!];
};

test("what the frame alone shows is told at once, and with what a walk shows once that is there, the worst first", () => {
  const [checks, worker] = begun();
  worker.answer({ do: "looked", number: 1, report: report([finding("loose", "doubt", "a")]) });
  expect(findingsOf(checks.get()).map(({ code }) => code)).toEqual(["loose"]);
  worker.answer({ do: "walking", number: 1, progress: { walked: 0, views: 2, states: 7 } });
  expect(checks.get()).toMatchObject({ isFresh: false, progress: { states: 7 } });
  worker.answer({ do: "walked", number: 1, report: report([finding("trap", "fault", "a")]), ms: 3, wasStopped: false });
  expect(findingsOf(checks.get()).map(({ code }) => code)).toEqual(["trap", "loose"]);
  expect(checks.get()).toMatchObject({ isFresh: true, progress: null });
});

test("an answer about a frame that was edited since is passed over, and what was walked before stays until the next walk", () => {
  const [checks, worker] = begun();
  worker.answer({ do: "walked", number: 1, report: report([finding("trap", "fault", "a")]), ms: 3, wasStopped: false });
  frame = { ...frame, name: "Another" };
  checks.walk();
  expect(worker.asked.at(-1)).toMatchObject({ do: "check", number: 2, frame: { name: "Another" } });
  worker.answer({ do: "walked", number: 1, report: report([]), ms: 3, wasStopped: false });
  expect(findingsOf(checks.get()).map(({ code }) => code)).toEqual(["trap"]);
});

test("nodes are marked by faults and doubts that nobody silenced", () => {
  const [checks, worker] = begun();
  const findings = [
    finding("loose", "doubt", "a"),
    finding("contrast", "fault", null),
    finding("no-address", "hint", "a"),
    finding("titles-twice", "doubt", "b", "Meant so."),
  ];
  worker.answer({ do: "looked", number: 1, report: report(findings) });
  expect([...checks.marks.get().at].map(([id, at]) => [id, at.length])).toEqual([["a", 1]]);
});

test("what silences nothing is told once neither half found it", () => {
  const [checks, worker] = begun();
  const [gone, there] = [
    { rule: "loose", node: "a", why: "It was." },
    { rule: "trap", node: "b", why: "It is." },
  ];
  worker.answer({ do: "looked", number: 1, report: report([], [gone, there]) });
  expect(staleOf(checks.get())).toEqual([]);
  worker.answer({ do: "walked", number: 1, report: report([], [gone]), ms: 1, wasStopped: false });
  expect(staleOf(checks.get())).toEqual([gone]);
});
