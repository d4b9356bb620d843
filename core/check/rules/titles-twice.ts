import { childrenOf } from "../../frame/defaults.js";
import { indexOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import type { Lens } from "../../frame/look.js";
import type { Id } from "../../frame/parts.js";
import type { CheckedView, Found, Rule } from "../rule.js";

/** The ids that share a text with an earlier one, by that one. */
const twice = (ids: readonly Id[], textOf: (id: Id) => string): [Id, Id][] => {
  const first = new Map<string, Id>();
  return ids.flatMap((id): [Id, Id][] => {
    const text = textOf(id).trim();
    const known = text === "" ? undefined : first.get(text);
    if (known !== undefined) return [[known, id]];
    first.set(text, id);
    return [];
  });
};

/** What a person reads of a node: its tab's label, where it has one, else its title. */
const read = ({ look }: Lens, id: Id, isTab: boolean): string => {
  const { tab, title } = look(id);
  return (isTab ? tab.label : undefined) ?? title ?? "";
};

const inView = (view: CheckedView): Found[] => {
  const { lens } = view;
  const { frame } = lens;
  return [...indexOf(frame).ways.keys()].flatMap((holder) => {
    const node = nodeAt(frame, holder);
    const isHub = node.kind === "hub";
    const ids = childrenOf(node).filter((id) => isHub || frame.nodes[id]?.kind === "screen");
    return twice(ids, (id) => read(lens, id, isHub)).map(([first, second]) => ({
      node: second,
      key: isHub ? ("tab" as const) : ("title" as const),
      views: [view],
      says: isHub
        ? `Two tabs of ${plainName(frame, holder)} bear the same label`
        : `Two screens of ${plainName(frame, holder)} bear the same title`,
      detail: `${first} and ${second}: “${read(lens, second, isHub)}”`,
    }));
  });
};

/** Finds screens with the same title (WCAG 2.2, 2.4.2). */
export const titlesTwice: Rule = {
  code: "titles-twice",
  group: "structure",
  severity: "doubt",
  suffers: "They cannot tell two places apart, nor which of them they are in.",
  why: "A title is what a person knows a screen by, and what is read aloud when it comes (WCAG 2.2, 2.4.2).",
  find: ({ views }) => views.flatMap(inView),
};
