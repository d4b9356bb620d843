import { isRaw, type Raw } from "../core/frame/raw.js";
import { frame } from "./schema.js";

const isCatchAll = (branch: unknown): boolean =>
  isRaw(branch) &&
  branch.type === "object" &&
  branch.additionalProperties === undefined &&
  Object.keys(branch.properties ?? {}).join() === "kind";

/** Leaves out the branches that are there for their messages alone: what they let through has no form of its own. */
const strict = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(strict);
  if (!isRaw(value)) return value;
  const made: Record<string, unknown> = {};
  for (const [key, inner] of Object.entries(value))
    made[key] = strict(key === "anyOf" && Array.isArray(inner) ? inner.filter((branch) => !isCatchAll(branch)) : inner);
  return made;
};

/** The form of the frame file as a JSON Schema (draft 2020-12), made from the schema that reads it. */
export const frameJsonSchema = (): Raw => {
  const made = strict(Reflect.get(frame, "~standard").jsonSchema.input({ target: "draft-2020-12" }));
  return {
    $schema: "https://json-schema.org/draft/2020-12/schema",
    title: "Handy Frame, frame file, format handy-frame/2",
    ...(isRaw(made) && made),
  };
};
