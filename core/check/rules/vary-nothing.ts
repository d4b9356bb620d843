import { bandsOf, targetsOf } from "../../frame/defaults.js";
import { equal } from "../../frame/equal.js";
import { plainName } from "../../frame/names.js";
import { lookOf } from "../../frame/look.js";
import { isIn, type ViewClass } from "../../frame/views.js";
import type { Frame } from "../../frame/types.js";
import type { Variation } from "../../frame/parts.js";
import { viewsSay } from "../../frame/view-words.js";
import { byEdit, thatGo } from "../mends.js";
import type { Rule } from "../rule.js";

const classesOf = (frame: Frame): ViewClass[] =>
  targetsOf(frame).flatMap(({ id: target }) =>
    bandsOf(frame).flatMap((_, band) =>
      [false, true].slice(0, frame.short === undefined ? 1 : 2).map((short) => ({ target, band, short })),
    ),
  );

/** Finds values by view that change nothing in any view. */
export const varyNothing: Rule = {
  code: "vary-nothing",
  group: "structure",
  severity: "hint",
  suffers: "Nothing. Whoever changes the app later believes that a size is cared for, and it is not.",
  why: "What is said for views that there are none of, or says what holds there anyway, only hides what does differ.",
  find: ({ frame }) => {
    const classes = classesOf(frame);
    return Object.entries(frame.nodes).flatMap(([id, node]) =>
      (node.vary ?? []).flatMap((entry: Variation, i) => {
        const there = classes.filter((at) => isIn(bandsOf(frame), entry, at));
        const left = (node.vary ?? []).filter((_, other) => other !== i);
        const without: Frame = { ...frame, nodes: { ...frame.nodes, [id]: { ...node, vary: left } } };
        const changes = there.some((at) => !equal(lookOf(frame, id, at), lookOf(without, id, at)));
        if (changes) return [];
        const edit = { kind: "set" as const, node: id, key: "vary" as const, ...(left.length && { value: left }) };
        return [
          {
            node: id,
            says: `What differs on ${plainName(frame, id)} ${viewsSay(frame, entry)} ${there.length ? "changes nothing" : "never applies"}`,
            detail: Object.keys(entry.set).join(", "),
            mends: thatGo(frame, [byEdit({ label: "Take it out", says: "every view stays as it is" }, edit)]),
          },
        ];
      }),
    );
  },
};
