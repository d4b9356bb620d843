import { asRecord, type ChangePart, type Frame, nameOf } from "../../core/index.js";

const short = (text: string): string => (text.length > 160 ? `${text.slice(0, 159)}…` : text);
const json = (value: unknown): string => JSON.stringify(value) ?? "";
const called = (frame: Frame, node: string | null): string => (node === null ? "the frame" : nameOf(frame, node));

/** What a part of a change is about. */
export const partName = (frame: Frame, part: ChangePart): string => {
  if (part.does === "go") return `${called(frame, part.node)} goes`;
  if (part.does === "come")
    return Object.hasOwn(frame.nodes, part.node) ? `${called(frame, part.node)} becomes another` : `${part.node} comes`;
  return `${part.key} of ${called(frame, part.node)}`;
};

/** What stands there now, in one line. */
export const partNow = (frame: Frame, part: ChangePart): string => {
  if (part.does === "go") return "there";
  if (part.does === "come")
    return Object.hasOwn(frame.nodes, part.node) ? short(json(frame.nodes[part.node])) : "not there";
  const holder = part.node === null ? frame : frame.nodes[part.node];
  const value = holder && asRecord(holder)[part.key];
  return value === undefined ? "nothing: the default" : short(typeof value === "string" ? value : json(value));
};

/** The value it would have, to be written in a line: a text as it is, anything else as JSON; null where there is none to write. */
export const partText = (part: ChangePart): string | null => {
  if (part.does === "go" || part.does === "drop") return null;
  return typeof part.value === "string" ? part.value : json(part.value);
};

/** The part with what was written in place of its value; null where that is no JSON. */
export const withText = (part: ChangePart, text: string): ChangePart | null => {
  if (part.does === "go" || part.does === "drop") return part;
  if (part.does === "set" && typeof part.value === "string") return { ...part, value: text };
  try {
    return { ...part, value: JSON.parse(text) } as ChangePart;
  } catch {
    return null;
  }
};

/** Where in the frame a part stands (JSON Pointer, RFC 6901): what is told of that is told of it. */
export const partPointer = (part: ChangePart): string =>
  `${part.node === null ? "" : `/nodes/${part.node}`}${"key" in part ? `/${part.key}` : ""}`;
