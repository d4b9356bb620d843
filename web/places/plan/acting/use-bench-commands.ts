import { useMemo } from "react";
import { type Frame, type Id, isSetHere, plainName, settings, valueOf, valueSays } from "../../../../core/index.js";
import { type Command, useCommands } from "../../../app/commands.js";

/** Each property on the bench can be found by its name: it comes into sight and takes the focus. */
export const useBenchCommands = (frame: Frame, id: Id): void => {
  const commands = useMemo<Command[]>(() => {
    const node = frame.nodes[id];
    if (!node) return [];
    const name = plainName(frame, id);
    return settings
      .filter(({ kinds }) => kinds.includes(node.kind))
      .map((setting) => ({
        id: `setting ${setting.key}`,
        label: `${setting.label} of ${name}`,
        says: `${valueSays(frame, setting, valueOf(frame, id, setting))}, ${isSetHere(node, setting.key) ? "set here" : "by default"}`,
        run: () => {
          const mark = document.querySelector<HTMLElement>(`[data-set-mark="${setting.key}"]`);
          mark?.scrollIntoView({ block: "center", inline: "center" });
          mark?.focus();
        },
      }));
  }, [frame, id]);
  useCommands("bench", commands);
};
