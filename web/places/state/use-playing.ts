import { useEffect, useRef, useState } from "react";
import {
  type Journey,
  type NavigationEvent,
  playJourney,
  type Frame,
  viewOfJourney,
  type View,
} from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import { wayTo } from "../../data/trail.js";

/** How fast what happened is played again: as it happened, slower, or all at once. */
export type Pace = "as" | "quarter" | "once";

/** Between two events, ms: never longer than a person would wait, nor shorter than can be seen. */
const longest = 1600;
const shortest = 350;

interface Playing {
  what: "trail" | Journey["id"];
  at: number;
  of: number;
}

/** Plays the trail, or a journey, again on the device. */
export const usePlaying = () => {
  const { live } = useOpenFrame();
  const [playing, setPlaying] = useState<Playing | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const stop = () => {
    clearTimeout(timer.current);
    setPlaying(null);
  };
  useEffect(() => () => clearTimeout(timer.current), []);

  const run = (
    what: Playing["what"],
    steps: readonly { event: NavigationEvent; view?: View; gap: number }[],
    pace: Pace,
  ) => {
    clearTimeout(timer.current);
    const go = (at: number): void => {
      const step = steps[at];
      if (!step) return stop();
      live.send(step.event, step.view);
      if (pace === "once") return go(at + 1);
      setPlaying({ what, at: at + 1, of: steps.length });
      const next = steps[at + 1];
      const gap = Math.min(longest, Math.max(shortest, next?.gap ?? shortest));
      timer.current = setTimeout(() => go(at + 1), pace === "quarter" ? gap * 4 : gap);
    };
    if (pace === "once") return go(0);
    setPlaying({ what, at: 0, of: steps.length });
    timer.current = setTimeout(() => go(0), shortest);
  };

  /** From the beginning of the way the device is on to where it is. */
  const playTrail = (pace: Pace) => {
    const { trail } = live.get();
    const [first, ...rest] = wayTo(trail, trail.at);
    if (!first) return;
    live.goTo(first.id);
    let last = first.time;
    const steps = rest.flatMap(({ event, seenIn, time }) => {
      const gap = time - last;
      last = time;
      return event ? [{ event, view: seenIn, gap }] : [];
    });
    run("trail", steps, pace);
  };

  const playKept = (frame: Frame, journey: Journey, pace: Pace) => {
    live.launchAs(viewOfJourney(frame, journey), journey.facts ?? {}, journey.url);
    const steps = playJourney(frame, journey).steps.map(({ event }) => ({ event, gap: 700 }));
    run(journey.id, steps, pace);
  };
  return { playing, stop, playTrail, playKept };
};
