import { Suspense, useCallback, useDeferredValue, useEffect, useMemo, useState } from "react";
import { useParams } from "react-router";
import {
  builtInMotions,
  exampleOf,
  type Frame,
  type Id,
  lensOf,
  type Motion,
  motionAt,
  type MoveExample,
  shapeOf,
  takeOutMotion,
  type Toward,
  type View,
} from "../../../core/index.js";
import { useEditing, useLive, useOpenFrame } from "../../app/open-frame.js";
import { usePoints } from "../../app/use-points.js";
import { Awaited } from "../../parts/awaited.js";
import { Button } from "../../parts/button.js";
import { later } from "../../parts/later.js";
import { TextLine } from "../../parts/text-line.js";
import { CalmLine } from "./calm-line.js";
import { CascadeColumn } from "./cascade-column.js";
import { EasePanel } from "./ease-panel.js";
import { MotionList } from "./motion-list.js";
import { Numbers } from "./numbers.js";
import { Scrubbed, Scrubber } from "./scrubber.js";
import { Stage, useStagedTime } from "./stage.js";
import { stagedMove } from "./staged.js";
import { type StageTime, useNewStageTime } from "./stage-time.js";
import type { TrackPlace } from "./track-edits.js";
import { TrackTable } from "./track-table.js";
import { type AskedMove, type Asks, useAskedMove } from "./use-asked-move.js";

const Curves = later(() => import("./curves.js"));
const OutDialog = later(() => import("./out-dialog.js"));
const BringInDialog = later(() => import("./bring-in-dialog.js"));

/** How screens move: where each move has its motion from, the motion on a stage, what it measures, and its tracks. */
export default function MotionPlace() {
  const frame = useEditing((edited) => edited.frame);
  const live = useLive((now) => now.device.view);
  const view = useMemo(() => ({ ...live, calm: false }), [live]);
  const [asked, ask] = useAskedMove(frame, view);
  const [dialog, setDialog] = useState<"in" | "out" | null>(null);
  const close = () => setDialog(null);
  const { id: frameId = "" } = useParams();
  const points = usePoints(frame, view);
  const example = useMemo(() => (asked.move ? exampleOf(points, asked.move) : null), [points, asked.move?.id]);
  return (
    <main aria-label="Motion" className="flex min-h-0 min-w-0 grow bg-page">
      <div className="flex w-60 shrink-0 flex-col gap-3.5 overflow-y-auto border-r border-ink px-3.5 pt-2.5 pb-4">
        <CascadeColumn frame={frame} view={view} asked={asked} onAsk={ask} />
        <MotionList
          frame={frame}
          view={view}
          id={asked.id}
          onPick={(motion) => ask({ motion: motion === asked.cascade?.id ? null : motion })}
          onBringIn={() => setDialog("in")}
          onOut={() => setDialog("out")}
        />
        <CalmLine frame={frame} />
        {dialog && (
          <Awaited onLeave={close}>
            {dialog === "out" ? (
              <OutDialog frame={frame} view={view} id={asked.id} onClose={close} />
            ) : (
              <BringInDialog frame={frame} id={frameId} onClose={close} onBrought={(motion) => ask({ motion })} />
            )}
          </Awaited>
        )}
      </div>
      {example && asked.move ? (
        <Tuned frame={frame} view={view} asked={asked} example={example} onAsk={ask} />
      ) : (
        <p className="m-auto max-w-80 p-6 text-ink-2">
          {asked.move
            ? "Nothing in the app makes this move yet: give it a way in, on the plan."
            : "A motion is looked at where it happens. Add a second screen on the plan, and a way to it."}
        </p>
      )}
    </main>
  );
}

interface TunedProps {
  frame: Frame;
  view: View;
  asked: AskedMove;
  example: MoveExample;
  onAsk: (asks: Asks) => void;
}

/** A motion that is tried is shown before it is made so; what is made so is the frame's. */
const useTuning = (id: Id, motion: Motion) => {
  const { editing } = useOpenFrame();
  const [tried, setTried] = useState<Motion | null>(null);
  useEffect(() => setTried(null), [motion, id]);
  const put = useCallback(
    (next: Motion, label: string) => {
      setTried(null);
      const { motions } = editing.get().frame;
      editing.edit({ kind: "setFrame", key: "motions", value: { ...motions, [id]: next } }, `${next.name}: ${label}`);
    },
    [editing, id],
  );
  return { shown: tried ?? motion, tryOut: setTried, put };
};

/** Space goes on and holds, as long as no line is written in. */
const useSpace = (time: StageTime): void =>
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const at = event.target;
      if (
        event.key !== " " ||
        !(at instanceof HTMLElement) ||
        at.closest("input:not([type=range]), select, button, textarea, [role]")
      )
        return;
      event.preventDefault();
      time.play(!time.get().isPlaying);
    };
    addEventListener("keydown", pressed);
    return () => removeEventListener("keydown", pressed);
  }, [time]);

