import Joi from "joi";

const text = Joi.string().allow("");
const maybe = text.allow(null).required();
const date = Joi.string().isoDate().required();
const number = Joi.number().integer().min(1).required();

/** The form of a line of a backup. */
export const backupLine = Joi.alternatives(
  Joi.object({ backup: Joi.string().required(), format: Joi.string().required(), made: date }),
  Joi.object({
    frame: Joi.object({
      id: Joi.string()
        .pattern(/^[a-z0-9-]{1,80}$/)
        .required(),
      name: text.max(120).required(),
      revision: number,
      made: date,
      changed: date,
      deleted: date.allow(null),
    }).required(),
  }),
  Joi.object({
    revision: Joi.object({
      number,
      key: text.max(80).required(),
      label: text.max(200).required(),
      made: date,
      edit: maybe,
      inverse: maybe,
      snapshot: maybe,
      sum: Joi.string().hex().length(64).required(),
      named: Joi.boolean().required(),
    }).required(),
  }),
  Joi.object({
    end: Joi.object({
      frames: Joi.number().integer().required(),
      revisions: Joi.number().integer().required(),
      sha256: Joi.string().hex().length(64).required(),
    }).required(),
  }),
).required();
