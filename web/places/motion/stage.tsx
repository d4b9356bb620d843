import { useEffect, useMemo } from "react";
import {
  atRest,
  type Frame,
  type Id,
  keysOf,
  layerId,
  type LayerSample,
  measure,
  type Motion,
  motionIds,
  type MoveExample,
  moverAt,
  plainName,
  type View,
} from "../../../core/index.js";
import { Button } from "../../parts/button.js";
import { Choice } from "../../parts/choice.js";
import { Select } from "../../parts/select.js";
import { type Size, useSize } from "../../parts/use-size.js";
import { Filmstrip } from "./filmstrip.js";
import { motionName, trackProperties } from "./motion-words.js";
import { StageDevice } from "./stage-device.js";
import { type Staged, type StageWay, stagedMove } from "./staged.js";
import { type StageTime, useStageTime } from "./stage-time.js";

export interface StageProps {
  frame: Frame;
  view: View;
  example: MoveExample;
  id: Id;
  motion: Motion;
  way: StageWay;
  onWay: (way: StageWay) => void;
  time: StageTime;
  staged: Staged;
  /** The motion that is shown beside it, in step. */
  beside: Id | null;
  besideMotion: Motion | null;
  onBeside: (id: Id | null) => void;
  onDevice: () => void;
}

/** The stage: the move on a device with the real screens, what each layer does, and stills of it. */
export function Stage(props: StageProps) {
  const { frame, view, example, motion, way, time, staged, besideMotion } = props;
  const [room, size] = useSize();
  const count = besideMotion ? 2 : 1;
  const { scale, isUnder } = fitting(size, view, count);
  const other = useMemo(
    () => besideMotion && stagedMove(frame, view, example, besideMotion, way),
    [frame, view, example, besideMotion, way],
  );
  return (
    <section aria-label="Stage" className="flex min-h-0 min-w-0 grow flex-col gap-2 px-3.5 pt-2.5 pb-1.5">
      <StageHead {...props} />
      <div
        ref={room}
        className={`flex min-h-0 grow items-center justify-center gap-4 overflow-hidden ${isUnder ? "flex-col gap-2" : ""}`}
      >
        {scale <= 0 ? null : other && besideMotion ? (
          <>
            <Compared {...{ time, way, scale }} motion={motion} staged={staged} />
            <Compared {...{ time, way, scale }} motion={besideMotion} staged={other} />
          </>
        ) : (
          <>
            <StageDevice moving={staged.moving} plays={time.clock} scale={scale} label={`${motion.name} on a device`} />
            <Layers {...props} isUnder={isUnder} />
          </>
        )}
      </div>
      <Filmstrip staged={staged} time={time} />
    </section>
  );
}

/** What is on the stage: which motion, which way, and what stands beside it. */
function StageHead({ frame, motion, way, onWay, time, beside, onBeside }: StageProps) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      <h1 className="min-w-0 truncate text-[15px] font-semibold">{motion.name}</h1>
      <Choice
        label="Which way"
        value={way}
        options={[
          { value: "forward", label: "forward" },
          { value: "back", label: "back" },
          { value: "turned", label: "turned round", says: "Back in the middle of it" },
        ]}
        onChange={onWay}
      />
      {beside !== null && <Playing time={time} />}
      <span className="grow" />
      <Select
        label="Another motion beside it"
        className="w-36"
        value={beside ?? ""}
        options={[
          { value: "", label: "beside: nothing" },
          ...motionIds(frame).map((id) => ({ value: id, label: `beside: ${motionName(frame, id)}` })),
        ]}
        onChange={(id) => onBeside(id || null)}
      />
    </div>
  );
}

interface ComparedProps {
  motion: Motion;
  staged: Staged;
  time: StageTime;
  way: StageWay;
  scale: number;
}

/** One of two motions side by side, with what tells them apart in numbers. */
function Compared({ motion, staged, time, way, scale }: ComparedProps) {
  const { ms, bare, overshoot } = measure(motion, way === "back" ? "back" : "forward");
  const percent = (share: number) => `${Math.round(share * 1000) / 10} %`;
  return (
    <figure className="flex flex-col items-center gap-1">
      <StageDevice moving={staged.moving} plays={time.clock} scale={scale} label={`${motion.name} on a device`} />
      <figcaption className="text-center leading-tight">
        <b>{motion.name}</b> <span className="mono text-[12px]">{Math.round(ms)}</span> ms
        <span className="block text-[12px] text-ink-2">
          bare {percent(bare.share)} · beyond {percent(overshoot)}
        </span>
      </figcaption>
    </figure>
  );
}

