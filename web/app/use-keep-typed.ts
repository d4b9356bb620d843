import { useEffect } from "react";

/**
 * What is half typed when the window closes is kept: the field it stands in is left as if the person had gone elsewhere, so
 * that it is taken, or refused, before the page is gone. What is taken waits in this browser until it can be sent.
 */
export const useKeepTyped = (): void =>
  useEffect(() => {
    const leave = () => {
      const { activeElement } = document;
      if (activeElement instanceof HTMLInputElement || activeElement instanceof HTMLTextAreaElement)
        activeElement.blur();
    };
    addEventListener("beforeunload", leave);
    addEventListener("pagehide", leave);
    return () => {
      removeEventListener("beforeunload", leave);
      removeEventListener("pagehide", leave);
    };
  }, []);
