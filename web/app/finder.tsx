import { useEffect, useMemo, useRef, useState } from "react";
import { nameOf, placesOf, waysOut } from "../../core/index.js";
import { Picker, type PickerOption } from "../parts/picker.js";
import { useOpenFrame, useSession } from "./open-frame.js";
import { useChosen } from "./place.js";

const commands = {
  undo: "Undo",
  redo: "Redo",
  relaunch: "Start the device over",
  back: "Back on the device",
  theme: "Theme and bars",
  devices: "Devices, widths and facts",
} as const;

/** Finds any node, action or command by typing its name. */
export function Finder() {
  const opened = useOpenFrame();
  const frame = useSession((session) => session.frame);
  const [, choose] = useChosen();
  const box = useRef<HTMLDivElement>(null);
  const [open, setOpen] = useState(false);

  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== "k" || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      box.current?.querySelector("input")?.focus();
    };
    addEventListener("keydown", key);
    return () => removeEventListener("keydown", key);
  }, []);

  const options = useMemo<PickerOption[]>(
    () =>
      !open
        ? []
        : [
            ...Object.entries(frame.nodes).map(([id, node]) => ({
              value: `node ${id}`,
              label: nameOf(frame, id),
              says: `${node.kind} · ${id}`,
            })),
            ...Object.entries(frame.nodes).flatMap(([id, node]) =>
              waysOut(id, node)
                .filter((way) => way.via === "action")
                .map((way) => ({ value: `node ${id}`, label: way.label, says: `action on ${nameOf(frame, id)}` })),
            ),
            ...Object.entries(commands).map(([value, label]) => ({
              value: `command ${value}`,
              label,
              says: "command",
            })),
          ],
    [frame, open],
  );
  const pick = (value: string) => {
    const [kind, id = ""] = value.split(" ");
    if (kind === "node") {
      choose({ id, parent: placesOf(frame, id)[0] ?? null }, false);
      // who finds by typing goes on by keys: the focus goes where the choice is, once that is drawn
      setTimeout(() => document.querySelector<HTMLElement>('[role="treeitem"][aria-selected="true"]')?.focus(), 30);
    } else if (id === "undo") opened.undo();
    else if (id === "redo") opened.redo();
    else if (id === "relaunch") opened.relaunch();
    else if (id === "theme" || id === "devices") opened.showPanel(id);
    else opened.send({ do: "back" });
  };
  return (
    <div ref={box} className="ml-2 w-56 min-w-24" onFocus={() => setOpen(true)} onBlur={() => setOpen(false)}>
      <Picker
        label="Find"
        placeholder="Find anything (Ctrl K)"
        options={options}
        onPick={pick}
        side="bottom"
        className="h-8"
      />
    </div>
  );
}
