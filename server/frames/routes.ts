import { Router, type Request, type Response } from "express";
import { type Frame, writeFrame } from "../../core/index.js";
import { createRequest, nameRequest, saveRequest, type SaveRequest } from "../../shape/edits.js";
import { readFrame, readFrameValue } from "../../shape/read.js";
import { permissionIn } from "../access/wanted.js";
import { bytesOf, readBody } from "../body.js";
import { Problem } from "../problem.js";
import { follow } from "./live.js";
import type { Head } from "./revisions.js";
import type { FrameStore } from "./store.js";

const idOf = (request: Request): string => String(request.params.id);

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

/** What is asked of frames, and what is done to them. */
export const frameRoutes = (store: FrameStore): Router => {
  const routes = Router();

  const created = async (response: Response, frame: Frame): Promise<void> => {
    const head = await store.create(frame);
    response.status(201).location(`/api/frames/${head.id}`).set("ETag", etag(head)).json(head);
  };

  routes.get("/", async (_request, response) => {
    response.json({ frames: await store.list() });
  });

  routes.post("/", async (request, response) => {
    const { frame } = readBody<{ frame: unknown }>(request, createRequest);
    const read = readFrameValue(frame);
    if (!read.ok) throw new Problem("frame-faults", "Nothing was put on the shelf.", { faults: read.faults });
    await created(response, read.frame);
  });

  // a frame file as it is: what is wrong in it is told by its own lines
  routes.post("/file", async (request, response) => {
    const read = readFrame(bytesOf(request));
    if (!read.ok) throw new Problem("frame-faults", "Nothing was put on the shelf.", { faults: read.faults });
    await created(response, read.frame);
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
    const { edits } = readBody<SaveRequest>(request, saveRequest);
    const head = await store.save(idOf(request), on, edits);
    response.set("ETag", etag(head)).json({ id: head.id, revision: head.revision });
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
