import { isAttached, indexOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import type { Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { type Way, waysOut } from "../../explore/ways.js";
import { setting, thatGo } from "../mends.js";
import type { Mend, Rule } from "../rule.js";

const withoutWay = (frame: Frame, { from, via, action }: Way): Mend | null => {
  const node = nodeAt(frame, from);
  const says = "what is touched there does nothing any more";
  if (via === "row" && node.kind === "screen" && node.body && "opens" in node.body) {
    const { opens: _, param: __, ...body } = node.body;
    return setting(frame, from, "body", body, { label: "Let its rows open nothing", says });
  }
  if (node.kind === "screen" && action !== undefined)
    return setting(
      frame,
      from,
      "actions",
      (node.actions ?? []).filter(({ id }) => id !== action),
      {
        label: "Take the action out",
        says: "it is not there any more",
      },
    );
  return null;
};

export const leadsNowhere: Rule = {
  code: "leads-nowhere",
  group: "structure",
  severity: "fault",
  suffers: "They tap, and nothing happens.",
  why: "What is to be opened stands in no container, so that there is no place to open it in.",
  find: ({ frame }) =>
    indexOf(frame).ids.flatMap((from) => {
      if (!isAttached(frame, from)) return [];
      return waysOut(from, nodeAt(frame, from)).flatMap((way) =>
        isAttached(frame, way.to)
          ? []
          : [
              {
                node: from as Id,
                key: way.via === "row" ? ("body" as const) : ("actions" as const),
                says: `${plainName(frame, from)} leads to ${plainName(frame, way.to)}, which stands nowhere`,
                mends: thatGo(frame, [withoutWay(frame, way)]),
              },
            ],
      );
    }),
};
