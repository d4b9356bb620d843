import { useState } from "react";
import {
  type Frame,
  groups,
  plainName,
  type Severity,
  type StaleQuiet,
  type ToldFinding,
} from "../../../core/index.js";
import { Choice } from "../../parts/choice.js";
import { FindingRow } from "./finding-row.js";
import { keyOf } from "../../data/finding-key.js";
import { StaleList } from "./stale-list.js";
import { useFocusKept } from "./use-focus-kept.js";
import type { Playing } from "./use-playing.js";

/** What is listed: findings of one severity, or those that are silenced. */
export type Shelf = Severity | "quiet";

/** Whether a finding is listed there. */
export const isIn =
  (shelf: Shelf) =>
  ({ severity, quiet }: ToldFinding): boolean =>
    shelf === "quiet" ? quiet !== null : quiet === null && severity === shelf;

const shelves: readonly [Shelf, string, string][] = [
  ["fault", "fault", "faults"],
  ["doubt", "doubt", "doubts"],
  ["hint", "hint", "hints"],
  ["quiet", "silenced", "silenced"],
];

const nothingSays: Record<Shelf, string> = {
  fault: "No faults. Nothing here breaks the app for whoever uses it.",
  doubt: "No doubts.",
  hint: "No hints.",
  quiet: "Nothing is silenced. A finding that is meant to be so can be, with a reason that stays in the file.",
};

interface FindingListProps {
  frame: Frame;
  findings: readonly ToldFinding[];
  stale: readonly StaleQuiet[];
  /** The keys of those that were mended, and not looked for again so far. */
  mended: ReadonlySet<string>;
  shelf: Shelf;
  onShelf: (shelf: Shelf) => void;
  chosen: string | null;
  onChoose: (finding: ToldFinding) => void;
  playing: Playing;
  isLooking: boolean;
  isWalking: boolean;
}

/** What is wrong, by what a person would suffer, the worst first. */
export function FindingList(props: FindingListProps) {
  const { frame, findings, stale, mended, shelf, onShelf, chosen, onChoose, playing, isLooking, isWalking } = props;
  const [asked, setAsked] = useState("");
  const wanted = asked.trim().toLowerCase();
  const isAsked = ({ says, detail, node, group }: ToldFinding): boolean =>
    [says, detail, groups[group], node === null ? "" : plainName(frame, node)].join(" ").toLowerCase().includes(wanted);
  const listed = findings.filter(isIn(shelf)).filter((finding) => wanted === "" || isAsked(finding));
  const focus = useFocusKept(listed);
  return (
    <section aria-label="Findings" className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5">
        <h2 className="text-[15px] font-bold">What a person would suffer</h2>
        <Choice
          label="Which findings"
          value={shelf}
          options={shelves.map(([value, one, more]) => {
            const count = findings.filter(isIn(value)).length;
            return { value, label: `${count} ${count === 1 ? one : more}` };
          })}
          onChange={onShelf}
        />
        <input
          type="search"
          aria-label="Find among them"
          placeholder={`among ${findings.length}`}
          value={asked}
          onChange={({ target }) => setAsked(target.value)}
          className="h-7 w-44 rounded-sm border border-field bg-plate-2 px-2"
        />
        {isWalking && !isLooking && <span className="text-ink-2">those that a walk shows come with it</span>}
      </div>
      {listed.length === 0 ? (
        <p className="rounded-sm border border-dashed border-field px-3 py-4 text-ink-2">
          {isLooking ? "Looking …" : wanted ? `Nothing here is called “${asked}”.` : nothingSays[shelf]}
        </p>
      ) : (
        <ul {...focus} className="flex flex-col gap-1.5">
          {listed.map((finding, i) => {
            const key = keyOf(finding);
            const isFirst = listed[i - 1]?.group !== finding.group;
            return (
              <FindingRow
                heading={isFirst ? groups[finding.group] : null}
                key={key}
                frame={frame}
                finding={finding}
                isChosen={key === chosen}
                isMended={mended.has(key)}
                onChoose={onChoose}
                playing={key === chosen ? playing : null}
              />
            );
          })}
        </ul>
      )}
      {shelf === "quiet" && <StaleList frame={frame} stale={stale} />}
    </section>
  );
}
