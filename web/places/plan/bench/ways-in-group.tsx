import { useMemo } from "react";
import {
  compact,
  type Frame,
  type Id,
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
import { Check } from "../../../parts/check.js";
import { TextLine } from "../../../parts/text-line.js";
import { readNames, wrongNames } from "../../../parts/wrong.js";
import { lights, useIsLit } from "../drawing/lit.js";
import { inMark } from "../drawing/pegs.js";
import { useBench, useNode, useNodeOf } from "./bench-context.js";
import { Line } from "./group.js";
import { WayMark } from "./way-mark.js";

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
    <p className="pb-1">
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
  const { frame, onChoose } = useBench();
  const isLit = useIsLit(mark);
  const ladder = taken?.seen.ladder;
  const differs = ladder && (!usual || !samePath(pathOf(ladder), pathOf(usual)));
  return (
    <li
      className={`grid grid-cols-[24px_minmax(0,1fr)_minmax(0,1fr)_minmax(0,2fr)] items-center gap-x-2 border-b border-rule py-1 last:border-b-0 ${isLit ? "bg-petrol-soft" : ""}`}
      {...lights(mark)}
    >
      <WayMark mark={mark} />
      <button
        type="button"
        className="justify-self-start text-left font-medium hover:underline"
        onClick={() => onChoose({ id: way.from, parent: placesOf(frame, way.from)[0] ?? null })}
      >
        {plainName(frame, way.from)}
      </button>
      <span className="text-ink-2">{way.via === "row" ? `a row: ${way.label}` : way.label}</span>
      <span
        className={differs ? "font-semibold underline decoration-petrol decoration-2 underline-offset-4" : ""}
        title={taken && !taken.real ? "No way leads to that screen yet: it was opened from outside" : undefined}
      >
        {taken ? backSays(frame, taken.seen.ladder) : "leads nowhere in this view"}
        {taken && !taken.real ? " *" : ""}
      </span>
    </li>
  );
}

/** Names of values that every way in has to hand over. */
function WantsLine() {
  const { said, set } = useBench();
  const { wants = [] } = useNodeOf("screen");
  return (
    <div className="max-w-lg pt-2">
      <Line label="Values that each way in must hand over" long says={said.wants}>
        <TextLine
          aria-label="Values that each way in must hand over"
          className="mono text-[12px]"
          value={wants.join(", ")}
          placeholder="none; names, such as: draft, amount"
          wrong={wrongNames}
          onDone={(text) => {
            const names = readNames(text) ?? [];
            set("wants", names.length ? names : undefined, `wants ${names.join(", ") || "nothing"}`);
          }}
        />
      </Line>
    </div>
  );
}

/** Links that lead nowhere come to one screen, which can be any that needs nothing from the link. */
function LostLine({ isLost }: { isLost: boolean }) {
  const { frame, id, make } = useBench();
  const name = plainName(frame, id);
  const put = (lost: Id | undefined) => {
    const value = compact<NonNullable<Frame["address"]>>({ ...frame.address, lost });
    make({
      edit: { kind: "setFrame", key: "address", ...(value && { value }) },
      label: lost === undefined ? "What leads nowhere is ignored" : `${name} for what leads nowhere`,
      choose: null,
    });
  };
  return (
    <div className="py-1">
      <Check checked={isLost} onChange={(is) => put(is ? id : undefined)}>
        Shown for links that lead nowhere
      </Check>
    </div>
  );
}

/** Every way in with its own Back: what lies beneath depends on where one came from. */
export function WaysInGroup() {
  const { frame, id, looks } = useBench();
  const { kind } = useNode();
  const isLost = frame.address?.lost === id;
  const stands = useMemo(() => standsInFor(frame, id).length > 0, [frame, id]);
  const usual = looks[0]?.taken?.seen.ladder ?? null;
  return (
    <>
      <StandsIn />
      {looks.length === 0 && !stands && !isLost && (
        <p className="text-ink-2">No action and no row opens it. It shows when its container starts with it.</p>
      )}
      {looks.length > 0 && (
        <p
          aria-hidden
          className="grid grid-cols-[24px_minmax(0,1fr)_minmax(0,1fr)_minmax(0,2fr)] gap-x-2 text-[12.5px] text-ink-2"
        >
          <span className="col-start-2">from</span>
          <span>by</span>
          <span>Back then</span>
        </p>
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
      {kind === "screen" && <LostLine isLost={isLost} />}
      {kind === "screen" && <WantsLine />}
    </>
  );
}
