import { checkedAtOnce, Checking } from "../../../core/index.js";
import { Answering } from "./answering.js";
import type { FromChecking, ToChecking } from "./messages.js";
import { breathe, inSlices } from "./slices.js";

// One frame is open at a time: another one takes its place, whatever was found of the last.

/** A walk begins once nothing was edited for so long, ms. */
const pause = 500;

const answer = (message: FromChecking): void => postMessage(message);

/** What is walked at present; each new one takes the place of the last. */
let turn = 0;
let stops = false;
let open: Answering | null = null;

const work = async ({ number, mostStates, mostMs, ...given }: ToChecking & { do: "check" }): Promise<void> => {
  const mine = (turn += 1);
  stops = false;
  if (given.frame) {
    const answering: Answering = new Answering(given.frame, () => open === answering);
    open = answering;
  }
  const frame = open?.frame;
  if (!frame) return;
  const isOpen = () => mine === turn;
  answer({ do: "looked", number, report: checkedAtOnce(frame) });
  await breathe(pause);
  if (!isOpen()) return;
  const began = performance.now();
  const checking = new Checking(frame, { mostStates });
  let [view, viewBegan] = [0, began];
  await inSlices(
    (steps) => checking.advance(steps),
    () => {
      const { walked, views } = checking.progress;
      if (walked !== view) [view, viewBegan] = [walked, performance.now()];
      else if (performance.now() - viewBegan > mostMs / views) checking.leaveView();
      if (isOpen()) answer({ do: "walking", number, progress: checking.progress });
      return isOpen() && !stops;
    },
  );
  if (!isOpen()) return;
  if (stops) checking.leaveView();
  answer({ do: "walked", number, report: checking.report(), ms: performance.now() - began, wasStopped: stops });
};

addEventListener("message", ({ data }: MessageEvent<ToChecking>) => {
  if (data.do === "stop") stops = true;
  else if (data.do === "check") void work(data);
  else {
    const { id, question } = data;
    void open
      ?.to(question)
      .catch((error: unknown) => {
        reportError(error);
        return null;
      })
      .then((found) => answer({ do: "answer", id, answer: found }));
  }
});
