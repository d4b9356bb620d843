import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { applyEdit, checkedAtOnce, Checking, type Frame, type Node, sure, viewOf, Walk } from "../core/index.js";
import { slowWalk } from "../core/testing/slow-walk.js";
import { readFrame } from "../shape/read.js";
import { largeFrame } from "./frames.js";
import { type Figure, timeOf } from "./measure.js";

const fileOf = (name: string): string => join(import.meta.dirname, "..", "demo", `${name}.frame.json`);
const demo = (name: string): Frame => {
  const result = readFrame(readFileSync(fileOf(name), "utf8"));
  if (!result.ok) throw new Error(`the demo ${name} has faults`);
  return result.frame;
};

/** Five tabs, each with a list that leads to five screens, and each of those to one more: 1,140,480 states. */
const millionFrame = (): Frame => {
  const tabs = ["p", "q", "r", "s", "t"];
  const nodes: Record<string, Node> = {
    app: { kind: "stack", children: ["home"] },
    home: { kind: "hub", children: tabs.map((tab) => `${tab}Tab`) },
  };
  const opening = (to: string) => ({
    id: to,
    label: to,
    place: "body" as const,
    do: { kind: "open" as const, to },
  });
  for (const tab of tabs) {
    const inner = ["One", "Two", "Three", "Four", "Five"].map((name) => `${tab}${name}`);
    nodes[`${tab}Tab`] = { kind: "stack", children: [tab, ...inner, `${tab}End`] };
    nodes[tab] = { kind: "screen", actions: inner.map(opening) };
    for (const id of inner) nodes[id] = { kind: "screen", actions: [opening(`${tab}End`)] };
    nodes[`${tab}End`] = { kind: "screen" };
  }
  return { format: "handy-frame/2", name: "Many states", root: "app", nodes };
};

/** The fastest of some walks over a frame: states a second, and the walk. */
const walked = (frame: Frame, mostStates: number, rounds: number): { rate: number; walk: Walk } => {
  let best = { rate: 0, walk: new Walk(frame, viewOf(frame)) };
  for (let round = 0; round < rounds; round += 1) {
    const walk = new Walk(frame, viewOf(frame), { mostStates });
    const began = performance.now();
    while (walk.advance(10_000));
    const rate = walk.states.count / ((performance.now() - began) / 1000);
    if (rate > best.rate) best = { rate, walk };
  }
  return best;
};

/** States a second of a walk whose states are known by their JSON text. */
const byText = (frame: Frame, mostStates: number): number => {
  const began = performance.now();
  const { states } = slowWalk(frame, viewOf(frame), mostStates, false);
  return states / ((performance.now() - began) / 1000);
};

/** What checks cost: after one edit of the demo, and on 1,000 screens. */
const checkFigures = (): Figure[] => {
  const before = demo("allotment");
  let turn = 0;
  const edited = timeOf(() => {
    const edit = { kind: "set" as const, node: "plot", key: "title" as const, value: `Plot ${(turn += 1)}` };
    const result = applyEdit(before, edit);
    if (!result.ok) throw new Error("the edit is refused");
    return checkedAtOnce(structuredClone(result.frame));
  });
  const large = largeFrame(1000);
  const looked = timeOf(() => checkedAtOnce({ ...large }), { rounds: 5 });
  const checking = new Checking(large, { mostStates: 5_000 });
  while (checking.advance(1_000));
  const walked = timeOf(() => checking.report(), { rounds: 5 });
  return [
    {
      name: "an edit of the demo to fresh findings, without a walk",
      value: edited,
      unit: "ms",
      goal: "under 100",
      met: edited < 100,
    },
    {
      name: "all rules on 1,000 screens, once it is walked",
      value: looked + walked,
      unit: "ms",
      goal: "under 300",
      met: looked + walked < 300,
    },
  ];
};

/** What a check of a demo takes on the command line, against a start of Node that does nothing: the best of some, by turns. */
const startFigure = (): Figure => {
  const bin = join(import.meta.dirname, "..", "bin", "handy-frame");
  const taken = (...args: string[]): number => {
    const began = performance.now();
    const { status } = spawnSync(process.execPath, args, { stdio: "ignore" });
    if (status !== 0) throw new Error(`${args.join(" ")} ended with ${status}`);
    return performance.now() - began;
  };
  // the first one makes what later ones start from
  const check = () => taken(bin, "check", fileOf("allotment"));
  check();
  let [value, bare] = [Infinity, Infinity];
  for (let round = 0; round < 15; round += 1)
    [value, bare] = [Math.min(value, check()), Math.min(bare, taken("-e", ""))];
  return {
    name: "a check of the demo on the command line",
    value,
    unit: "ms",
    against: { name: "a bare start of Node", value: bare, ratio: value / bare },
    goal: "at most 2.5 times",
    met: value <= 2.5 * bare,
  };
};

/** How fast every state that can be reached is gone through, against a walk over states as JSON text. */
export const walkFigures = (): Figure[] => {
  const figures: Figure[] = [];
  const add = (name: string, frame: Frame, rounds: number): void => {
    const { rate, walk } = walked(frame, 2_000_000, rounds);
    const slow = byText(frame, 5_000);
    figures.push({
      name: `${name}: ${walk.states.count.toLocaleString("en")} states`,
      value: rate,
      unit: "states/s",
      against: { name: "by JSON text", value: slow, ratio: rate / slow },
      goal: "300,000 states/s, and 100 × by JSON text",
      met: rate >= 300_000 && rate >= 100 * slow,
    });
    const bytes = walk.states.bytes / sure(walk.states.count);
    figures.push({ name: "  memory of a state", value: bytes, unit: "bytes", goal: "under 64", met: bytes < 64 });
    figures.push({ name: "  times the engine was asked", value: walk.asked, unit: "" });
  };
  for (const name of ["allotment", "night-sky", "repair-cafe"]) add(`demo ${name}`, demo(name), 5);
  add("a generated frame", millionFrame(), 2);
  return [...figures, ...checkFigures(), startFigure()];
};
