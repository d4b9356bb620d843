import { applyEdit } from "../edit/apply.js";
import type { Edit } from "../edit/edit.js";
import { sure } from "../frame/sure.js";
import type { Frame } from "../frame/types.js";
import type { Bounds } from "../walk/bounds.js";
import { checkExamples } from "../testing/check-examples.js";
import { checkedAtOnce, Checking } from "./checking.js";
import { type Told, toldOf } from "./finding.js";
import { MendTrial, type TriedMend, verdictOn } from "./mend-trial.js";

const toldIn = (frame: Frame): Told => {
  const checking = new Checking(frame);
  while (checking.advance(1000));
  return toldOf(frame, checkedAtOnce(frame).findings, checking.report().findings);
};

const tried = (frame: Frame, edit: Edit, bounds: Partial<Bounds> = {}): TriedMend => {
  const result = applyEdit(frame, edit);
  if (!result.ok) throw new Error("the edit cannot be made");
  const trial = new MendTrial(result.frame, bounds);
  while (trial.advance(1000));
  return trial.tried();
};

const { faulty } = sure(checkExamples["behind-back"]);
const told = toldIn(faulty);
const finding = sure(told.findings.find(({ code }) => code === "behind-back"));
const { edit } = sure(finding.mends[0]);

test("of a mend it is told that the finding is gone, in how many states", () => {
  const { isClean, says } = verdictOn(finding, told, tried(faulty, edit));
  expect(isClean).toBe(true);
  expect(says).toMatch(/^Tried: it is gone, and nothing else comes with it \(all \d+ states walked\)\.$/);
});

test("what changes nothing of it leaves it there", () => {
  const other: Edit = { kind: "set", node: "books", key: "title", value: "Books" };
  const { isClean, says } = verdictOn(finding, told, tried(faulty, other));
  expect(isClean).toBe(false);
  expect(says).toMatch(/^Tried: it is still there, by another way \(/);
});

test("faults and doubts that come with a mend are named, those that were there are not", () => {
  const leading: Edit = {
    kind: "set",
    node: "splash",
    key: "after",
    value: { ms: 900, do: { kind: "open", to: "splash", how: "replace" } },
  };
  const { findings } = tried(faulty, leading);
  expect(findings.map(({ code }) => code)).toContain("unreached");
  const { isClean, says } = verdictOn(finding, told, { findings, states: 1200, isWhole: true });
  expect(isClean).toBe(false);
  expect(says).toMatch(/^Tried: it is gone, and with it comes “.+” \(all 1,200 states walked\)\.$/);
});

test("where not all states were walked, that is said", () => {
  expect(verdictOn(finding, told, tried(faulty, edit, { mostStates: 1 })).says).toContain(
    "(2 states walked, not all).",
  );
});
