import { useMemo, useState } from "react";
import { childrenOf, type Frame, type Id, type State, sure, type View } from "../../../../core/index.js";
import { useAnswer } from "../../../app/use-answer.js";

/** What a person can come to while the facts stay so. */
export interface Reach {
  /** Screens, and the containers that hold one. */
  nodes: ReadonlySet<Id>;
  screens: number;
  all: number;
}

/** Whom the plan is looked at for, and what those can come to; null while nobody asked, or it is not known. */
export const useReached = (frame: Frame, view: View) => {
  const [facts, onChange] = useState<State["facts"] | null>(null);
  const question = useMemo(() => (facts ? { want: "reach" as const, view, facts } : null), [view, facts]);
  const answered = useAnswer(question);
  const found = answered?.question.facts === facts ? answered?.answer : undefined;
  const reach = useMemo(() => (found ? reachOf(frame, found) : null), [frame, found]);
  return { facts, onChange, reach };
};

const reachOf = ({ nodes, root }: Frame, found: readonly Id[]): Reach => {
  const all = Object.keys(nodes).filter((id) => sure(nodes[id]).kind === "screen");
  const screens = found.filter((id) => nodes[id]?.kind === "screen");
  const reached = new Set<Id>(screens);
  const holds = (id: Id): boolean => {
    const children = childrenOf(sure(nodes[id])).filter((child) => Object.hasOwn(nodes, child));
    const own = children.map((child) => (sure(nodes[child]).kind === "screen" ? reached.has(child) : holds(child)));
    if (own.includes(true)) reached.add(id);
    return own.includes(true);
  };
  holds(root);
  return { nodes: reached, screens: screens.length, all: all.length };
};
