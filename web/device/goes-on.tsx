import { useEffect, useRef, useState } from "react";
import { type Frame, lensOf, nodeIn, type State, topOf, type View } from "../../core/index.js";

export interface GoesOnProps {
  frame: Frame;
  view: View;
  state: State;
  /** So much time passes, ms. */
  onWait: (ms: number) => void;
}

/** ms. How often the count is drawn. */
const beat = 100;

/** Counts down to what a screen does by itself, and lets it happen; it can be held, or had at once. */
export function GoesOn({ frame, view, state, onWait }: GoesOnProps) {
  const latest = useRef(onWait);
  latest.current = onWait;
  const top = topOf(lensOf(frame, view), state.root);
  const node = nodeIn(frame, top.node);
  const after = node?.kind === "screen" ? node.after : undefined;
  const { since, key } = top;
  const total = after && since !== null && !state.outside ? Math.max(0, since + after.ms - state.clock) : null;
  const [passed, setPassed] = useState(0);
  const [held, setHeld] = useState(false);

  useEffect(() => {
    setPassed(0);
    setHeld(false);
  }, [key, since]);
  useEffect(() => {
    if (total === null || held) return;
    const from = performance.now() - passed;
    const timer = setInterval(
      () => {
        const now = performance.now() - from;
        if (now >= total) latest.current(total);
        else setPassed(now);
      },
      Math.min(beat, Math.max(1, total)),
    );
    return () => clearInterval(timer);
    // `passed` is read once, when the count starts or goes on
  }, [total, held, key, since]);
  if (total === null) return null;
  const left = Math.max(0, total - passed);
  return (
    <div className="absolute inset-x-2 bottom-2 z-10 flex items-center gap-2 rounded-sm border border-ink bg-plate-2 px-2 py-1 shadow-lift">
      <span role="timer" className="grow">
        {held ? "held at" : "goes on in"} <span className="mono">{(left / 1000).toFixed(1)} s</span>
      </span>
      <button type="button" className="px-1 font-medium underline" onClick={() => setHeld(!held)}>
        {held ? "go on" : "hold"}
      </button>
      <button type="button" className="px-1 font-medium underline" onClick={() => onWait(total)}>
        now
      </button>
    </div>
  );
}
