import { type ReactNode, useMemo } from "react";
import {
  type Cell,
  type Edit,
  type Frame,
  type Id,
  isInStack,
  looksOf,
  nameOf,
  nodeAt,
  parentsOf,
  pathOf,
  placesOf,
  type NodeKey,
  propertyEdit,
  propertySays,
  samePath,
  type Slot,
  variedEdit,
  type View,
  type WayInLook,
} from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import type { Chosen } from "../../../data/selection.js";
import { Button } from "../../../parts/button.js";
import { type SetSubject, SetSubjectProvider } from "../../../parts/set-subject.js";
import { TextLine } from "../../../parts/text-line.js";
import { BarsGroup } from "./bars-group.js";
import { BenchProvider, type BenchSubject, useBench, useNode } from "./bench-context.js";
import { BodyGroup } from "./body-group.js";
import { ByItselfGroup } from "./by-itself-group.js";
import { ExtrasGroup } from "./extras-group.js";
import { FacesGroup, HubLookGroup, HubRulesGroup } from "./hub-groups.js";
import { LeaveGroup } from "./leave-group.js";
import { MotionGroup } from "./motion-group.js";
import { NeedsGroup } from "./needs-group.js";
import { OpensGroup } from "./opens-group.js";
import { PairGroup } from "./pair-group.js";
import { StackGroup } from "./stack-group.js";
import { TabGroup } from "./tab-group.js";
import { WaysInGroup } from "./ways-in-group.js";
import { WithinGroup } from "./within-group.js";
import { WaysOutGroup } from "./ways-out-group.js";
import { copyOf, countUnder, type Planned, takeOut } from "../acting/edits.js";
import { cellIn } from "./cell-in.js";
import { KindSign } from "../drawing/shapes.js";
import { useBenchCommands } from "../acting/use-bench-commands.js";

export interface BenchProps {
  frame: Frame;
  view: View;
  chosen: Chosen;
  lit: string | null;
  onLit: (mark: string | null) => void;
  make: (planned: Planned | null) => boolean;
  onChoose: (chosen: Chosen, also?: readonly Chosen[]) => void;
  /** What adds something beside or inside what is chosen, or changes what it is. */
  tools?: ReactNode;
}

/** The drawer at the foot of the plan: everything about what is chosen, each with what it causes. */
export default function Bench({ frame, view, chosen, lit, onLit, make, onChoose, tools }: BenchProps) {
  const { editing } = useOpenFrame();
  const { id } = chosen;
  const looks = useMemo(() => looksOf(frame, view, id), [frame, view, id]);
  const said = useMemo(() => propertySays(frame, view, id), [frame, view, id]);
  const edit = (made: Edit, label: string) => void editing.edit(made, `${nameOf(frame, id)}: ${label}`);
  const vary = (slot: Slot, cells: Cell[] | undefined, value: unknown, label: string) =>
    edit(variedEdit(id, slot, cells, value), label);
  const set = (key: NodeKey, value: unknown, label: string) => edit(propertyEdit(frame, id, key, value), label);
  const subject: BenchSubject = { frame, view, chosen, said, set, vary, make, lit, onLit, onChoose };
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
  useBenchCommands(frame, id);
  return (
    <BenchProvider value={subject}>
      <BenchHead looks={looks} tools={tools} />
      <SetSubjectProvider value={marked}>
        <div key={id} className="flex min-h-0 grow overflow-x-auto">
          <Groups looks={looks} />
        </div>
      </SetSubjectProvider>
    </BenchProvider>
  );
}

