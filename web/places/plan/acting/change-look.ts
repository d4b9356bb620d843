import {
  applySoundly,
  type ChangeOfMind,
  consequenceSays,
  consequencesOf,
  faultSays,
  gatesSay,
  firstOf,
  type Frame,
  type Id,
  nameOf,
  placesOf,
  plainName,
  type Planned,
  type Standpoints,
} from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import type { ListOption } from "../../../parts/option-list.js";

/** A change of mind before it is made: what would be done, if it can be. */
export interface ChangeLook {
  planned: Planned | null;
  /** Why it cannot be done, or what it does. */
  says: string[];
}

/** What a change of mind would do to those it is about, said by running the frame before and after it. */
export const lookAtChange = (
  points: Standpoints<Frame>,
  change: ChangeOfMind,
  parts: readonly Chosen[],
  target?: Id,
): ChangeLook => {
  const { frame } = points;
  const result = change.plan(frame, parts, target);
  if (!result.ok) return { planned: null, says: [result.why] };
  const { planned } = result;
  const after = applySoundly(frame, planned.edit);
  if (!after.ok) return { planned: null, says: [faultSays(frame, firstOf(after.faults))] };
  const ids = parts.map(({ id }) => id).filter((id) => Object.hasOwn(after.frame.nodes, id));
  const about = ids.length ? ids.slice(0, 4) : planned.choose ? [planned.choose.id] : [];
  const now = points.on(after.frame);
  const says = about.flatMap((id) => consequenceSays(after.frame, points.view, consequencesOf(points, now, id)));
  const all = [...new Set([...says, ...gatesSay(frame, after.frame, about)])];
  return { planned, says: all.length ? all : ["Back, bars and every way in as before"] };
};

/** What a change that asks for something more can be done with. */
export const targetOptions = (frame: Frame, ids: readonly Id[]): ListOption[] =>
  ids.map((id) => ({
    value: id,
    label: plainName(frame, id),
    says:
      id === frame.root
        ? "the whole app"
        : `in ${placesOf(frame, id)
            .map((place) => nameOf(frame, place))
            .join(", ")}`,
  }));
