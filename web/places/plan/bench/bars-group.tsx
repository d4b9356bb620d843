import {
  isVaried,
  lensOf,
  nameOf,
  nodeAt,
  optionsOf,
  placesOf,
  propertyOf,
  sure,
  valueWords,
  type WithinKey,
} from "../../../../core/index.js";
import { Choice } from "../../../parts/choice.js";
import { useBench, useHeld } from "./bench-context.js";
import { Block, Fields, Name, Says } from "./group.js";

const usually: Readonly<Record<WithinKey, string>> = {
  header: "on for what is pushed, a full screen, a tab or a pane",
  bars: "they stay",
  system: "they stay",
};

/** Something that a screen says itself, or a container says for all within it: where it comes from, and a press that sets it here alone. */
function HeldLine({ of }: { of: WithinKey }) {
  const { frame, view, id, chosen, said, set, onChoose } = useBench();
  const own = useHeld(of);
  const label = sure(propertyOf(of).setting).label;
  const place = chosen.parent ?? placesOf(frame, id)[0];
  const isScreen = nodeAt(frame, id).kind === "screen";
  const around = isScreen && place !== undefined ? lensOf(frame, view).within(place)[of] : undefined;
  const words = (value: unknown) => valueWords({ slot: of, form: propertyOf(of).form }, value);
  const usual = around ? `as ${nameOf(frame, around.by)} says` : "as usual";
  const says = around ? words(around.is) : usually[of];
  return (
    <Block>
      <Name label={isScreen ? label : `${label} while it is on top`} of={of} />
      <Choice
        label={label}
        value={isVaried(nodeAt(frame, id), of) ? "" : (own ?? "usual")}
        options={[{ value: "usual", label: usual, says }, ...optionsOf(of)]}
        onChange={(value) =>
          set(
            of,
            value === "usual" ? undefined : value,
            `${label.toLowerCase()} ${value === "usual" ? usual : words(value)}`,
          )
        }
      />
      {around && own === null && (
        <p className="text-ink-2">
          <button
            type="button"
            className="text-petrol underline"
            onClick={() => onChoose({ id: around.by, parent: placesOf(frame, around.by)[0] ?? null })}
          >
            {nameOf(frame, around.by)}
          </button>{" "}
          says {words(around.is)} for all within it
        </p>
      )}
      <Says>{said[of]}</Says>
    </Block>
  );
}

/** Whether the bars and the device's own strips stay, and whether a header is drawn. */
export function BarsGroup() {
  return (
    <Fields>
      <HeldLine of="bars" />
      <HeldLine of="header" />
      <HeldLine of="system" />
    </Fields>
  );
}
