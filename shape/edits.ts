import Joi from "joi";
import {
  type Edit,
  type EditResult,
  EditRun,
  applySoundly,
  type Forms,
  type Frame,
  pointer,
  shown,
} from "../core/index.js";
import { schemaFaults } from "./form.js";
import { byKind, frameFields, id, node } from "./schema.js";

const key = Joi.string().max(60).required();
const someId = id.required();
const place = id.allow(null).required();
/** Values are looked at when they have become part of a node or a field. */
const value = Joi.any();
const changed = { set: Joi.object().unknown(), drop: Joi.array().items(Joi.string()) };

const editForms: Record<Exclude<Edit["kind"], "replace">, Record<string, Joi.Schema>> = {
  add: { nodes: Joi.object().pattern(id, node).required(), top: someId, parent: place, after: place },
  remove: { id: someId },
  rename: { id: someId, to: someId },
  move: { id: someId, from: place, to: place, after: place },
  set: { node: someId, key, value },
  vary: {
    node: place,
    slot: key,
    cells: Joi.array()
      .items(Joi.object({ target: someId, band: someId, short: Joi.valid(true) }))
      .min(1)
      .max(1000),
    value,
  },
  setFrame: { key, value },
  duplicate: { id: someId, ids: Joi.object().pattern(id, id).required(), parent: place, after: place },
  batch: { edits: Joi.array().items(Joi.link("#anyEdit")).max(2000).required() },
  restore: {
    nodes: Joi.object().pattern(
      id,
      Joi.alternatives(
        Joi.object({ gone: Joi.valid(true).required() }),
        Joi.object({ node: node.required() }),
        Joi.object({ ...changed, children: Joi.array().items(id) }),
      ),
    ),
    fields: Joi.object(changed),
    renamed: Joi.object().pattern(id, id),
  },
};

/** The form of an edit that a client may send. */
export const editSchema = byKind(editForms).id("anyEdit");

const fieldForms: Readonly<Record<string, Joi.Schema>> = frameFields;

/** The forms of all that an edit can put into a frame. */
const forms: Forms = {
  node: (at, value) => schemaFaults(node, value, ["nodes", at]),
  field: (at, value) => {
    const schema = at === "root" ? id.required() : fieldForms[at];
    if (schema) return schemaFaults(schema, value, [at]);
    if (value === undefined) return [];
    return [
      {
        pointer: pointer(at),
        received: `the unknown field ${shown(at)}`,
        expected: "a field of the format",
        remedy: "Take it out.",
      },
    ];
  },
};

/** Applies an edit and checks, in form and in meaning, what it touched and no more: a save costs what changed, not what there is. */
export const applyChecked = (frame: Frame, edit: Edit): EditResult => applySoundly(frame, edit, forms);

/** The same for edits one after another, with one copy of the frame for all of them. */
export const checkedRun = (frame: Frame): EditRun => new EditRun(frame, { forms, sound: true });

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
    .unique("key")
    .required(),
}).required();

export const createRequest = Joi.object({ frame: Joi.object().unknown().required() }).required();
export const nameRequest = Joi.object({ label: Joi.string().min(1).max(200).required() }).required();
