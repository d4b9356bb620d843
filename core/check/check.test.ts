import fc from "fast-check";
import { applyEdit } from "../edit/apply.js";
import { faultsOf } from "../faults/faults.js";
import type { Frame } from "../frame/types.js";
import { plainFrame } from "../frame/write.js";
import { launch, step } from "../navigate/step.js";
import { anyFrame } from "../testing/arbitrary.js";
import { frameOf, hub, opening, screen, stack } from "../testing/frames.js";
import { checkExamples } from "../testing/check-examples.js";
import { sure } from "../frame/sure.js";
import { viewInBand, walkedClasses } from "../walk/classes.js";
import { reportOf } from "../walk/report.js";
import { Walk } from "../walk/walk.js";
import { check, checkedOf } from "./check.js";
import { checkedAtOnce, Checking } from "./checking.js";
import { type CheckReport, type Finding, toldOf } from "./finding.js";
import { rules } from "./rules.js";

const known = new WeakMap<Frame, CheckReport>();
/** What a whole check of a frame finds: each frame is walked once, however often it is asked about. */
const reported = (frame: Frame): CheckReport => {
  const before = known.get(frame);
  if (before) return before;
  const walks = walkedClasses(frame).map(({ view }) => {
    const walk = new Walk(frame, view);
    while (walk.advance(1000));
    return reportOf(walk);
  });
  const report = check(checkedOf(frame, walks));
  known.set(frame, report);
  return report;
};
const ofRule = (frame: Frame, code: string) => reported(frame).findings.filter((finding) => finding.code === code);

test("each rule has an example, and each example is of a rule", () => {
  expect(Object.keys(checkExamples).sort()).toEqual(rules.map(({ code }) => code).sort());
});

describe.each(rules)("$code", ({ code }) => {
  const { faulty, clean } = sure(checkExamples[code], `the example of ${code}`);

  test("finds its fault, and not in a frame that is nearly equal", () => {
    expect([faultsOf(faulty), faultsOf(clean)]).toEqual([[], []]);
    expect(ofRule(faulty, code).length).toBeGreaterThan(0);
    expect(ofRule(clean, code)).toEqual([]);
  });

  test("each of its mends takes the finding away by one edit, which is undone by one", () => {
    for (const { node, key, says, mends } of ofRule(faulty, code))
      for (const { edit } of mends) {
        const mended = applyEdit(plainFrame(faulty), edit);
        if (!mended.ok) throw new Error(`the mend of ${code} is refused`);
        const left = ofRule(mended.frame, code).filter(
          (each) => each.node === node && each.key === key && each.says === says,
        );
        expect(left).toEqual([]);
        const back = applyEdit(mended.frame, mended.inverse);
        expect(back.ok && back.frame).toEqual(plainFrame(faulty));
      }
  });

  test("what shows it can be played", () => {
    for (const { show } of ofRule(faulty, code)) {
      if (!show) continue;
      const view = viewInBand(faulty, show.where.target, show.where.band);
      let at = launch(faulty, view, show.beginning.facts, show.beginning.url ?? undefined);
      for (const event of show.events) {
        const before = at.state;
        at = step(faulty, view, before, event);
        expect(at.state === before ? event : null).toBeNull();
      }
    }
  });
});

test("the foot of a sheet that covers its tab alone lies under a floating bar too, and not that of one that covers the bar", () => {
  const sheet = (over: "region" | "all"): Frame =>
    frameOf({
      app: stack(["home"]),
      home: hub(["loansTab", "books"], { floating: true }),
      loansTab: stack(["loans", "late"]),
      loans: screen({ actions: [opening("late")] }),
      late: screen({
        opens: "sheet",
        over,
        actions: [{ id: "done", label: "Done", place: "footer", do: { kind: "back" } }],
      }),
      books: screen(),
    });
  const [found, ...more] = ofRule(sheet("region"), "floating-covers");
  expect([found?.node, found?.key, more]).toEqual(["late", "over", []]);
  expect(found?.mends.map(({ edit }) => edit)).toMatchObject([{ node: "late", key: "over", value: "all" }]);
  expect(ofRule(sheet("all"), "floating-covers")).toEqual([]);
});