/** The groups of what is chosen, by what it is and where it stands. */
function Groups({ looks }: { looks: readonly WayInLook[] }) {
  const { frame, id } = useBench();
  const { kind } = useNode();
  const isRoot = id === frame.root;
  const inHub = parentsOf(frame, id).some((parent) => nodeAt(frame, parent).kind === "hub");
  return (
    <>
      {inHub && <TabGroup />}
      {kind === "screen" && <BodyGroup />}
      {kind === "stack" && <StackGroup />}
      {kind === "pair" && <PairGroup />}
      {kind === "hub" && (
        <>
          <FacesGroup />
          <HubRulesGroup />
          <HubLookGroup />
          <ExtrasGroup />
        </>
      )}
      {isInStack(frame, id) && <OpensGroup />}
      {kind !== "screen" && <WithinGroup />}
      {!isRoot && kind !== "hub" && <BarsGroup />}
      <MotionGroup />
      {!isRoot && <NeedsGroup />}
      {(kind === "screen" || looks.length > 0) && <WaysInGroup looks={looks} />}
      {kind === "screen" && (
        <>
          <WaysOutGroup />
          <ByItselfGroup />
          <LeaveGroup />
        </>
      )}
    </>
  );
}

const deleteSays = (places: number, under: number): string => {
  if (places > 1) return "Takes it out of this place; it stays in the others";
  return under > 1 ? `Deletes it and the ${under - 1} inside it (Delete)` : "Deletes it (Delete)";
};

/** The id of what is chosen, as the code has it; it is given another one here. */
function IdLine() {
  const { frame, id, chosen, make } = useBench();
  return (
    <div className="w-32 shrink">
      <TextLine
        aria-label="Id, as the code has it"
        title="Id, as the code has it"
        className="mono border-transparent! bg-transparent! text-[12px] text-ink-2 hover:border-field!"
        value={id}
        onDone={(to) =>
          make({
            edit: { kind: "rename", id, to: to.trim() },
            label: `Give ${nameOf(frame, id)} the id ${to.trim()}`,
            choose: { id: to.trim(), parent: chosen.parent },
          })
        }
      />
    </div>
  );
}

/** What is chosen, where it lies, and what can be done with it as a whole. */
function BenchHead({ looks, tools }: { looks: readonly WayInLook[]; tools: ReactNode }) {
  const { live } = useOpenFrame();
  const { frame, id, chosen, make } = useBench();
  const places = placesOf(frame, id);
  const isRoot = id === frame.root;
  return (
    <header className="flex h-10.5 shrink-0 items-center gap-2.5 overflow-hidden border-b border-ink px-3">
      <KindSign kind={useNode().kind} />
      <h2 className="text-[15px] font-bold whitespace-nowrap">{nameOf(frame, id)}</h2>
      <IdLine />
      <p className="min-w-0 truncate rounded-sm bg-petrol-soft px-2 py-0.5">
        {liesSays(frame, id, places, laddersOf(looks))}
      </p>
      <span className="grow" />
      {tools}
      <Button
        onClick={() => live.putOn(id)}
        disabled={places.length === 0}
        title="Brings the device here as a person would come (P)"
      >
        Put the device here
      </Button>
      <Button
        disabled={isRoot}
        onClick={() => make(copyOf(frame, chosen))}
        icon="copy"
        aria-label="Duplicate"
        title="Duplicate (Ctrl D)"
      />
      <Button
        disabled={isRoot}
        onClick={() => make(takeOut(frame, chosen))}
        icon="trash"
        tone="fault"
        aria-label="Delete"
        title={deleteSays(places.length, countUnder(frame, id))}
      />
    </header>
  );
}

/** How many different ladders the ways in have. */
const laddersOf = (looks: readonly WayInLook[]): number => {
  const paths = looks.flatMap(({ taken }) => (taken?.seen.ladder ? [pathOf(taken.seen.ladder)] : []));
  return paths.filter((path, i) => paths.findIndex((other) => samePath(path, other)) === i).length;
};

const liesSays = (frame: Frame, id: Id, places: readonly Id[], ladders: number): string => {
  if (id === frame.root) return "The root: everything else stands in it";
  if (places.length === 0) return "Loose: it stands in no container, so nothing can open it";
  const where = places.map((place) => nameOf(frame, place)).join(", ");
  const back =
    ladders > 1
      ? "Back depends on the way in"
      : ladders === 1
        ? "Back is the same by every way in"
        : "no way leads in but its container";
  return places.length > 1 ? `Shared by ${where}; ${back}` : `Lies in ${where}; ${back}`;
};
