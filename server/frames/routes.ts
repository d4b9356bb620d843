import { Router, type Request, type Response } from "express";
import { type Frame, shown, type Steps, writeFrame } from "../../core/index.js";
import { createRequest, nameRequest, saveRequest, type SaveRequest } from "../../shape/edits.js";
import { readingFrame, readingFrameValue, type ReadResult } from "../../shape/read.js";
import { permissionIn } from "../access/wanted.js";
import { bytesOf, readBody } from "../body.js";
import { inSlices } from "../in-slices.js";
import { Problem } from "../problem.js";
import { deletedFor } from "../keeping/thin.js";
import { follow } from "./live.js";
import type { FrameRow } from "./repository.js";
import type { Head } from "./revisions.js";
import type { FrameStore } from "./store.js";

/** The id of the frame that a request is about; another text is no frame's, and is not asked for. */
const idOf = (request: Request): string => {
  const id = String(request.params.id);
  if (!/^[a-z0-9-]{1,80}$/.test(id)) throw new Problem("no-frame", `There is no frame ${shown(id)}.`);
  return id;
};

/** The revision that `If-Match` names. */
const matchOf = (request: Request): number => {
  const given = request.headers["if-match"];
  if (given === undefined) throw new Problem("no-match", 'Send If-Match with the revision, such as "42".');
  const revision = /^"?(\d{1,9})"?$/.exec(given)?.[1];
  if (revision === undefined)
    throw new Problem("wrong-form", `If-Match: received ${given.slice(0, 60)}; expected a revision such as "42".`);
  return Number(revision);
};

const numberOf = (text: unknown, name: string): number => {
  if (typeof text !== "string" || !/^\d{1,9}$/.test(text))
    throw new Problem("wrong-form", `${name}: expected a whole number.`);
  return Number(text);
};

const etag = (head: Head): string => `"${head.revision}"`;

/** When a frame that was deleted is emptied; null for one that was not. */
const emptiedOn = ({ deleted }: FrameRow): Date | null =>
  deleted && new Date(deleted.getTime() + deletedFor * 24 * 60 * 60 * 1000);

/** The frame that was sent. Throws its faults where it has some. */
const sound = async (reading: Steps<ReadResult>): Promise<Frame> => {
  const read = await inSlices(reading);
  if (read.ok) return read.frame;
  const detail = `Nothing was put on the shelf.${read.more ? ` The first ${read.faults.length} faults are told; there are more.` : ""}`;
  throw new Problem("frame-faults", detail, { faults: read.faults });
};

/** What is asked of frames, and what is done to them. */
export const frameRoutes = (store: FrameStore, keepsAll: boolean): Router => {
  const routes = Router();

  const created = async (response: Response, frame: Frame): Promise<void> => {
    const head = await store.create(frame);
    response.status(201).location(`/api/frames/${head.id}`).set("ETag", etag(head)).json(head);
  };

  routes.get("/", async (_request, response) => {
    const frames = await store.list();
    response.json({ frames: frames.map((row) => ({ ...row, emptied: keepsAll ? null : emptiedOn(row) })) });
  });

  routes.post("/", async (request, response) => {
    const { frame } = readBody<{ frame: unknown }>(request, createRequest);
    await created(response, await sound(readingFrameValue(frame)));
  });

  // a frame file as it is: what is wrong in it is told by its own lines
  routes.post("/file", async (request, response) => {
    await created(response, await sound(readingFrame(bytesOf(request))));
  });

  routes.get("/:id", async (request, response) => {
    const head = await store.read(idOf(request));
    response.set("ETag", etag(head)).json({ ...head, ...permissionIn(response.locals, head.id) });
  });

  routes.get("/:id/file", async (request, response) => {
    const head = await store.read(idOf(request));
    response.attachment(`${head.id}.frame.json`).type("application/json").send(writeFrame(head.frame));
  });

  routes.post("/:id/edits", async (request, response) => {
    const on = matchOf(request);
    const began = performance.now();
    const { edits } = readBody<SaveRequest>(request, saveRequest);
    const read = performance.now();
    const head = await store.save(idOf(request), on, edits);
    // where the time went, as browsers show it (W3C, Server Timing), ms
    const spent = `read;dur=${(read - began).toFixed(1)}, save;dur=${(performance.now() - read).toFixed(1)}`;
    response.set("Server-Timing", spent);
    response.set("ETag", etag(head)).json({ id: head.id, revision: head.revision });
  });

  // whether edits could be made, without making them
  routes.post("/:id/edits/tried", async (request, response) => {
    const { edits } = readBody<SaveRequest>(request, saveRequest);
    await store.tryOut(idOf(request), edits);
    response.status(204).end();
  });

  routes.get("/:id/edits", async (request, response) => {
    response.json({ edits: await store.missed(idOf(request), numberOf(request.query.since, "since")) });
  });

  routes.get("/:id/revisions", async (request, response) => {
    const before = request.query.before === undefined ? 2_000_000_000 : numberOf(request.query.before, "before");
    const most = request.query.most === undefined ? 100 : Math.min(5000, numberOf(request.query.most, "most"));
    response.json({ revisions: await store.revisions(idOf(request), before, most) });
  });

  routes.get("/:id/revisions/:number", async (request, response) => {
    response.json(await store.readAt(idOf(request), numberOf(request.params.number, "revision")));
  });

  routes.put("/:id/revisions/:number/label", async (request, response) => {
    const { label } = readBody<{ label: string }>(request, nameRequest);
    await store.nameRevision(idOf(request), numberOf(request.params.number, "revision"), label);
    response.status(204).end();
  });

  routes.delete("/:id", async (request, response) => {
    await store.setDeleted(idOf(request), true);
    response.status(204).end();
  });

  routes.post("/:id/bring-back", async (request, response) => {
    await store.setDeleted(idOf(request), false);
    response.status(204).end();
  });

  // what happens to a frame, as it happens; after a break the browser says which revision it knows
  routes.get("/:id/live", async (request, response) => {
    const id = idOf(request);
    const since = Number(request.headers["last-event-id"] ?? request.query.since);
    await follow(store, id, Number.isInteger(since) ? since : null, response);
  });

  return routes;
};
