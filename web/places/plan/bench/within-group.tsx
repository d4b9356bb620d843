import {
  isVaried,
  optionsOf,
  propertyOf,
  sure,
  valueWords,
  type WithinKey,
  withinSays,
} from "../../../../core/index.js";
import { Choice } from "../../../parts/choice.js";
import { ViewMark } from "../../../parts/view-mark.js";
import { useBench, useHeld, useNode } from "./bench-context.js";
import { Block, Fields, Name, Says } from "./group.js";

/** One thing that a container says for every screen within it that does not say it itself. */
function WithinLine({ of }: { of: WithinKey }) {
  const { frame, view, id, vary } = useBench();
  const node = useNode();
  const within = useHeld("within") ?? {};
  const label = sure(propertyOf(of).setting).label;
  const slot = `within.${of}` as const;
  const put = (value: string) => {
    const words = value === "around" ? "as around it" : valueWords({ slot: of, form: propertyOf(of).form }, value);
    vary(slot, undefined, value === "around" ? undefined : value, `${label.toLowerCase()} within: ${words}`);
  };
  return (
    <Block>
      <Name
        label={
          <>
            {label} of every screen in it <ViewMark of={slot} name={`${label} within`} />
          </>
        }
      />
      <Choice
        label={`${label} within`}
        value={isVaried(node, slot) ? "\u0000" : (within[of] ?? "around")}
        options={[{ value: "around", label: "as around it" }, ...optionsOf(of)]}
        onChange={put}
      />
      <Says>{withinSays(frame, view, id, of)}</Says>
    </Block>
  );
}

/** What a container says for every screen within it: one setting for a whole tab, or the whole app. */
export function WithinGroup() {
  return (
    <Fields>
      <WithinLine of="bars" />
      <WithinLine of="header" />
      <WithinLine of="system" />
    </Fields>
  );
}