describe("what is silenced", () => {
  const { faulty, clean } = sure(checkExamples.loose);
  const told = (frame: Frame, isWalked = true) =>
    toldOf(frame, checkedAtOnce(frame).findings, isWalked ? reported(frame).findings.filter(needsWalk) : null);
  const needsWalk = ({ code }: Finding) => rules.some((rule) => rule.code === code && rule.needsWalk);

  test("a finding with its rule and node in `quiet` stays, with the reason", () => {
    const quiet = [{ rule: "loose", node: "late", why: "Comes next month." }];
    const { findings, stale } = told({ ...faulty, quiet });
    expect(findings.filter(({ code }) => code === "loose")).toMatchObject([
      { node: "late", quiet: "Comes next month.", isWalked: false },
    ]);
    expect(stale).toEqual([]);
  });

  test("what silences nothing any more is told once the frame was walked as well", () => {
    const quiet = [{ rule: "loose", node: "books", why: "It was loose." }];
    expect(told({ ...clean, quiet }).stale).toEqual([{ rule: "loose", node: "books", why: "It was loose." }]);
    expect(told({ ...clean, quiet }, false).stale).toEqual([]);
  });

  test("what a walk found is silenced like what the frame alone shows, and both stand the worst first", () => {
    const { faulty: frame } = sure(checkExamples.trap);
    const quiet = [{ rule: "trap", node: ofRule(frame, "trap")[0]!.node!, why: "Meant so." }];
    const { findings } = told({ ...frame, quiet });
    expect(findings.find(({ code }) => code === "trap")).toMatchObject({ quiet: "Meant so.", isWalked: true });
    const order = ["fault", "doubt", "hint"];
    const ranks = findings.map(({ severity }) => order.indexOf(severity));
    expect(ranks).toEqual([...ranks].sort());
  });

  test("it follows its node through a rename, and goes with it", () => {
    const frame = plainFrame({ ...faulty, quiet: [{ rule: "loose", node: "late", why: "Next." }] });
    const renamed = applyEdit(frame, { kind: "rename", id: "late", to: "overdue" });
    expect(renamed.ok && renamed.frame.quiet).toEqual([{ rule: "loose", node: "overdue", why: "Next." }]);
    const removed = applyEdit(frame, { kind: "remove", id: "late" });
    expect(removed.ok && removed.frame.quiet).toBeUndefined();
  });
});

test("the worst comes first, and what holds in every view names none", () => {
  const { findings } = reported(sure(checkExamples.trap).faulty);
  const order = ["fault", "doubt", "hint"];
  const ranks = findings.map(({ severity }) => order.indexOf(severity));
  expect(ranks).toEqual([...ranks].sort());
  expect(findings[0]).toMatchObject({ code: "trap", where: [] });
});

test("where nothing was walked, rules that ask a walk find nothing, and all others do", () => {
  const { faulty } = sure(checkExamples.trap);
  const { findings, walks } = check(checkedOf({ ...faulty, nodes: { ...faulty.nodes, extra: { kind: "screen" } } }));
  expect(walks).toEqual([]);
  expect(findings.map(({ code }) => code)).toEqual(expect.arrayContaining(["loose"]));
  expect(findings.map(({ code }) => code)).not.toContain("trap");
});

test("on any frame no rule fails, every mend can be made and leaves a sound frame, and of rules that look at the frame alone it takes the finding away", () => {
  const apart = (frame: Frame): [Finding[], Finding[]] => {
    const checking = new Checking(frame, { mostStates: 60 });
    while (checking.advance(100));
    return [checking.report().findings, checkedAtOnce(frame).findings];
  };
  fc.assert(
    fc.property(anyFrame(), (frame) => {
      const [walked, looked] = apart(frame);
      for (const { mends } of walked)
        for (const { edit } of mends) {
          const mended = applyEdit(frame, edit);
          expect(mended.ok && faultsOf(mended.frame)).toEqual([]);
        }
      const tried = new Set<string>();
      for (const { code, node, key, says, mends } of looked) {
        if (tried.has(code)) continue;
        tried.add(code);
        for (const { edit } of mends) {
          const mended = applyEdit(frame, edit);
          if (!mended.ok) throw new Error(`the mend of ${code} is refused`);
          expect(faultsOf(mended.frame)).toEqual([]);
          const left = checkedAtOnce(mended.frame).findings;
          expect(
            left.filter((each) => each.code === code && each.node === node && each.key === key && each.says === says),
          ).toEqual([]);
        }
      }
    }),
    { numRuns: 60, endOnFailure: true },
  );
}, 60_000);
