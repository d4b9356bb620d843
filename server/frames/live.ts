import { sure } from "../../core/index.js";
import type { Response } from "express";
import type { MissedRow } from "./repository.js";
import type { FrameHappening, FrameStore } from "./store.js";

/** A reader that is so far behind does not read: it is cut, and comes again with what it knows, bytes. */
const mostBehind = 1024 * 1024;
const beatEvery = 20_000;

/**
 * Tells what happens to a frame as server-sent events (WHATWG HTML, 9.2), from the revision its reader knows (null: the
 * newest). It listens before it reads, so that nothing falls between: what is told meanwhile waits until the reader knows
 * what was before it.
 */
export const follow = async (
  store: FrameStore,
  id: string,
  since: number | null,
  response: Response,
): Promise<void> => {
  const waiting: FrameHappening[] = [];
  let known: number | null = null;
  let allowed = mostBehind;
  const write = (text: string): void => {
    if (response.destroyed) return;
    response.write(text);
    if (response.writableLength > allowed) response.destroy();
  };
  const send = (happening: FrameHappening): void => {
    if (known === null) return void waiting.push(happening);
    if (happening.kind === "revisions") {
      // what it has by now already need not be told again
      const edits = happening.edits.filter(({ number }) => number > sure(known));
      if (edits.length === 0) return;
      known = happening.revision;
      return write(`id: ${known}\ndata: ${JSON.stringify({ ...happening, edits })}\n\n`);
    }
    write(`id: ${known}\ndata: ${JSON.stringify(happening)}\n\n`);
  };
  const tellMissed = (missed: MissedRow[] | null): void => {
    if (!missed) return send({ kind: "thinned", frame: id, revision: sure(known) });
    const newest = missed.at(-1)?.number;
    if (newest !== undefined) send({ kind: "revisions", frame: id, revision: newest, edits: missed });
  };
  /** Tells what may not have been heard; a reader that cannot be told comes again with what it knows. */
  const catchUp = async (): Promise<void> => {
    tellMissed(await store.missed(id, sure(known)));
  };
  const deaf = store.listen((happening) => {
    if (happening.kind === "unheard") {
      if (known !== null) void catchUp().catch(() => response.destroy());
    } else if (happening.frame === id) send(happening);
  });
  const beat = setInterval(() => write(": beat\n\n"), beatEvery);
  beat.unref();
  response.on("close", () => {
    clearInterval(beat);
    deaf();
  });
  try {
    const head = await store.read(id);
    response
      .status(200)
      .set({ "Content-Type": "text/event-stream", "Cache-Control": "no-store", "X-Accel-Buffering": "no" });
    write("retry: 1000\n\n");
    const from = Math.min(since ?? head.revision, head.revision);
    const missed = await store.missed(id, from);
    known = from;
    // what a reader missed may be much, and is no sign that it does not read
    allowed += JSON.stringify(missed).length;
    tellMissed(missed);
    for (const happening of waiting.splice(0)) send(happening);
  } catch (error) {
    clearInterval(beat);
    deaf();
    throw error;
  }
};
