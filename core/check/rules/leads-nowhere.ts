import { propertyEdit } from "../../edit/property-edit.js";
import { together } from "../../edit/together.js";
import type { Edit } from "../../edit/edit.js";
import { indexOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import type { Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { waysOut } from "../../explore/ways.js";
import { byEdit, thatGo } from "../mends.js";
import type { Found, Mend, Rule } from "../rule.js";

/** Takes out all that leads from a node to another: actions, what its rows open, what it does by itself. */
const withoutWays = (frame: Frame, from: Id, to: Id): Mend => {
  const node = nodeAt(frame, from);
  const ways = waysOut(from, node).filter((way) => way.to === to);
  const gone = new Set(ways.flatMap(({ action }) => action ?? []));
  const edits: Edit[] = [];
  const key = node.kind === "hub" ? "extras" : "actions";
  const actions = (node.kind === "hub" ? node.extras : node.kind === "screen" ? node.actions : undefined) ?? [];
  if (gone.size > 0)
    edits.push(
      propertyEdit(
        frame,
        from,
        key,
        actions.filter(({ id }) => !gone.has(id)),
      ),
    );
  if (ways.some(({ via }) => via === "row") && node.kind === "screen" && node.body && "opens" in node.body) {
    const { opens: _, param: __, ...body } = node.body;
    edits.push(propertyEdit(frame, from, "body", body));
  }
  if (ways.some(({ via }) => via === "after")) edits.push(propertyEdit(frame, from, "after", undefined));
  return byEdit(
    { label: "Take out what leads there", says: "what is touched there does nothing any more" },
    together(edits),
  );
};

/** Finds actions, rows and timers that open a loose node. */
export const leadsNowhere: Rule = {
  code: "leads-nowhere",
  group: "structure",
  severity: "fault",
  suffers: "They tap, and nothing happens.",
  why: "What is to be opened stands in no container, so that there is no place to open it in.",
  find: ({ frame }) =>
    indexOf(frame).ids.flatMap((from): Found[] => {
      if (!isAttached(frame, from)) return [];
      const lost = new Set(waysOut(from, nodeAt(frame, from)).flatMap(({ to }) => (isAttached(frame, to) ? [] : [to])));
      return [...lost].map((to) => ({
        node: from,
        says: `${plainName(frame, from)} leads to ${plainName(frame, to)}, which stands nowhere`,
        mends: thatGo(frame, [withoutWays(frame, from, to)]),
      }));
    }),
};
