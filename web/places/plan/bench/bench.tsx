import { type ReactNode, useMemo } from "react";
import {
  type Cell,
  type Edit,
  type Frame,
  looksOf,
  nameOf,
  nodeAt,
  type NodeKey,
  placesOf,
  type Planned,
  propertyEdit,
  propertySays,
  type Slot,
  variedEdit,
  type View,
} from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import { usePoints } from "../../../app/use-points.js";
import type { Chosen } from "../../../data/selection.js";
import { type SetSubject, SetSubjectProvider } from "../../../parts/set-subject.js";
import { useBenchCommands } from "../acting/use-bench-commands.js";
import { BenchProvider, type BenchSubject } from "./bench-context.js";
import { BenchGroups } from "./bench-groups.js";
import { BenchHead } from "./bench-head.js";
import { cellIn } from "./cell-in.js";
import { ChosenPicture, pictureWidth } from "./chosen-picture.js";
import { groupsOf } from "./group-table.js";

export interface BenchProps {
  frame: Frame;
  view: View;
  chosen: Chosen;
  make: (planned: Planned | null) => boolean;
  onDelete: () => void;
  /** The plan shows titles alone: what is chosen is pictured here. */
  isPictured: boolean;
  onChoose: (chosen: Chosen, also?: readonly Chosen[]) => void;
  /** What adds something beside or inside what is chosen, or changes what it is. */
  tools?: ReactNode;
}

/** The drawer at the foot of the plan: everything about what is chosen, each with what it causes. */
export default function Bench(props: BenchProps) {
  const { frame, view, chosen, make, onDelete, onChoose, tools } = props;
  const { editing } = useOpenFrame();
  const { id, parent } = chosen;
  const points = usePoints(frame, view);
  const looks = useMemo(() => looksOf(points, id), [points, id]);
  const said = useMemo(() => propertySays(frame, view, id), [frame, view, id]);
  const about = useMemo(() => ({ frame, view, id, parent, node: nodeAt(frame, id) }), [frame, view, id, parent]);
  const groups = useMemo(() => groupsOf(about), [about]);
  const edit = (made: Edit, label: string) => void editing.edit(made, `${nameOf(frame, id)}: ${label}`);
  const vary = (slot: Slot, cells: Cell[] | undefined, value: unknown, label: string) =>
    edit(variedEdit(id, slot, cells, value), label);
  const set = (key: NodeKey, value: unknown, label: string) => edit(propertyEdit(frame, id, key, value), label);
  const subject: BenchSubject = { frame, view, points, chosen, said, looks, set, vary, make, onChoose };
  const marked: SetSubject = {
    frame,
    id,
    at: cellIn(frame, view),
    set,
    vary,
    onChoose: (ids) => {
      const [first, ...rest] = ids.map((each) => ({ id: each, parent: placesOf(frame, each)[0] ?? null }));
      if (first) onChoose(first, rest);
    },
  };
  useBenchCommands(about, groups);
  const aside = props.isPictured &&
    nodeAt(frame, id).kind === "screen" && {
      width: pictureWidth(view),
      body: <ChosenPicture {...{ frame, view, id }} />,
    };
  return (
    <BenchProvider value={subject}>
      <BenchHead looks={looks} tools={tools} onDelete={onDelete} />
      <SetSubjectProvider value={marked}>
        {/* what was half typed of one node is never taken for another */}
        <BenchGroups key={id} groups={groups} aside={aside || null} />
      </SetSubjectProvider>
    </BenchProvider>
  );
}
