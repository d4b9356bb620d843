import { heldBy } from "../../frame/held.js";
import { indexOf } from "../../frame/frame-index.js";
import { nodeAt } from "../../frame/nodes.js";
import type { Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { plainName } from "../../frame/names.js";
import { askingFirst, isLeftUnasked } from "../../change/ask-leave.js";
import type { NavigationEvent } from "../../navigate/event.js";
import { byEdit, setting, thatGo } from "../mends.js";
import type { Mend, Rule } from "../rule.js";
import { seenWhileWalking } from "../walked.js";

const byWhat = (event: NavigationEvent | undefined): string => {
  switch (event?.do) {
    case "dismiss":
      return "by a swipe, or a tap beside it";
    case "tab":
      return "when another tab is chosen, or the same one again";
    case "back":
    case "up":
      return "by Back";
    case "wait":
      return "as time goes by";
    default:
      return "by what is tapped";
  }
};

/** The hubs around a node that keep less than everything of a tab that is left. */
const forgetting = (frame: Frame, id: Id): Id[] => {
  const way = indexOf(frame).ways;
  const around = [...way].find(([holder]) => "children" in nodeAt(frame, holder) && childrenNamed(frame, holder, id));
  return (around?.[1] ?? []).filter((at) => {
    const node = nodeAt(frame, at);
    return node.kind === "hub" && heldBy(node, "keep") !== "live";
  });
};
const childrenNamed = (frame: Frame, holder: Id, id: Id): boolean => {
  const node = nodeAt(frame, holder);
  return "children" in node && node.children.includes(id);
};

/** Finds events of a person that lose a draft without asking. */
export const draftLost: Rule = {
  code: "draft-lost",
  group: "keeping",
  severity: "doubt",
  suffers: "What they typed is gone, and nobody asked them.",
  why: "A slip of the thumb should not cost what took minutes. Thrown away by a swipe, it is lost most easily.",
  needsWalk: true,
  find: (checked) => {
    const { frame } = checked;
    return seenWhileWalking(checked, "draft", ({ node, events }) => {
      if (node === null) return null;
      const last = events.at(-1);
      // nobody is asked about what happens as time goes by
      const asking = isLeftUnasked(frame, node) && last?.do !== "wait" ? askingFirst(frame, [node]) : null;
      const mends: (Mend | null)[] = [
        asking && byEdit({ label: "Ask before leaving", says: "it is left only when the person says so" }, asking.edit),
        ...(last?.do === "tab"
          ? forgetting(frame, node).map((hub) =>
              setting(frame, hub, "keep", undefined, {
                label: `${plainName(frame, hub)} keeps everything`,
                says: "a tab that is left keeps what was typed in it",
              }),
            )
          : []),
      ];
      return {
        node,
        key: "leave",
        severity: last?.do === "dismiss" ? "fault" : "doubt",
        says: `A draft in ${plainName(frame, node)} is lost unasked`,
        detail: byWhat(last),
        mends: thatGo(frame, mends),
      };
    });
  },
};
