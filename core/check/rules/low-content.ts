import { arrange } from "../../arrange/arrange.js";
import { devicePreset } from "../../sizes/devices.js";
import { indexOf, placesOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { sure } from "../../frame/sure.js";
import type { Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { type View, viewOf } from "../../frame/view.js";
import { applyEdit } from "../../edit/apply.js";
import { openedAt } from "../../explore/standpoint.js";
import { targetsOf } from "../../frame/defaults.js";
import { lensOf } from "../../frame/look.js";
import { setting, thatGo } from "../mends.js";
import type { Found, Mend, Rule } from "../rule.js";

/** Less room than this shows a title and a line or two, CSS px. */
const least = 200;

/** px of content that a screen has in a view; null where it does not come up. */
const roomOf = (frame: Frame, view: View, id: Id): number | null =>
  arrange(frame, openedAt(frame, view, id), view).find(({ role, node }) => role === "content" && node === id)?.height ??
  null;

/** A mend, where it gives a screen the room it lacks. */
const hidingTheBar = (frame: Frame, view: View, id: Id): Mend | null => {
  const told = { label: "Hide the bar here", says: "its room goes to the content" };
  const mend = setting(frame, id, "bars", "hide", told);
  const mended = applyEdit(frame, mend.edit);
  return mended.ok && (roomOf(mended.frame, view, id) ?? 0) >= least ? mend : null;
};

/** Finds views in which bars leave too little height for the content. */
export const lowContent: Rule = {
  code: "low-content",
  group: "sizes",
  severity: "doubt",
  suffers: "They turn the phone, and bars take up most of it.",
  why: "On a turned phone there are 390 px in all. Under 200 px of content hardly anything is left to read, and nothing while a keyboard is up.",
  find: ({ frame }) => {
    const { width, height, insets, cuts } = sure(devicePreset("phoneTurned"), "a turned phone");
    return targetsOf(frame).flatMap(({ id: target }) => {
      const view = viewOf(frame, { width, height, insets, target, ...(cuts && { cuts }) });
      const { look } = lensOf(frame, view);
      const told = new Set<string>();
      return indexOf(frame).ids.flatMap((id): Found[] => {
        const place = placesOf(frame, id)[0];
        if (frame.nodes[id]?.kind !== "screen" || place === undefined || look(id).opens !== "push") return [];
        // screens of one container that say the same of strips and bars have the same room
        const name = `${place} ${look(id).header} ${look(id).bars} ${look(id).system}`;
        if (told.has(name)) return [];
        told.add(name);
        const room = roomOf(frame, view, id);
        if (room === null || room >= least) return [];
        return [
          {
            node: id,
            says: `${plainName(frame, id)} has ${Math.round(room)} px on a turned phone`,
            detail: `of ${height} px, the rest is strips and bars`,
            mends: thatGo(frame, [hidingTheBar(frame, view, id)]),
          },
        ];
      });
    });
  },
};
