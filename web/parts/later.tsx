import { type ComponentType, lazy, type ReactNode, useEffect, useState } from "react";
import { loadable } from "./loadable.js";

type Load<P> = () => Promise<{ default: (props: P) => ReactNode }>;

/**
 * A component that is loaded when it is first shown. One that was loaded ahead is there at once: what waits is shown for a
 * while by React, even where there is nothing left to wait for.
 */
export const later = <P extends object>(from: Load<P>): ((props: P) => ReactNode) => {
  const { get, load } = loadable(from);
  const Lazy: ComponentType<P> = lazy(load);
  return function Later(props: P) {
    // what is shown once stays the same component, whatever is loaded meanwhile
    const [Part] = useState<ComponentType<P>>(() => get()?.default ?? Lazy);
    return <Part {...props} />;
  };
};

export interface Beside<P> {
  Part: (props: P) => ReactNode;
  /** Begins to load it. */
  begin: () => void;
}

/**
 * A component that stands beside something that need not wait for it, nor be moved by it: until it is loaded another one
 * takes its room.
 */
export const beside = <P extends object>(from: Load<P>, Meanwhile: (props: P) => ReactNode): Beside<P> => {
  const { get, load } = loadable(from);
  function Part(props: P) {
    const [Here, setHere] = useState<ComponentType<P> | null>(() => get()?.default ?? null);
    useEffect(() => {
      let isGone = false;
      void load().then((part) => isGone || setHere(() => part.default));
      return () => {
        isGone = true;
      };
    }, []);
    return Here ? <Here {...props} /> : <Meanwhile {...props} />;
  }
  return { Part, begin: () => void load() };
};
