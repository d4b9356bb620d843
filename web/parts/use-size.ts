import { sure } from "../../core/index.js";
import { useCallback, useState } from "react";

export interface Size {
  width: number;
  height: number;
}

/** The size of an element, px, as it changes; null until it was measured. Give the answer's first part as its ref. */
export const useSize = (): [(element: HTMLElement | null) => (() => void) | undefined, Size | null] => {
  const [size, setSize] = useState<Size | null>(null);
  const ref = useCallback((element: HTMLElement | null) => {
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = sure(entry).contentRect;
      setSize((old) => (old && old.width === width && old.height === height ? old : { width, height }));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size];
};
