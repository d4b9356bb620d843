import { useMemo } from "react";
import { type Frame, type Id, needWords, plainName, placesOf, standsInFor, type WayInLook } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { Group } from "./group.js";
import { inMark } from "../pegs.js";

export interface WaysInGroupProps {
  frame: Frame;
  id: Id;
  looks: readonly WayInLook[];
  lit: string | null;
  onLit: (mark: string | null) => void;
  onChoose: (chosen: Chosen) => void;
}

const end: Record<string, string> = { exit: "out", stay: "nothing", loop: "round" };

/** The ladder of one way in, in words. */
const backSays = (frame: Frame, back: readonly string[]): string => {
  const names = back.map((id) => end[id] ?? plainName(frame, id));
  return names.length > 5 ? `${names.slice(0, 4).join(", ")} … ${names.at(-1)}` : names.join(", ");
};

/** Every way in with its own Back: what lies beneath depends on where one came from. */
export function WaysInGroup({ frame, id, looks, lit, onLit, onChoose }: WaysInGroupProps) {
  const standing = useMemo(() => standsInFor(frame, id), [frame, id]);
  const usual = looks[0]?.taken?.snapshot.back.join();
  return (
    <Group title="Ways in, each with its Back" wide>
      {standing.length > 0 && (
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
      )}
      {frame.address?.lost === id && <p>Shown for links that lead nowhere.</p>}
      {looks.length === 0 && standing.length === 0 && frame.address?.lost !== id && (
        <p className="text-ink-2">None: no action and no row opens it. It shows when its container starts with it.</p>
      )}
      <ol className="flex flex-col">
        {looks.map(({ way, taken }, i) => {
          const mark = inMark(i);
          const differs = taken && taken.snapshot.back.join() !== usual;
          return (
            <li
              key={`${way.from} ${way.via} ${way.action}`}
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
                {taken ? `Back: ${backSays(frame, taken.snapshot.back)}` : "leads nowhere in this view"}
                {taken && !taken.real ? " *" : ""}
              </span>
            </li>
          );
        })}
      </ol>
    </Group>
  );
}
