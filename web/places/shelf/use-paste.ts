import { useEffect, useRef } from "react";

/** Takes what is pasted on the page, anywhere but in a field. */
export const usePaste = (take: (text: string) => void): void => {
  const latest = useRef(take);
  latest.current = take;
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      if (event.target instanceof Element && event.target.closest("input, textarea")) return;
      event.preventDefault();
      latest.current(event.clipboardData?.getData("text/plain") ?? "");
    };
    document.addEventListener("paste", paste);
    return () => document.removeEventListener("paste", paste);
  }, []);
};