function Tuned({ frame, view, asked, example, onAsk }: TunedProps) {
  const { live } = useOpenFrame();
  const { id, motion, stage, move } = asked;
  const { shown, tryOut, put } = useTuning(id, motion);
  const [beside, setBeside] = useState<Id | null>(null);
  const [chosen, setChosen] = useState<TrackPlace | null>(null);
  const toward: Toward = stage === "back" ? "back" : "forward";
  const time = useNewStageTime();
  useSpace(time);
  const staged = useMemo(() => stagedMove(frame, view, example, shown, stage), [frame, view, example, shown, stage]);
  const curved = useDeferredValue(staged);
  useStagedTime(time, staged);
  const besideMotion = beside === null ? null : (motionAt(frame, beside) ?? null);
  if (!move) return null;
  return (
    <div className="grid min-h-0 min-w-0 grow grid-cols-[minmax(310px,1fr)_minmax(230px,404px)] grid-rows-[minmax(0,1fr)_auto]">
      <Stage
        {...{ frame, view, example, id, motion: shown, time, staged, beside, besideMotion }}
        way={stage}
        onWay={(way) => onAsk({ stage: way })}
        onBeside={setBeside}
        onDevice={() => live.goAlong(example.before, [])}
      />
      <div className="flex min-h-0 min-w-0 flex-col gap-2 overflow-y-auto border-l border-rule px-3.5 pt-2.5 pb-2">
        <Heading frame={frame} id={id} motion={motion} onPut={put} />
        <Numbers
          motion={shown}
          toward={toward}
          kind={move.kind}
          edge={lensOf(frame, view).look(move.node).edge}
          onPut={put}
        />
        <div className="flex min-h-72 grow flex-col gap-1">
          <Scrubbed time={time} length={staged.length}>
            <Suspense fallback={<p className="text-ink-2">The curves are on their way …</p>}>
              <Curves {...{ frame, example, motion: shown }} staged={curved} way={stage} />
            </Suspense>
          </Scrubbed>
          <Scrubber time={time} length={staged.length} />
        </div>
      </div>
      <div className="col-span-2 flex max-h-52 min-h-44 min-w-0 border-t border-ink bg-plate-1">
        <TrackTable
          {...{ motion: shown, toward, time, chosen }}
          length={staged.turnedAt === null ? staged.length : staged.length - staged.turnedAt}
          onToward={(next) => onAsk({ stage: next })}
          onChoose={setChosen}
          onTry={tryOut}
          onPut={put}
        />
        <EasePanel motion={shown} chosen={chosenTrack(shown, toward, chosen)} onTry={tryOut} onPut={put} />
      </div>
    </div>
  );
}

/** The track that is chosen, as it is on the way that is looked at; where that has none of the kind, its first. */
const chosenTrack = (motion: Motion, toward: Toward, chosen: TrackPlace | null): TrackPlace | null => {
  const shape = shapeOf(motion, toward);
  if (chosen && shape[chosen.layer].some(({ property }) => property === chosen.property)) return { ...chosen, toward };
  const layer = shape.incoming.length > 0 ? "incoming" : "outgoing";
  const [track] = shape[layer];
  return track ? { toward, layer, property: track.property } : null;
};

interface HeadingProps {
  frame: Frame;
  id: Id;
  motion: Motion;
  onPut: (motion: Motion, label: string) => void;
}

/** What the motion is called, and going back to what is built in. */
function Heading({ frame, id, motion, onPut }: HeadingProps) {
  const { editing } = useOpenFrame();
  const own = frame.motions?.[id];
  const isBuiltIn = Object.hasOwn(builtInMotions, id);
  const takeOut = () => {
    editing.edit(
      takeOutMotion(frame, id, isBuiltIn),
      isBuiltIn ? `${motion.name} is as built in again` : `takes out the motion ${motion.name}`,
    );
  };
  return (
    <div className="flex items-center gap-2">
      <TextLine
        aria-label="Name of the motion"
        className="font-semibold"
        value={motion.name}
        wrong={(text) =>
          text.trim() === "" ? "A motion needs a name." : text.length > 60 ? "60 letters at most." : null
        }
        onDone={(name) => onPut({ ...motion, name: name.trim() }, `is called ${name.trim()}`)}
      />
      {own && (
        <Button
          tone="quiet"
          onClick={takeOut}
          title={isBuiltIn ? "Takes back all that was changed of it" : "Takes it out of the app, wherever it is named"}
        >
          {isBuiltIn ? "As built in" : "Take out"}
        </Button>
      )}
      {!own && <span className="shrink-0 text-[12px] text-ink-2">built in</span>}
    </div>
  );
}
