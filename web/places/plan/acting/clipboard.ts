import {
  clipOf,
  clipType,
  type Frame,
  pasteClip,
  placesOf,
  plainName,
  readClip,
  writeOutline,
  nodeAt,
  sure,
  firstOf,
} from "../../../../core/index.js";
import type { OpenFrame } from "../../../data/open-frame.js";
import type { Chosen } from "../../../app/place.js";
import type { Planned } from "./edits.js";
import { replaceListText } from "../panels/list-text.js";
import { outermost } from "./selection.js";
import { takeOutAll } from "./edits.js";

/** What is copied, cut and pasted on. */
export interface Clipped {
  frame: Frame;
  chosen: Chosen | null;
  others: readonly Chosen[];
  make: (planned: Planned | null) => boolean;
}

/** What was on the clipboard: a text, and the parts of a frame where it has any. */
export interface Pasted {
  text: string;
  parts: string;
}

/** Where something pasted goes: into what is chosen, behind what it holds; beside a screen. */
const placeFor = (frame: Frame, chosen: Chosen | null): { parent: string | null; after: string | null } => {
  let at = chosen ?? { id: frame.root, parent: null };
  const node = nodeAt(frame, at.id);
  if (node.kind === "stack" || node.kind === "hub") return { parent: at.id, after: node.children.at(-1) ?? null };
  while (at.parent !== null && nodeAt(frame, at.parent).kind === "pair")
    at = { id: at.parent, parent: placesOf(frame, at.parent)[0] ?? null };
  return { parent: at.parent, after: at.parent === null ? null : at.id };
};

/** What is done as something is copied, cut or pasted; `latest` is what is chosen then. */
export const clipboardHands = (opened: OpenFrame, latest: () => Clipped) => {
  const copied = (event: ClipboardEvent): boolean => {
    const { frame, chosen, others } = latest();
    if (!chosen || !getSelection()?.isCollapsed || !event.clipboardData) return false;
    const parts = outermost(frame, [chosen, ...others]);
    event.clipboardData.setData("text/plain", writeOutline(frame, parts));
    event.clipboardData.setData(clipType, JSON.stringify(clipOf(frame, parts)));
    event.preventDefault();
    opened.editing.say(
      "plain",
      `Copied ${parts
        .map(({ id }) => plainName(frame, id))
        .slice(0, 3)
        .join(", ")}${parts.length > 3 ? " …" : ""}, as parts and as a list.`,
    );
    return true;
  };
  const cut = (event: ClipboardEvent) => {
    const { frame, chosen, others, make } = latest();
    if (copied(event)) make(takeOutAll(frame, outermost(frame, [sure(chosen), ...others])));
  };
  const paste = ({ text, parts }: Pasted) => {
    const { frame, chosen, make } = latest();
    const clip = readClip(parts) ?? readClip(text);
    if (!clip) {
      replaceListText(opened.editing.get().id, text);
      // shown with what it would make, before it is made
      return opened.selection.showPanel("list");
    }
    const place = placeFor(frame, chosen);
    const made = pasteClip(frame, clip, place);
    if (!made) return opened.editing.say("fault", "What was copied does not go there: nothing was changed.");
    const names = clip.tops.map((top) => sure(clip.nodes[top]).title ?? top);
    const label = `Paste ${names.slice(0, 3).join(", ")}${names.length > 3 ? " …" : ""}`;
    const done = make({ edit: made.edit, label, choose: { id: firstOf(made.tops), parent: place.parent } });
    if (done && made.left.length)
      opened.editing.say("plain", `Left out, as this frame cannot have it: ${made.left.join(", ")}.`);
  };
  return { copy: copied, cut, paste };
};
