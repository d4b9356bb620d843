import { bandsOf, factsOf, type Frame, targetsOf } from "../../../../core/index.js";
import { type BenchGroup, BenchGroups } from "../bench/bench-groups.js";
import { FactGroup } from "./fact-group.js";
import { PanelHead } from "./panel-head.js";
import { TargetGroup } from "./target-group.js";
import { WidthGroup } from "./width-group.js";

/** The kinds of device the app runs on, the ranges of width it knows, and the facts it goes by. */
export default function DeviceGroups({ frame, onClose }: { frame: Frame; onClose: () => void }) {
  const groups: BenchGroup[] = [
    {
      id: "targets",
      label: "targets",
      name: "Targets",
      value: String(targetsOf(frame).length),
      width: 380,
      body: () => <TargetGroup frame={frame} />,
    },
    {
      id: "widths",
      label: "widths",
      name: "Widths",
      value: bandsOf(frame)
        .map(({ from }) => String(from))
        .join(" · "),
      width: 380,
      body: () => <WidthGroup frame={frame} />,
    },
    {
      id: "facts",
      label: "facts",
      name: "Facts",
      value: String(factsOf(frame).length),
      width: 380,
      body: () => <FactGroup frame={frame} />,
    },
  ];
  return (
    <>
      <PanelHead
        title="Devices, widths and facts"
        says="What the app is laid out for; each node can differ by these"
        onClose={onClose}
      />
      <BenchGroups groups={groups} />
    </>
  );
}
