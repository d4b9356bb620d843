import { hierarchy, treemap } from "d3-hierarchy";
import { childrenOf, type Frame, type Id, indexOf, planLayout, nodeAt } from "../core/index.js";
import { nestedFrame } from "./frames.js";
import { exponentOf, type Figure, quantile, timeOf } from "./measure.js";

interface Tree {
  id: Id;
  children?: Tree[];
}

const treeOf = (frame: Frame, id: Id): Tree => {
  const children = childrenOf(nodeAt(frame, id));
  return children.length ? { id, children: children.map((child) => treeOf(frame, child)) } : { id };
};

/** The plan's layout, from the frame alone (nothing kept from before), against a treemap of the same tree. */
export const planFigures = (): Figure[] => {
  const figures: Figure[] = [];
  const points: [number, number][] = [];
  for (const count of [200, 1000, 5000, 20_000]) {
    const frame = nestedFrame(count);
    const nodes = Object.keys(frame.nodes).length;
    const tree = treeOf(frame, frame.root);
    // a new frame each time, as after an edit; its index is made by the check of every edit, and shared
    const indexed = (): Frame => {
      const next = { ...frame };
      indexOf(next);
      return next;
    };
    const again = timeOf(() => planLayout(frame), { rounds: 7 });
    const rounds = Array.from({ length: 24 }, () => {
      const pool = Array.from({ length: 20 }, indexed);
      const began = performance.now();
      for (const each of pool) planLayout(each);
      return (performance.now() - began) / pool.length;
    });
    const ours = quantile(rounds.slice(4), 0.5);
    const both = timeOf(() => planLayout(indexed()), { rounds: 7 });
    const theirs = timeOf(
      () => treemap<Tree>().size([1000, 800]).padding(4)(hierarchy(tree).sum((node) => (node.children ? 0 : 1))),
      { rounds: 7 },
    );
    points.push([nodes, ours]);
    const against = (value: number) => ({ name: "treemap of d3-hierarchy", value: theirs, ratio: theirs / value });
    figures.push({
      name: `layout of ${nodes} nodes, after an edit`,
      value: ours,
      unit: "ms",
      against: against(ours),
      ...(count === 5000 && { goal: "under 5, ahead of the treemap", met: ours < 5 && ours < theirs }),
    });
    figures.push({
      name: `the same with the frame's index made anew`,
      value: both,
      unit: "ms",
      against: against(both),
    });
    figures.push({ name: `the same for a frame that is known`, value: again, unit: "ms", against: against(again) });
  }
  const exponent = exponentOf(points);
  figures.push({
    name: "growth exponent of the layout",
    value: exponent,
    unit: "",
    goal: "under 1.25",
    met: exponent < 1.25,
  });
  return figures;
};
