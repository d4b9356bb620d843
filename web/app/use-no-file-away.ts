import { useEffect } from "react";

/** A file that is dropped beside what takes it would be opened in place of the page: it is not. */
export const useNoFileAway = (): void =>
  useEffect(() => {
    const stay = (event: DragEvent) => {
      if (event.defaultPrevented || !event.dataTransfer || ![...event.dataTransfer.types].includes("Files")) return;
      event.preventDefault();
      event.dataTransfer.dropEffect = "none";
    };
    addEventListener("dragover", stay);
    addEventListener("drop", stay);
    return () => {
      removeEventListener("dragover", stay);
      removeEventListener("drop", stay);
    };
  }, []);
