import { useCallback, useMemo, useState } from "react";
import { type Frame, type Played, type PlayedStep, playedSteps } from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";

/** What is played on the companion, step by step. */
export interface Playing {
  steps: readonly PlayedStep[];
  /** The step the companion was brought to. */
  at: number;
  /** Brings the companion to the end of what shows something. */
  play: (played: Played) => void;
  /** Brings it to one of the steps. */
  goTo: (step: number) => void;
}

/** Plays on the companion what shows a finding, in the view it shows in. */
export const usePlaying = (frame: Frame): Playing => {
  const { live } = useOpenFrame();
  const [played, setPlayed] = useState<Played | null>(null);
  const [at, setAt] = useState(0);
  const steps = useMemo(() => (played ? playedSteps(frame, played).steps : []), [frame, played]);
  const bring = useCallback(
    (what: Played, upTo: number) => {
      const { view, steps: all } = playedSteps(frame, what);
      const { calm, rtl } = live.get().device.view;
      live.launchAs({ ...view, calm, rtl }, what.beginning.facts, what.beginning.url ?? undefined);
      for (const { event } of all.slice(1, upTo + 1)) if (event) live.send(event);
      setAt(upTo);
    },
    [frame, live],
  );
  const play = useCallback(
    (what: Played) => {
      setPlayed(what);
      bring(what, what.events.length);
    },
    [bring],
  );
  const goTo = useCallback(
    (step: number) => {
      if (played) bring(played, step);
    },
    [bring, played],
  );
  return { steps, at, play, goTo };
};
