import { firstOf } from "../frame/sure.js";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { Consequences } from "../explore/consequences.js";
import { needWords } from "../frame/needs.js";
import { plainName } from "../frame/names.js";
import type { Opens } from "../frame/parts.js";
import { sameBack } from "../explore/consequences.js";
import type { LadderPath } from "../observe/ladder.js";
import { ladderNames } from "./ladder-says.js";
import { opensWords } from "./words.js";
import { needSays } from "./need-says.js";

const ways = (count: number): string => `${count} ${count === 1 ? "way" : "ways"} in`;

const opensSays = (opens: Opens): string =>
  opens === "push" ? "is pushed here" : `opens as ${opensWords(opens)} here`;

/** The first three of what Back does, as places one goes to. */
const backWords = (frame: Frame, back: LadderPath): string => {
  const all = ladderNames(frame, back, "place");
  return `${all.slice(0, 3).join(", ")}${all.length > 3 ? " …" : ""}`;
};

/** What a change does to a node, in a few words each, the gravest first; empty when nothing a person sees is other than before. */
export const consequenceSays = (frame: Frame, view: View, consequences: Consequences): string[] => {
  const { faults, bars, tab, header, overlay, back, changed, broken, loose, needs } = consequences;
  if (faults.length) return [firstOf(faults).received, firstOf(faults).remedy];
  const said: string[] = [];
  for (const { id, need } of needs.added) {
    const i = frame.nodes[id]?.needs?.indexOf(need) ?? -1;
    said.push(`needs ${needWords(frame, need)} now`, ...(i >= 0 ? [needSays(frame, view, id, i)] : []));
  }
  for (const { need } of needs.dropped) said.push(`needs ${needWords(frame, need)} no more`);
  if (!loose && overlay.before !== overlay.after) said.push(opensSays(overlay.after ?? "push"));
  if (!loose && bars.before !== bars.after) said.push(bars.after ? "the bar shows here" : "the bar is covered here");
  if (!loose && tab.before !== null && tab.after !== null && tab.before !== tab.after)
    said.push(`${plainName(frame, tab.after)} is lit, not ${plainName(frame, tab.before)}`);
  if (!loose && header.before !== header.after) said.push(header.after ? "gets a header" : "loses its header");
  if (!loose && back.after && !sameBack(back.before, back.after))
    said.push(`Back goes to ${backWords(frame, back.after)}`);
  if (changed.length) said.push(`${ways(changed.length)} change${changed.length === 1 ? "s" : ""}`);
  if (broken.length) said.push(`${ways(broken.length)} lead${broken.length === 1 ? "s" : ""} nowhere`);
  return said;
};
