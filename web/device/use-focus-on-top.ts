import { type RefObject, useEffect, useLayoutEffect, useRef } from "react";

/** Who works a device by keys goes on where the screen went: what had the focus is gone, or lies under an overlay. `onTop` selects what is on top now. */
export const useFocusOnTop = (onTop: string) => {
  const box: RefObject<HTMLDivElement | null> = useRef(null);
  const worked = useRef(false);
  useEffect(() => {
    const elsewhere = (event: FocusEvent) => {
      if (event.target instanceof Node && !box.current?.contains(event.target)) worked.current = false;
    };
    addEventListener("focusin", elsewhere);
    return () => removeEventListener("focusin", elsewhere);
  }, []);
  useLayoutEffect(() => {
    if (!worked.current || !box.current) return;
    const active = document.activeElement;
    if (active !== null && active !== document.body && !active.closest("[inert]")) return;
    box.current.querySelector<HTMLElement>(onTop)?.focus({ preventScroll: true });
  }, [onTop]);
  return { box, onFocus: () => void (worked.current = true) };
};
