import { useState } from "react";
import {
  alikeEdit,
  type AppMove,
  type CascadeStep,
  exceptionsOf,
  type Frame,
  type Id,
  motionAt,
  motionEdit,
  motionIds,
  type MotionKind,
  type MotionLevel,
  takeBackEdit,
  targetsOf,
  type View,
  waysIn,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { Button } from "../../parts/button.js";
import { Select } from "../../parts/select.js";
import { kindName, levelWords, motionName, moveName } from "./motion-words.js";
import type { AskedMove, Asks } from "./use-asked-move.js";

export interface CascadeColumnProps {
  frame: Frame;
  view: View;
  asked: AskedMove;
  onAsk: (asks: Asks) => void;
}

/** A move of the app, chosen among all of them by their kind. */
function MoveSelect({ frame, asked: { moves, move }, onAsk }: Omit<CascadeColumnProps, "view">) {
  const kinds = [...new Set(moves.map(({ kind }) => kind))];
  return (
    <select
      aria-label="Which move"
      className="h-7 w-full min-w-0 rounded-sm border border-field bg-plate-2 px-1"
      value={moves.find(({ id }) => move?.id.startsWith(id))?.id ?? ""}
      onChange={({ target }) => onAsk({ move: target.value, by: null, motion: null })}
    >
      {kinds.map((kind) => (
        <optgroup key={kind} label={kindName(kind)}>
          {moves
            .filter((each) => each.kind === kind)
            .map((each) => (
              <option key={each.id} value={each.id}>
                {moveName(frame, each)}
              </option>
            ))}
        </optgroup>
      ))}
    </select>
  );
}

/** By which way in, where it has some. */
function WaySelect({ frame, move, onAsk }: { frame: Frame; move: AppMove; onAsk: (asks: Asks) => void }) {
  const ways = waysIn(frame, move.node).filter(({ action }) => action !== null);
  const now = move.way ? `${move.way.from}.${move.way.action}` : "";
  if (ways.length === 0 || !(move.way === null || move.id.endsWith(now))) return null;
  return (
    <Select
      label="By which way in"
      className="w-full"
      value={now}
      options={[
        { value: "", label: "by any way in" },
        ...ways.map(({ from, action, label }) => ({ value: `${from}.${action}`, label: `by ${label}` })),
      ]}
      onChange={(by) => onAsk({ by: by || null, motion: null })}
    />
  );
}

const settable = (step: CascadeStep, move: AppMove): MotionLevel | null =>
  step.level === "calm" || step.level === "builtIn" || (step.level === "way" && !move.way) ? null : step.level;

interface LevelRowProps {
  frame: Frame;
  view: View;
  move: AppMove;
  step: CascadeStep;
  /** It decides. */
  isLit: boolean;
  /** A level above it decides, so that what it says does not hold. */
  isOver: boolean;
  target: Id | undefined;
}

interface LevelSelectProps {
  frame: Frame;
  name: string;
  /** The motion it says. Null if it says none. */
  says: Id | null;
  isOver: boolean;
  onSet: (id: Id | null) => void;
}

/** The motion that a level says, to be set there. One that the frame does not have is shown with a question mark. */
function LevelSelect({ frame, name, says, isOver, onSet }: LevelSelectProps) {
  const isUnknown = says !== null && !motionAt(frame, says);
  return (
    <Select
      label={`Motion that ${name} says`}
      className={`w-full ${isOver && says ? "line-through opacity-70" : ""}`}
      value={says ?? ""}
      options={[
        { value: "", label: "–" },
        ...(isUnknown && says ? [{ value: says, label: `${says} ?` }] : []),
        ...motionIds(frame).map((id) => ({ value: id, label: motionName(frame, id) })),
      ]}
      onChange={(id) => onSet(id || null)}
    />
  );
}

/** One level of the cascade: whose it is, which motion it says, and setting that there. */
function LevelRow({ frame, view, move, step, isLit, isOver, target }: LevelRowProps) {
  const { editing } = useOpenFrame();
  const [name, says] = levelWords(frame, step, move);
  const level = settable(step, move);
  const set = (id: Id | null) => {
    const edit = level && motionEdit(frame, move, level, id, target);
    const what = id === null ? `${name} says no motion` : `${name} moves by ${motionName(frame, id)}`;
    if (edit) editing.edit(edit, what);
  };
  const takeBack = () => {
    const edit = level && takeBackEdit(frame, view, move, level);
    if (edit) editing.edit(edit, `takes back the motion of ${name}`);
  };
  return (
    <li
      data-level={step.level}
      aria-current={isLit || undefined}
      className={`grid grid-cols-[minmax(0,1fr)_minmax(0,92px)_20px] items-center gap-x-1.5 rounded-sm border px-2 py-1 ${isLit ? "border-petrol bg-petrol-soft" : "border-transparent"}`}
    >
      <span className="min-w-0 leading-tight">
        <span className={`block truncate ${isLit ? "font-semibold" : ""}`} title={name}>
          {name}
        </span>
        <span className="block truncate text-[12px] text-ink-2">{says}</span>
      </span>
      {level ? (
        <LevelSelect frame={frame} name={name} says={step.says} isOver={isOver} onSet={set} />
      ) : (
        <span
          className={`truncate text-right ${isOver && step.says ? "text-ink-2 line-through" : isLit ? "font-semibold text-petrol" : "text-ink-2"}`}
        >
          {step.says ? motionName(frame, step.says) : "–"}
        </span>
      )}
      {level && step.says !== null ? (
        <button
          type="button"
          aria-label={`Take back what ${name} says`}
          title="Take it back: what is said of every target, else the level below, decides again"
          className="grid size-5 place-items-center rounded-sm text-ink-2 hover:bg-plate-0"
          onClick={takeBack}
        >
          ×
        </button>
      ) : (
        <span />
      )}
    </li>
  );
}

/** How many moves of a kind are otherwise than the app's, and making all of them alike. */
function Alike({ frame, kind, moves }: { frame: Frame; kind: MotionKind; moves: readonly AppMove[] }) {
  const { editing } = useOpenFrame();
  const exceptions = exceptionsOf(frame, kind).length;
  const all = moves.filter((each) => each.kind === kind).length;
  const words = `${all} ${all === 1 ? "move" : "moves"} of this kind`;
  const edit = alikeEdit(frame, kind);
  return (
    <div className="flex flex-col gap-1.5">
      <p className="text-ink-2">
        {exceptions === 0
          ? `${words}, all by the app's one motion`
          : `${words}, ${exceptions} ${exceptions === 1 ? "exception is" : "exceptions are"} set`}
      </p>
      {edit && (
        <Button
          className="self-start"
          title="Takes every exception of this kind back"
          onClick={() => editing.edit(edit, `makes every ${kindName(kind)} move alike`)}
        >
          Make all alike
        </Button>
      )}
    </div>
  );
}

/** Where a move has its motion from: every level that may say it, the one that decides lit. */
export function CascadeColumn(props: CascadeColumnProps) {
  const { frame, view, asked, onAsk } = props;
  const { move, cascade, moves } = asked;
  const [target, setTarget] = useState("");
  const targets = targetsOf(frame);
  if (!move || !cascade)
    return (
      <p className="text-ink-2">
        Nothing moves in this app yet: put a second screen into a stack, or a second tab into a hub.
      </p>
    );
  const lit = cascade.steps.indexOf(cascade.by);
  return (
    <section aria-label="Where it comes from" className="flex flex-col gap-2">
      <h2 className="font-semibold">Where it comes from</h2>
      <MoveSelect {...props} />
      <WaySelect frame={frame} move={move} onAsk={onAsk} />
      <ol className="-mx-2 flex flex-col">
        {cascade.steps.map((step, i) => (
          <LevelRow
            key={step.level}
            {...{ frame, view, move, step }}
            isLit={i === lit}
            isOver={i > lit}
            target={targets.some(({ id }) => id === target) ? target : undefined}
          />
        ))}
      </ol>
      {targets.length > 1 && (
        <Select
          label="On which devices what is set here holds"
          value={target}
          options={[
            { value: "", label: "set on every target" },
            ...targets.map(({ id, label }) => ({ value: id, label: `set on ${label} alone` })),
          ]}
          onChange={setTarget}
        />
      )}
      <Alike frame={frame} kind={move.kind} moves={moves} />
    </section>
  );
}
