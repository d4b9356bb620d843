import { type ReactNode, useMemo } from "react";
import { type Frame, type Id, looksOf, nameOf, parentsOf, placesOf, propertySays, type View } from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import type { Chosen } from "../../app/place.js";
import { Button } from "../../parts/button.js";
import { type SetSubject, SetSubjectProvider } from "../../parts/set-mark.js";
import { TextLine } from "../../parts/text-line.js";
import { useBenchCommands } from "./use-bench-commands.js";
import { BarsGroup } from "./bench/bars-group.js";
import { BodyGroup } from "./bench/body-group.js";
import { ByItselfGroup } from "./bench/by-itself-group.js";
import { ExtrasGroup } from "./bench/extras-group.js";
import { FacesGroup, HubLookGroup, HubRulesGroup } from "./bench/hub-groups.js";
import { NeedsGroup } from "./bench/needs-group.js";
import { OpensGroup } from "./bench/opens-group.js";
import { PairGroup } from "./bench/pair-group.js";
import { StackGroup } from "./bench/stack-group.js";
import { TabGroup } from "./bench/tab-group.js";
import { WaysInGroup } from "./bench/ways-in-group.js";
import { WaysOutGroup } from "./bench/ways-out-group.js";
import { copyOf, countUnder, type Planned, takeOut } from "./edits.js";
import { KindSign } from "./shapes.js";

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
  const opened = useOpenFrame();
  const { id } = chosen;
  const node = frame.nodes[id]!;
  const looks = useMemo(() => looksOf(frame, view, id), [frame, view, id]);

  const said = useMemo(() => propertySays(frame, view, id), [frame, view, id]);

  const set = (key: string, value: unknown, label: string) =>
    void opened.edit(
      { kind: "set", node: id, key, ...(value !== undefined && value !== "" && { value }) },
      `${nameOf(frame, id)}: ${label}`,
    );
  const shared = { frame, view, id, set, said };
  const subject: SetSubject = {
    frame,
    id,
    set,
    onChoose: (ids) => {
      const [first, ...rest] = ids.map((each) => ({ id: each, parent: placesOf(frame, each)[0] ?? null }));
      if (first) onChoose(first, rest);
    },
  };
  useBenchCommands(frame, id);
  const places = placesOf(frame, id);
  const inHub = parentsOf(frame, id).some((parent) => frame.nodes[parent]?.kind === "hub");
  // a tab and a pane are never overlays; the start of its only stack neither
  const opensHere = id !== frame.root && parentsOf(frame, id).some((parent) => frame.nodes[parent]?.kind === "stack");
  const under = countUnder(frame, id);
  const ladders = [...new Set(looks.flatMap(({ taken }) => (taken ? [taken.snapshot.back.join()] : [])))];

  return (
    <>
      <header className="flex h-10.5 shrink-0 items-center gap-2.5 overflow-hidden border-b border-ink px-3">
        <KindSign kind={node.kind} />
        <h2 className="text-[15px] font-bold whitespace-nowrap">{nameOf(frame, id)}</h2>
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
        <p className="min-w-0 truncate rounded-sm bg-petrol-soft px-2 py-0.5">
          {liesSays(frame, id, places, ladders.length)}
        </p>
        <span className="grow" />
        {tools}
        <Button
          onClick={() => opened.putDevice(id)}
          disabled={places.length === 0}
          title="Brings the device here as a person would come (P)"
        >
          Put the device here
        </Button>
        <Button
          disabled={id === frame.root}
          onClick={() => make(copyOf(frame, chosen))}
          icon="copy"
          aria-label="Duplicate"
          title="Duplicate (Ctrl D)"
        />
        <Button
          disabled={id === frame.root}
          onClick={() => make(takeOut(frame, chosen))}
          icon="trash"
          tone="fault"
          aria-label="Delete"
          title={
            places.length > 1
              ? "Takes it out of this place; it stays in the others"
              : under > 1
                ? `Deletes it and the ${under - 1} inside it (Delete)`
                : "Deletes it (Delete)"
          }
        />
      </header>
      <SetSubjectProvider value={subject}>
        <div key={id} className="flex min-h-0 grow overflow-x-auto">
          {inHub && <TabGroup {...shared} node={node} />}
          {node.kind === "screen" && <BodyGroup {...shared} node={node} />}
          {node.kind === "stack" && <StackGroup {...shared} node={node} onChoose={onChoose} />}
          {node.kind === "pair" && <PairGroup {...shared} node={node} />}
          {node.kind === "hub" && (
            <>
              <FacesGroup {...shared} node={node} />
              <HubRulesGroup {...shared} node={node} />
              <HubLookGroup {...shared} node={node} />
              <ExtrasGroup {...shared} node={node} lit={lit} onLit={onLit} make={make} onChoose={onChoose} />
            </>
          )}
          {opensHere && <OpensGroup {...shared} node={node} />}
          {id !== frame.root && node.kind !== "hub" && <BarsGroup {...shared} node={node} />}
          {id !== frame.root && <NeedsGroup {...shared} node={node} />}
          {(node.kind === "screen" || looks.length > 0) && (
            <WaysInGroup frame={frame} id={id} looks={looks} lit={lit} onLit={onLit} onChoose={onChoose} />
          )}
          {node.kind === "screen" && (
            <>
              <WaysOutGroup
                {...shared}
                node={node}
                chosen={chosen}
                lit={lit}
                onLit={onLit}
                make={make}
                onChoose={onChoose}
              />
              <ByItselfGroup {...shared} node={node} />
            </>
          )}
        </div>
      </SetSubjectProvider>
    </>
  );
}

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
