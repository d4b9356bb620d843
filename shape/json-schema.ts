import { frame } from "./schema.js";

type Json = { [key: string]: Json } | Json[] | string | number | boolean | null;

const isCatchAll = (branch: Json): boolean =>
  typeof branch === "object" &&
  branch !== null &&
  !Array.isArray(branch) &&
  branch.type === "object" &&
  branch.additionalProperties === undefined &&
  Object.keys((branch.properties ?? {}) as object).join() === "kind";

/** Leaves out the branches that are there for their messages alone: what they let through has no form of its own. */
const strict = (value: Json): Json => {
  if (Array.isArray(value)) return value.map(strict);
  if (typeof value !== "object" || value === null) return value;
  const made: { [key: string]: Json } = {};
  for (const [key, inner] of Object.entries(value))
    made[key] = strict(key === "anyOf" && Array.isArray(inner) ? inner.filter((branch) => !isCatchAll(branch)) : inner);
  return made;
};

/** The form of the frame file as a JSON Schema (draft 2020-12), made from the schema that reads it. */
export const frameJsonSchema = (): Json => {
  const { jsonSchema } = (
    frame as unknown as { "~standard": { jsonSchema: { input: (options: { target: string }) => Json } } }
  )["~standard"];
  const made = strict(jsonSchema.input({ target: "draft-2020-12" })) as { [key: string]: Json };
  return {
    $schema: "https://json-schema.org/draft/2020-12/schema",
    title: "Handy Frame, frame file, format handy-frame/2",
    ...made,
  };
};
