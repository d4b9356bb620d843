import { type RefObject, type UIEvent, useEffect, useLayoutEffect, useRef, useState } from "react";
import type { NavigationEvent, ScreenEntry } from "../../core/index.js";

/** A scroll is told once the finger has rested for so long, ms. */
const rested = 160;

interface Options {
  entry: ScreenEntry;
  /** Nothing that happens here is told. */
  ghost: boolean;
  /** Names the screen where it is not the top one. */
  at: { in?: string };
  send: (event: NavigationEvent) => void;
  onSettler: (settle: () => void) => () => void;
}

/** A screen's scroller: at the place the person left it, and telling where it is once it rests. */
export const useKeptScroll = ({ entry, ghost, at, send, onSettler }: Options) => {
  const scroller: RefObject<HTMLDivElement | null> = useRef(null);
  const settling = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const unsent = useRef<number | null>(null);
  /** How far it is scrolled as it is drawn, px. */
  const stands = useRef(0);
  const [scrolled, setScrolled] = useState(entry.ui.scroll);

  // the place a screen was left at is put back when it shows again, and followed when the engine changes it
  useLayoutEffect(() => {
    const element = scroller.current;
    // where it stands is known: to ask would have the page laid out at once
    if (!element || unsent.current !== null || Math.abs(stands.current - entry.ui.scroll) <= 1) return;
    element.scrollTop = entry.ui.scroll;
    stands.current = element.scrollTop;
    setScrolled(stands.current);
  }, [entry.key, entry.ui.scroll]);

  const settle = useRef(() => {});
  settle.current = () => {
    clearTimeout(settling.current);
    const to = unsent.current;
    unsent.current = null;
    if (to !== null) send({ do: "scroll", to: Math.max(0, Math.round(to)), ...at });
  };
  useEffect(() => {
    const forget = onSettler(() => settle.current());
    return () => {
      clearTimeout(settling.current);
      forget();
    };
  }, [onSettler]);

  const onScroll = (event: UIEvent<HTMLDivElement>): void => {
    if (ghost) return;
    const top = event.currentTarget.scrollTop;
    stands.current = top;
    setScrolled(top);
    if (Math.abs(top - entry.ui.scroll) < 1) return;
    unsent.current = top;
    clearTimeout(settling.current);
    settling.current = setTimeout(() => settle.current(), rested);
  };
  return { scroller, scrolled, onScroll, settle: () => settle.current() };
};
