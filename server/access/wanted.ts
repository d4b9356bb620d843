import express, { type Request, type RequestHandler, Router } from "express";
import Joi from "joi";
import { readBody } from "../body.js";
import { Problem } from "../problem.js";
import { Access, type Open } from "./access.js";
import type { Keys } from "./keys.js";

/** A body before any key was given is no longer than a key is. */
const shortBody = express.raw({ type: "application/json", limit: 2000 });
const keyRequest = Joi.object({ key: Joi.string().min(1).max(300).required() }).required();

/** What may be asked by who may look at a frame: reading it, its history and what happens to it. */
const isLook = ({ method, path }: Request, { frames }: Open): boolean =>
  ["GET", "HEAD"].includes(method) &&
  frames.some((frame) => path === `/frames/${frame}` || path.startsWith(`/frames/${frame}/`));

/** Asks for a key before anything is answered, and takes one in for a cookie. */
export const keyWanted = (keys: Keys): RequestHandler => {
  const access = new Access(keys);
  const routes = Router();
  routes.post("/key", shortBody, (request, response) => {
    const { key } = readBody<{ key: string }>(request, keyRequest);
    response.json(access.give(request, response, key));
  });
  routes.use((request, response, next) => {
    const open = access.openTo(request, response);
    if (!open.all && open.frames.length === 0)
      throw new Problem("key-wanted", "Open the address that was printed at the start, or give its key.");
    if (!open.all && !isLook(request, open))
      throw new Problem("look-only", "This key is for looking at one frame; nothing was changed.");
    response.locals.keys = keys;
    response.locals.mayChange = open.all;
    next();
  });
  return routes;
};

/** What a frame's reader may do with it; where no key is asked, all. */
export interface Permission {
  mayChange: boolean;
  /** The key by which others may look at it; null where no key is asked. */
  look: string | null;
}

export const permissionIn = (locals: { mayChange?: unknown; keys?: Keys }, frame: string): Permission => ({
  mayChange: locals.mayChange !== false,
  look: locals.keys?.toLookAt(frame) ?? null,
});
