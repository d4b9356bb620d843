import { type ReactNode, useEffect, useRef, useState } from "react";
import { type Frame, type State, tour, type TourFound, type View } from "../../../core/index.js";
import { useEditing, useLive, useOpenFrame } from "../../app/open-frame.js";
import { Button } from "../../parts/button.js";
import { Icon } from "../../parts/icon.js";

/** How long the first device stands at each stop, ms. */
const beat = 240;

interface Going {
  found: readonly TourFound[];
  /** How many stops were shown. */
  at: number;
  frame: Frame;
  state: State;
}

const isKept = ({ isSame, other }: TourFound): boolean => isSame && other.length === 0;

/** Shows the stops of a tour on the first device, one after another; at once where motion is to be calm. */
const useTour = () => {
  const { sizes } = useOpenFrame();
  const [going, setGoing] = useState<Going | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const stop = () => {
    clearTimeout(timer.current);
    sizes.showOnTour(null);
  };
  useEffect(() => stop, [sizes]);
  const start = (frame: Frame, state: State, view: View) => {
    stop();
    const found = tour(frame, state, view);
    const show = (at: number) => {
      setGoing({ found, at, frame, state });
      const next = found[at];
      if (!next) return sizes.showOnTour(null);
      sizes.showOnTour(next.view);
      timer.current = setTimeout(() => show(at + 1), beat);
    };
    const isCalm = matchMedia("(prefers-reduced-motion: reduce)").matches;
    show(isCalm ? found.length : 0);
  };
  const end = () => {
    stop();
    setGoing((now) => now && { ...now, at: now.found.length });
  };
  const close = () => {
    stop();
    setGoing(null);
  };
  return { going, start, end, close };
};

/** A tour of everything the device may become: it proves that the state stays the same, and says where faces and panes are other. */
export function TourLine({ children }: { children: ReactNode }) {
  const frame = useEditing((edited) => edited.frame);
  const view = useLive((live) => live.device.view);
  const state = useLive((live) => live.device.at.state);
  const { going, start, end, close } = useTour();
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1.5">
        {children}
        <Button
          icon="path"
          title="Plays this state through every band, target, fold and turn, and proves that it stays the same"
          onClick={() => start(frame, state, view)}
        >
          Tour of every size
        </Button>
      </div>
      {going && (
        <Told going={going} isOld={going.frame !== frame || going.state !== state} onEnd={end} onClose={close} />
      )}
    </>
  );
}

interface ToldProps {
  going: Going;
  /** The frame or the state is another since. */
  isOld: boolean;
  onEnd: () => void;
  onClose: () => void;
}

/** The stops so far, and what came of them. */
function Told({ going: { found, at }, isOld, onEnd, onClose }: ToldProps) {
  const isDone = at >= found.length;
  const broken = found.filter((each) => !isKept(each));
  const otherwise = found.filter(({ looksOtherwise }) => looksOtherwise).length;
  return (
    <div
      className="flex h-8 w-full items-center gap-3 rounded-sm border border-rule bg-plate-1 px-2.5"
      data-tour={isDone ? "done" : "going"}
    >
      <ol className="flex gap-0.5" aria-label="Stops of the tour">
        {found.map((each, i) => (
          <li
            key={i}
            title={`${each.stop.says}: ${isKept(each) ? "the same" : `other: ${each.other.join(", ")}`}`}
            className={`h-4 w-2 rounded-[2px] border ${i >= at ? "border-field" : isKept(each) ? "border-petrol bg-petrol" : "border-clay bg-clay"}`}
          />
        ))}
      </ol>
      <p role="status" className="min-w-0 grow truncate">
        {!isDone ? (
          `${at + 1} of ${found.length}: ${found[at]?.stop.says}`
        ) : broken.length === 0 ? (
          <>
            <Icon name="check" size={15} className="mr-1 align-[-2px]" />
            <b className="font-semibold">The same at all {found.length} stops.</b> Faces or panes are other at{" "}
            {otherwise}.{isOld && <span className="text-ink-2"> Something changed since.</span>}
          </>
        ) : (
          <span className="text-clay">
            ! Other at {broken.length} of {found.length}: {broken[0]?.stop.says} (
            {broken[0]?.other.join(", ") || "the state"})
          </span>
        )}
      </p>
      {isDone ? (
        <Button tone="quiet" icon="x" aria-label="Close the tour" className="h-6.5!" onClick={onClose} />
      ) : (
        <Button className="h-6.5!" onClick={onEnd}>
          Stop
        </Button>
      )}
    </div>
  );
}
