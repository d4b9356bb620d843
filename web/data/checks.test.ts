import { type CheckReport, type Finding, type Frame } from "../../core/index.js";
import { frameOf, screen, stack } from "../../core/testing/frames.js";
import type { FromChecking, ToChecking } from "../workers/checking/messages.js";
import { Checks, heardIn } from "./checks.js";

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

const finding = (code: string, severity: Finding["severity"], node: string | null): Finding => ({
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
});
const report = (findings: Finding[]): CheckReport => ({ findings, walks: [] });
const codes = (checks: Checks) => checks.get().told.findings.map(({ code }) => code);

const kept = globalThis.Worker;
const [request, cancel] = [globalThis.requestAnimationFrame, globalThis.cancelAnimationFrame];
const plain: Frame = frameOf({ app: stack(["a"]), a: screen() });
let frame = plain;
beforeEach(() => {
  frame = plain;
  globalThis.Worker = Standing as unknown as typeof Worker;
  // nothing is painted here, so nothing that waits for that comes
  Object.assign(globalThis, { requestAnimationFrame: () => 0, cancelAnimationFrame: () => undefined });
});
afterEach(() => {
  Object.assign(globalThis, { Worker: kept, requestAnimationFrame: request, cancelAnimationFrame: cancel });
});

const begun = (): [Checks, Standing] => {
  const checks = new Checks(() => frame);
  checks.begin();
  return [checks, Standing.last!];
};

test("what the frame alone shows is told at once, and with what a walk shows once that is there, the worst first", () => {
  const [checks, worker] = begun();
  worker.answer({ do: "looked", number: 1, report: report([finding("loose", "doubt", "a")]) });
  expect(codes(checks)).toEqual(["loose"]);
  worker.answer({ do: "walking", number: 1, progress: { walked: 0, views: 2, states: 7 } });
  expect(checks.get()).toMatchObject({ isFresh: false, progress: { states: 7 } });
  worker.answer({ do: "walked", number: 1, report: report([finding("trap", "fault", "a")]), ms: 3, wasStopped: false });
  expect(codes(checks)).toEqual(["trap", "loose"]);
  expect(checks.get()).toMatchObject({ isFresh: true, progress: null });
});

test("an answer about a frame that was edited since is passed over, and what was walked before stays until the next walk", () => {
  const [checks, worker] = begun();
  worker.answer({ do: "walked", number: 1, report: report([finding("trap", "fault", "a")]), ms: 3, wasStopped: false });
  frame = { ...frame, name: "Another" };
  checks.walk();
  expect(worker.asked.at(-1)).toMatchObject({ do: "check", number: 2, frame: { name: "Another" } });
  worker.answer({ do: "walked", number: 1, report: report([]), ms: 3, wasStopped: false });
  expect(codes(checks)).toEqual(["trap"]);
});

test("nodes are marked by faults and doubts that nobody silenced", () => {
  frame = { ...plain, quiet: [{ rule: "titles-twice", node: "b", why: "Meant so." }] };
  const [checks, worker] = begun();
  const findings = [
    finding("loose", "doubt", "a"),
    finding("contrast", "fault", null),
    finding("no-address", "hint", "a"),
    finding("titles-twice", "doubt", "b"),
  ];
  worker.answer({ do: "looked", number: 1, report: report(findings) });
  expect([...checks.marks.get().at].map(([id, at]) => [id, at.length])).toEqual([["a", 1]]);
});

test("what is silenced is so at once, before anything is looked at again, and is marked no more", () => {
  const [checks, worker] = begun();
  worker.answer({ do: "walked", number: 1, report: report([finding("trap", "fault", "a")]), ms: 3, wasStopped: false });
  expect(checks.marks.get().at.has("a")).toBe(true);
  frame = { ...plain, quiet: [{ rule: "trap", node: "a", why: "Meant so." }] };
  checks.carryOver();
  expect(checks.get().told.findings).toMatchObject([{ code: "trap", quiet: "Meant so." }]);
  expect([heardIn(checks.get()), checks.marks.get().at.has("a")]).toEqual([[], false]);
  frame = plain;
  checks.carryOver();
  expect(heardIn(checks.get())).toHaveLength(1);
  checks.close();
});

test("what was mended is heard no more until the next walk says whether it is gone", () => {
  const [checks, worker] = begun();
  const found = report([finding("trap", "fault", "a")]);
  worker.answer({ do: "walked", number: 1, report: found, ms: 3, wasStopped: false });
  checks.noteMended(checks.get().told.findings[0]!);
  expect([heardIn(checks.get()).length, checks.marks.get().at.size, codes(checks)]).toEqual([0, 0, ["trap"]]);
  worker.answer({ do: "walked", number: 1, report: found, ms: 3, wasStopped: false });
  expect(heardIn(checks.get())).toHaveLength(1);
});

test("what silences nothing is told once neither half found it", () => {
  frame = { ...plain, quiet: [{ rule: "loose", node: "a", why: "It was." }] };
  const [checks, worker] = begun();
  worker.answer({ do: "looked", number: 1, report: report([]) });
  expect(checks.get().told.stale).toEqual([]);
  worker.answer({ do: "walked", number: 1, report: report([]), ms: 1, wasStopped: false });
  expect(checks.get().told.stale).toEqual(frame.quiet);
});
