import { boundsSay, type Frame } from "../../../core/index.js";
import { useOpenFrame } from "../../app/open-frame.js";
import type { Checked } from "../../data/checks.js";
import { Button } from "../../parts/button.js";

const number = (value: number): string => value.toLocaleString("en");
const seconds = (ms: number): string => `${ms < 9_950 ? (ms / 1000).toFixed(1) : Math.round(ms / 1000)} s`;

/** What was walked, how long it took, and how far it goes on. */
export function WalkLine({ frame, checked }: { frame: Frame; checked: Checked }) {
  const { checks } = useOpenFrame();
  const { walked, progress, isFresh, failed } = checked;
  const walks = walked?.report.walks ?? [];
  const states = walks.reduce((sum, { walk }) => sum + walk.states, 0);
  const isCut = walks.some(({ walk }) => walk.bounds.isFull);
  return (
    <header className="flex shrink-0 flex-col gap-1">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 className="text-[15px] font-bold">Proved by walking every state that can be reached</h2>
        <p role="status" className="text-ink-2" data-walk={progress ? "going" : isFresh ? "done" : "waiting"}>
          {failed
            ? "The checks could not be loaded."
            : progress
              ? `walking: ${number(progress.states)} states, view ${Math.min(progress.walked + 1, progress.views)} of ${progress.views}`
              : walked
                ? `${number(states)} states · ${walks.length} ${walks.length === 1 ? "view" : "views"} · ${seconds(walked.ms)}${isFresh ? "" : " · before the last edit"}`
                : "about to be walked"}
        </p>
        <div className="ml-auto flex gap-2">
          {progress ? (
            <Button onClick={() => checks.stop()}>Stop</Button>
          ) : (
            <>
              {isCut && (
                <Button
                  title="Ten times as many states in each view, up to two minutes"
                  onClick={() => checks.walk(true)}
                >
                  Walk farther
                </Button>
              )}
              <Button onClick={() => checks.walk()}>{failed ? "Try again" : "Walk again"}</Button>
            </>
          )}
        </div>
      </div>
      {progress && (
        <progress
          aria-label="Views walked"
          className="h-1 w-full accent-petrol"
          value={progress.walked}
          max={progress.views}
        />
      )}
      {walks.length > 0 && (
        <p className="text-[12px] text-ink-2">
          {walked?.wasStopped && "Stopped: of what was not walked nothing is said. "}
          {boundsSay(
            frame,
            walks.map(({ walk }) => walk),
          ).join(" ")}
        </p>
      )}
    </header>
  );
}
