import { applySoundly } from "../../edit/apply.js";
import { isAlike } from "../../explore/alike.js";
import { Standpoints } from "../../explore/standpoints.js";
import { indexOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import type { Id } from "../../frame/parts.js";
import { list } from "../../says/words.js";
import { unwrapping } from "../mends.js";
import type { Checked, Mend, Rule } from "../rule.js";

/** Containers within one another, the root left aside. */
const most = 4;
/** For so many nodes a shallower form is looked for: it is tried out in every view. */
const mostTried = 4;

/** A mend that takes one of the containers around a node away, where everything in it is then as before, in every view. */
const shallower = ({ frame, views }: Checked, way: readonly Id[]): Mend | undefined => {
  for (const id of way.slice(1).reverse())
    for (const mend of unwrapping(frame, id)) {
      const after = applySoundly(frame, mend.edit);
      const isSame =
        after.ok &&
        views.every(({ view }) => {
          const was = new Standpoints(frame, view);
          return isAlike(was, was.on(after.frame), id);
        });
      if (isSame) return { ...mend, says: "everything in it looks as before in every view, and Back does the same" };
    }
  return undefined;
};

/** Finds containers more than three levels under the root. */
export const deepNesting: Rule = {
  code: "deep-nesting",
  group: "structure",
  severity: "hint",
  suffers: "They lose track of where Back leads.",
  why: "Each container within another is one more place that Back may answer from. Three levels under the root are as many as people follow.",
  find: (checked) => {
    const { frame } = checked;
    const deep = [...indexOf(frame).ways].filter(([, way]) => way.length === most + 1);
    return deep.map(([node, way], i) => {
      const mend = i < mostTried ? shallower(checked, way) : undefined;
      return {
        node,
        says: `${plainName(frame, node)} is nested ${most} deep`,
        detail: `in ${list(way.slice(1, -1).map((id) => plainName(frame, id)))}`,
        mends: mend ? [mend] : [],
      };
    });
  },
};
