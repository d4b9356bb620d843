import { indexOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import type { Do, Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { waysIn } from "../../explore/ways.js";
import { list } from "../../says/words.js";
import type { Rule } from "../rule.js";

const givenBy = (act: Do): string[] => {
  if (act.kind === "close") return Object.keys(act.give ?? {});
  return act.kind === "set" && act.then ? givenBy(act.then) : [];
};

const showsGiven = (frame: Frame, id: Id): boolean => {
  const node = nodeAt(frame, id);
  return node.kind === "screen" && (node.body?.kind === "list" || node.body?.kind === "grid");
};

/** Finds values that are given back to a screen which does not show them. */
export const givenUnseen: Rule = {
  code: "given-unseen",
  group: "keeping",
  severity: "hint",
  suffers: "They save, and see nothing of it.",
  why: "What a flow gives back is shown as a new row of the list it returns to. Where it returns to no list, nothing shows that it worked.",
  find: ({ frame }) =>
    indexOf(frame).ids.flatMap((id) => {
      const node = nodeAt(frame, id);
      if (node.kind !== "screen" || !isAttached(frame, id)) return [];
      const given = (node.actions ?? []).flatMap((action) => givenBy(action.do));
      const from = waysIn(frame, id).map((way) => way.from);
      if (given.length === 0 || from.length === 0 || from.some((other) => showsGiven(frame, other))) return [];
      return [
        {
          node: id,
          key: "actions" as const,
          says: `Nobody shows what ${plainName(frame, id)} gives back`,
          detail: `${list([...new Set(given)])}, to ${list([...new Set(from)].map((other) => plainName(frame, other)))}`,
        },
      ];
    }),
};
