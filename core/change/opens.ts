import { firstOf } from "../frame/sure.js";
import { nodeAt } from "../frame/nodes.js";
import { isInStack } from "../frame/frame-index.js";
import type { Edit } from "../edit/edit.js";
import { together } from "../edit/together.js";
import { propertyEdit } from "../edit/property-edit.js";
import { plainName } from "../frame/names.js";
import { list } from "../says/words.js";
import { cannot, type ChangeOfMind, planned } from "./change.js";

/** What is pushed opens as a sheet, and what opens over the rest is pushed. */
export const pushOrSheet: ChangeOfMind = {
  id: "opens",
  label: "Push or sheet",
  says: "what is pushed opens as a sheet, and back",
  plan: (frame, parts) => {
    const ids = [...new Set(parts.map(({ id }) => id))];
    if (ids.length === 0) return cannot("Choose what opens.");
    const stuck = ids.find((id) => !isInStack(frame, id));
    if (stuck !== undefined)
      return cannot(
        `${plainName(frame, stuck)} stands in no stack, so nothing pushes it: tabs and panes are always there.`,
      );
    const lifts = (nodeAt(frame, firstOf(ids)).opens ?? "push") === "push";
    const edits = ids.map((id): Edit => propertyEdit(frame, id, "opens", lifts ? "sheet" : undefined));
    const names = list(ids.slice(0, 3).map((id) => plainName(frame, id)));
    return planned({
      edit: together(edits),
      label: lifts ? `${names} as a sheet` : `${names} pushed`,
      choose: firstOf(parts),
    });
  },
};
