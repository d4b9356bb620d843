import { useDeferredValue, useMemo, useState } from "react";
import {
  canExplore,
  childrenOf,
  type Frame,
  type Id,
  mayStand,
  reachableWith,
  type State,
  type View,
  sure,
} from "../../../../core/index.js";

/** What a person can come to while the facts stay so. */
export interface Reach {
  /** Screens, and the containers that hold one. */
  nodes: ReadonlySet<Id>;
  screens: number;
  all: number;
  /** The frame is too large to be gone through everywhere: what may be shown is taken for what can be come to. */
  isRough: boolean;
}

/** Whom the plan is looked at for, and what those can come to; null while nobody asked. */
export const useReached = (frame: Frame, view: View) => {
  const [facts, onChange] = useState<State["facts"] | null>(null);
  return { facts, onChange, reach: useReach(frame, view, facts) };
};

const useReach = (frame: Frame, view: View, facts: State["facts"] | null): Reach | null => {
  const asked = useDeferredValue(useMemo(() => ({ frame, view, facts }), [frame, view, facts]));
  return useMemo(() => {
    if (!asked.facts) return null;
    const { nodes } = asked.frame;
    const all = Object.keys(nodes).filter((id) => sure(nodes[id]).kind === "screen");
    const isRough = !canExplore(asked.frame);
    const given = asked.facts;
    const screens = isRough
      ? new Set(all.filter((id) => mayStand(asked.frame, given, id)))
      : reachableWith(asked.frame, asked.view, given);
    const reached = new Set<Id>(screens);
    const holds = (id: Id): boolean => {
      const children = childrenOf(sure(nodes[id])).filter((child) => Object.hasOwn(nodes, child));
      const own = children.map((child) => (sure(nodes[child]).kind === "screen" ? reached.has(child) : holds(child)));
      if (own.includes(true)) reached.add(id);
      return own.includes(true);
    };
    holds(asked.frame.root);
    return { nodes: reached, screens: screens.size, all: all.length, isRough };
  }, [asked]);
};