/** Room for what is said of the layers, beside a device or under it, px. */
const saidBeside = 232;
const saidOfTwo = 44;
const saidUnder = { wide: 128, narrow: 204 };

/** How large a device can be, and whether what is said of its layers stands under it: where it is larger so. */
const fitting = (room: Size | null, view: View, count: number): { scale: number; isUnder: boolean } => {
  if (!room) return { scale: 0, isUnder: false };
  const scaleIn = (width: number, height: number) => Math.min((width - 4) / view.width, (height - 4) / view.height, 1);
  if (count > 1) return { scale: scaleIn((room.width - 16) / count, room.height - saidOfTwo), isUnder: false };
  const beside = scaleIn(room.width - saidBeside, room.height);
  const under = scaleIn(room.width, room.height - (room.width < 440 ? saidUnder.narrow : saidUnder.wide));
  return under > beside ? { scale: under, isUnder: true } : { scale: beside, isUnder: false };
};

const inWords = (layer: LayerSample): string =>
  keysOf(trackProperties)
    .filter((property) => Math.abs(layer[property] - atRest[property]) > 0.0005)
    .map((property) => {
      const { label, unit } = trackProperties[property];
      return `${label} ${Math.round(layer[property] * 100) / 100}${unit && ` ${unit}`}`;
    })
    .join("  ") || "in its place";

/** What each layer does at the moment, and how the stage goes by. */
function Layers({ frame, example, staged, time, onDevice, isUnder }: StageProps & { isUnder: boolean }) {
  const at = useStageTime(time, (shown) => shown.time);
  const { move } = example;
  const sides = [
    { side: move.entering, what: "comes", edge: "border-l-petrol" },
    { side: move.leaving, what: "is covered or goes", edge: "border-l-saffron" },
  ];
  return (
    <div
      className={`flex shrink-0 flex-wrap gap-2 ${isUnder ? "w-full items-start justify-center" : "w-52 flex-col flex-nowrap self-start pt-2"}`}
    >
      <h2 className={`font-semibold ${isUnder ? "sr-only" : ""}`}>
        Layers at <span className="mono">{Math.round(at)}</span> ms
      </h2>
      {sides.map(({ side, what, edge }) => {
        const mover = side && staged.moving.movers.get(layerId(side.key));
        return (
          side && (
            <div
              key={side.key}
              className={`rounded-sm border border-l-4 border-rule bg-plate-2 px-2 py-1 ${isUnder ? "min-w-40 grow basis-40" : ""} ${edge}`}
            >
              <p className="truncate font-semibold">
                {plainName(frame, side.node)} <span className="font-normal text-ink-2">{what}</span>
              </p>
              <p className="mono min-h-4.5 text-[11.5px]">{mover ? inWords(moverAt(mover, at)) : "in its place"}</p>
            </div>
          )
        );
      })}
      <Playing time={time} />
      <Button className="self-start" onClick={onDevice} title="Puts the live device where this move begins">
        To the live device
      </Button>
      {staged.turnedAt !== null && !isUnder && (
        <p className="text-ink-2">Turned round at {staged.turnedAt} ms: from where each layer is, with its speed.</p>
      )}
    </div>
  );
}

/** Going by, and how fast. */
function Playing({ time }: { time: StageTime }) {
  const isPlaying = useStageTime(time, (shown) => shown.isPlaying);
  const pace = useStageTime(time, (shown) => shown.pace);
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      <Choice
        label="How fast the stage goes by"
        value={String(pace)}
        options={[
          { value: "1", label: "1×" },
          { value: "0.5", label: "½×" },
          { value: "0.1", label: "⅒×" },
        ]}
        onChange={(value) => time.pace(value === "0.5" ? 0.5 : value === "0.1" ? 0.1 : 1)}
      />
      <Button onClick={() => time.play(!isPlaying)} title="Space">
        {isPlaying ? "Hold" : "Go on"}
      </Button>
    </div>
  );
}

/** Keeps the stage's time as long as the move is. */
export const useStagedTime = (time: StageTime, staged: Staged | null): void =>
  useEffect(() => {
    if (staged) time.setLength(staged.length);
  }, [time, staged]);
