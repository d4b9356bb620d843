import { type ReactNode, useMemo } from "react";
import { Toolbar } from "radix-ui";
import { useSize } from "../../../parts/use-size.js";
import { closeGroup, openGroup, useBenchShape, useIsBeside } from "./bench-shape.js";
import { indexColumns, openIn } from "./index-grid.js";

/** A group of the bench: how it stands in the index, and what it shows when it is open. */
export interface BenchGroup {
  id: string;
  /** In the index, short. */
  label: string;
  /** Its name where it stands open; the label where it is absent. */
  name?: string;
  /** What holds now, in a few words. */
  value: string;
  /** Something in it differs by view. */
  varies?: boolean;
  /** px it needs to stand beside another. */
  width: number;
  body: () => ReactNode;
}

const nameOf = ({ name, label }: BenchGroup): string => name ?? label;

interface BenchGroupsProps {
  groups: readonly BenchGroup[];
  /** What stands beside them, and how wide it is, px. */
  aside?: { width: number; body: ReactNode } | null;
}

/** An index of all groups with what holds in each; those that were opened last stand open under it. */
export function BenchGroups({ groups, aside }: BenchGroupsProps) {
  const [measured, size] = useSize();
  const { open } = useBenchShape();
  const isBeside = useIsBeside();
  const beside = aside?.width ?? 0;
  const shown = useMemo(
    () => openIn(groups, open, isBeside ? Infinity : (size?.width ?? 0) - beside),
    [groups, open, isBeside, size?.width, beside],
  );
  return (
    <div ref={measured} className="flex min-h-0 min-w-0 grow flex-col">
      <Index groups={groups} shown={shown} width={size?.width ?? 0} />
      <div className={`flex min-h-0 grow ${isBeside ? "flex-col overflow-y-auto" : ""}`}>
        {shown.map((group) => (
          <Open key={group.id} group={group} isAlone={shown.length === 1} isBeside={isBeside} />
        ))}
        {aside && (isBeside ? <div className="flex h-56 shrink-0">{aside.body}</div> : aside.body)}
      </div>
    </div>
  );
}

interface IndexProps {
  groups: readonly BenchGroup[];
  shown: readonly BenchGroup[];
  /** px. */
  width: number;
}

function Index({ groups, shown, width }: IndexProps) {
  const columns = indexColumns(groups, width);
  return (
    <Toolbar.Root
      aria-label="Groups"
      className="grid shrink-0 border-b border-ink"
      style={{ gridTemplateColumns: `repeat(${columns}, auto)` }}
    >
      {groups.map((group) => {
        const isOpen = shown.includes(group);
        const look = isOpen ? "bg-plate-2 text-petrol shadow-[inset_0_3px_0_var(--petrol)]" : "hover:bg-plate-2";
        return (
          <Toolbar.Button
            key={group.id}
            data-group={group.id}
            aria-expanded={isOpen}
            title={nameOf(group)}
            className={`flex min-w-0 flex-col border-l border-rule first:border-l-0 items-start px-2 pt-1 pb-0.5 text-left leading-4 whitespace-nowrap focus-visible:-outline-offset-2 ${look}`}
            onClick={() => (isOpen && shown.length > 1 ? closeGroup(group.id) : openGroup(group.id))}
          >
            <span className={`text-[11.5px] ${isOpen ? "" : "text-ink-2"}`}>{group.label}</span>
            <span className="text-[12.5px] font-semibold">
              {group.value || "none"}
              {group.varies && <Varies />}
            </span>
          </Toolbar.Button>
        );
      })}
    </Toolbar.Root>
  );
}

/** Something in it is otherwise in some views. */
function Varies() {
  return (
    <>
      <span
        aria-hidden
        className="ml-1 inline-block size-2 rounded-full border-[1.5px] border-petrol bg-linear-to-r from-petrol from-50% to-transparent to-50%"
      />
      <span className="sr-only">, differs by view</span>
    </>
  );
}

function Open({ group, isAlone, isBeside }: { group: BenchGroup; isAlone: boolean; isBeside: boolean }) {
  return (
    <section
      aria-label={nameOf(group)}
      className={
        isBeside
          ? "@container shrink-0 border-b border-rule px-3 py-2"
          : "@container min-h-0 min-w-0 overflow-y-auto border-r border-rule px-3 py-2 last:border-r-0"
      }
      style={isBeside ? undefined : { flex: `${group.width} 1 0` }}
    >
      <h3 className={isAlone && !isBeside ? "sr-only" : "pb-1 font-bold"}>{nameOf(group)}</h3>
      {group.body()}
    </section>
  );
}
