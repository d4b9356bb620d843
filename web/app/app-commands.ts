import { useMemo } from "react";
import { useNavigate, useParams } from "react-router";
import type { OpenFrame } from "../data/open-frame.js";
import { type Command, useCommands } from "./commands.js";
import { useEditing, useLive, useOpenFrame, useSizes } from "./open-frame.js";
import { type PlaceId, places, usePlace } from "./places.js";
import { setDark, useDark } from "./theme.js";

/** Undo and redo with what they would do, and all changes there were. */
const historyCommands = (
  { editing }: OpenFrame,
  { done, undone }: Record<"done" | "undone", string | undefined>,
  onHistory: () => void,
): Command[] => [
  { id: "undo", label: "Undo", keys: ["Ctrl Z"], ...(done && { says: done }), run: () => editing.undo() },
  { id: "redo", label: "Redo", keys: ["Ctrl Shift Z"], ...(undone && { says: undone }), run: () => editing.redo() },
  {
    id: "history",
    label: "Changes and restore",
    says: "every revision",
    also: "history versions log",
    run: onHistory,
  },
];

/** What is done with the device, and how it is drawn. */
const deviceCommands = (
  { live, sizes }: OpenFrame,
  { sideBySide, hatched }: Record<"sideBySide" | "hatched", boolean>,
): Command[] => [
  { id: "relaunch", label: "Start the device over", run: () => live.relaunch() },
  { id: "device-back", label: "Back on the device", run: () => live.send({ do: "back" }) },
  {
    id: "side-by-side",
    label: sideBySide ? "One device" : "All targets side by side",
    run: () => live.showAllTargets(!sideBySide),
  },
  {
    id: "hidden-parts",
    label: hatched ? "Hidden parts as they are" : "Hatch what is hidden on the device",
    says: "under a bar, a hole, a hinge, a sheet",
    run: () => sizes.use({ hatched: !hatched }),
  },
];

/** The panels about the whole app. */
const panelCommands = ({ selection }: OpenFrame, go: (place: PlaceId) => void): Command[] => [
  {
    id: "theme",
    label: "Theme and bars of the app",
    also: "style colours colors palette design brand tokens icons svg",
    says: "colours, marks, sizes, icons",
    run: () => (go("plan"), selection.showPanel("theme")),
  },
  {
    id: "devices",
    label: "Devices, widths and facts",
    also: "breakpoints platforms responsive flags conditions auth state",
    says: "targets, bands",
    run: () => (go("plan"), selection.showPanel("devices")),
  },
];

/** What can be done with the whole frame, wherever one is in it. */
export const useAppCommands = (onHistory: () => void): void => {
  const opened = useOpenFrame();
  const { id = "" } = useParams();
  const navigate = useNavigate();
  const [, go] = usePlace();
  const dark = useDark();
  const sideBySide = useLive((live) => live.sideBySide);
  const hatched = useSizes((shown) => shown.hatched);
  const undone = useEditing((edited) => edited.history.undone.at(-1)?.label);
  const done = useEditing((edited) => edited.history.done.at(-1)?.label);
  const commands = useMemo<Command[]>(
    () => [
      ...historyCommands(opened, { done, undone }, onHistory),
      ...deviceCommands(opened, { sideBySide, hatched }),
      ...panelCommands(opened, go),
      { id: "dark", label: dark ? "Light theme" : "Dark theme", run: () => setDark(!dark) },
      {
        id: "download",
        label: "Download the file",
        also: "export save json",
        run: () => location.assign(`/api/frames/${id}/file`),
      },
      ...places.map(({ id: place, label, says }) => ({
        id: `place ${place}`,
        label: `Go to ${label}`,
        says,
        run: () => go(place),
      })),
      { id: "shelf", label: "To the shelf", says: "all frames", run: () => void navigate("/") },
    ],
    [opened, id, navigate, go, dark, sideBySide, hatched, done, undone, onHistory],
  );
  useCommands("app", commands);
};
