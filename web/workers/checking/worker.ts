import { checkedAtOnce, Checking } from "../../../core/index.js";
import type { FromChecking, ToChecking } from "./messages.js";

// One frame is checked at a time: another one takes its place, whatever was found of the last.

/** A walk begins once nothing was edited for so long, ms. */
const pause = 500;
/** A slice of the walk takes about so long, ms: in between messages are read. */
const slice = 40;

const answer = (message: FromChecking): void => postMessage(message);

/** What is done at present; each new one takes the place of the last. */
let turn = 0;
let stops = false;

/** Lets messages be read. */
const breathe = (ms = 0): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

const work = async ({ number, frame, mostStates, mostMs }: ToChecking & { do: "check" }): Promise<void> => {
  const mine = (turn += 1);
  stops = false;
  answer({ do: "looked", number, report: checkedAtOnce(frame) });
  await breathe(pause);
  if (mine !== turn) return;
  const began = performance.now();
  const checking = new Checking(frame, { mostStates });
  let most = 200;
  let [view, viewBegan] = [0, began];
  for (let goesOn = true; goesOn && !stops;) {
    const from = performance.now();
    goesOn = checking.advance(most);
    const took = performance.now() - from;
    most = Math.max(20, Math.min(20_000, Math.round((most * slice) / Math.max(took, 1))));
    const { progress } = checking;
    if (progress.walked !== view) [view, viewBegan] = [progress.walked, performance.now()];
    else if (goesOn && performance.now() - viewBegan > mostMs / progress.views) {
      checking.leaveView();
      goesOn = checking.progress.walked < progress.views;
    }
    answer({ do: "walking", number, progress });
    await breathe();
    if (mine !== turn) return;
  }
  if (stops) checking.leaveView();
  answer({ do: "walked", number, report: checking.report(), ms: performance.now() - began, wasStopped: stops });
};

addEventListener("message", ({ data }: MessageEvent<ToChecking>) => {
  if (data.do === "stop") stops = true;
  else void work(data);
});
