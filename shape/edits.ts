import Joi from "joi";
import { type Edit, type EditResult, applySoundly, type Fault, type Frame } from "../core/index.js";
import { faultsFrom } from "./faults.js";
import { joiOptions } from "./read.js";
import { byKind, frameFields, id, node } from "./schema.js";

const key = Joi.string().max(60).required();
const someId = id.required();
const place = id.allow(null).required();
/** Values are looked at when they have become part of a node or a field. */
const value = Joi.any();
const changed = { set: Joi.object().unknown(), drop: Joi.array().items(Joi.string()) };

const forms: Record<Exclude<Edit["kind"], "replace">, Record<string, Joi.Schema>> = {
  add: { nodes: Joi.object().pattern(id, node).required(), top: someId, parent: place, after: place },
  remove: { id: someId },
  rename: { id: someId, to: someId },
  move: { id: someId, from: place, to: place, after: place },
  set: { node: someId, key, value },
  setFrame: { key, value },
  duplicate: { id: someId, ids: Joi.object().pattern(id, id).required(), parent: place, after: place },
  batch: { edits: Joi.array().items(Joi.link("#anyEdit")).max(2000).required() },
  restore: {
    nodes: Joi.object().pattern(
      id,
      Joi.alternatives(
        Joi.object({ gone: Joi.valid(true).required() }),
        Joi.object({ node: Joi.object().unknown().required() }),
        Joi.object({ ...changed, children: Joi.array().items(id) }),
      ),
    ),
    fields: Joi.object(changed),
  },
};

/** The form of an edit that a client may send. */
export const editSchema = byKind(forms).id("anyEdit");

const touchedFaults = (frame: Frame, result: Extract<EditResult, { ok: true }>): Fault[] => {
  const faults: Fault[] = [];
  for (const touched of result.touched) {
    const value = Object.hasOwn(frame.nodes, touched) ? frame.nodes[touched] : undefined;
    if (value) faults.push(...faultsFrom(node.validate(value, joiOptions).error, ["nodes", touched]));
  }
  const fields = new Set(result.patches.map(({ path }) => path.split("/")[1]!).filter((field) => field !== "nodes"));
  for (const field of fields) {
    const schema = (frameFields as Record<string, Joi.Schema>)[field];
    const given = frame[field as keyof Frame];
    if (schema) faults.push(...faultsFrom(schema.validate(given, joiOptions).error, [field]));
    else if (field !== "root" && given !== undefined)
      faults.push({
        pointer: `/${field}`,
        received: `the unknown field ${field}`,
        expected: "a field of the format",
        remedy: "Take it out.",
      });
  }
  return faults;
};

/** Applies an edit and checks, in form and in meaning, what it touched and no more: a save costs what changed, not what there is. */
export const applyChecked = (frame: Frame, edit: Edit): EditResult => {
  const result = applySoundly(frame, edit);
  if (!result.ok) return result;
  const faults = touchedFaults(result.frame, result);
  return faults.length ? { ok: false, faults } : result;
};

/** A request to save: edits with a key each, by which a client knows its own again, and what they are called. */
export interface SaveRequest {
  edits: { key: string; label: string; edit: Edit }[];
}

export const saveRequest = Joi.object({
  edits: Joi.array()
    .items(
      Joi.object({
        key: Joi.string().max(60).required(),
        label: Joi.string().max(200).required(),
        edit: editSchema.required(),
      }),
    )
    .min(1)
    .max(500)
    .required(),
}).required();

export const createRequest = Joi.object({ frame: Joi.object().unknown().required() }).required();
export const restoreRequest = Joi.object({ revision: Joi.number().integer().min(1).required() }).required();
export const nameRequest = Joi.object({ label: Joi.string().min(1).max(200).required() }).required();
