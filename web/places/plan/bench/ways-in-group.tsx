import { useMemo } from "react";
import {
  type Frame,
  type Ladder,
  ladderNames,
  needWords,
  pathOf,
  placesOf,
  plainName,
  samePath,
  standsInFor,
  type WayInLook,
} from "../../../../core/index.js";
import { useBench } from "./bench-context.js";
import { Group } from "./group.js";
import { inMark } from "../drawing/pegs.js";

/** The ladder of one way in, in words; an app that was left has none. */
const backSays = (frame: Frame, ladder: Ladder | null): string => {
  const names = ladder ? ladderNames(frame, pathOf(ladder)) : [];
  return names.length > 5 ? `${names.slice(0, 4).join(", ")} … ${names.at(-1)}` : names.join(", ");
};

/** What the node stands in for. */
function StandsIn() {
  const { frame, id, onChoose } = useBench();
  const standing = useMemo(() => standsInFor(frame, id), [frame, id]);
  if (standing.length === 0) return null;
  return (
    <p>
      Stands in for{" "}
      {standing.map(({ id: other, need }, i) => (
        <span key={`${other} ${need.fact}`}>
          {i > 0 && ", "}
          <button
            type="button"
            className="font-medium hover:underline"
            onClick={() => onChoose({ id: other, parent: placesOf(frame, other)[0] ?? null })}
          >
            {plainName(frame, other)}
          </button>{" "}
          <span className="text-ink-2">({needWords(frame, need)})</span>
        </span>
      ))}
    </p>
  );
}

/** One way in, with its Back; `usual` is the ladder of the first. */
function WayIn({ look: { way, taken }, mark, usual }: { look: WayInLook; mark: string; usual: Ladder | null }) {
  const { frame, lit, onLit, onChoose } = useBench();
  const ladder = taken?.seen.ladder;
  const differs = ladder && (!usual || !samePath(pathOf(ladder), pathOf(usual)));
  return (
    <li
      className={`flex min-h-7 items-center gap-2 border-b border-rule last:border-b-0 ${lit === mark ? "bg-petrol-soft" : ""}`}
      onPointerEnter={() => onLit(mark)}
      onPointerLeave={() => onLit(null)}
    >
      <span className="grid size-[19px] shrink-0 place-items-center rounded-full bg-petrol text-[11px] font-bold text-on-petrol">
        {mark}
      </span>
      <button
        type="button"
        className="max-w-30 shrink-0 truncate font-medium hover:underline"
        onClick={() => onChoose({ id: way.from, parent: placesOf(frame, way.from)[0] ?? null })}
      >
        {plainName(frame, way.from)}
      </button>
      <span className="min-w-8 shrink truncate text-ink-2">{way.via === "row" ? "row" : way.label}</span>
      <span
        className={`ml-auto truncate ${differs ? "border-b-2 border-petrol font-semibold" : ""}`}
        title={taken && !taken.real ? "No way leads to that screen yet: it was opened from outside" : undefined}
      >
        {taken ? `Back: ${backSays(frame, taken.seen.ladder)}` : "leads nowhere in this view"}
        {taken && !taken.real ? " *" : ""}
      </span>
    </li>
  );
}

/** Every way in with its own Back: what lies beneath depends on where one came from. */
export function WaysInGroup({ looks }: { looks: readonly WayInLook[] }) {
  const { frame, id } = useBench();
  const isLost = frame.address?.lost === id;
  const stands = useMemo(() => standsInFor(frame, id).length > 0, [frame, id]);
  const usual = looks[0]?.taken?.seen.ladder ?? null;
  return (
    <Group title="Ways in, each with its Back" wide>
      <StandsIn />
      {isLost && <p>Shown for links that lead nowhere.</p>}
      {looks.length === 0 && !stands && !isLost && (
        <p className="text-ink-2">None: no action and no row opens it. It shows when its container starts with it.</p>
      )}
      <ol className="flex flex-col">
        {looks.map((look, i) => (
          <WayIn
            key={`${look.way.from} ${look.way.via} ${look.way.action}`}
            look={look}
            mark={inMark(i)}
            usual={usual}
          />
        ))}
      </ol>
    </Group>
  );
}
