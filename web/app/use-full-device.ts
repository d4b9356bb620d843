import { useEffect, useMemo, useState } from "react";
import { type Command, useCommands } from "./commands.js";

/** Whether the device is as large as the window allows: by a key, from wherever one is, and back. */
export const useFullDevice = (): [boolean, (isFull: boolean) => void] => {
  const [isFull, setFull] = useState(false);
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      if (event.key !== "Enter" || !event.altKey || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      setFull((now) => !now);
    };
    addEventListener("keydown", keys);
    return () => removeEventListener("keydown", keys);
  }, []);
  const commands = useMemo<Command[]>(
    () => [
      {
        id: "full-device",
        label: isFull ? "The device beside the place" : "The device as large as the window",
        keys: ["Alt Enter"],
        run: () => setFull(!isFull),
      },
    ],
    [isFull],
  );
  useCommands("full-device", commands);
  return [isFull, setFull];
};
