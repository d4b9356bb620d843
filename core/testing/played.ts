import type { Frame } from "../frame/types.js";
import { type View, viewOf } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/event.js";
import { type Snapshot, snapshotOf } from "../observe/snapshot.js";
import { launch, step, viewAfter } from "../navigate/step.js";

// A run that is kept as a text: a line with the view, a line for each event, and under it what could be seen then.
// The lines under the events are written by the engine; a change of behaviour shows as a change of these lines.

const values = (object: Readonly<Record<string, unknown>>): string =>
  Object.entries(object)
    .map(([name, value]) => `${name}=${String(value)}`)
    .join(" ");

const line = (name: string, ...parts: (string | null)[]): string[] => {
  const text = parts.filter(Boolean).join("  ");
  return text ? [`  ${name.padEnd(8)}${text}`] : [];
};

/** What can be seen, in a few lines; what is empty is left out. */
const seenLines = (seen: Snapshot): string[] => [
  ...line("top", seen.outside ? "(left)" : seen.top, values(seen.params), seen.address),
  ...line("shown", seen.shown.length > 1 ? seen.shown.join(" < ") : null),
  ...line("trail", seen.trail.join(" / ")),
  ...line("back", seen.back.join(" > ")),
  ...line("over", seen.overlay && `${seen.overlay.opens} ${seen.overlay.node}`),
  ...seen.bars.flatMap(({ hub, face, active, more, inert, open }) =>
    line(
      "bar",
      `${hub} ${face} ${active}`,
      more.length ? `more: ${more.join(", ")}` : null,
      inert ? "inert" : null,
      open ? "open" : null,
    ),
  ),
  ...seen.headers.flatMap(({ by, title, back, menu, close }) =>
    line("strip", `${by} "${title}"`, back ? "back" : menu ? "menu" : close ? "close" : null),
  ),
  ...line("ui", seen.ui.scroll ? `scroll=${seen.ui.scroll}` : null, values(seen.ui.drafts)),
  ...line("asks", seen.asking && `${seen.asking.node} "${seen.asking.ask}"`),
  ...line("given", seen.ui.received && values(seen.ui.received)),
  ...seen.moves.flatMap((move) =>
    line(
      "move",
      `${move.kind} in ${move.in}: ${move.leaving ?? "nothing"} -> ${move.entering ?? "nothing"}, ${move.toward}`,
    ),
  ),
  ...seen.notes.flatMap((note) => line("note", `${note.code}: ${note.text}`)),
];

/** The text of a run anew, from its own lines with the view and the events. */
export const played = (frame: Frame, text: string): string => {
  const [first = "", ...rest] = text.split("\n");
  const given = JSON.parse(first.replace(/^view /, "")) as Partial<View>;
  let view = viewOf(frame, given);
  let at = launch(frame, view);
  const lines = [first, "launch", ...seenLines(snapshotOf(frame, view, at))];
  for (const event of rest.filter((each) => each.startsWith("{"))) {
    const happened = JSON.parse(event) as NavigationEvent;
    at = step(frame, view, at.state, happened);
    view = viewAfter(frame, view, happened);
    lines.push("", event, ...seenLines(snapshotOf(frame, view, at)));
  }
  return `${lines.join("\n")}\n`;
};
