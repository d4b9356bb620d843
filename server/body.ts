import express, { type Request, type RequestHandler } from "express";
import type Joi from "joi";
import { mostBytes, mostFaults, parseJson } from "../shape/json.js";
import { schemaFaults } from "../shape/form.js";
import { Problem } from "./problem.js";

/** The body as its bytes: JSON is read by the same reader as files, which says where it is broken, and mends nothing. */
export const rawBody: RequestHandler = express.raw({
  type: ["application/json", "application/*+json"],
  limit: mostBytes,
});

/** The bytes of a request's body; none when it has another type or no body. */
export const bytesOf = (request: Request): Uint8Array =>
  Buffer.isBuffer(request.body) ? request.body : new Uint8Array();

/** The request's body in the form of the schema. */
export const readBody = <T>(request: Request, schema: Joi.Schema): T => {
  const parsed = parseJson(bytesOf(request));
  if (!parsed.ok)
    throw new Problem("not-json", "The body cannot be read; nothing was changed.", { faults: parsed.faults });
  const faults = schemaFaults(schema, parsed.value);
  if (faults.length)
    throw new Problem("wrong-form", "The body has another form than this request wants; nothing was changed.", {
      faults: faults.slice(0, mostFaults),
    });
  return parsed.value as T;
};
