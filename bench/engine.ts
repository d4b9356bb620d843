import { readFileSync } from "node:fs";
import { join } from "node:path";
import {
  applyEdit,
  arrange,
  type Edit,
  type Frame,
  landed,
  type NavigationEvent,
  snapshotOf,
  type State,
  step,
  viewOf,
  sure,
  firstOf,
} from "../core/index.js";
import { readFrame } from "../shape/read.js";
import { largeFrame } from "./frames.js";
import { type Figure, timeOf } from "./measure.js";

const demo = (): Frame => {
  const result = readFrame(readFileSync(join(import.meta.dirname, "..", "demo", "allotment.frame.json"), "utf8"));
  if (!result.ok) throw new Error("the demo has faults");
  return result.frame;
};

/** A walk a person might take, over and over: down a list, across tabs, back and up. */
const walkOf = (tabs: readonly string[]): NavigationEvent[] => [
  { do: "pick", row: 3 },
  { do: "pick", row: 2 },
  { do: "scroll", to: 200 },
  { do: "back" },
  { do: "tab", to: sure(tabs[1]) },
  { do: "pick", row: 7 },
  { do: "tab", to: sure(tabs[2]) },
  { do: "tab", to: firstOf(tabs) },
  { do: "up" },
  { do: "tab", to: firstOf(tabs) },
];

const stepCost = (frame: Frame, tabs: readonly string[]): number => {
  const view = viewOf(frame);
  const events = walkOf(tabs);
  const first: State = landed(frame, view);
  return (
    timeOf(() => {
      let state = first;
      for (const event of events) state = step(frame, view, state, event).state;
      return state;
    }) / events.length
  );
};

/** What a step costs, on the demo and on a large frame, and what an edit costs against copies. */
export const engineFigures = (): Figure[] => {
  const figures: Figure[] = [];
  const small = stepCost(demo(), ["plotsTab", "tasksTab", "swapsTab"]);
  const large = stepCost(largeFrame(1000), ["tab0", "tab1", "tab2"]);
  figures.push({
    name: "a step on the demo",
    value: small * 1000,
    unit: "µs",
    goal: "under 10",
    met: small * 1000 < 10,
  });
  figures.push({ name: "steps in a second on the demo", value: 1000 / small, unit: "/s" });
  figures.push({
    name: "a step on 1,000 screens",
    value: large * 1000,
    unit: "µs",
    against: { name: "the demo", value: small * 1000, ratio: large / small },
    goal: "under 10; no growth with the frame (hub of 40 tabs against 4)",
    met: large * 1000 < 10,
  });
  const alike = [100, 1000, 10_000].map((count) =>
    stepCost(
      {
        ...largeFrame(count),
        nodes: { ...largeFrame(count).nodes, home: { kind: "hub", children: ["tab0", "tab1", "tab2", "tab3"] } },
      },
      ["tab0", "tab1", "tab2"],
    ),
  );
  figures.push({
    name: "a step on 10,000 screens, 4 tabs",
    value: sure(alike[2]) * 1000,
    unit: "µs",
    against: { name: "100 screens, 4 tabs", value: firstOf(alike) * 1000, ratio: sure(alike[2]) / firstOf(alike) },
    goal: "ratio about 1",
    met: sure(alike[2]) / firstOf(alike) < 1.5,
  });
  const frame = demo();
  const view = viewOf(frame);
  const at = step(frame, view, landed(frame, view), { do: "pick", row: 3 });
  figures.push({
    name: "a snapshot with its ladder, on the demo",
    value: timeOf(() => snapshotOf(frame, view, at)) * 1000,
    unit: "µs",
  });

  const sheet = step(frame, view, at.state, { do: "tap", action: "log" });
  const seen = timeOf(() => [arrange(frame, sheet.state, view), snapshotOf(frame, view, sheet)]) * 1000;
  figures.push({
    name: "arrange and snapshot of the demo, with a sheet open",
    value: seen,
    unit: "µs",
    goal: "under 50",
    met: seen < 50,
  });

  const wide = largeFrame(1920);
  const count = Object.keys(wide.nodes).length;
  const edit: Edit = { kind: "set", node: "screen960", key: "title", value: "Other" };
  const cost = timeOf(() => applyEdit(wide, edit));
  const shallow = timeOf(() => ({ ...wide.nodes }));
  const deep = timeOf(() => structuredClone(wide), { rounds: 5 });
  figures.push({
    name: `an edit with patches and inverse, ${count} nodes`,
    value: cost,
    unit: "ms",
    against: { name: "shallow copy of the node table", value: shallow, ratio: cost / shallow },
    goal: "within twice",
    met: cost / shallow <= 2,
  });
  figures.push({
    name: `the same edit, ${count} nodes`,
    value: cost,
    unit: "ms",
    against: { name: "structuredClone of the frame", value: deep, ratio: deep / cost },
    goal: "8 times faster",
    met: deep / cost >= 8,
  });
  return figures;
};
