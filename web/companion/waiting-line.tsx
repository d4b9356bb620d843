import { firstUnmet, type Frame, indexOf, nameOf, needWords, placesOf, type State } from "../../core/index.js";
import { Icon } from "../parts/icon.js";

/** What was asked and is opened once its needs are met. */
export function WaitingLine({ frame, state }: { frame: Frame; state: State }) {
  const { pending } = state;
  if (!pending) return null;
  const place = placesOf(frame, pending.to)[0];
  const way = [...(place === undefined ? [] : (indexOf(frame).ways.get(place) ?? [])), pending.to];
  const unmet = firstUnmet(frame, state.facts, way);
  return (
    <p role="status" aria-label="Waiting" className="flex items-start gap-1.5 rounded-sm bg-petrol-soft px-2 py-1">
      <Icon name="hourglass-medium" size={15} className="mt-0.5 shrink-0" />
      <span>
        <b className="font-semibold">{nameOf(frame, pending.to, pending.params)}</b> waits
        {unmet && <> for {needWords(frame, unmet.need)}</>}
      </span>
    </p>
  );
}
