import { readFileSync } from "node:fs";
import { join } from "node:path";
import type * as now from "../core/index.js";
import { readFrame } from "../shape/read.js";
import { largeFrame } from "./frames.js";
import { quantile, timesOf } from "./measure.js";

type Core = typeof now;

const demo = (name: string): now.Frame => {
  const result = readFrame(readFileSync(join(import.meta.dirname, "..", "demo", `${name}.frame.json`), "utf8"));
  if (!result.ok) throw new Error(`the demo ${name} has faults`);
  return result.frame;
};

const walk: now.NavigationEvent[] = [
  { do: "pick", row: 3 },
  { do: "pick", row: 2 },
  { do: "scroll", to: 200 },
  { do: "back" },
  { do: "tab", to: "tasksTab" },
  { do: "pick", row: 7 },
  { do: "tab", to: "swapsTab" },
  { do: "tab", to: "plotsTab" },
  { do: "up" },
  { do: "tab", to: "plotsTab" },
];

/** What is measured, for one core: each work is one call. */
const worksOf = (core: Core): Record<string, () => unknown> => {
  const allotment = demo("allotment");
  const view = core.viewOf(allotment);
  const start = core.landed(allotment, view);
  const along = (frame: now.Frame, from: now.State, events: readonly now.NavigationEvent[]) => () => {
    const at = core.viewOf(frame);
    let state = from;
    for (const event of events) state = core.step(frame, at, state, event).state;
    return state;
  };
  const large = largeFrame(1000);
  const largeEvents: now.NavigationEvent[] = walk.map((event) =>
    event.do === "tab"
      ? { do: "tab", to: { tasksTab: "tab1", swapsTab: "tab2", plotsTab: "tab0" }[event.to] ?? "" }
      : event,
  );
  // the same with needs: every step holds the standing rule
  const needy: now.Frame = {
    ...allotment,
    facts: [...(allotment.facts ?? []), { id: "member", label: "Member", launch: true }],
    nodes: {
      ...allotment.nodes,
      plot: { ...(allotment.nodes.plot ?? { kind: "screen" }), needs: [{ fact: "member", is: true }] },
    },
  };
  const picked = core.step(allotment, view, start, { do: "pick", row: 3 });
  const sheet = core.step(allotment, view, picked.state, { do: "tap", action: "log" });
  const wide = largeFrame(1920);
  const edit: now.Edit = { kind: "set", node: "screen960", key: "title", value: "Other" };
  const nodes = largeFrame(4800);
  const points = new core.Standpoints(allotment, view, [core.firstWaysOf(allotment, view)]);
  let title = 0;
  const changed = (frame: now.Frame): now.Frame => {
    const result = core.applyEdit(frame, { kind: "set", node: "plot", key: "title", value: `T${(title += 1)}` });
    return result.ok ? result.frame : frame;
  };
  return {
    "ten steps on the demo": along(allotment, start, walk),
    "ten steps on the demo with needs": along(needy, core.landed(needy, view), walk),
    "ten steps on 1,000 screens": along(large, core.landed(large, core.viewOf(large)), largeEvents),
    "a snapshot with its ladder": () => core.snapshotOf(allotment, view, picked),
    "arrange and snapshot with a sheet open": () => [
      core.arrange(allotment, sheet.state, view),
      core.snapshotOf(allotment, view, sheet),
    ],
    "an explanation of a step": () => core.explain(allotment, view, picked, { do: "tap", action: "log" }, sheet),
    "propertySays of a screen": () => core.propertySays(allotment, view, "plot"),
    "propertySays of a hub": () => core.propertySays(allotment, view, "home"),
    "the same of a screen after an edit": () => core.propertySays(changed(allotment), view, "plot"),
    "a hover: consequences of a change": () => core.consequencesOf(points, points.on(changed(allotment)), "plot"),
    "an edit of 1,999 nodes": () => core.applyEdit(wide, edit),
    "an edit of them, and whether it is sound": () => core.applySoundly(wide, { ...edit }),
    "layout of 5,000 nodes after an edit": () => core.planLayout({ ...nodes, nodes: { ...nodes.nodes } }),
    "the same in a view": () => core.planLayout({ ...nodes, nodes: { ...nodes.nodes } }, { view: core.viewOf(nodes) }),
    "layout of 5,000 nodes that are known": () => core.planLayout(nodes, { view: core.viewOf(nodes) }),
    "the first look: the ways to all screens": () => core.firstWaysOf(changed(allotment), view),
  };
};

const rounds = 7;

/** The times of two works (ms), and the ratios of the second to the first: in rounds, each of them first in every other one. */
const compared = (first: () => unknown, second: () => unknown): { times: [number, number]; ratios: number[] } => {
  const least: [number, number] = [Infinity, Infinity];
  const ratios: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const isTurned = round % 2 === 1;
    const [x = 0, y = 0] = timesOf(isTurned ? [second, first] : [first, second], 5);
    const [a, b] = isTurned ? [y, x] : [x, y];
    ratios.push(b / a);
    least[0] = Math.min(least[0], a);
    least[1] = Math.min(least[1], b);
  }
  return { times: least, ratios: ratios.sort((a, b) => a - b) };
};

/** Prints each figure of two cores by turns, and the second as a share of the first: the middle one of the rounds, and their range. */
export const against = (before: Core, after: Core): void => {
  const [was, is] = [worksOf(before), worksOf(after)];
  for (const [name, work] of Object.entries(was)) {
    const other = is[name];
    if (!other) continue;
    const { times, ratios } = compared(work, other);
    const [x, y] = times.map((ms) => `${(ms * 1000).toPrecision(3)} µs`);
    const [low, middle, high] = [0, 0.5, 1].map((q) => quantile(ratios, q).toFixed(2));
    console.log(`${name.padEnd(42)} ${`${x}`.padStart(10)} → ${`${y}`.padStart(10)}   ${middle}  (${low} to ${high})`);
  }
};
