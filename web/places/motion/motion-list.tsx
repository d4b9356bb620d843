import { useMemo } from "react";
import {
  builtInMotions,
  freeIdIn,
  type Frame,
  type Id,
  type Motion,
  motionAt,
  motionIds,
  targetsOf,
  type View,
  usesOf,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { Button } from "../../parts/button.js";
import { lengthOf, moveName, usesWords } from "./motion-words.js";
import { MiniCurve } from "./mini-curve.js";

export interface MotionListProps {
  frame: Frame;
  view: View;
  /** The motion that is looked at. */
  id: Id;
  onPick: (id: Id) => void;
  onBringIn: () => void;
  onOut: () => void;
}

/** A copy of a motion under a name that is free. */
const copyOf = (frame: Frame, motion: Motion): { id: Id; motion: Motion } => {
  const taken = new Set(motionIds(frame));
  const names = new Set(motionIds(frame).map((each) => motionAt(frame, each)?.name));
  let n = 2;
  while (names.has(`${motion.name} ${n}`)) n += 1;
  const name = `${motion.name} ${n}`;
  return { id: freeIdIn({ ...frame, nodes: {} }, name, taken), motion: { ...motion, name } };
};

/** Motions that are used on other targets alone, with the name of one. */
const usedElsewhere = (frame: Frame, view: View): ReadonlyMap<Id, string> =>
  new Map(
    targetsOf(frame)
      .filter((target) => target.id !== view.target)
      .flatMap((target) =>
        [...usesOf(frame, { ...view, target: target.id }).keys()].map((id) => [id, `on ${target.label}`]),
      ),
  );

/** The motions there are: those of the app, then the built-in ones, each with where it is used and how long it takes. */
export function MotionList({ frame, view, id, onPick, onBringIn, onOut }: MotionListProps) {
  const { editing } = useOpenFrame();
  const uses = useMemo(() => usesOf(frame, view), [frame, view]);
  const elsewhere = useMemo(() => usedElsewhere(frame, view), [frame, view]);
  const ids = motionIds(frame);
  const own = ids.filter((each) => frame.motions?.[each]);
  const used = ids.filter((each) => !own.includes(each) && (uses.has(each) || elsewhere.has(each)));
  const others = ids.filter((each) => !own.includes(each) && !used.includes(each));
  const copy = () => {
    const motion = motionAt(frame, id);
    if (!motion) return;
    const made = copyOf(frame, motion);
    const faults = editing.edit(
      { kind: "setFrame", key: "motions", value: { ...frame.motions, [made.id]: made.motion } },
      `adds the motion ${made.motion.name}`,
    );
    if (!faults) onPick(made.id);
  };
  return (
    <section aria-label="Motions" className="flex flex-col gap-1.5">
      <h2 className="font-semibold">
        Motions <span className="font-normal text-ink-2">and where they are used</span>
      </h2>
      {[own, used, others].map(
        (group, i) =>
          group.length > 0 && (
            <div key={i}>
              <h3 className="text-[12px] text-ink-2">{["of this app", "built in, used", "to begin with"][i]}</h3>
              <ul className="-mx-2">
                {group.map((each) => (
                  <MotionRow
                    key={each}
                    {...{ frame, onPick }}
                    id={each}
                    isChosen={each === id}
                    uses={uses.has(each) ? usesWords(uses.get(each) ?? []) : (elsewhere.get(each) ?? "not used")}
                    where={(uses.get(each) ?? []).map((move) => moveName(frame, move)).join(", ")}
                  />
                ))}
              </ul>
            </div>
          ),
      )}
      <div className="flex flex-wrap gap-1.5">
        <Button icon="copy" onClick={copy} title="A motion of the app's own, as the one that is chosen">
          Save as own
        </Button>
        <Button onClick={onBringIn} title="From a file of design tokens, or from another frame">
          Bring in …
        </Button>
        <Button tone="quiet" className="text-petrol" onClick={onOut} title="For the code: CSS, or design tokens">
          Out as CSS · tokens
        </Button>
      </div>
    </section>
  );
}

interface MotionRowProps {
  frame: Frame;
  id: Id;
  isChosen: boolean;
  uses: string;
  /** The moves that it is used for. */
  where: string;
  onPick: (id: Id) => void;
}

function MotionRow({ frame, id, isChosen, uses, where, onPick }: MotionRowProps) {
  const motion = motionAt(frame, id);
  if (!motion) return null;
  const replaces = frame.motions?.[id] !== undefined && Object.hasOwn(builtInMotions, id);
  return (
    <li>
      <button
        type="button"
        aria-pressed={isChosen}
        data-motion={id}
        title={where || undefined}
        className={`grid w-full grid-cols-[minmax(0,1fr)_40px_34px] items-center gap-1.5 rounded-sm border px-2 py-0.5 text-left ${isChosen ? "border-petrol bg-plate-2" : "border-transparent hover:bg-plate-0"}`}
        onClick={() => onPick(id)}
      >
        <span className="min-w-0 leading-tight">
          <span className={`block truncate ${isChosen ? "font-semibold" : ""}`}>{motion.name}</span>
          <span className="block truncate text-[12px] text-ink-2">{replaces ? `${uses}, changed here` : uses}</span>
        </span>
        <MiniCurve motion={motion} />
        <span className="mono text-right text-[12px]">{lengthOf(frame, id)}</span>
      </button>
    </li>
  );
}
