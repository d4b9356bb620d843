import { nodeAt, screenAt } from "../frame/nodes.js";
import { addTops } from "../edit/add-tops.js";
import type { Edit } from "../edit/edit.js";
import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { buildLines, type Built } from "./build.js";
import type { Within } from "./derived.js";
import type { OutlineFault, OutlineLine } from "./line.js";
import { withWay } from "./ways.js";

/** Where new nodes go: behind `after` in `parent` (null: first; no parent: loose). `opener` gets a way to each. */
export interface Place {
  parent: Id | null;
  after: Id | null;
  opener?: Id | null;
}

/** The edit that makes what lines name, or what is wrong with them. */
export type PasteResult = { ok: true; edit: Edit; built: Built } | { ok: false; faults: OutlineFault[] };

const withWaysFrom = (frame: Frame, opener: Id, { nodes, heads }: Built): Edit[] => {
  const before = screenAt(frame, opener);
  const after = heads.reduce((screen, to) => withWay(screen, to, nodes[to] ?? nodeAt(frame, to)), before);
  return (["body", "actions"] as const)
    .filter((key) => after[key] !== before[key])
    .map((key) => ({ kind: "set", node: opener, key, value: after[key] }));
};

/** The one edit that makes what lines name in a place of a frame. */
export const pasteLines = (frame: Frame, lines: readonly OutlineLine[], place: Place): PasteResult => {
  const kind = place.parent === null ? "stack" : frame.nodes[place.parent]?.kind;
  const result = buildLines(lines, kind === "hub" ? "hub" : ("stack" satisfies Within), frame);
  if (!result.ok) return result;
  const { built } = result;
  const adding = addTops(built.nodes, built.tops, place);
  const ways = place.opener ? withWaysFrom(frame, place.opener, built) : [];
  return { ok: true, built, edit: ways.length ? { kind: "batch", edits: [adding, ...ways] } : adding };
};
