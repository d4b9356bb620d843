import { type NodeKey, optionsOf, propertyOf } from "../../../../core/index.js";
import { Check } from "../../../parts/check.js";
import { Choice } from "../../../parts/choice.js";
import { SetMark } from "../../../parts/set-mark.js";
import { TextLine } from "../../../parts/text-line.js";
import { wrongWhole } from "../../../parts/wrong.js";
import { useBench, useHeld } from "./bench-context.js";
import { Block, Line, Name, Says } from "./group.js";

/** A property as the table lays it out: a control by the form the table gives it, and what it causes now. */
export function PropertyField({ of }: { of: NodeKey }) {
  const { said, set } = useBench();
  const value: unknown = useHeld(of);
  const { form, field, setting, fallback } = propertyOf(of);
  const label = field?.label ?? setting?.label ?? of;
  const put = (next: unknown) =>
    set(
      of,
      next === fallback ? undefined : next,
      // in the words that stand on the screen
      field?.done?.(optionsOf(of).find(({ value }) => value === next)?.label ?? String(next)) ??
        `${label.toLowerCase()} ${String(next)}`,
    );
  switch (form.sort) {
    case "flag":
      return (
        <Block>
          <Check checked={value === true} onChange={put}>
            {label} <SetMark of={of} />
          </Check>
          <Says>{said[of]}</Says>
        </Block>
      );
    case "whole":
      return (
        <Line label={label} of={of} says={said[of]}>
          <TextLine
            inputMode="numeric"
            className="w-16!"
            value={String(value)}
            wrong={wrongWhole(form.least, form.most)}
            onDone={(text) => put(Number(text))}
          />
        </Line>
      );
    case "label":
    case "text":
      return (
        <Line label={label} of={of} says={said[of]} long>
          <TextLine value={String(value ?? "")} onDone={(text) => put(text)} />
        </Line>
      );
    default:
      return (
        <Block>
          <Name label={label} of={of} />
          <Choice label={field?.name ?? label} value={String(value)} options={optionsOf(of, true)} onChange={put} />
          <Says>{said[of]}</Says>
        </Block>
      );
  }
}
