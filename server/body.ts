import express, { type Request, type RequestHandler } from "express";
import type Joi from "joi";
import { faultsFrom } from "../shape/faults.js";
import { joiOptions, mostBytes, parseJson } from "../shape/read.js";
import { Problem } from "./problem.js";

/** The body as text: JSON is read by the same reader as files, which says where it is broken. */
export const textBody: RequestHandler = express.text({
  type: ["application/json", "application/*+json"],
  limit: mostBytes,
});

/** The request's body in the form of the schema. */
export const readBody = <T>(request: Request, schema: Joi.Schema): T => {
  const parsed = parseJson(typeof request.body === "string" ? request.body : "");
  if (!parsed.ok)
    throw new Problem("not-json", "The body cannot be read; nothing was changed.", { faults: parsed.faults });
  const { error } = schema.validate(parsed.value, joiOptions);
  if (error)
    throw new Problem("wrong-form", "The body has another form than this request wants; nothing was changed.", {
      faults: faultsFrom(error),
    });
  return parsed.value as T;
};
