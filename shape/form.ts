import type Joi from "joi";
import type { Fault } from "../core/frame/fault.js";
import { segmentsOf } from "../core/frame/pointer.js";
import type { Steps } from "../core/frame/steps.js";
import { faultsFrom } from "./faults.js";
import { mostFaults } from "./json.js";
import { frame as frameSchema, frameFields, nodes as nodesSchema } from "./schema.js";
import { surelyOf } from "./surely.js";

export const joiOptions: Joi.ValidationOptions = {
  abortEarly: false,
  convert: false,
  errors: { render: true, label: "key" },
};

// A frame with as many faults as a file can hold is answered as soon as any other: node by node, until there are enough.

/** A part with more values in it than this is not searched for all its faults at once. */
const heavy = 2000;
/** So much of a list is looked at in a part that is. */
const shortList = 100;

/** Values in a value, itself among them; no more than `most` are counted. */
const weightOf = (value: unknown, most: number): number => {
  if (typeof value !== "object" || value === null) return 1;
  let weight = 1;
  for (const inner of Object.values(value)) {
    if (weight >= most) break;
    weight += weightOf(inner, most - weight);
  }
  return weight;
};

/** The same value with the beginning of each list alone. */
const withShortLists = (value: unknown): unknown => {
  if (typeof value !== "object" || value === null) return value;
  if (Array.isArray(value)) return value.slice(0, shortList).map(withShortLists);
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, withShortLists(inner)]));
};

/** The faults of a value: all of them, or some where there is much in it. */
export const schemaFaults = (schema: Joi.Schema, value: unknown, at: string[] = []): Fault[] => {
  const faults = (some: unknown, abortEarly: boolean) =>
    faultsFrom(schema.validate(some, { ...joiOptions, abortEarly }).error, at);
  if (weightOf(value, heavy) < heavy) return faults(value, false);
  const short = withShortLists(value);
  const found = weightOf(short, heavy) < heavy ? faults(short, false) : [];
  return found.length ? found : faults(value, true);
};

const isTable = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** What a frame is looked at in: a node by its id, or null for all else. */
export type FormPart = string | null;

/** The part that a pointer leads into. */
export const partAt = (pointer: string): FormPart => {
  const [first, id] = segmentsOf(pointer);
  return first === "nodes" && id !== undefined ? id : null;
};

/** So many nodes are looked at in one go. */
const together = 64;

/** The frame's own fields, without its nodes: of keys that are none of the format, as many as are told. */
const ownPart = ({ nodes: _, ...value }: Record<string, unknown>): Record<string, unknown> => {
  const unknown = Object.keys(value).filter(
    (key) => !Object.hasOwn(frameFields, key) && !["format", "root"].includes(key),
  );
  const left = { ...value, nodes: {} };
  for (const key of unknown.slice(mostFaults + 1)) Reflect.deleteProperty(left, key);
  return left;
};

const areSurely = surelyOf(nodesSchema);

/** The faults of some nodes; where there is much in one of them, each is looked at by itself. */
const nodeFaults = (some: Record<string, unknown>): Fault[] =>
  weightOf(some, heavy * 4) < heavy * 4
    ? faultsFrom(nodesSchema.validate(some, joiOptions).error, ["nodes"])
    : Object.entries(some).flatMap(([id, node]) => schemaFaults(nodesSchema, { [id]: node }, ["nodes"]));

/** The faults of form of a frame: those of its own fields, then of its nodes, until there are more than are told. With `only`, those of some parts. */
export function* formFaults(value: unknown, only?: ReadonlySet<FormPart>): Steps<Fault[]> {
  if (!isTable(value) || !isTable(value.nodes)) return schemaFaults(frameSchema, value);
  const { nodes } = value;
  const faults = !only || only.has(null) ? schemaFaults(frameSchema, ownPart(value)) : [];
  const ids = Object.keys(nodes).filter((id) => !only || only.has(id));
  for (let at = 0; at < ids.length && faults.length <= mostFaults; at += together) {
    // nearly all are right, which is told in a fraction of the time
    const some = ids.slice(at, at + together).filter((id) => !areSurely({ [id]: nodes[id] }));
    if (some.length) faults.push(...nodeFaults(Object.fromEntries(some.map((id) => [id, nodes[id]]))));
    yield;
  }
  return faults;
}
